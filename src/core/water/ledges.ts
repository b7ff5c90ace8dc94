import { cellsOf, type Field } from "../flow/grid";
import { lengthOf } from "./polyline";
import { maskedBlur } from "./smooth";
import { smoothed, traceCrests } from "./trace";

/** A step of the bed under water. */
export interface Ledge {
  /** Along its steepest line, m; the deep water lies on the right of it, looking along the points. */
  points: [number, number][];
  /** Height of the step, m. */
  step: number;
  /** Depth on its shallow and its deep side, m. */
  shallow: number;
  deep: number;
}

/**
 * Slope of the bed, m per m, under which nothing is a ledge, and that one place of it must reach. Common practice, no
 * source.
 */
const WEAK = 0.16;
const STRONG = 0.28;
/**
 * How far to each side its two depths are read, m; least step and depth on the shallow side, m; length, m. Common
 * practice, no source.
 */
const REACH = 2;
const LEAST_STEP = 0.4;
const LEAST_DEPTH = 0.3;
const LEAST_LENGTH = 4;
/** An even bank is no ledge: beyond its reach the bed must be flatter than this share of its steepest. */
const FLATTENS = 0.7;
/**
 * A bank is no ledge: beyond its shallow side there must be a shelf, so far on, m, and still so deep, m. Common
 * practice, no source.
 */
const SHELF = { beyond: 3, depth: 0.2 };
const SMOOTHING = 0.6;
const APART = 1.5;

/** Slope of the bed under water, blurred: gx and gy in m per m, and its size. */
export function bedSlope(field: Field, smoothing: number): { gx: Float64Array; gy: Float64Array; size: Float64Array } {
  const { nx, ny, cell, depth } = field;
  const wet = cellsOf(new Uint8Array(nx * ny), (k) => (depth[k]! > 0.1 ? 1 : 0));
  const z = maskedBlur(field.bed, wet, nx, ny, smoothing / cell);
  const [gx, gy, size] = [new Float64Array(nx * ny), new Float64Array(nx * ny), new Float64Array(nx * ny)];
  const across = (k: number, step: number) =>
    wet[k - step] && wet[k + step] ? (z[k + step]! - z[k - step]!) / (2 * cell) : 0;
  for (let j = 1; j < ny - 1; j++) {
    for (let i = 1; i < nx - 1; i++) {
      const k = j * nx + i;
      if (!wet[k]) continue;
      [gx[k], gy[k]] = [across(k, 1), across(k, nx)];
      size[k] = Math.hypot(gx[k]!, gy[k]!);
    }
  }
  return { gx, gy, size };
}

/** The ledges of a field, highest step first: crests of the bed's slope with water deep enough on both sides. */
export function findLedges(field: Field): Ledge[] {
  const { gx, gy, size } = bedSlope(field, SMOOTHING);
  // Along the contour, the downhill side on the right: y grows to the right of x.
  const tx = size.map((s, k) => (s > 0 ? -gy[k]! / s : 1));
  const ty = size.map((s, k) => (s > 0 ? gx[k]! / s : 0));
  return traceCrests({ height: size, tx, ty }, field, { weak: WEAK, strong: STRONG, apart: APART })
    .flatMap((line) => ledgeOf(line, field, gx, gy, size) ?? [])
    .sort((a, b) => b.step - a.step);
}

function ledgeOf(
  line: readonly number[],
  field: Field,
  gx: Float64Array,
  gy: Float64Array,
  size: Float64Array,
): Ledge | undefined {
  const { nx, ny, cell, depth } = field;
  /** The cell so far downhill of k. */
  const beside = (k: number, away: number): number | undefined => {
    const i = Math.round((k % nx) - (away / cell) * (gx[k]! / size[k]!));
    const j = Math.round(Math.floor(k / nx) - (away / cell) * (gy[k]! / size[k]!));
    return i >= 0 && j >= 0 && i < nx && j < ny ? j * nx + i : undefined;
  };
  const good = line.flatMap((k) => {
    const [up, down] = [beside(k, -REACH), beside(k, REACH)];
    const shelf = beside(k, -SHELF.beyond);
    if (up === undefined || down === undefined || shelf === undefined || depth[shelf]! < SHELF.depth) return [];
    const [shallow, deep] = [depth[up]!, depth[down]!];
    return shallow >= LEAST_DEPTH &&
      deep - shallow >= LEAST_STEP &&
      Math.max(size[up]!, size[down]!) <= FLATTENS * Math.max(size[k]!, STRONG)
      ? [{ k, shallow, deep }]
      : [];
  });
  if (good.length < 0.5 * line.length || good.length < 2) return undefined;
  const points = smoothed(
    good.map(({ k }) => k),
    field,
  );
  if (lengthOf({ points }) < LEAST_LENGTH) return undefined;
  const mean = (of: (one: { shallow: number; deep: number }) => number) =>
    good.reduce((sum, one) => sum + of(one), 0) / good.length;
  return {
    points,
    step: mean(({ shallow, deep }) => deep - shallow),
    shallow: mean(({ shallow }) => shallow),
    deep: mean(({ deep }) => deep),
  };
}
