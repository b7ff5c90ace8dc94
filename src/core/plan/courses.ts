import type { Outlook } from "../gauge/outlook";
import type { Path } from "./hours";

/** A course that the river may take, and how much it counts in what is expected. */
export interface RiverCourse {
  weight: number;
  outlook: Outlook;
  /** The line of its flow, and that of how far one sees. */
  path: Path;
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
/** So many of its paths stand for all: each the middle one of a sixth of them, from low to high. Own choice. */
const STRATA = 6;

/**
 * What an hour is expected to be worth is the mean over paths that the river could really take (stratified sampling):
 * the line that is high at every hour rises faster than nearly any of them.
 */
export function coursesOf(outlook: Outlook, to: number): RiverCourse[] {
  const flow = outlook.flow!;
  if (flow.method === "recession" || flow.paths.length < 2 * STRATA)
    return SWANSON.map(([path, weight]) => ({ weight, outlook, path, seen: path }));
  const steps = Math.max(1, Math.min(flow.points.length, Math.ceil((to - flow.from) / flow.step)));
  const size = (path: Float64Array) => path.subarray(0, steps).reduce((sum, q) => sum + q, 0);
  const ordered = flow.paths.map((path) => ({ path, size: size(path) })).sort((a, b) => a.size - b.size);
  return Array.from({ length: STRATA }, (_, k): RiverCourse => {
    const share = (k + 0.5) / STRATA;
    const { path } = ordered[Math.floor(share * ordered.length)]!;
    const points = flow.points.map((point, h) => ({ ...point, median: path[h]! }));
    return {
      weight: 1 / STRATA,
      outlook: { ...outlook, flow: { ...flow, points } },
      path: "median",
      // A higher river is a dirtier one.
      seen: share < SWANSON[0]![1] ? "low" : share > 1 - SWANSON[2]![1] ? "high" : "median",
    };
  });
}
