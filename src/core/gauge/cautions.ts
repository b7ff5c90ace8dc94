import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { Light } from "./light";
import { type GaugeNow, usualExceedance } from "./summary";
import type { TideState } from "./tide-state";
import { WARMTH } from "./warmth";
import { BEAUFORT, NO_WEATHER, type WeatherHour } from "./weather";

/**
 * What should be said plainly before anybody wades. Usual caution; local rules and licensed practice stand above it.
 */
export type Caution =
  | { kind: "rising"; ratePerHour: number }
  | { kind: "rising"; metresPerHour: number }
  | { kind: "very-high"; exceedance: number; rising: boolean }
  | { kind: "thunder"; minutesLeft: number }
  | { kind: "dam"; note: string }
  | { kind: "tide" }
  | { kind: "dark" }
  | { kind: "cold"; temperature: number }
  | { kind: "heat"; temperature: number }
  | { kind: "storm" }
  | { kind: "wind"; speed: number }
  | { kind: "frost"; temperature: number };

/** Rising by this share an hour is rising fast. */
export const RISING_FAST = sourced(0.05, "1/h", COMMON_PRACTICE);
/** So is so much an hour where only the stage is read. */
export const STAGE_RISING_FAST = sourced(0.1, "m/h", COMMON_PRACTICE);
/** Water that is seen no more often than this at its season is very high; where it rises too that is said. */
export const VERY_HIGH = sourced(0.1, "share of the season", COMMON_PRACTICE);
/** Under this, water takes breath and hands in minutes. */
export const COLD_WATER = sourced(15, "degC", COMMON_PRACTICE);
/** Off the water for so long after the last clap of thunder. */
export const THUNDER_WAIT = sourced(30, "min", COMMON_PRACTICE);

export interface CautionInput {
  now: GaugeNow | undefined;
  /** What a dam above does, in the angler's words; empty: none. */
  damNote: string;
  tide: TideState | null;
  light: Light;
  /** ms since thunder was heard last; null: none. */
  sinceThunder: number | null;
  /** As forecast for now; null where nothing is said. */
  weather: WeatherHour | null;
}

/** The cautions of now, what sends everybody off the water first. */
export function cautionsOf({ now, damNote, tide, light, sinceThunder, weather }: CautionInput): Caution[] {
  const rising = now?.trend === "rising";
  const out: Caution[] = now && rising ? risingOf(now) : [];
  const exceedance = now ? usualExceedance(now) : null;
  if (exceedance !== null && exceedance <= VERY_HIGH.value) out.push({ kind: "very-high", exceedance, rising });
  const wait = THUNDER_WAIT.value * 60_000;
  if (sinceThunder !== null && sinceThunder >= 0 && sinceThunder < wait)
    out.push({ kind: "thunder", minutesLeft: Math.ceil((wait - sinceThunder) / 60_000) });
  if (damNote.trim()) out.push({ kind: "dam", note: damNote.trim() });
  if (tide?.flow === "flooding") out.push({ kind: "tide" });
  if (light === "night") out.push({ kind: "dark" });
  const temperature = now?.waterTemperature ?? null;
  if (temperature !== null && temperature >= WARMTH.value["trout-and-salmon"].stop)
    out.push({ kind: "heat", temperature });
  if (temperature !== null && temperature < COLD_WATER.value) out.push({ kind: "cold", temperature });
  return [...out, ...weatherCautions(weather)];
}

/** What is to be heeded of the air in an hour: forecast thunder, wind of white caps, also in gusts, and frost. */
export function weatherCautions(weather: WeatherHour | null): Caution[] {
  const { thunder, wind, gust, air } = weather ?? NO_WEATHER;
  const speed = Math.max(wind ?? 0, gust ?? 0);
  return [
    ...(thunder ? [{ kind: "storm" } as const] : []),
    ...(speed >= BEAUFORT.strong ? [{ kind: "wind", speed } as const] : []),
    ...(air !== null && air <= 0 ? [{ kind: "frost", temperature: air } as const] : []),
  ];
}

/** Of a river that rises: does it rise fast, by its flow or else by its stage? */
function risingOf({ ratePerHour, stageRatePerHour }: GaugeNow): Caution[] {
  if (ratePerHour !== null) return ratePerHour > RISING_FAST.value ? [{ kind: "rising", ratePerHour }] : [];
  const metresPerHour = stageRatePerHour ?? 0;
  return metresPerHour > STAGE_RISING_FAST.value ? [{ kind: "rising", metresPerHour }] : [];
}

/** Do the cautions tell everybody to leave the water? Then nobody is sent to it. */
export const leaveTheWater = (cautions: readonly Caution[]): boolean =>
  cautions.some(({ kind }) => kind === "rising" || kind === "thunder");
