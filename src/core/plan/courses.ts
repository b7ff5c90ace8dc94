import type { Forecast } from "../gauge/forecast";
import type { Path } from "./hours";

/** A course that the river may take, and how much it counts in what is expected. */
export interface RiverCourse {
  weight: number;
  /** m3/s at each step of the forecast. */
  flows: ArrayLike<number>;
  /** How far one sees on it. */
  seen: Path;
}

/**
 * Weights of the 10, 50 and 90 % lines where a forecast has no paths: extended Swanson-Megill (Keefer & Bodily 1983,
 * Manage. Sci. 29; from memory).
 */
const SWANSON: readonly (readonly [Path, number])[] = [
  ["low", 0.3],
  ["median", 0.4],
  ["high", 0.3],
];
/** Fewer paths than this do not stand for what may come. Own choice. */
const LEAST_PATHS = 12;

/**
 * What an hour is expected to be worth is the mean over the paths that the river could really take: the line that is
 * high at every hour rises faster than nearly any of them. All of them: one in six that rises early or late would move
 * the mean by a fifth.
 */
export function coursesOf({ method, from, step, points, paths }: Forecast, to: number): RiverCourse[] {
  const count = paths.length;
  if (method === "recession" || count < LEAST_PATHS)
    return SWANSON.map(([path, weight]) => ({ weight, flows: points.map((point) => point[path]), seen: path }));
  const steps = Math.max(1, Math.min(points.length, Math.ceil((to - from) / step)));
  const size = (path: Float64Array) => path.subarray(0, steps).reduce((sum, q) => sum + q, 0);
  const ordered = paths.map((flows) => ({ flows, size: size(flows) })).sort((a, b) => a.size - b.size);
  return ordered.map(({ flows }, k): RiverCourse => {
    const share = (k + 0.5) / count;
    // A higher river is a dirtier one.
    const seen = share < SWANSON[0]![1] ? "low" : share > 1 - SWANSON[2]![1] ? "high" : "median";
    return { weight: 1 / count, flows, seen };
  });
}
