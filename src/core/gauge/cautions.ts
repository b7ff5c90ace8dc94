import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { Light } from "./light";
import { type GaugeNow, usualExceedance } from "./summary";
import type { TideState } from "./tide-state";
import { MINUTE } from "./series";
import { isTooWarm } from "./warmth";
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
  | { kind: "heat"; temperature: number; fish: string }
  | { kind: "storm" }
  | { kind: "wind"; speed: number }
  | { kind: "frost"; temperature: number };
export type CautionKind = Caution["kind"];

/** Rising by this share an hour is rising fast. */
const RISING_FAST = sourced(0.05, "1/h", COMMON_PRACTICE);
/** So is so much an hour where only the stage is read. */
const STAGE_RISING_FAST = sourced(0.1, "m/h", COMMON_PRACTICE);
/** Water that is seen no more often than this at its season is very high; where it rises too that is said. */
export const VERY_HIGH = sourced(0.1, "share of the season", COMMON_PRACTICE);
/** Under this, water takes breath and hands in minutes. */
const COLD_WATER = sourced(15, "degC", COMMON_PRACTICE);
/** Off the water for so long after the last clap of thunder. */
const THUNDER_WAIT = sourced(30, "min", COMMON_PRACTICE);

/** What holds at any hour, now or in a plan. */
export interface HourInput {
  /** What a dam above does, in the angler's words; empty: none. */
  damNote: string;
  tide: TideState["flow"] | null;
  light: Light | null;
  /** degC; null where it is not known. */
  temperature: number | null;
  /** The fish that is fished for, and from which temperature on it is left alone, degC. */
  fish: { id: string; name?: string; restAbove: number };
  /** As forecast; null where nothing is said. */
  weather: WeatherHour | null;
}

export interface CautionInput extends Omit<HourInput, "temperature"> {
  now: GaugeNow | undefined;
  /** ms since thunder was heard last; null: none. A clock that ticks each minute may still be before it. */
  sinceThunder: number | null;
}

/** The cautions of now, what sends everybody off the water first. */
export function cautionsOf({ now, sinceThunder, ...hour }: CautionInput): Caution[] {
  const out: Caution[] = now ? risingOf(now, hour.tide) : [];
  const exceedance = now ? usualExceedance(now) : null;
  if (exceedance !== null && exceedance <= VERY_HIGH.value)
    out.push({ kind: "very-high", exceedance, rising: now?.trend === "rising" });
  const wait = THUNDER_WAIT.value * MINUTE;
  const since = sinceThunder === null ? wait : Math.max(sinceThunder, sinceThunder > -2 * MINUTE ? 0 : wait);
  if (since < wait) out.push({ kind: "thunder", minutesLeft: Math.ceil((wait - since) / MINUTE) });
  const all = [...out, ...hourCautions({ ...hour, temperature: now?.waterTemperature ?? null })];
  // Thunder that was heard is the forecast one.
  return since < wait ? all.filter(({ kind }) => kind !== "storm") : all;
}

/** The cautions of an hour, by what is known of it: the same now and in a plan. */
export function hourCautions({ damNote, tide, light, temperature, fish, weather }: HourInput): Caution[] {
  const note = damNote.trim();
  return [
    ...(note ? [{ kind: "dam", note } as const] : []),
    ...(tide === "flooding" ? [{ kind: "tide" } as const] : []),
    ...(light === "night" ? [{ kind: "dark" } as const] : []),
    ...(temperature !== null && isTooWarm(fish, temperature)
      ? [{ kind: "heat", temperature, fish: fish.name ?? fish.id } as const]
      : []),
    ...(temperature !== null && temperature < COLD_WATER.value ? [{ kind: "cold", temperature } as const] : []),
    ...weatherCautions(weather),
  ];
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

/** Is a discharge's rate of change, 1/h, that of a river to be left? The one rule, for readings and for a forecast. */
export const isFastRise = (ratePerHour: number): boolean => ratePerHour > RISING_FAST.value;

type Rising = Pick<GaugeNow, "trend" | "ratePerHour" | "stageRatePerHour">;

/**
 * Of a river that rises: does it rise fast, by its flow or else by its stage? A stage that rises with the tide is the
 * tide's, which has a caution of its own.
 */
function risingOf({ trend, ratePerHour, stageRatePerHour }: Rising, tide: TideState["flow"] | null = null): Caution[] {
  if (trend !== "rising") return [];
  if (ratePerHour !== null) return isFastRise(ratePerHour) ? [{ kind: "rising", ratePerHour }] : [];
  const metresPerHour = stageRatePerHour ?? 0;
  return metresPerHour > STAGE_RISING_FAST.value && tide !== "flooding" ? [{ kind: "rising", metresPerHour }] : [];
}

/** Does a river rise so fast that it is left, by its last readings? */
export const isRisingFast = (now: Rising): boolean => risingOf(now).length > 0;

/** What sends everybody off the water: then nobody is sent to it, by any station or plan. */
const SENDS_AWAY: ReadonlySet<CautionKind> = new Set(["rising", "thunder", "storm", "wind"]);
export const leaveTheWater = (cautions: readonly Caution[]): boolean =>
  cautions.some(({ kind }) => SENDS_AWAY.has(kind));

/** What stands for hours and is no news: a line that can be put away for the day. All else is grave or new. */
const STANDING: ReadonlySet<CautionKind> = new Set(["dam", "dark", "cold", "frost"]);
export const isStanding = ({ kind }: Pick<Caution, "kind">): boolean => STANDING.has(kind);
