import gammaQuantile from "@stdlib/stats-base-dists-gamma-quantile";
import type { Effort } from "./effort";

export interface RateClass {
  /** Name of the class: "rising", "green", the limits as "4-8", or "unknown". */
  key: string;
  /** Limits of the class, SI; null where open. */
  low: number | null;
  high: number | null;
  hours: number;
  events: number;
  /** Posterior mean, per rod-hour; null where nobody fished. */
  rate: number | null;
  /** 80 % interval; null where nobody fished. */
  interval: [number, number] | null;
}

export interface Rates {
  classes: RateClass[];
  total: { hours: number; events: number };
}

/** Hours of fishing that the prior is worth: weak, so that two outings outweigh it. Common practice, no source. */
export const PRIOR_HOURS = 2;
const LEVEL = 0.8;

/**
 * Gamma-Poisson: with `events` in `hours` and a gamma prior worth PRIOR_HOURS at `priorRate`, the rate's posterior is
 * Gamma(priorRate * PRIOR_HOURS + events, PRIOR_HOURS + hours) (Gelman et al. 2013, Bayesian Data Analysis, section
 * 2.6).
 */
export function posterior(
  events: number,
  hours: number,
  priorRate: number,
  priorHours = PRIOR_HOURS,
): { rate: number; interval: [number, number] } {
  const shape = priorRate * priorHours + events;
  const scale = 1 / (priorHours + hours);
  if (shape <= 0) return { rate: 0, interval: [0, 0] };
  return {
    rate: shape * scale,
    interval: [gammaQuantile((1 - LEVEL) / 2, shape, 1 / scale), gammaQuantile((1 + LEVEL) / 2, shape, 1 / scale)],
  };
}

/** Exact Poisson limits of a count (Garwood 1936, Biometrika 28): the check that the intervals are held against. */
export function garwood(events: number, level: number): [number, number] {
  const tail = (1 - level) / 2;
  return [events === 0 ? 0 : gammaQuantile(tail, events, 1), gammaQuantile(1 - tail, events + 1, 1)];
}

export interface Band {
  key: string;
  low: number | null;
  high: number | null;
}

/**
 * Rates by bands of one measure of the river. Efforts whose measure is unknown go into a class of their own, so that
 * hours always add up.
 */
export function ratesBy(
  efforts: readonly Effort[],
  bands: readonly Band[],
  measure: (effort: Effort) => number | null,
): Rates {
  const total = {
    hours: sum(efforts, (effort) => effort.hours),
    events: sum(efforts, (effort) => effort.catches.length),
  };
  const priorRate = total.hours > 0 ? (total.events + 0.5) / (total.hours + 1) : 0;
  const inBand = (value: number | null, band: Band) =>
    value !== null && (band.low === null || value >= band.low) && (band.high === null || value < band.high);
  const classes = bands.map((band): RateClass =>
    rateClass(
      band,
      efforts.filter((effort) => inBand(measure(effort), band)),
      priorRate,
    ),
  );
  const unknown = efforts.filter((effort) => !bands.some((band) => inBand(measure(effort), band)));
  if (unknown.length) classes.push(rateClass({ key: "unknown", low: null, high: null }, unknown, priorRate));
  return { classes, total };
}

/** Rates by a named class of the river or the fish. */
export function ratesByLabel(
  efforts: readonly Effort[],
  labels: readonly string[],
  labelOf: (effort: Effort) => string | null,
): Rates {
  const bands = labels.map((key, index): Band => ({ key, low: index, high: index + 1 }));
  const rates = ratesBy(efforts, bands, (effort) => {
    const label = labelOf(effort);
    return label === null ? null : labels.indexOf(label);
  });
  return { ...rates, classes: rates.classes.map((one) => ({ ...one, low: null, high: null })) };
}

function rateClass(band: Band, efforts: readonly Effort[], priorRate: number): RateClass {
  const hours = sum(efforts, (effort) => effort.hours);
  const events = sum(efforts, (effort) => effort.catches.length);
  if (hours <= 0) return { ...band, hours, events, rate: null, interval: null };
  return { ...band, hours, events, ...posterior(events, hours, priorRate) };
}

const sum = <T>(items: readonly T[], of: (item: T) => number): number =>
  items.reduce((total, item) => total + of(item), 0);

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

const trim = (value: number): string => String(Number(value.toPrecision(3)));

/** Bands from one edge to the next, in order. */
export const bandsBetween = (edges: readonly number[]): Band[] =>
  edges.slice(1).map((high, k) => ({ key: `${trim(edges[k]!)}-${trim(high)}`, low: edges[k]!, high }));
