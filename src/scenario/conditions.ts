import { type Light, lightAt } from "../core/gauge/light";
import type { GaugeNow } from "../core/gauge/summary";

/** What the river and the sky are like: everything that a reading hangs on besides the reach and the fish. SI. */
export interface Conditions {
  /** m3/s */
  discharge: number;
  /** m */
  visibleDepth: number;
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

/**
 * The conditions from a gauge's state, or as chosen where the angler looks at something else. By night a reach is read
 * by day unless the night is asked for: nobody plans for what is not seen.
 */
export function conditionsOf(
  now: GaugeNow | undefined,
  at: number | undefined,
  position: Position | undefined,
  chosen: { discharge: number | null; light: "auto" | Light },
): Conditions {
  const own = at !== undefined && position ? lightAt(at, position.latitude, position.longitude) : "day";
  return {
    discharge: chosen.discharge ?? now?.discharge ?? USUAL.discharge,
    visibleDepth: now?.visibleDepth ?? USUAL.visibleDepth,
    temperature: now?.waterTemperature ?? USUAL.temperature,
    light: chosen.light !== "auto" ? chosen.light : own === "night" ? "day" : own,
    at,
  };
}
