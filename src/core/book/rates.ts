import gammaQuantile from "@stdlib/stats-base-dists-gamma-quantile";
import { type Band, bandsBetween, isIn } from "./bands";
import type { Effort } from "./effort";
import {
  type Bout,
  chanceAbove,
  dispersionWeights,
  evidenceOf,
  intervalOf,
  JEFFREYS,
  NO_EVIDENCE,
  posteriorOf,
  type Prior,
  quantileOf,
} from "./overdispersion";
import { LEVEL, PRIOR_HOURS } from "./rate-terms";

export interface RateClass {
  /** Name of the class: "rising", "green", the limits as "4-8", or "unknown". */
  key: string;
  /** Limits of the class, SI; null where open. */
  low: number | null;
  high: number | null;
  hours: number;
  events: number;
  /** Posterior median, per rod-hour; null where nobody fished. What was counted is events over hours. */
  rate: number | null;
  /** 80 % interval; null where nobody fished. */
  interval: [number, number] | null;
}

export interface Rates {
  classes: RateClass[];
  total: { hours: number; events: number };
}

/** Exact Poisson limits of a count (Garwood 1936, Biometrika 28): the check that the intervals are held against. */
export function garwood(events: number, level: number): [number, number] {
  const tail = (1 - level) / 2;
  return [events === 0 ? 0 : gammaQuantile(tail, events, 1), gammaQuantile(1 - tail, events + 1, 1)];
}

/** What belongs together of a session: its hours and fish in one class. */
function boutsOf(efforts: readonly Effort[]): Bout[] {
  const bouts = new Map<string, Bout>();
  for (const { session, hours, catches } of efforts) {
    const bout = bouts.get(session) ?? { hours: 0, events: 0 };
    bout.hours += hours;
    bout.events += catches.length;
    bouts.set(session, bout);
  }
  return [...bouts.values()];
}

/**
 * Prior of a class: the rate of all the other fishing, worth PRIOR_HOURS. The class's own counts are not in it, so
 * that nothing is believed twice; where there is nothing else it is the log's own rate, so that it is proper.
 */
function priorOf(others: readonly Bout[], own: readonly Bout[]): Prior {
  const elsewhere = totalOf(others);
  const { hours, events } = elsewhere.hours > 0 ? elsewhere : totalOf(own);
  return { shape: ((events + 0.5) / (hours + 1)) * PRIOR_HOURS, hours: PRIOR_HOURS };
}

const totalOf = (bouts: readonly Bout[]): Bout =>
  bouts.reduce((sum, { hours, events }) => ({ hours: sum.hours + hours, events: sum.events + events }), {
    hours: 0,
    events: 0,
  });

/**
 * Rates of several groups of fishing side by side: each from its own sessions, with the others as prior, and with one
 * dispersion for all that each other group has a say in. Null where nobody fished.
 */
export function ratesOf(groups: readonly (readonly Bout[])[]): ({ rate: number; interval: [number, number] } | null)[] {
  const evidence = groups.map((group) => (totalOf(group).hours > 0 ? evidenceOf(group) : [...NO_EVIDENCE]));
  const all = add(evidence);
  return groups.map((group, k) => {
    if (totalOf(group).hours <= 0) return null;
    const others = groups.flatMap((one, n) => (n === k ? [] : one));
    const posterior = posteriorOf(
      group,
      priorOf(others, group),
      all.map((sum, d) => sum - evidence[k]![d]!),
    );
    // The middle: the mean hangs on a long tail that is hardly likely.
    return { rate: quantileOf(posterior, 0.5), interval: intervalOf(posterior, LEVEL) };
  });
}

const add = (rows: readonly (readonly number[])[]): number[] =>
  NO_EVIDENCE.map((_, d) => rows.reduce((sum, row) => sum + row[d]!, 0));

export interface Comparison {
  /** Of the two, hours, fish and what rate they bear. */
  one: Bout & { rate: number; interval: [number, number] };
  other: Bout & { rate: number; interval: [number, number] };
  /** Chance that the first has the higher rate. */
  chance: number;
}

/** Two ways of fishing held against each other, neither leaning on the other; null where one was not fished. */
export function compareRates(one: readonly Effort[], other: readonly Effort[]): Comparison | null {
  const [a, b] = [boutsOf(one), boutsOf(other)];
  if (totalOf(a).hours <= 0 || totalOf(b).hours <= 0) return null;
  const [mine, theirs] = [posteriorOf(a, JEFFREYS, evidenceOf(b)), posteriorOf(b, JEFFREYS, evidenceOf(a))];
  const told = (bouts: Bout[], others: Bout[]) => {
    const posterior = posteriorOf(bouts, priorOf([], bouts), evidenceOf(others));
    return { ...totalOf(bouts), rate: quantileOf(posterior, 0.5), interval: intervalOf(posterior, LEVEL) };
  };
  return { one: told(a, b), other: told(b, a), chance: chanceAbove(mine, theirs, dispersionWeights(mine)) };
}

/**
 * Rates by bands of one measure. Efforts whose measure is unknown go into a class of their own, so that hours always
 * add up.
 */
export function ratesBy(
  efforts: readonly Effort[],
  bands: readonly Band[],
  measure: (effort: Effort) => number | null,
): Rates {
  const groups = bands.map((): Effort[] => []);
  const unknown: Effort[] = [];
  for (const effort of efforts) {
    const value = measure(effort);
    (groups[bands.findIndex((band) => isIn(value, band))] ?? unknown).push(effort);
  }
  const named: readonly Band[] = unknown.length ? [...bands, { key: "unknown", low: null, high: null }] : bands;
  if (unknown.length) groups.push(unknown);
  const bouts = groups.map(boutsOf);
  const rates = ratesOf(bouts);
  return {
    classes: named.map((band, k): RateClass => ({
      ...band,
      ...totalOf(bouts[k]!),
      rate: rates[k]?.rate ?? null,
      interval: rates[k]?.interval ?? null,
    })),
    total: totalOf(bouts.flat()),
  };
}

/** Round steps of a flow scale that a person would draw: 1, 2, 3, 5, 7 a decade. */
const STEPS = [1, 2, 3, 5, 7];

/**
 * Bands of discharge from the flows that were fished, m3/s: whole steps of a 1-2-3-5-7 scale of some unit (so many m3/s
 * of it), seven at most.
 */
export function flowBands(efforts: readonly Effort[], unit = 1): Band[] {
  const flows = efforts
    .flatMap((effort) => (effort.river?.discharge ? [effort.river.discharge / unit] : []))
    .filter((q) => q > 0);
  if (flows.length === 0) return [];
  const edges: number[] = [];
  const [least, most] = [Math.min(...flows), Math.max(...flows)];
  for (let decade = Math.floor(Math.log10(least)) - 1; decade <= Math.ceil(Math.log10(most)); decade++)
    for (const step of STEPS) edges.push(step * 10 ** decade);
  const first = edges.findLastIndex((edge) => edge <= least);
  const last = edges.findIndex((edge) => edge > most);
  let used = edges.slice(Math.max(0, first), last + 1);
  while (used.length > 8) used = used.filter((_, k) => k % 2 === 0 || k === used.length - 1);
  return bandsBetween(used.map((edge) => edge * unit));
}
