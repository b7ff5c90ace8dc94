import { GRAVITY } from "../../core/quantity/provenance";
import type { Grid } from "../../core/flow/grid";
import type { Kernel, Reals } from "../../core/flow/kernel";
import { type Edge, ShallowWater } from "../../core/flow/solver";

/** Parts that the closed-form cases share: a channel three cells wide, its middle row, the error against the truth. */
export const WALL: Edge = { kind: "wall" };
export const OPEN: Edge = { kind: "open" };

export function strip(nx: number, length: number, bed: (x: number) => number, n = 0): Grid {
  const [ny, cell] = [3, length / nx];
  return {
    nx,
    ny,
    cell,
    z: Float64Array.from({ length: nx * ny }, (_, k) => bed(((k % nx) + 0.5) * cell)),
    roughness: new Float64Array(nx * ny).fill(n),
  };
}

const middleRow = (water: ShallowWater, values: Reals): number[] =>
  Array.from({ length: water.nx }, (_, i) => values[water.at(i, Math.floor(water.ny / 2))]!);

/** Sum |found - truth| / sum |truth|. */
export const relativeL1 = (found: readonly number[], truth: readonly number[]): number =>
  found.reduce((sum, value, k) => sum + Math.abs(value - truth[k]!), 0) /
  truth.reduce((sum, value) => sum + Math.abs(value), 0);

export function runTo(water: ShallowWater, time: number): void {
  while (water.time < time - 1e-9) water.step(time - water.time);
}

/** A profile along a channel: positions, m, what the solver found and what is true, m, and the bed under it. */
export interface Profile {
  x: number[];
  bed: number[];
  found: number[];
  truth: number[];
}

export const profileOf = (water: ShallowWater, grid: Grid, truth: number[]): Profile => ({
  x: truth.map((_, i) => (i + 0.5) * grid.cell),
  bed: Array.from(grid.z.slice(0, grid.nx)),
  found: middleRow(water, water.h),
  truth,
});

/** Root of an increasing or decreasing function in a bracket, by bisection. */
export function bisect(f: (x: number) => number, low: number, high: number): number {
  const up = f(high) > f(low);
  for (let k = 0; k < 100; k++) {
    const middle = (low + high) / 2;
    if (f(middle) > 0 === up) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Flow with a given unit discharge into a strip, from one starting level, run until it stands still. */
export function settleStrip(
  kernel: Kernel,
  grid: Grid,
  q: number,
  level: number | null,
  start: (z: number) => number,
  seconds: number,
): ShallowWater {
  const water = new ShallowWater(
    grid,
    {
      upstream: { kind: "inflow", discharge: q * 3 * grid.cell },
      downstream: level === null ? OPEN : { kind: "level", level },
    },
    kernel,
  );
  const depth = grid.z.map((z) => Math.max(0.01, start(z)));
  water.setState(
    depth,
    depth.map((h) => q / h),
  );
  runTo(water, seconds);
  return water;
}

/**
 * Depths that carry unit discharge q with specific energy E over the bed: the roots of h^3 - E h^2 + q^2/2g, deep and
 * shallow.
 */
export function energyDepth(q: number, energy: number, which: "deep" | "shallow"): number {
  const critical = Math.cbrt((q * q) / GRAVITY);
  const f = (h: number) => h + (q * q) / (2 * GRAVITY * h * h) - energy;
  return which === "deep"
    ? bisect(f, critical, Math.max(critical, energy) * 1.0001)
    : bisect(f, critical * 0.02, critical);
}
