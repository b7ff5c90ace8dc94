import type { Grid } from "./grid";

/**
 * Rings of ghost cells around a grid: what lies beyond its edges, so that every inner cell has two neighbours each way.
 */
export const RINGS = 2;

export const strideOf = (grid: { nx: number }): number => grid.nx + 2 * RINGS;

/** Index of grid cell (i, j) in an array with ghosts. */
export const ghostIndex = (stride: number, i: number, j: number): number => (j + RINGS) * stride + i + RINGS;

/**
 * Bed and roughness with ghosts: mirrored behind walls and at the sides, the bed's own slope continued beyond open
 * ends.
 */
export function padWithGhosts(grid: Grid, wallUp: boolean, wallDown: boolean, z: Float64Array, n: Float64Array): void {
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
      z[k] = beyond === 0 ? grid.z[row + i]! : closed ? grid.z[row + mirror]! : grid.z[row + inside]! + beyond * fall;
      n[k] = grid.roughness[row + inside]!;
    }
  }
  for (let ring = 1; ring <= RINGS; ring++) {
    for (const [from, to] of [
      [ring - 1, -ring],
      [grid.ny - ring, grid.ny - 1 + ring],
    ] as const) {
      const start = ghostIndex(stride, -RINGS, from);
      for (const array of [z, n]) array.copyWithin(ghostIndex(stride, -RINGS, to), start, start + stride);
    }
  }
}
