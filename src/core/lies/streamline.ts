import { type Field, sample } from "../flow/grid";

type Water = Pick<Field, "nx" | "ny" | "cell" | "u" | "v" | "depth">;

/** Slower than this nothing is carried, m/s; thinner than this nothing floats, m. */
const STILL = 1e-3;
const AGROUND = 0.04;

/**
 * Points along the mean current from (x, y), m, the start first: down-current, or up it where `sign` is -1. Midpoint rule in steps of half a cell by length.
 * Ends after `length` m, on dry ground, in still water, at the edge of the grid, or where `until` says so.
 */
export function streamline(water: Water, x: number, y: number, length: number, sign: 1 | -1 = 1, until?: (x: number, y: number) => boolean): [number, number][] {
  const { nx, ny, cell, u, v } = water;
  const step = cell / 2;
  const points: [number, number][] = [[x, y]];
  const [width, breadth] = [nx * cell, ny * cell];
  for (let gone = 0; gone < length; gone += step) {
    let [a, b] = [sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y)];
    let size = Math.hypot(a, b);
    if (size < STILL) break;
    const [hx, hy] = [x + (0.5 * sign * step * a) / size, y + (0.5 * sign * step * b) / size];
    [a, b] = [sample(u, nx, ny, cell, hx, hy), sample(v, nx, ny, cell, hx, hy)];
    size = Math.max(Math.hypot(a, b), STILL);
    x += (sign * step * a) / size;
    y += (sign * step * b) / size;
    if (x < 0 || y < 0 || x > width || y > breadth || sample(water.depth, nx, ny, cell, x, y) < AGROUND) break;
    points.push([x, y]);
    if (until?.(x, y)) break;
  }
  return points;
}

/** Unit vector of the current at a place; undefined where it stands. */
export function heading({ nx, ny, cell, u, v }: Water, x: number, y: number): [number, number] | undefined {
  const [a, b] = [sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y)];
  const size = Math.hypot(a, b);
  return size < STILL ? undefined : [a / size, b / size];
}
