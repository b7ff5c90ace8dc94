"use client";
import { activePlan, useSettings } from "../state/settings";
import { placeWords } from "../words/place";
import { showText } from "../words/quantity";
import { clock, moment } from "../words/river";
import { inSentence } from "../words/text";

/** The plan that Reach, Rig and Session are looked at for: its hours and flow, and the way back to now. */
export function PlannedBanner({ now }: { now: number }) {
  const settings = useSettings();
  const planned = activePlan(settings);
  if (!planned) return null;
  const { from, to, discharge, place } = planned;
  return (
    <p role="status" className="mb-2 flex flex-wrap items-center gap-x-4 border-l-4 border-ochre pl-3 print:hidden">
      <span>
        Your plan: {moment(from, now)} to {clock(to)}, {showText(discharge, "discharge", settings.system)}, start{" "}
        {inSentence(placeWords(place))}. This page shows that time and flow in finer detail, so a place may have another
        name.
      </span>
      <button
        type="button"
        className="min-h-11 underline"
        onClick={() => settings.set({ planned: null, flow: null, lie: null })}
      >
        Show the river now
      </button>
    </p>
  );
}
