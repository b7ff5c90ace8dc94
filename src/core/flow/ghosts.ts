import type { Grid } from "./grid";

/**
 * Rings of ghost cells around a grid: what lies beyond its edges, so that every inner cell has two neighbours each way.
 */
export const RINGS = 2;
/** Columns before the first inner one: whole vectors, the nearest two of them ghosts. */
export const LEFT = 4;

/** Row length: the inner columns in whole vectors of four, what lies left of them, and two vectors to look ahead. */
export const strideOf = (grid: { nx: number }): number => LEFT + 4 * Math.ceil(grid.nx / 4) + 12;

/** Index of grid cell (i, j) in an array with ghosts. */
export const ghostIndex = (stride: number, i: number, j: number): number => (j + RINGS) * stride + i + LEFT;

/**
 * Bed (over a datum, m) and roughness with ghosts: mirrored behind walls and at the sides, the bed's own slope
 * continued beyond open ends.
 */
export function padWithGhosts(
  grid: Grid,
  datum: number,
  wallUp: boolean,
  wallDown: boolean,
  z: Float32Array | Float64Array,
  n: Float32Array | Float64Array,
): void {
  const stride = strideOf(grid);
  for (let j = 0; j < grid.ny; j++) {
    const row = j * grid.nx;
    for (let i = -RINGS; i < grid.nx + RINGS; i++) {
      const inside = Math.min(grid.nx - 1, Math.max(0, i));
      const beyond = i - inside;
      const fall =
        beyond < 0 ? grid.z[row + 1]! - grid.z[row]! : grid.z[row + grid.nx - 1]! - grid.z[row + grid.nx - 2]!;
      const closed = beyond < 0 ? wallUp : wallDown;
      const mirror = beyond < 0 ? -beyond - 1 : grid.nx - beyond;
      const k = ghostIndex(stride, i, j);
      const bed =
        beyond === 0 ? grid.z[row + i]! : closed ? grid.z[row + mirror]! : grid.z[row + inside]! + beyond * fall;
      z[k] = bed - datum;
      n[k] = grid.roughness[row + inside]!;
    }
  }
  for (let ring = 1; ring <= RINGS; ring++) {
    for (const [from, to] of [
      [ring - 1, -ring],
      [grid.ny - ring, grid.ny - 1 + ring],
    ] as const) {
      const start = ghostIndex(stride, -LEFT, from);
      for (const array of [z, n]) array.copyWithin(ghostIndex(stride, -LEFT, to), start, start + stride);
    }
  }
}
