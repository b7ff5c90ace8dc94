import type { Grid } from "../../core/flow/grid";
import type { Kernel } from "../../core/flow/kernel";
import { ShallowWater } from "../../core/flow/solver";
import { solveSteady } from "../../core/flow/steady";
import { WALL } from "./strip";

/** What must hold to rounding whatever the bed: stillness, mass, symmetry; and the turning water behind a wall. */

/** A lake over islands and a rough floor, 200 steps: greatest speed, m/s, and departure of the level, m. */
export function stillLake(kernel: Kernel, steps = 200, datum = 0): { speed: number; level: number; islands: boolean } {
  const [nx, ny] = [40, 30];
  const z = Float64Array.from(
    { length: nx * ny },
    (_, k) =>
      datum + 1.4 * Math.exp(-(((k % nx) - 14) ** 2 + (Math.floor(k / nx) - 12) ** 2) / 30) + 0.02 * Math.sin(k * 1.7),
  );
  const water = new ShallowWater(
    { nx, ny, cell: 1, z, roughness: new Float64Array(nx * ny).fill(0.03) },
    { upstream: WALL, downstream: WALL },
    kernel,
  );
  water.setState(z.map((bed) => Math.max(0, datum + 1 - bed)));
  for (let k = 0; k < steps; k++) water.step();
  let [speed, level] = [0, 0];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const k = water.at(i, j);
      speed = Math.max(speed, Math.hypot(water.u[k]!, water.v[k]!));
      if (water.h[k]! > 1e-6) level = Math.max(level, Math.abs(water.h[k]! + water.z[k]! + water.datum - datum - 1));
    }
  return { speed, level, islands: z.some((bed) => bed > datum + 1) };
}

/** A short rough channel that wanders between dry banks, with a boulder off the middle; `mirrored` swaps the banks. */
function boulderChannel(kernel: Kernel, mirrored: boolean): ShallowWater {
  const [nx, ny] = [40, 16];
  const z = Float64Array.from({ length: nx * ny }, (_, k) => {
    const i = k % nx,
      row = Math.floor(k / nx),
      j = mirrored ? ny - 1 - row : row;
    const bank = j < 2.5 + 2.5 * Math.sin(i / 5) || j > ny - 2.2 + 1.5 * Math.sin(i / 4) ? 2 : 0;
    return 0.003 * (nx - i) + bank + (Math.hypot(i - 14, j - 9) < 2.2 ? 1.5 : 0);
  });
  const water = new ShallowWater(
    { nx, ny, cell: 1, z, roughness: new Float64Array(nx * ny).fill(0.03) },
    { upstream: { kind: "inflow", discharge: 9 }, downstream: { kind: "level", level: 0.8 } },
    kernel,
  );
  water.setState(z.map((bed, k) => Math.max(0, 0.8 + 0.003 * (nx - (k % nx)) - bed)));
  return water;
}

/** Greatest difference, m and m/s, between the field of a bed and the mirrored field of the mirrored bed. */
export function mirrorDifference(kernel: Kernel, steps: number): number {
  const [left, right] = [boulderChannel(kernel, false), boulderChannel(kernel, true)];
  for (let k = 0; k < steps; k++) {
    left.step();
    right.step();
  }
  let worst = 0;
  for (let j = 0; j < left.ny; j++)
    for (let i = 0; i < left.nx; i++) {
      const [a, b] = [left.at(i, j), right.at(i, right.ny - 1 - j)];
      worst = Math.max(
        worst,
        Math.abs(left.h[a]! - right.h[b]!),
        Math.abs(left.u[a]! - right.u[b]!),
        Math.abs(left.v[a]! + right.v[b]!),
      );
    }
  return worst;
}

/** A heap of water falling over an island in a closed basin; `turned` lays the same basin a quarter turn round. */
function basin(kernel: Kernel, turned: boolean): ShallowWater {
  const size = 36;
  const place = (k: number): [number, number] =>
    turned ? [Math.floor(k / size), size - 1 - (k % size)] : [k % size, Math.floor(k / size)];
  const grid: Grid = {
    nx: size,
    ny: size,
    cell: 0.5,
    roughness: new Float64Array(size * size).fill(0.03),
    z: Float64Array.from({ length: size * size }, (_, k) => {
      const [i, j] = place(k);
      return 0.9 * Math.exp(-((i - 24) ** 2 + (j - 15) ** 2) / 14) + 0.002 * i;
    }),
  };
  const water = new ShallowWater(grid, { upstream: WALL, downstream: WALL }, kernel);
  water.setState(
    grid.z.map((bed, k) => {
      const [i, j] = place(k);
      return Math.max(0, (Math.hypot(i - 9, j - 11) < 6 ? 1.4 : 0.5) - bed);
    }),
  );
  return water;
}

/** Greatest difference, m, between a basin's depths and those of the same basin turned by a quarter. */
export function quarterTurnDifference(kernel: Kernel, steps: number): number {
  const [plain, turned] = [basin(kernel, false), basin(kernel, true)];
  for (let k = 0; k < steps; k++) {
    const dt = plain.step();
    turned.step(dt);
  }
  let worst = 0;
  for (let j = 0; j < plain.ny; j++)
    for (let i = 0; i < plain.nx; i++)
      worst = Math.max(worst, Math.abs(plain.h[plain.at(i, j)]! - turned.h[turned.at(plain.ny - 1 - j, i)]!));
  return worst;
}

/** |stored - in + out| over what came in. */
export function massError(kernel: Kernel, steps: number): { error: number; volumeIn: number } {
  const water = boulderChannel(kernel, false);
  const before = water.volume();
  for (let k = 0; k < steps; k++) water.step();
  return {
    error: Math.abs(water.volume() - before - water.volumeIn + water.volumeOut) / water.volumeIn,
    volumeIn: water.volumeIn,
  };
}

/**
 * Length of the turning water behind a wall, in wall lengths, in a deep smooth channel; and the mass error of the
 * averaged field.
 */
export function wallEddy(kernel: Kernel): { lengths: number; massError: number } {
  const [nx, ny, cell, wall] = [140, 30, 1, 6];
  const z = Float64Array.from(
    { length: nx * ny },
    (_, k) => 0.0004 * (nx - (k % nx)) + (k % nx >= 24 && k % nx <= 25 && Math.floor(k / nx) < wall ? 5 : 0),
  );
  const field = solveSteady(
    { nx, ny, cell, z, roughness: new Float64Array(nx * ny).fill(0.018) },
    { discharge: 45, downstream: { kind: "normal", slope: 0.0004 }, kernel },
  );
  let last = 25;
  for (let i = 26; i < nx; i++) if (field.depth[i]! > 0 && field.u[i]! < 0) last = i;
  return { lengths: (last - 25) / wall, massError: field.massError };
}

/**
 * Depth over a smooth mound in a channel on cells of 3 and 1.5 m against 0.75 m, relative L1 over the coarse cells: the
 * finer must come closer.
 */
export function refinement(kernel: Kernel): { error: number; order: number } {
  const [length, breadth, discharge] = [48, 24, 14];
  const solve = (cell: number) => {
    const [nx, ny] = [length / cell, breadth / cell];
    const z = Float64Array.from({ length: nx * ny }, (_, k) => {
      const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
      return 0.002 * (length - x) + 0.35 * Math.exp(-((x - 20) ** 2 + (y - 10) ** 2) / 40);
    });
    return solveSteady(
      { nx, ny, cell, z, roughness: new Float64Array(nx * ny).fill(0.03) },
      { discharge, downstream: { kind: "normal", slope: 0.002 }, kernel },
    );
  };
  const finest = solve(0.75);
  const against = (cell: number) => {
    const field = solve(cell);
    const factor = cell / finest.cell;
    let [difference, size] = [0, 0];
    for (let j = 0; j < field.ny; j++)
      for (let i = 0; i < field.nx; i++) {
        let mean = 0;
        for (let b = 0; b < factor; b++)
          for (let a = 0; a < factor; a++)
            mean += finest.depth[(j * factor + b) * finest.nx + i * factor + a]! / factor ** 2;
        difference += Math.abs(field.depth[j * field.nx + i]! - mean);
        size += mean;
      }
    return difference / size;
  };
  const error = against(1.5);
  return { error, order: Math.log2(against(3) / error) };
}
