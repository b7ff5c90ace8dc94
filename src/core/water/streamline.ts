import { type Field, sample } from "../flow/grid";

type Water = Pick<Field, "nx" | "ny" | "cell" | "u" | "v" | "depth">;

/** Slower than this nothing is carried, m/s; thinner than this nothing floats, m. */
const STILL = 1e-3;
const AGROUND = 0.04;

/**
 * Points along the mean current from (x, y), m, the start first: down-current, or up it where `sign` is -1. Midpoint
 * rule in steps of half a cell by length.
 * Ends after `length` m, on dry ground, in still water, at the edge of the grid, or where `until` says so.
 */
export function streamline(
  water: Water,
  x: number,
  y: number,
  length: number,
  sign: 1 | -1 = 1,
  until?: (x: number, y: number) => boolean,
): [number, number][] {
  const points: [number, number][] = [[x, y]];
  follow(water, x, y, length, sign, (px, py) => {
    points.push([px, py]);
    return until?.(px, py) ?? false;
  });
  return points;
}

/** The same without keeping the points: each is shown to `visit`, which may end the way by true. */
export function follow(
  water: Water,
  x: number,
  y: number,
  length: number,
  sign: 1 | -1,
  visit: (x: number, y: number) => boolean,
): void {
  const { nx, ny, cell, u, v, depth } = water;
  const step = cell / 2;
  const width = nx * cell;
  const breadth = ny * cell;
  for (let gone = 0; gone < length; gone += step) {
    const a = sample(u, nx, ny, cell, x, y);
    const b = sample(v, nx, ny, cell, x, y);
    const size = Math.hypot(a, b);
    if (size < STILL) return;
    const hx = x + (0.5 * sign * step * a) / size;
    const hy = y + (0.5 * sign * step * b) / size;
    const ma = sample(u, nx, ny, cell, hx, hy);
    const mb = sample(v, nx, ny, cell, hx, hy);
    const middle = Math.max(Math.hypot(ma, mb), STILL);
    x += (sign * step * ma) / middle;
    y += (sign * step * mb) / middle;
    if (x < 0 || y < 0 || x > width || y > breadth || sample(depth, nx, ny, cell, x, y) < AGROUND || visit(x, y))
      return;
  }
}

/** Unit vector of the current at a place; undefined where it stands. */
export function heading({ nx, ny, cell, u, v }: Water, x: number, y: number): [number, number] | undefined {
  const [a, b] = [sample(u, nx, ny, cell, x, y), sample(v, nx, ny, cell, x, y)];
  const size = Math.hypot(a, b);
  return size < STILL ? undefined : [a / size, b / size];
}
