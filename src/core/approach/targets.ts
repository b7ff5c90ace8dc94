import { type Field, sample } from "../flow/grid";
import { type Landing, landingFor } from "./landing";
import { nearestLine } from "../water/polyline";
import type { Seam } from "../water/seams";
import { type MainCurrent, mainCurrent } from "../water/main-current";
import { streamline } from "../water/streamline";

/** One place to put the lure, m. */
export interface Target {
  x: number;
  y: number;
  name: "near" | "middle" | "far";
  /** The line it lies on: the current through the lie itself, or a seam that runs nearer to the angler. */
  line: "lie" | "seam";
  /** Casts to make to it before the next. */
  casts: number;
  /** Where the lure must land to be down when it gets there. */
  landing: Landing;
}

export interface TargetOptions {
  /** The lie, and how far over its bed the lure should come, m. */
  x: number;
  y: number;
  height: number;
  /** Where the angler stands, m. */
  from: readonly [number, number];
  /** Fall of the lure, m/s. */
  fall: number;
  /** Casts to each target. */
  casts: number;
  main?: MainCurrent;
}

/**
 * Spacing of targets, m: five to ten feet. Farthest cast, m. Other seams count when they run so much nearer than the
 * lie, m, and no nearer than that to the angler's feet, m. Common practice, no source.
 */
const SPACING = 2.2;
const RANGE = 14;
const NEARER = 3;
const AT_HAND = 3;

/**
 * Targets in the order in which they are fished: first a seam that runs between the angler and the lie, then the
 * main current through the lie, each near,
 * middle, far, so that no fish is cast over, and a hooked one does not run through the rest.
 */
export function targetsFor(field: Field, seams: readonly Seam[], options: TargetOptions): Target[] {
  const { x, y, from } = options;
  const lie = Math.hypot(x - from[0], y - from[1]);
  const main = options.main ?? mainCurrent(field);
  const up = streamline(main, x, y, SPACING, -1).at(-1)!;
  const down = streamline(main, x, y, SPACING, 1).at(-1)!;
  const own = byDistance([[x, y], up, down], from).map((point, n) =>
    target(field, point, n, "lie", { ...options, main }),
  );
  return [...nearerSeam(field, seams, lie, { ...options, main }), ...own];
}

const byDistance = (points: readonly (readonly [number, number])[], from: readonly [number, number]) =>
  [...points].sort((a, b) => Math.hypot(a[0] - from[0], a[1] - from[1]) - Math.hypot(b[0] - from[0], b[1] - from[1]));

const NAMES = ["near", "middle", "far"] as const;

function target(
  field: Field,
  [x, y]: readonly [number, number],
  n: number,
  line: Target["line"],
  { height, fall, casts, main }: TargetOptions,
): Target {
  return { x, y, name: NAMES[n]!, line, casts, landing: landingFor(field, x, y, height, fall, main) };
}

/**
 * Three places on the slow side of the seam that comes nearest to the angler within a cast, if it does so well before
 * the lie.
 */
function nearerSeam(field: Field, seams: readonly Seam[], lie: number, options: TargetOptions): Target[] {
  const { from } = options;
  const inReach = seams.filter((seam) => nearestLine([seam], options.x, options.y).distance > NEARER);
  const { distance, line } = nearestLine(inReach, from[0], from[1]);
  if (!line || distance < AT_HAND || distance > lie - NEARER || distance > RANGE) return [];
  const points = byDistance(line.points, from).filter(
    (point, n, all) => n === 0 || Math.hypot(point[0] - all[0]![0], point[1] - all[0]![1]) >= SPACING,
  );
  const [near] = points;
  const middle = points.find((point) => Math.hypot(point[0] - near![0], point[1] - near![1]) >= SPACING);
  const far =
    middle &&
    points.find((point) =>
      [near!, middle].every((other) => Math.hypot(point[0] - other[0], point[1] - other[1]) >= SPACING),
    );
  const chosen = [near!, middle, far].filter(
    (point): point is [number, number] =>
      point !== undefined && Math.hypot(point[0] - from[0], point[1] - from[1]) <= RANGE,
  );
  return chosen
    .map((point) => slowSide(field, line, point))
    .map((point, n) => target(field, point, n, "seam", options));
}

/** Half a metre to the slow side of a seam, where there is water. */
function slowSide(
  { nx, ny, cell, depth, u, v }: Field,
  seam: Seam,
  [x, y]: readonly [number, number],
): [number, number] {
  const [a, b] = [sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y)];
  const size = Math.max(Math.hypot(a, b), 1e-6);
  const sign = seam.slowSide === "right" ? 1 : -1;
  const [px, py] = [x - (sign * 0.5 * b) / size, y + (sign * 0.5 * a) / size];
  return sample(depth, nx, ny, cell, px, py) > 0.15 ? [px, py] : [x, y];
}
