"use client";
import type { Field } from "../../core/flow/grid";
import type { Fault } from "../../core/quantity/fault";
import type { ReachReading } from "../../scenario/reading";
import { roundFlow } from "../../scenario/field";
import type { FieldState } from "../../state/scenario/use-field";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { FaultNote } from "../../widgets/fault-note";
import { messageText } from "../../words/messages";
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
          message={messageText(fault, system)}
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
        <span>Seams and lies are still for {showText(reading.value.of.field.discharge, "discharge", system)}.</span>
      )}
      {strayed && !reading.earlier && <span>Your lie doesn’t hold fish at this flow. The first lie is shown.</span>}
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
  return path ? `Check ${path} of the reach, or choose another flow.` : "Choose another flow.";
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
          Stop
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
  const cells = `${showText(shown.field.cell, "distance", system)} cells: edges are approximate.`;
  switch (shown.origin) {
    case "live":
      return `Preview while you drag, ${cells}`;
    case "earlier-bed":
      return "Showing the flow before your edit.";
    case "between":
      return `Estimated from flows on both sides, ${cells}`;
    case "nearest":
      return `Showing ${showText(shown.field.discharge, "discharge", system)}, the nearest flow worked out.`;
    case "coarse":
      return `Preview, ${cells}`;
    case "solved":
      return verdictWords(shown.field, system);
  }
}

const UNSETTLED = {
  filling: "the reach was still filling",
  emptying: "the reach was still draining",
  pulsing: "its eddies pulse too slowly to average",
} as const;

function verdictWords({ verdict, unsettled }: Field, system: UnitSystem): string {
  const soft = showText(1, "distance", system).replace(/\.0\b/, "");
  if (verdict === "converged") return `Steady. Eddy edges are uncertain by about ${soft}.`;
  return verdict === "shedding"
    ? `Steady on average; seams shift by about ${soft}.`
    : `Not steady${unsettled ? `: ${UNSETTLED[unsettled]}` : ""}. Treat it as a rough picture.`;
}

/** What the wading marks mean, with their areas. */
export function WadingKey({ reading }: { reading: Pick<ReachReading, "wading"> }) {
  const { safe, caution, stayOut } = reading.wading;
  const system = useSettings((settings) => settings.system);
  return (
    <div className="mb-2 border-l-4 border-double border-clay pl-3 text-sm">
      <p>
        Clear: easy wading, {showText(safe, "area", system)}. Dotted: take care, {showText(caution, "area", system)},
        closer dots stronger. Hatched: stay out, {showText(stayOut, "area", system)}.
      </p>
      <p className="text-soft">
        By depth × speed at this flow, over an even bed. Take a staff, a belt and a way out. Never wade alone in cold or
        high water. Get out at once if it rises.
      </p>
    </div>
  );
}
