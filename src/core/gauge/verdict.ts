import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { FishesWell } from "./band";
import { isFastRise, isRisingFast, VERY_HIGH } from "./cautions";
import { type ClarityClass, clarityClass } from "./clarity";
import { BAND_QUANTILES, dayOfYear, type SeasonTable } from "./exceedance";
import { type ForecastLimb, isPrime, limbOf } from "./limb";
import { type GaugeNow, usualExceedance } from "./summary";

/** Is the river right? One word for all that is read of it. */
export type Verdict = "prime" | "fishable" | "low-clear" | "high-dirty" | "leave";

/** The rule that decided. */
export type VerdictRule =
  | "rising-fast"
  | "far-over-limit"
  | "over-limit"
  | "very-high"
  | "muddy"
  | "falling-with-colour"
  | "low-and-clear"
  | "between";

/** Flows between which the angler fishes a water, m3/s; null: no bound that way. */
export interface FlowLimits {
  low: number | null;
  high: number | null;
}

export const NO_LIMITS: FlowLimits = { low: null, high: null };

/** What a verdict goes by; null where it is not known. */
export interface WaterState {
  discharge: number | null;
  /** How it stands in its season. */
  level: "very-high" | "low" | "usual" | null;
  limb: ForecastLimb | null;
  risingFast: boolean;
  clarity: ClarityClass | null;
}

/** Flows that so much of a season's record is above are low for the date. */
const LOW = sourced(0.75, "share of the season", COMMON_PRACTICE);
/** A river so many times over the angler's own limit is left. */
const FAR_OVER = sourced(2, "times the limit", COMMON_PRACTICE);

/** The widest range of the bands by flow that the angler has for spots of a water; open where none is. */
export function flowLimits(bands: readonly FishesWell[]): FlowLimits {
  const own = bands.filter(({ measure }) => measure === "discharge");
  const [lows, highs] = [own.map(({ low }) => low), own.map(({ high }) => high)];
  const known = (values: (number | null)[]) => values.length > 0 && values.every((value) => value !== null);
  return {
    low: known(lows) ? Math.min(...(lows as number[])) : null,
    high: known(highs) ? Math.max(...(highs as number[])) : null,
  };
}

/** The state of the river now. */
export function stateNow(now: GaugeNow): WaterState {
  const share = usualExceedance(now);
  const { discharge, trend, clarity } = now;
  const level = share === null ? null : share <= VERY_HIGH.value ? "very-high" : share >= LOW.value ? "low" : "usual";
  const limb = trend === "rising" || trend === "falling" || trend === "steady" ? trend : null;
  return { discharge, level, limb, risingFast: isRisingFast(now), clarity };
}

/** How a flow stands in its season by the season's own table. */
export function levelIn(season: SeasonTable | null, at: number, discharge: number): WaterState["level"] {
  const levels = season?.[dayOfYear(at)];
  if (!levels) return null;
  const of = (share: number) => levels[BAND_QUANTILES.findIndex((quantile) => quantile >= share - 1e-9)];
  const [high, low] = [of(1 - VERY_HIGH.value), of(1 - LOW.value)];
  if (high === undefined || low === undefined) return null;
  return discharge >= high ? "very-high" : discharge <= low ? "low" : "usual";
}

/** The state at an hour that is forecast. */
export const stateThen = (then: {
  at: number;
  discharge: number;
  /** d ln Q/dt, 1/h. */
  ratePerHour: number;
  visibleDepth: number | null;
  season: SeasonTable | null;
}): WaterState => ({
  discharge: then.discharge,
  level: levelIn(then.season, then.at, then.discharge),
  limb: limbOf(then),
  risingFast: isFastRise(then.ratePerHour),
  clarity: then.visibleDepth === null || Number.isNaN(then.visibleDepth) ? null : clarityClass(then.visibleDepth),
});

/**
 * The verdict and the rule behind it, the gravest first; the angler's own limits go before the season's. Null where
 * neither flow nor clarity is known. Common practice, no source: prime is a falling level with colour still in.
 */
export function verdictOf(
  { discharge, level, limb, risingFast, clarity }: WaterState,
  { low, high }: FlowLimits,
): { verdict: Verdict; rule: VerdictRule } | null {
  if (discharge === null && clarity === null) return null;
  const of = (verdict: Verdict, rule: VerdictRule) => ({ verdict, rule });
  if (risingFast) return of("leave", "rising-fast");
  if (discharge !== null && high !== null && discharge > FAR_OVER.value * high) return of("leave", "far-over-limit");
  if (discharge !== null && high !== null && discharge > high) return of("high-dirty", "over-limit");
  const isClear = clarity === "clear" || clarity === "gin-clear";
  // A limit of one's own says what is too high; without one the season does, unless it runs clear.
  if (high === null && level === "very-high" && !isClear) return of("high-dirty", "very-high");
  if (clarity === "muddy") return of("high-dirty", "muddy");
  if (isPrime(limb, clarity)) return of("prime", "falling-with-colour");
  const isLow = discharge !== null && low !== null ? discharge < low : level === "low";
  return isLow && isClear ? of("low-clear", "low-and-clear") : of("fishable", "between");
}
