import { isIn } from "../book/bands";
import type { Species } from "../fish/species-schema";
import { bandState, type FishesWell } from "../gauge/band";
import { BAND_QUANTILES, dayOfYear } from "../gauge/exceedance";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { ConditionKind, FactorOf } from "./factor";
import { type HourRated, WATER_CONDITIONS, warmthRange } from "./factors";
import type { PlanHour } from "./hours";
import type { LieQuality, LogRate, PlanReach } from "./plan-reach";
import { baitFactor, windFactor } from "./weather-factors";

/** Rod-hours at such flows that count as much as not knowing: two outings. */
const LOG_HOURS = sourced(6, "h", COMMON_PRACTICE);
/** The log moves a place by no more than this either way; a band of one's own, and the lies of a flow, by these. */
const LOG_BOUNDS = sourced([0.4, 2.5] as const, "share", COMMON_PRACTICE);
const BANDS = sourced({ in: 1.15, out: 0.8 }, "share", COMMON_PRACTICE);
const LIES_LEAST = sourced(0.5, "share", COMMON_PRACTICE);
/** Small water follows the air: cooling sends to the larger, a warming spring to the smaller. */
const SIZE = sourced(
  { cooling: -0.6, warming: 0.6, better: 1.15, worse: 0.9, apart: 1.6 },
  "degC/day",
  COMMON_PRACTICE,
);

/** An hour on a reach: how good its best lies and those of all reaches are, and its size among them. */
export interface ReachHourRated extends HourRated {
  reach: PlanReach;
  best: number;
  size: readonly FactorOf<"size">[];
}

/** How each condition is worked out; one that is listed (factor.ts) and not worked out does not compile. */
export const CONDITIONS: { readonly [K in ConditionKind]: (at: ReachHourRated) => readonly FactorOf<K>[] } = {
  ...WATER_CONDITIONS,
  log: ({ reach, hour }) => logFactor(reach, hour.discharge),
  lies: ({ reach, hour, best }) => liesFactor(reach.lies, hour, best),
  band: ({ reach, hour }) => bandFactor(reach.bands, hour.discharge),
  // Of the reach and not of the hour: worked out once.
  size: ({ size }) => size,
  relief: ({ reach, hour, species }) => reliefFactor(reach, hour, species),
  wind: ({ reach, hour }) => windFactor(hour.weather, reach),
  bait: ({ reach, hour, species }) => baitFactor(hour.at, reach, species),
  known: ({ reach }) => (reach.known === null ? [] : [{ what: "known", is: "known", factor: KNOWN.value }]),
};

/** Those that no flow moves: the same on every course that the river may take. */
export const STEADY_CONDITIONS = [
  "warmth",
  "tide",
  "size",
  "relief",
  "wind",
  "bait",
  "known",
] as const satisfies readonly ConditionKind[];

function bandFactor(bands: readonly FishesWell[], discharge: number): FactorOf<"band">[] {
  const own = bands.filter((one) => one.measure === "discharge");
  if (own.length === 0) return [];
  const is = own.some((one) => bandState(one, discharge) === "in") ? "in" : "out";
  return [{ what: "band", is, factor: BANDS.value[is] }];
}

/** The class of the log that a flow is in. */
export const logAt = (log: readonly LogRate[], discharge: number): LogRate | null =>
  log.find((one) => isIn(discharge, one)) ?? null;

function logFactor({ log, usualRate }: PlanReach, discharge: number): FactorOf<"log">[] {
  const found = logAt(log, discharge);
  if (!found || !usualRate) return [];
  const [least, most] = LOG_BOUNDS.value;
  // What was hardly fished says little, either way.
  const trust = found.hours / (found.hours + LOG_HOURS.value);
  const factor = Math.min(most, Math.max(least, (found.rate / usualRate) ** trust));
  return [{ what: "log", is: factor >= 1 ? "more" : "less", factor }];
}

/** Between the waters that were read, by flow and by how far one sees; beyond them as at the nearest. */
function liesFactor(
  lies: readonly LieQuality[],
  { discharge, visibleDepth }: PlanHour,
  best: number,
): FactorOf<"lies">[] {
  // Of a dry bed, and one that the tide runs up, no lies are known.
  if (lies.length === 0 || best <= 0 || discharge <= 0) return [];
  const after = lies.findIndex((one) => one.discharge >= discharge);
  const [upper, lower] = [lies[after] ?? lies.at(-1)!, lies[Math.max(0, after < 0 ? lies.length - 1 : after - 1)]!];
  // Two readings of one flow, as the water clears, are told apart by clarity alone.
  const [first, last] = upper === lower && lies.length > 1 ? [lies[0]!, lies.at(-1)!] : [lower, upper];
  const quality =
    (first.score + shareAlong(first, last, { discharge, visibleDepth }) * (last.score - first.score)) / best;
  const least = LIES_LEAST.value;
  return [{ what: "lies", is: quality >= 0.75 ? "good" : "poor", factor: least + (1 - least) * quality }];
}

type Seen = Pick<LieQuality, "discharge" | "visibleDepth">;

/** How far a water lies on the way from one to another, 0..1, by the logarithms of flow and visible depth. */
function shareAlong(from: Seen, to: Seen, at: Seen): number {
  const logs = (one: Seen) => (one.visibleDepth ? Math.log(one.visibleDepth) : 0);
  const isSeen = Boolean(from.visibleDepth && to.visibleDepth && at.visibleDepth);
  const way = [Math.log(to.discharge / from.discharge), isSeen ? logs(to) - logs(from) : 0] as const;
  const gone = [Math.log(at.discharge / from.discharge), isSeen ? logs(at) - logs(from) : 0] as const;
  const length = way[0] ** 2 + way[1] ** 2;
  return length > 0 ? Math.min(1, Math.max(0, (way[0] * gone[0] + way[1] * gone[1]) / length)) : 0;
}

/** In water warmer than they like fish go where it is cooler; to learn the bite one goes where fish are known to be. */
const RELIEF = sourced(1.25, "share", COMMON_PRACTICE);
const KNOWN = sourced(1.3, "share", COMMON_PRACTICE);

function reliefFactor({ relief }: PlanReach, { temperature }: PlanHour, species: Species): FactorOf<"relief">[] {
  const [is] = relief;
  if (!is || temperature === null || temperature <= warmthRange(species).good[1]) return [];
  return [{ what: "relief", is, factor: RELIEF.value }];
}

/** Usual size of a water, m3/s: the median of its season. */
function usualFlow({ outlook }: PlanReach): number | null {
  const middle = BAND_QUANTILES.indexOf(0.5);
  return outlook?.season?.[dayOfYear(outlook.at)]?.[middle] ?? null;
}

export function sizeFactor(reach: PlanReach, all: readonly PlanReach[]): FactorOf<"size">[] {
  const drift = reach.outlook?.swing?.driftPerDay;
  const sizes = all.flatMap((one) => usualFlow(one) ?? []);
  const own = usualFlow(reach);
  const { cooling, warming, better, worse, apart } = SIZE.value;
  if (drift === undefined || own === null || Math.max(...sizes) < apart * Math.min(...sizes)) return [];
  if (drift > cooling && drift < warming) return [];
  const large = own ** 2 >= Math.max(...sizes) * Math.min(...sizes);
  const spell = drift <= cooling ? "cooling" : "warming";
  const suits = large === (spell === "cooling");
  return [{ what: "size", is: `${large ? "large" : "small"}-${spell}`, factor: suits ? better : worse }];
}
