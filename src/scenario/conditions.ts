import { type Light, lightAt } from "../core/gauge/light";
import type { GaugeNow } from "../core/gauge/summary";
import type { UsualClarity } from "../core/gauge/usual-clarity";

/** What the river and the sky are like: everything that a reading hangs on besides the reach and the fish. SI. */
export interface Conditions {
  /** m3/s */
  discharge: number;
  /** m */
  visibleDepth: number;
  /** Where that comes from: read now, what the record says of another flow, or taken for granted. */
  clarityFrom:
    | { kind: "now" }
    | { kind: "record"; usual: UsualClarity }
    | { kind: "today" }
    | { kind: "forecast" }
    | { kind: "usual" };
  /** degC */
  temperature: number;
  light: Light;
  /** ms since 1970 UTC; undefined where no hour is spoken of: no shadows, no turn of the year. */
  at: number | undefined;
}

/** What is taken where nothing is known, m, degC, m3/s. Common practice, no source. */
export const USUAL = { visibleDepth: 1, temperature: 12, discharge: 5 };

/** Where a water lies, degrees. */
export interface Position {
  latitude: number;
  longitude: number;
}

/** A flow within this ratio of the river's own is the river's own, typed or not. */
const OWN_FLOW = 1.01;

/** Is a chosen flow the one that the river has? */
const isOwnFlow = (chosen: number, own: number | null | undefined): boolean =>
  own != null && own > 0 && Math.abs(Math.log(chosen / own)) < Math.log(OWN_FLOW);

/** At the river's own flow what is read now; at another what the record says of it, or else today's, which is said. */
function clarityOf(
  now: GaugeNow | undefined,
  chosen: number | null,
  usual: UsualClarity | null,
): Pick<Conditions, "visibleDepth" | "clarityFrom"> {
  const isOwn = chosen === null || isOwnFlow(chosen, now?.discharge);
  // To a decimetre: a finer one would have the water read anew at each step of the slider.
  const rounded = usual && Math.max(0.1, Math.round(usual.visibleDepth * 10) / 10);
  if (!isOwn && rounded) return { visibleDepth: rounded, clarityFrom: { kind: "record", usual } };
  if (now?.visibleDepth == null) return { visibleDepth: USUAL.visibleDepth, clarityFrom: { kind: "usual" } };
  return { visibleDepth: now.visibleDepth, clarityFrom: { kind: isOwn ? "now" : "today" } };
}

/** A window of a plan, and what its forecast says of its middle; null where it does not. */
export interface PlannedConditions {
  /** ms */
  from: number;
  to: number;
  visibleDepth: number | null;
  temperature: number | null;
}

/** The conditions in the middle of a plan's window: its light; clarity and warmth as forecast, to 0.1 m and 1 K. */
export function plannedConditions(
  base: Conditions,
  { from, to, visibleDepth, temperature }: PlannedConditions,
  position: Position | undefined,
  light: "auto" | Light,
): Conditions {
  const at = (from + to) / 2;
  const then = position ? lightAt(at, position.latitude, position.longitude) : "day";
  return {
    ...base,
    at,
    light: light !== "auto" ? light : then === "night" ? "day" : then,
    ...(visibleDepth !== null && {
      visibleDepth: Math.max(0.1, Math.round(visibleDepth * 10) / 10),
      clarityFrom: { kind: "forecast" },
    }),
    ...(temperature !== null && { temperature: Math.round(temperature) }),
  };
}

/**
 * The conditions from a gauge's state, or as chosen where the angler looks at something else. By night a reach is read
 * by day unless the night is asked for: nobody plans for what is not seen.
 */
export function conditionsOf(
  now: GaugeNow | undefined,
  at: number | undefined,
  position: Position | undefined,
  chosen: { discharge: number | null; light: "auto" | Light },
  usual: UsualClarity | null = null,
): Conditions {
  const own = at !== undefined && position ? lightAt(at, position.latitude, position.longitude) : "day";
  return {
    discharge: chosen.discharge ?? now?.discharge ?? USUAL.discharge,
    ...clarityOf(now, chosen.discharge, usual),
    temperature: now?.waterTemperature ?? USUAL.temperature,
    light: chosen.light !== "auto" ? chosen.light : own === "night" ? "day" : own,
    at,
  };
}
