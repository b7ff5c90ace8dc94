import { quantileSorted, quickselect, standardDeviation } from "simple-statistics";
import { bendAt, recededFlow, recessionLaw } from "./recession-law";
import { boxed, daysToFall, type FlowPoint } from "./recession";
import { DAY, HOUR, lastReading, readingAt, type Series, knownBy } from "./series";

/**
 * The next five days of flow, from what this river did from states like the present one: the nearest neighbours of
 * Karlsson & Yakowitz 1987 (Water Resour. Res. 23, 1300) in level, present rate and yesterday's rate. Each neighbour
 * lends its whole path of ln Q ratios, so that the band and the time of passing under a level agree with each other.
 * Rain to come is in it only as the past had it.
 */
export const STEP = 6 * HOUR;
export const HORIZON = 5 * DAY;
const STEPS = HORIZON / STEP;
/**
 * Neighbours taken, and fewest that make a forecast. Common practice, no source (about the root of the record's
 * length).
 */
const NEIGHBOURS = 60;
const LEAST_NEIGHBOURS = 40;
/**
 * Fewest known states, half a year of them: a shorter record has not seen enough of a river's ways. Common practice, no
 * source.
 */
const LEAST_STATES = 2 * 365;
/** Neighbours of one event are not independent: at most two within one day of each other. */
const APART = DAY;
const TOGETHER = 2;
/** Near base flow: with fewer of the neighbours than this share below it. Common practice, no source. */
const LOWEST = 0.1;
/** The nearest that are looked through for it. */
const SHORT_LIST = 8 * NEIGHBOURS;
/** A band is 10 to 90 %. */
export const BAND = [0.1, 0.5, 0.9] as const;

/** ln Q every six hours of a record, from the last true reading of the six hours before: NaN where there is none. */
export interface Steps {
  start: number;
  lnQ: Float64Array;
}

export function stepsOf(discharge: Series): Steps {
  const first = discharge.times[0];
  if (first === undefined) return { start: 0, lnQ: new Float64Array(0) };
  const start = Math.ceil(first / STEP) * STEP;
  const count = Math.max(0, Math.floor((discharge.times.at(-1)! - start) / STEP) + 1);
  const lnQ = new Float64Array(count);
  for (let k = 0; k < count; k++) lnQ[k] = Math.log(positive(readingAt(discharge, start + k * STEP, STEP / 2)));
  return { start, lnQ };
}

const positive = (q: number | null): number => (q !== null && q > 0 ? q : NaN);

/** State of the river: ln Q, its change over the last 6 h, and over the day. */
type State = readonly [number, number, number];
/** Weight of each in the distance, once scaled by its spread over the record. Common practice, no source. */
const WEIGHTS: State = [1, 1.5, 1];

/** The state at a step; a figure is NaN where a reading it needs is missing. */
export const stateAt = ({ lnQ }: Steps, k: number): State => [lnQ[k]!, lnQ[k]! - lnQ[k - 1]!, lnQ[k]! - lnQ[k - 4]!];

/** The library of past states whose whole outcome is known. */
export interface Analogues {
  steps: Steps;
  indices: number[];
  /** Their states, three figures each, scaled by `scale`. */
  states: Float64Array;
  scale: State;
  /** Exponent of the river's falls (recession-law.ts): from a lower flow than a neighbour's it falls more slowly. */
  b: number;
}

/**
 * Builds the library from the states of a record whose outcome is in it. Scaled by the spread of those known by
 * `until`, so that a trial does not look ahead.
 */
export function analoguesOf(steps: Steps, until = Infinity): Analogues {
  const indices: number[] = [];
  const states: State[] = [];
  for (let k = 4; k + STEPS < steps.lnQ.length; k++) {
    const state = stateAt(steps, k);
    if (state.some(Number.isNaN)) continue;
    let whole = true;
    for (let h = 1; h <= STEPS && whole; h++) whole = !Number.isNaN(steps.lnQ[k + h]!);
    if (!whole) continue;
    indices.push(k);
    states.push(state);
  }
  const known = states.filter((_, n) => outcomeOf(steps, indices[n]!) <= until);
  const scale = [0, 1, 2].map(
    (f) => spreadOf(known.map((state) => state[f]!)) / Math.sqrt(WEIGHTS[f]!),
  ) as unknown as State;
  return {
    steps,
    indices,
    states: Float64Array.from(states.flatMap((state) => state.map((value, f) => value / scale[f]!))),
    scale,
    b: recessionLaw(pointsOf(steps, until))?.b ?? 1,
  };
}

/** The true steps read by an instant. */
function pointsOf({ start, lnQ }: Steps, until: number): FlowPoint[] {
  return Array.from(lnQ, (value, k) => ({ time: start + k * STEP, lnQ: value })).filter(
    (point) => point.time <= until && !Number.isNaN(point.lnQ),
  );
}

/** When the last step of a state's path was read. */
const outcomeOf = (steps: Steps, k: number): number => steps.start + (k + STEPS) * STEP;

const spreadOf = (values: readonly number[]): number => (values.length > 1 && standardDeviation(values)) || 1;

/**
 * Paths of ln(Q(t+h)/Q(t)), h = 6, 12 ... 120 h, of the neighbours of a state; empty where the record is too short to
 * tell. `before`: only outcomes known by then.
 */
export function nearestNeighbours(library: Analogues, state: State, before = Infinity): Float64Array[] {
  const { steps, indices, states, scale } = library;
  const [x, y, z] = state.map((value, f) => value / scale[f]!) as unknown as State;
  let known = indices.length;
  while (known > 0 && outcomeOf(steps, indices[known - 1]!) > before) known--;
  if (known < LEAST_STATES) return [];
  const distances = new Float64Array(known);
  for (let n = 0; n < known; n++)
    distances[n] = (states[3 * n]! - x) ** 2 + (states[3 * n + 1]! - y) ** 2 + (states[3 * n + 2]! - z) ** 2;
  const nearest = within(distances, SHORT_LIST);
  const taken: number[] = [];
  for (const n of nearest) {
    const k = indices[n]!;
    if (taken.length >= NEIGHBOURS) break;
    if (taken.filter((other) => Math.abs(other - k) * STEP < APART).length < TOGETHER) taken.push(k);
  }
  if (taken.length < LEAST_NEIGHBOURS) return [];
  // Near base flow hardly a neighbour was lower: what they did from higher flows is bent to this one.
  const lower = taken.filter((k) => steps.lnQ[k]! < state[0]).length;
  const b = lower < LOWEST * taken.length ? library.b : 1;
  return taken.map((k) => bent(steps, k, state[0], b));
}

/** The path of a neighbour as it runs from a state: its falls bend as the river's do at that flow. */
function bent({ lnQ }: Steps, k: number, from: number, b: number): Float64Array {
  let change = 0;
  return Float64Array.from({ length: STEPS }, (_, h) => {
    const step = lnQ[k + h + 1]! - lnQ[k + h]!;
    change += step < 0 && b !== 1 ? step * bendAt(Math.exp(from + change), Math.exp(lnQ[k + h]!), b) : step;
    return change;
  });
}

/** Indices of the `count` smallest of more than so many, smallest first. */
function within(distances: Float64Array, count: number): number[] {
  const all = Array.from(distances.keys());
  const sample = Array.from(distances);
  quickselect(sample, count);
  return all.filter((n) => distances[n]! <= sample[count]!).sort((a, b) => distances[a]! - distances[b]!);
}

export interface ForecastPoint {
  time: number;
  low: number;
  median: number;
  high: number;
}

export interface Forecast {
  /** Instant and discharge, m3/s, it starts from. */
  from: number;
  discharge: number;
  /**
   * "neighbours": what the river did from such states, rain and all. "recession": the fall alone, if no rain comes; for
   * short records.
   */
  method: "neighbours" | "recession";
  /** Every six hours, 10, 50 and 90 %, m3/s. */
  points: ForecastPoint[];
  /** The paths behind it, m3/s, one array a neighbour; the recession gives its three. */
  paths: Float64Array[];
}

/**
 * Forecast from the last reading at or before `at`. Null without a reading, or where the record holds neither
 * neighbours nor falls.
 */
export function forecastFlow(record: Series, at: number): Forecast | null {
  // What came after is not known then, neither to the neighbours nor to the falls.
  const discharge = knownBy(record, at);
  // From the reading's own time: behind it the gauge may have sent hours of codes.
  const last = lastReading(discharge, at);
  if (!last || !(last.value > 0)) return null;
  const { time: from, value: now } = last;
  const [before, yesterday] = [
    positive(readingAt(discharge, from - STEP, STEP / 2)),
    positive(readingAt(discharge, from - DAY, STEP / 2)),
  ];
  const state: State = [Math.log(now), Math.log(now / before), Math.log(now / yesterday)];
  const ratios = state.some(Number.isNaN) ? [] : nearestNeighbours(analoguesOf(stepsOf(discharge)), state);
  if (ratios.length > 0) return forecastOf("neighbours", from, now, ratios);
  const law = recessionLaw(boxed(discharge));
  if (!law) return null;
  return forecastOf(
    "recession",
    from,
    now,
    law.a
      .toReversed()
      .map((a) =>
        Float64Array.from({ length: STEPS }, (_, h) =>
          Math.log(recededFlow(now, ((h + 1) * STEP) / DAY, a, law.b) / now),
        ),
      ),
  );
}

function forecastOf(
  method: Forecast["method"],
  from: number,
  discharge: number,
  ratios: readonly Float64Array[],
): Forecast {
  const paths = ratios.map((ratio) => ratio.map((value) => discharge * Math.exp(value)));
  // The recession's three paths are its quantiles already; the neighbours' are a sample.
  const levels = (h: number) => {
    const sorted = paths.map((path) => path[h]!).sort((a, b) => a - b);
    return method === "recession" ? sorted : BAND.map((q) => quantileSorted(sorted, q));
  };
  const points = Array.from({ length: STEPS }, (_, h): ForecastPoint => {
    const [low, median, high] = levels(h) as [number, number, number];
    return { time: from + (h + 1) * STEP, low, median, high };
  });
  return { from, discharge, method, points, paths };
}

export type ForecastLevel = "low" | "median" | "high";

/** A forecast's points with where it starts from. */
export const withStart = ({ from, discharge, points }: Forecast): ForecastPoint[] => [
  { time: from, low: discharge, median: discharge, high: discharge },
  ...points,
];

/**
 * A level of a forecast at an instant, straight between its points; before them as at the first, null past their end.
 */
export function levelAt(points: readonly ForecastPoint[], at: number, level: ForecastLevel): number | null {
  const after = points.findIndex((point) => point.time >= at);
  const next = points[after];
  if (!next) return null;
  const before = points[after - 1];
  if (!before) return next[level];
  const share = (at - before.time) / (next.time - before.time);
  return before[level] + share * (next[level] - before[level]);
}

export interface Passing {
  /** Instants, ms; null: later than the five days. */
  early: number | null;
  median: number | null;
  late: number | null;
  /** Share of the paths that come to the level within the five days, 0..1. */
  share: number;
}

/** When the river is at or under a discharge, m3/s: first passage over the paths, 10, 50 and 90 %. */
export function timeUnder(forecast: Forecast, level: number): Passing {
  const times = forecast.paths
    .map((path) => {
      let [time, q] = [forecast.from, forecast.discharge];
      if (q <= level) return time;
      for (let h = 0; h < path.length; h++) {
        const next = path[h]!;
        // Exponential fall between two steps.
        if (next <= level) return time + STEP * (daysToFall(q, level, 1) / daysToFall(q, next, 1));
        [time, q] = [time + STEP, next];
      }
      return Infinity;
    })
    .sort((a, b) => a - b);
  const at = (q: number) => {
    const time =
      forecast.method === "recession"
        ? times[Math.round(q * 2)]!
        : times[Math.min(times.length - 1, Math.floor(q * times.length))]!;
    return Number.isFinite(time) ? time : null;
  };
  return {
    early: at(forecast.method === "recession" ? 0 : BAND[0]),
    median: at(BAND[1]),
    late: at(forecast.method === "recession" ? 1 : BAND[2]),
    share: times.filter(Number.isFinite).length / times.length,
  };
}
