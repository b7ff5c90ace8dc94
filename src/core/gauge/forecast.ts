import { DAY } from "./series";
import { daysToFall } from "./recession";
import type { FlowWay } from "./forecast/way-names";

/** The next five days of flow, as they are told; how they are found: forecast/flow-forecast.ts. */
export const HORIZON = 5 * DAY;
/** A band is 10 to 90 %. */
export const BAND = [0.1, 0.5, 0.9] as const;

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
   * "combined": ways that held on this record, dressed with their own errors. "recession": the fall alone, if no rain
   * comes; for short records.
   */
  method: "combined" | "recession";
  /** The ways behind it and their shares a day ahead, greatest first; none for the recession. */
  ways: { way: FlowWay; share: number }[];
  /** Time between its points, ms. */
  step: number;
  /** At each step 10, 50 and 90 %, m3/s. */
  points: ForecastPoint[];
  /** The paths behind it, m3/s, step by step; the recession gives its three. */
  paths: Float64Array[];
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
  let [after, end] = [0, points.length];
  while (after < end) {
    const middle = (after + end) >>> 1;
    if (points[middle]!.time < at) after = middle + 1;
    else end = middle;
  }
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
  const { step } = forecast;
  const times = forecast.paths
    .map((path) => {
      let [time, q] = [forecast.from, forecast.discharge];
      if (q <= level) return time;
      for (let h = 0; h < path.length; h++) {
        const next = path[h]!;
        if (next <= level) return time + step * shareOfFall(q, next, level);
        [time, q] = [time + step, next];
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

/** How much of a step goes by until a falling flow is at a level: an exponential fall, or straight down to no flow. */
const shareOfFall = (from: number, to: number, level: number): number =>
  to > 0 && level > 0 ? daysToFall(from, level, 1) / daysToFall(from, to, 1) : (from - level) / (from - to);
