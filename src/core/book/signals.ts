import { type Surroundings, classing } from "./classes";
import { type RateKind, type RateScale } from "./rate-terms";
import type { Effort } from "./effort";
import { type Band, isIn } from "./bands";
import { type Bout, DISPERSIONS, evidenceOf } from "./overdispersion";

/**
 * What the log supports: is the rate another in some class of a property? Two fish are not a pattern, and of twenty
 * properties one will look like one: the number of false ones among those told is held down.
 */

/** Of what is told as supported, at most this share is chance, on average (Benjamini & Hochberg 1995). */
export const FALSE_SHARE = 0.1;

/** Shuffles that a property is held against. */
const SHUFFLES = 999;
/**
 * A class takes part with so many hours in so many sessions; two classes make a question. Common practice, no source.
 */
const LEAST_HOURS = 3;
const LEAST_SESSIONS = 3;
/** Fish without which there is nothing to share out. */
const LEAST_EVENTS = 5;

export type Verdict = "supported" | "no-sign" | "too-few";

export interface Signal {
  kind: RateKind;
  verdict: Verdict;
  /** Chance that as much comes of shuffled sessions; null where there was nothing to ask. */
  p: number | null;
  /** Rod-hours that lie in classes which take part. */
  hours: number;
  /**
   * Rod-hours in all by which a doubling from one half of them to the other would be told four times in five; null
   * where
   * nothing was caught.
   */
  wanted: number | null;
  /** Class with the most fish an hour, and how many times the rate of the others; for what is supported. */
  best: (Band & { times: number }) | null;
}

interface Unit extends Bout {
  band: number;
}

/** Spans of a figure that are held against each other at most: more of them drown a peak in their own noise. */
const MOST_SPANS = 4;

/** Neighbouring spans joined, those with the fewest hours first, until few are left. */
function joined(bands: readonly Band[], hoursIn: (band: Band) => number): Band[] {
  const spans = bands.filter((band) => hoursIn(band) > 0);
  while (spans.length > MOST_SPANS) {
    const hours = spans.map(hoursIn);
    const k = spans.slice(1).reduce((best, _, n) => (pair(hours, n) < pair(hours, best) ? n : best), 0);
    const [low, high] = [spans[k]!, spans[k + 1]!];
    spans.splice(k, 2, {
      key: `${low.key.split("-")[0]}-${high.key.split("-").at(-1)}`,
      low: low.low,
      high: high.high,
    });
  }
  return spans;
}

const pair = (hours: readonly number[], k: number): number => hours[k]! + hours[k + 1]!;

/** What was fished and caught in each class of each session. */
function unitsOf(kind: RateKind, efforts: readonly Effort[], scale: RateScale, around: Surroundings) {
  const { efforts: pieces, bands: all, named, measure } = classing(kind, efforts, scale, around);
  const hoursIn = (band: Band) =>
    pieces.reduce((total, piece) => total + (isIn(measure(piece), band) ? piece.hours : 0), 0);
  const bands = named ? all : joined(all, hoursIn);
  const units = new Map<string, Unit>();
  for (const piece of pieces) {
    const value = measure(piece);
    const band = bands.findIndex((one) => isIn(value, one));
    if (band < 0) continue;
    const key = `${band} ${piece.session}`;
    const unit = units.get(key) ?? { band, hours: 0, events: 0 };
    unit.hours += piece.hours;
    unit.events += piece.catches.length;
    units.set(key, unit);
  }
  const found = [...units.values()];
  const takesPart = (band: number) => {
    const own = found.filter((unit) => unit.band === band);
    return own.length >= LEAST_SESSIONS && sum(own, "hours") >= LEAST_HOURS;
  };
  const parts = new Set([...bands.keys()].filter(takesPart));
  return { units: found.filter((unit) => parts.has(unit.band)), parts, bands, named };
}

const sum = (bouts: readonly Bout[], what: keyof Bout): number => bouts.reduce((total, bout) => total + bout[what], 0);

/**
 * How far the counts of the classes lie from one common rate, each by its own spread: Pearson's statistic with the
 * variance of the negative binomial.
 */
function pearsonStatistic(units: readonly Unit[], bands: ArrayLike<number>, rate: number, dispersion: number): number {
  const [counted, mean, spread] = [new Map<number, number>(), new Map<number, number>(), new Map<number, number>()];
  const into = (map: Map<number, number>, band: number, value: number) => map.set(band, (map.get(band) ?? 0) + value);
  units.forEach(({ hours, events }, k) => {
    into(counted, bands[k]!, events);
    into(mean, bands[k]!, rate * hours);
    into(spread, bands[k]!, rate * hours + dispersion * (rate * hours) ** 2);
  });
  return [...counted].reduce((total, [band, count]) => total + (count - mean.get(band)!) ** 2 / spread.get(band)!, 0);
}

/** The likeliest dispersion of sessions that have one rate. */
function dispersionOf(bouts: readonly Bout[]): number {
  const evidence = evidenceOf(bouts);
  return DISPERSIONS.value[evidence.indexOf(Math.max(...evidence))]!;
}

/** Share of shuffles that lie at least as far apart as what was seen: sessions keep their hours and fish. */
function pValue(units: readonly Unit[], random: () => number, shuffles: number): number {
  const rate = sum(units, "events") / sum(units, "hours");
  const dispersion = dispersionOf(units);
  const bands = units.map((unit) => unit.band);
  const seen = pearsonStatistic(units, bands, rate, dispersion);
  let asFar = 0;
  for (let n = 0; n < shuffles; n++) {
    for (let k = bands.length - 1; k > 0; k--) {
      const other = Math.floor(random() * (k + 1));
      [bands[k], bands[other]] = [bands[other]!, bands[k]!];
    }
    if (pearsonStatistic(units, bands, rate, dispersion) >= seen * (1 - 1e-9)) asFar++;
  }
  return (1 + asFar) / (1 + shuffles);
}

/** One chance in twenty of a false call, four in five of a true one: normal quantiles 1.645 and 0.842. */
const POWER = ((1.645 + 0.842) / Math.LN2) ** 2;

/**
 * Hours in all that tell a doubling between two halves: the logarithm of a rate from events y in n sessions has the
 * variance 1/y + dispersion/n.
 */
function hoursWanted(units: readonly Bout[]): number | null {
  const [events, hours] = [sum(units, "events"), sum(units, "hours")];
  if (events === 0) return null;
  const outing = hours / units.length;
  return 4 * POWER * (hours / events + dispersionOf(units) * outing);
}

/**
 * Which properties the log supports.
 * @param random uniform on 0..1, seeded by who asks
 */
export function signalsOf(
  kinds: readonly RateKind[],
  efforts: readonly Effort[],
  scale: RateScale,
  around: Surroundings,
  random: () => number,
  shuffles = SHUFFLES,
): Signal[] {
  const asked = kinds.map((kind) => {
    const { units, parts, bands, named } = unitsOf(kind, efforts, scale, around);
    const enough = parts.size >= 2 && sum(units, "events") >= LEAST_EVENTS;
    return { kind, units, parts, bands, named, p: enough ? pValue(units, random, shuffles) : null };
  });
  const limit = fdrThreshold(asked.flatMap(({ p }) => p ?? []));
  return asked.map(({ kind, units, parts, bands, named, p }): Signal => {
    const wanted = hoursWanted(units);
    const hours = sum(units, "hours");
    const supported = p !== null && p <= limit;
    const verdict = supported ? "supported" : p !== null && wanted !== null && hours >= wanted ? "no-sign" : "too-few";
    return { kind, verdict, p, hours, wanted, best: supported ? bestOf(units, parts, bands, named) : null };
  });
}

/** The largest chance that still counts (Benjamini & Hochberg 1995: the step-up procedure); -1 where none does. */
export function fdrThreshold(chances: readonly number[], share = FALSE_SHARE): number {
  const sorted = [...chances].sort((a, b) => a - b);
  const last = sorted.findLastIndex((p, k) => p <= (share * (k + 1)) / sorted.length);
  return last < 0 ? -1 : sorted[last]!;
}

function bestOf(
  units: readonly Unit[],
  parts: ReadonlySet<number>,
  bands: readonly Band[],
  named: boolean,
): Band & { times: number } {
  const rate = (own: readonly Unit[]) => (sum(own, "events") + 0.5) / sum(own, "hours");
  const [band] = [...parts].sort(
    (a, b) => rate(units.filter((unit) => unit.band === b)) - rate(units.filter((unit) => unit.band === a)),
  );
  const [own, others] = [units.filter((unit) => unit.band === band), units.filter((unit) => unit.band !== band)];
  const { key, low, high } = bands[band!]!;
  return { key, ...(named ? { low: null, high: null } : { low, high }), times: rate(own) / rate(others) };
}
