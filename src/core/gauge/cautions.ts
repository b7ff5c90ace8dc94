import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { GaugeNow } from "./summary";
import type { TideState } from "./tide";
import { WARMTH } from "./warmth";

/**
 * What should be said plainly before anybody wades. Usual caution; local rules and licensed practice stand above it.
 */
export type Caution =
  | { kind: "rising"; ratePerHour: number }
  | { kind: "dam"; note: string }
  | { kind: "cold"; temperature: number }
  | { kind: "heat"; temperature: number }
  | { kind: "tide" };

/** Rising by this share an hour is rising fast. */
export const RISING_FAST = sourced(0.05, "1/h", COMMON_PRACTICE);
/** Under this, water takes breath and hands in minutes. */
export const COLD_WATER = sourced(15, "degC", COMMON_PRACTICE);

export function cautionsOf(
  now: GaugeNow | undefined,
  water: { damNote: string } | undefined,
  tide: TideState | null,
): Caution[] {
  const out: Caution[] = [];
  if (now?.trend === "rising" && now.ratePerHour !== null && now.ratePerHour > RISING_FAST.value)
    out.push({ kind: "rising", ratePerHour: now.ratePerHour });
  if (water?.damNote.trim()) out.push({ kind: "dam", note: water.damNote.trim() });
  if (tide?.flow === "flooding") out.push({ kind: "tide" });
  const temperature = now?.waterTemperature ?? null;
  if (temperature !== null && temperature >= WARMTH.value["trout-and-salmon"].stop)
    out.push({ kind: "heat", temperature });
  if (temperature !== null && temperature < COLD_WATER.value) out.push({ kind: "cold", temperature });
  return out;
}
