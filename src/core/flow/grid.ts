import { HIGHEST } from "../quantity/bounds";
import { InputError } from "../quantity/fault";

/**
 * A bed on a square grid. Index j*nx+i: i along x, downstream from the upstream end; j along y, from the left bank
 * to the right bank looking downstream. `z` in m, up; `roughness` is Manning's n in s/m^(1/3).
 */
export interface Grid {
  nx: number;
  ny: number;
  /** Cell size, m. */
  cell: number;
  z: Float64Array;
  roughness: Float64Array;
}

/** A solved, time-averaged flow field on its grid. Depth 0 where dry; u along x, v along y, m/s. */
export interface Field {
  nx: number;
  ny: number;
  cell: number;
  discharge: number;
  bed: Float32Array;
  roughness: Float32Array;
  depth: Float32Array;
  u: Float32Array;
  v: Float32Array;
  /** Standard deviation of speed over the averaging time, m/s: where the water pulses. */
  speedDeviation: Float32Array;
  verdict: Verdict;
  /** Why it has not settled, where it has not. */
  unsettled?: Unsettled;
  /** Volume balance over the averaging time: |outflow - inflow|, and what clipping made, as a share of the inflow. */
  massError: number;
  steps: number;
}

/**
 * converged: means settled, water still; shedding: means settled, wakes pulse; not-converged: means had not settled.
 */
export type Verdict = "converged" | "shedding" | "not-converged";

/** Storage still grows, or shrinks; or the water pulses so long that its means differ. */
export type Unsettled = "filling" | "emptying" | "pulsing";

/** Cells shallower than this are called dry, m. */
export const DRY = 0.01;
/** A grid is refused above this many cells. */
export const MOST_CELLS = 1_000_000;

export const speedAt = (field: Pick<Field, "u" | "v">, k: number): number => Math.hypot(field.u[k]!, field.v[k]!);

/**
 * Fills an array cell by cell: ten times as fast as Float64Array.from with a function, which goes through an iterator.
 */
export function cellsOf<T extends Float64Array | Float32Array | Uint8Array>(out: T, of: (k: number) => number): T {
  for (let k = 0; k < out.length; k++) out[k] = of(k);
  return out;
}

/** Demands a number of cells that can be solved: asked before any of them is made. */
export function demandCells(nx: number, ny: number): void {
  if (!(nx * ny <= MOST_CELLS)) throw new InputError("too-many-cells", { nx, ny, most: MOST_CELLS }, { path: "bed" });
}

/** Demands finite beds and a size that can be solved. */
export function checkGrid(grid: Grid): void {
  const { nx, ny, cell } = grid;
  if (!(cell > 0)) throw new InputError("bad-cell", {}, { path: "bed.cell" });
  if (nx < 4 || ny < 3)
    throw new InputError(
      "too-small",
      { nx, ny },
      {
        path: "bed",
      },
    );
  demandCells(nx, ny);
  for (let k = 0; k < nx * ny; k++) {
    if (!(Math.abs(grid.z[k]!) <= HIGHEST))
      throw new InputError(
        "bad-bed",
        { column: k % nx, row: Math.floor(k / nx) },
        {
          path: `bed.z[${k}]`,
        },
      );
    if (!(grid.roughness[k]! >= 0))
      throw new InputError("bad-roughness", { column: k % nx, row: Math.floor(k / nx) }, { path: `roughness[${k}]` });
  }
}

/**
 * The same bed on cells `factor` times as large (an integer), by averaging; a remainder at the far edges keeps part of
 * a block.
 */
export function coarsen(grid: Grid, factor: number): Grid {
  if (factor === 1) return grid;
  const nx = Math.ceil(grid.nx / factor);
  const ny = Math.ceil(grid.ny / factor);
  const z = new Float64Array(nx * ny);
  const roughness = new Float64Array(nx * ny);
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      let count = 0;
      for (let b = j * factor; b < Math.min(grid.ny, (j + 1) * factor); b++) {
        for (let a = i * factor; a < Math.min(grid.nx, (i + 1) * factor); a++) {
          z[j * nx + i]! += grid.z[b * grid.nx + a]!;
          roughness[j * nx + i]! += grid.roughness[b * grid.nx + a]!;
          count++;
        }
      }
      z[j * nx + i]! /= count;
      roughness[j * nx + i]! /= count;
    }
  }
  return { nx, ny, cell: grid.cell * factor, z, roughness };
}

/** Value at (x, y) in m of a row-major array of cell centres, bilinear, clamped at the edges. */
export function sample(values: ArrayLike<number>, nx: number, ny: number, cell: number, x: number, y: number): number {
  const fx = Math.min(nx - 1, Math.max(0, x / cell - 0.5));
  const fy = Math.min(ny - 1, Math.max(0, y / cell - 0.5));
  const i = Math.min(nx - 2, Math.floor(fx));
  const j = Math.min(ny - 2, Math.floor(fy));
  const a = fx - i;
  const b = fy - j;
  const k = j * nx + i;
  return (
    (1 - b) * ((1 - a) * values[k]! + a * values[k + 1]!) + b * ((1 - a) * values[k + nx]! + a * values[k + nx + 1]!)
  );
}

/** A grid on another cell size by bilinear sampling (used when a cell size is asked that is no multiple). */
export function resample(grid: Grid, cell: number): Grid {
  if (Math.abs(cell - grid.cell) < 1e-9) return grid;
  const factor = cell / grid.cell;
  if (Math.abs(factor - Math.round(factor)) < 1e-9) return coarsen(grid, Math.round(factor));
  const nx = Math.max(1, Math.round((grid.nx * grid.cell) / cell));
  const ny = Math.max(1, Math.round((grid.ny * grid.cell) / cell));
  demandCells(nx, ny);
  const at = (values: Float64Array) =>
    Float64Array.from({ length: nx * ny }, (_, k) =>
      sample(values, grid.nx, grid.ny, grid.cell, ((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell),
    );
  return { nx, ny, cell, z: at(grid.z), roughness: at(grid.roughness) };
}
