"use client";
import { useSettings } from "../../state/settings";
import { type Learning, useSmooth } from "../../state/use-learn";
import { FaultNote } from "../../widgets/fault-note";
import { later } from "../../widgets/later";
import { faultText } from "../../words/messages";
import { figureText, showText } from "../../words/quantity";

const SmoothChart = later(() => import("./smooth-chart").then((one) => one.SmoothChart));

/** Fish an hour along the flow, without classes. */
export function Smooth({ learning }: { learning: Learning }) {
  const { system } = useSettings();
  const smooth = useSmooth(learning);
  const told = smooth.value?.filter((one) => one.rate !== null) ?? [];
  const peak = [...told].sort((a, b) => b.rate! - a.rate!)[0];
  return (
    <>
      <h2 className="text-2xl">Fish per hour against flow</h2>
      {smooth.fault && <FaultNote message={faultText(smooth.fault, system)} onRetry={smooth.retry} />}
      {smooth.value && !peak && (
        <p className="mt-3 rounded-md border border-line p-4">
          Not enough hours at known flows. You need at least two sessions at different flows.
        </p>
      )}
      {peak && (
        <>
          <p className="text-soft">
            Best at about {showText(peak.discharge, "discharge", system)}: {figureText(peak.rate!, 2)} an hour; 80 % of
            resampled logs between {figureText(peak.low!, 2)} and {figureText(peak.high!, 2)}.
          </p>
          <div className="mt-3 h-[360px]">
            <SmoothChart points={smooth.value!} />
          </div>
          <p className="mt-2 text-sm text-soft">
            Line: fish per hour, weighted by closeness in flow. Band: your sessions resampled; one good day widens it.
            Below: flows you fished. Nothing is drawn where you hardly fished.
          </p>
        </>
      )}
    </>
  );
}
