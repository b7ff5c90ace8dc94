import { contours } from "d3-contour";
import { polygonArea, polygonCentroid } from "d3-polygon";
import { cellsOf, type Field } from "../flow/grid";
import { components } from "./smooth";

/** Water that turns about a place behind a break. */
export interface Eddy {
  x: number;
  y: number;
  /** Within its widest closed streamline, m2. */
  area: number;
  /** Fastest return current, m/s. */
  returnSpeed: number;
  /** Its widest closed streamline, m. */
  outline: [number, number][];
  /** As seen from above. */
  turns: "clockwise" | "anticlockwise";
}

/**
 * Slower return water than this is slack, not an eddy, m/s; smaller ones are swirls, m2. Common practice, no source.
 */
const LEAST_RETURN = 0.03;
const LEAST_AREA = 2;
/** Halvings of the level at which a streamline stops being closed. */
const HALVINGS = 12;

/**
 * Stream function of the mean flow, m3/s: what passes between the left edge and each cell's middle, so that its level
 * lines are streamlines
 * (continuity: dpsi/dy = h u). Every column is brought to the same discharge, since a mean field closes to its mass
 * error only.
 */
export function streamFunction({ nx, ny, cell, depth, u, discharge }: Field): Float64Array {
  const psi = new Float64Array(nx * ny);
  for (let i = 0; i < nx; i++) {
    let sum = 0;
    for (let j = 0; j < ny; j++) {
      const half = 0.5 * depth[j * nx + i]! * u[j * nx + i]! * cell;
      psi[j * nx + i] = sum + half;
      sum += 2 * half;
    }
    const share = sum > 0 ? discharge / sum : 1;
    for (let j = 0; j < ny; j++) psi[j * nx + i]! *= share;
  }
  return psi;
}

/**
 * Eddies by their closed streamlines, largest first: about every patch of water that runs against the reach's own
 * direction (x), the level lines of the stream function that reach neither end of it.
 */
export function findEddies(field: Field): Eddy[] {
  const { nx, ny, cell } = field;
  const back = cellsOf(new Uint8Array(nx * ny), (k) => (field.depth[k]! > 0.1 && field.u[k]! < -LEAST_RETURN ? 1 : 0));
  const patches = components(back, nx, ny).filter((cells) => cells.length * cell * cell >= 0.25 * LEAST_AREA);
  if (patches.length === 0) return [];
  const psi = streamFunction(field);
  const found: Eddy[] = [];
  for (const sign of [1, -1] as const) {
    const value = sign === 1 ? psi : psi.map((one) => -one);
    const middles = new Map<number, number>();
    for (const patch of patches) {
      const strongest = patch.reduce((best, k) => (field.u[k]! < field.u[best]! ? k : best));
      const middle = summit(value, patch, nx, ny);
      if (!(field.u[middles.get(middle)!]! < field.u[strongest]!)) middles.set(middle, strongest);
    }
    for (const [middle, strongest] of middles) {
      const outline = widestClosed(field, value, middle, [...middles.keys()]);
      if (areaOf(outline) < LEAST_AREA) continue;
      const [x, y] = polygonCentroid(outline);
      // Where the stream function is highest the water to the left of it (smaller y) runs on and that to the right runs
      // back: clockwise, the reach running to the right.
      found.push({
        x,
        y,
        area: areaOf(outline),
        returnSpeed: -field.u[strongest]!,
        outline,
        turns: sign === 1 ? "clockwise" : "anticlockwise",
      });
    }
  }
  return found.sort((a, b) => b.area - a.area);
}

/** The highest place that is reached from a patch by going up, cell by cell. */
function summit(value: Float64Array, patch: readonly number[], nx: number, ny: number): number {
  let at = patch.reduce((best, k) => (value[k]! > value[best]! ? k : best));
  for (;;) {
    const [i, j] = [at % nx, Math.floor(at / nx)];
    let best = at;
    for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++)
      for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++)
        if (value[b * nx + a]! > value[best]!) best = b * nx + a;
    if (best === at) return at;
    at = best;
  }
}

const areaOf = (outline: [number, number][]): number => (outline.length > 2 ? Math.abs(polygonArea(outline)) : 0);

/**
 * The widest closed streamline about a summit of the stream function that holds no other of them; empty where there is
 * none.
 */
function widestClosed(
  { nx, ny, cell }: Field,
  value: Float64Array,
  middle: number,
  summits: readonly number[],
): [number, number][] {
  const others = new Set(summits.filter((k) => k !== middle));
  // Open at the lowest level there is; closed, if anywhere, just under the top.
  let [open, closed] = [value.reduce((least, one) => Math.min(least, one), Infinity), value[middle]!];
  let inside: number[] = [];
  for (let n = 0; n < HALVINGS; n++) {
    const level = 0.5 * (open + closed);
    const pool = enclosed(value, middle, level, others, nx, ny);
    if (pool) [closed, inside] = [level, pool];
    else open = level;
  }
  return inside.length > 2
    ? outlineOf(value, inside, closed, nx, ny).map(([x, y]): [number, number] => [x * cell, y * cell])
    : [];
}

/** The level line about some cells, in cells, read from their own corner of the grid only. */
function outlineOf(
  value: Float64Array,
  inside: readonly number[],
  level: number,
  nx: number,
  ny: number,
): [number, number][] {
  let [left, right, top, foot] = [nx, 0, ny, 0];
  for (const k of inside) {
    const [i, j] = [k % nx, Math.floor(k / nx)];
    [left, right, top, foot] = [Math.min(left, i), Math.max(right, i), Math.min(top, j), Math.max(foot, j)];
  }
  [left, right, top, foot] = [
    Math.max(0, left - 2),
    Math.min(nx - 1, right + 2),
    Math.max(0, top - 2),
    Math.min(ny - 1, foot + 2),
  ];
  const [w, h] = [right - left + 1, foot - top + 1];
  // Other water above the level, not joined to these cells, is left out.
  const own = new Set(inside);
  const part = Array.from({ length: w * h }, (_, n) => {
    const k = (top + Math.floor(n / w)) * nx + left + (n % w);
    return own.has(k) ? value[k]! : Math.min(value[k]!, level);
  });
  const rings = contours()
    .size([w, h])
    .thresholds([level])(part)[0]!
    .coordinates.map((polygon) => polygon[0] as [number, number][]);
  const widest = rings.reduce<[number, number][]>((a, b) => (areaOf(b) > areaOf(a) ? b : a), []);
  return widest.slice(0, -1).map(([x, y]): [number, number] => [x + left, y + top]);
}

/**
 * The cells above a level that are joined to one; undefined where they reach either end of the reach, or another
 * summit.
 */
function enclosed(
  value: Float64Array,
  from: number,
  level: number,
  others: ReadonlySet<number>,
  nx: number,
  ny: number,
): number[] | undefined {
  const seen = new Uint8Array(nx * ny);
  const cells = [from];
  seen[from] = 1;
  for (let at = 0; at < cells.length; at++) {
    const k = cells[at]!;
    const i = k % nx;
    if (i === 0 || i === nx - 1 || others.has(k)) return undefined;
    for (const other of [k - 1, k + 1, k - nx, k + nx]) {
      if (other < 0 || other >= nx * ny || seen[other] || !(value[other]! > level)) continue;
      seen[other] = 1;
      cells.push(other);
    }
  }
  return cells;
}
