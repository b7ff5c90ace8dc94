"use client";
import type { Field } from "../../core/flow/grid";
import type { Fault } from "../../core/quantity/fault";
import type { ReachReading } from "../../scenario/reading";
import { roundFlow } from "../../scenario/field";
import type { FieldState } from "../../state/scenario/use-field";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { FaultNote } from "../../widgets/fault-note";
import { tell } from "../../words/messages";
import { figureText, showText, type UnitSystem } from "../../words/quantity";

/** What is being shown, and how sure it is. */
export function Status({ view }: { view: ScenarioView }) {
  const { field, reading, conditions, strayed } = view;
  const system = useSettings((settings) => settings.system);
  if (field.fault || reading.fault) {
    const fault = (field.fault ?? reading.fault)!;
    return (
      <div className="my-3">
        <FaultNote
          message={tell(fault, system)}
          todo={todoOf(fault)}
          onRetry={field.fault ? field.retry : reading.retry}
        />
      </div>
    );
  }
  const shown = field.shown?.field;
  return (
    <div role="status" className="flex min-h-11 min-w-0 flex-wrap items-center gap-x-4 gap-y-1 text-sm text-soft">
      <Solving field={field} flow={roundFlow(conditions.discharge)} system={system} />
      <span>{shownWords(field, system)}</span>
      {reading.earlier && reading.value && (
        <span>
          Seams and lies are still those of {showText(reading.value.of.field.discharge, "discharge", system)}.
        </span>
      )}
      {strayed && !reading.earlier && <span>The lie you had chosen is none at this flow: the first is shown.</span>}
      {field.settled && shown && shown.massError > 0.005 && (
        <span className="font-semibold text-clay">
          ▲ {figureText(shown.massError * 100, 1)} % of the water is unaccounted for.
        </span>
      )}
    </div>
  );
}

/** What can be done; a part that broke down says itself that it can be tried again. */
function todoOf({ code, path }: Fault): string | undefined {
  if (code === "worker-lost") return undefined;
  return path ? `Look at ${path} of the reach, or pick another flow.` : "Pick another flow.";
}

function Solving({ field, flow, system }: { field: FieldState; flow: number; system: UnitSystem }) {
  if (field.progress !== undefined)
    return (
      <>
        <span>
          Solving {showText(flow, "discharge", system)}
          {field.expected !== undefined && `, ${aboutSeconds(field.expected)}`} …
        </span>
        <progress value={field.progress} max={1} aria-label="Solving" className="h-2 w-32 accent-(--ochre)" />
        <button type="button" className="min-h-11 underline" onClick={field.cancel}>
          stop
        </button>
      </>
    );
  if (!field.cancelled) return null;
  return (
    <button type="button" className="min-h-11 underline" onClick={field.retry}>
      Stopped. Solve {showText(flow, "discharge", system)}
    </button>
  );
}

/** Expected time in round words: nobody knows it to the second. */
function aboutSeconds(seconds: number): string {
  if (seconds < 2) return "a moment";
  if (seconds < 20) return `about ${Math.ceil(seconds)} s`;
  return seconds < 90 ? `about ${Math.ceil(seconds / 10) * 10} s` : `about ${Math.ceil(seconds / 60)} min`;
}

/** Which field stands on the plan. */
function shownWords({ shown }: FieldState, system: UnitSystem): string {
  if (!shown) return "";
  const cells = `${showText(shown.field.cell, "distance", system)} cells: edges are soft.`;
  switch (shown.origin) {
    case "live":
      return `Under your hand: quick pictures, ${cells}`;
    case "earlier-bed":
      return "Shown: the flow before the bed was changed.";
    case "between":
      return `From the flows solved on both sides, ${cells}`;
    case "nearest":
      return `Shown: ${showText(shown.field.discharge, "discharge", system)}, the nearest solved.`;
    case "coarse":
      return `First picture, ${cells}`;
    case "solved":
      return verdictWords(shown.field, system);
  }
}

const UNSETTLED = {
  filling: "the reach was still filling",
  emptying: "the reach was still running out",
  pulsing: "its wakes pulse too long for a mean",
} as const;

function verdictWords({ verdict, unsettled }: Field, system: UnitSystem): string {
  const soft = showText(1, "distance", system).replace(/\.0\b/, "");
  if (verdict === "converged") return `Settled. Eddy outlines are soft by about ${soft}.`;
  return verdict === "shedding"
    ? `Settled on average: seams shift by about ${soft}.`
    : `Not settled${unsettled ? `: ${UNSETTLED[unsettled]}` : ""}. Take this as a rough picture.`;
}

/** What the wading marks mean, with their areas. */
export function WadingKey({ reading }: { reading: Pick<ReachReading, "wading"> }) {
  const { safe, caution, stayOut } = reading.wading;
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
