"use client";
import { exceedanceInWords } from "../../core/gauge/exceedance";
import { showText } from "../../core/quantity/show";
import { FaultNote } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { roundFlow } from "../../ui/use-field";
import type { LieView } from "../../ui/use-lie";

/** What is being shown, and how sure it is. */
export function Status({ view }: { view: LieView }) {
  const { field, flow, river, isNow } = view;
  const system = useSettings((settings) => settings.system);
  if (field.fault)
    return (
      <div className="my-3">
        <FaultNote
          message={field.fault.message}
          todo={
            field.fault.path ? `Look at ${field.fault.path} of the reach, or pick another flow.` : "Pick another flow."
          }
        />
      </div>
    );
  const shown = field.field;
  const text = !shown
    ? ""
    : field.earlierBed
      ? "Shown: the flow before the bed was changed."
      : field.fromLadder
        ? `From the flows solved on both sides, ${showText(shown.cell, "distance", system)} cells: edges are soft.`
        : !field.exact
          ? `Shown: ${showText(shown.discharge, "discharge", system)}, the nearest solved.`
          : !field.settled
            ? `First picture, ${showText(shown.cell, "distance", system)} cells: edges are soft.`
            : verdictWords(shown.verdict);
  return (
    <div className="mb-1 flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 text-sm text-soft">
      {field.progress !== undefined ? (
        <>
          <span role="status">Solving {showText(roundFlow(flow), "discharge", system)} …</span>
          <progress value={field.progress} max={1} aria-label="Solving" className="h-2 w-32 accent-(--ochre)" />
          <button type="button" className="min-h-8 underline" onClick={field.cancel}>
            stop
          </button>
        </>
      ) : field.cancelled && !field.settled ? (
        <button type="button" className="min-h-8 underline" onClick={field.retry}>
          Stopped. Solve {showText(roundFlow(flow), "discharge", system)}
        </button>
      ) : null}
      <span>{text}</span>
      {field.settled && shown && shown.massError > 0.005 && (
        <span className="font-semibold text-clay">
          ▲ {(shown.massError * 100).toFixed(1)} % of the water is unaccounted for.
        </span>
      )}
      {isNow && river.now?.exceedance != null && (
        <span className="ml-auto hidden md:inline">{exceedanceInWords(river.now.exceedance)}</span>
      )}
    </div>
  );
}

function verdictWords(verdict: string): string {
  if (verdict === "converged") return "Settled. Eddy outlines are soft by about a metre.";
  return verdict === "shedding"
    ? "Settled on average; wakes pulse, so seams wander by about a metre."
    : "Not settled: take this as a rough picture.";
}

/** What the wading marks mean, with their areas. */
export function WadingKey({ view }: { view: LieView }) {
  const { safe, caution, stayOut } = view.reading!.wading;
  const system = useSettings((settings) => settings.system);
  return (
    <div className="mb-2 border-l-4 border-double border-clay pl-3 text-sm">
      <p>
        Clear: easy wading, {showText(safe, "area", system)}. Dotted: with care, {showText(caution, "area", system)},
        closer dots stronger. Hatched: stay out, {showText(stayOut, "area", system)}.
      </p>
      <p className="text-soft">
        By depth × speed at this flow, over an even bed. A staff, a belt, a way out; never alone in cold or high water;
        out at once when it rises.
      </p>
    </div>
  );
}
