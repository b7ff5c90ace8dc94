import { GRAVITY } from "../../core/quantity/provenance";
import type { Field, Grid } from "../../core/flow/grid";
import type { Kernel } from "../../core/flow/kernel";
import { solveSteady } from "../../core/flow/steady";

/** The solver against measurements in flumes: the eddy of a sudden widening, the head lost at piers. */

/** A flat-bottomed channel with walls that stand dry, level enough to be nearly still of friction. */
function channel(
  nx: number,
  ny: number,
  cell: number,
  n: number,
  slope: number,
  solid: (x: number, y: number) => boolean,
) {
  const at = (k: number): [number, number] => [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
  return {
    nx,
    ny,
    cell,
    z: Float64Array.from({ length: nx * ny }, (_, k) => slope * (nx * cell - at(k)[0]) + (solid(...at(k)) ? 10 : 0)),
    roughness: new Float64Array(nx * ny).fill(n),
  } satisfies Grid;
}

/**
 * Length of the eddy behind a sudden widening on one side, in its own breadths, where friction of the bed is slight
 * (stability number c_f d / 2h under 0.05).
 */
export function wideningEddy(kernel: Kernel, cell: number): { lengths: number; stability: number } {
  const [length, breadth, step, discharge, n, slope] = [140, 20, 8, 36, 0.012, 0.0001];
  const [nx, ny] = [length / cell, breadth / cell];
  const grid = channel(nx, ny, cell, n, slope, (x, y) => x < 30 && y < step);
  const depth = 1.8;
  const field = solveSteady(grid, { discharge, downstream: { kind: "stage", value: depth }, kernel });
  let last = 30;
  // Along the wall behind the step: where the water no longer turns back.
  for (let i = Math.ceil(30 / cell); i < nx; i++) if (field.u[i]! < 0) last = (i + 1) * cell;
  const friction = (GRAVITY * n * n) / depth ** (1 / 3);
  return { lengths: (last - 30) / step, stability: (friction * step) / (2 * depth) };
}

/**
 * Rise of the level above square piers, m: what the solver finds beyond the same channel without them, and Yarnell's
 * formula dy / y = K Fr^2 (K + 5 Fr^2 - 0.6) (a + 15 a^4), K 1.25 for square noses and tails, a the share of the
 * breadth that the piers take, y and Fr below them.
 */
export function pierRise(kernel: Kernel, cell: number): { found: number; yarnell: number } {
  const [length, breadth, depth, speed] = [100, 24, 2, 1.4];
  const pier = 4;
  const [nx, ny] = [length / cell, breadth / cell];
  const level = (solid: (x: number, y: number) => boolean) => {
    const grid = channel(nx, ny, cell, 0.01, 0, solid);
    const field = solveSteady(grid, {
      discharge: breadth * depth * speed,
      downstream: { kind: "stage", value: depth },
      kernel,
    });
    return meanLevel(field, Math.round(15 / cell));
  };
  const found = level((x, y) => Math.abs(x - 40) < 4 && Math.abs(y - breadth / 2) < pier / 2) - level(() => false);
  const froude2 = speed ** 2 / (GRAVITY * depth);
  const share = pier / breadth;
  return { found, yarnell: depth * 1.25 * froude2 * (1.25 + 5 * froude2 - 0.6) * (share + 15 * share ** 4) };
}

function meanLevel(field: Field, column: number): number {
  let [sum, wet] = [0, 0];
  for (let j = 0; j < field.ny; j++) {
    const k = j * field.nx + column;
    if (field.depth[k]! <= 0) continue;
    sum += field.depth[k]! + field.bed[k]!;
    wet++;
  }
  return sum / wet;
}
