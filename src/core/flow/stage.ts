import type { Downstream } from "./reach-schema";
import { InputError } from "../quantity/fault";
import type { Grid } from "./grid";

/** Steepest slope used when a column's own fall cannot set one. */
const LEAST_SLOPE = 1e-5;

/**
 * Discharge a column of cells carries at a level under Manning: sum of h^(5/3)/n sqrt(S) dy (Manning 1891; smooth
 * walls).
 */
export function conveyed(grid: Grid, i: number, level: number, slope: number): number {
  let sum = 0;
  for (let j = 0; j < grid.ny; j++) {
    const k = j * grid.nx + i;
    const h = level - grid.z[k]!;
    if (h > 0) sum += h ** (5 / 3) / Math.max(grid.roughness[k]!, 1e-3);
  }
  return sum * grid.cell * Math.sqrt(Math.max(slope, LEAST_SLOPE));
}

/** Level, m, at which column i carries the discharge in uniform flow (bisection to 0.1 mm). */
export function normalLevel(grid: Grid, i: number, discharge: number, slope: number): number {
  let low = Infinity;
  for (let j = 0; j < grid.ny; j++) low = Math.min(low, grid.z[j * grid.nx + i]!);
  let high = low + 0.5;
  while (conveyed(grid, i, high, slope) < discharge) high += high - low;
  while (high - low > 1e-4) {
    const middle = 0.5 * (low + high);
    if (conveyed(grid, i, middle, slope) < discharge) low = middle;
    else high = middle;
  }
  return 0.5 * (low + high);
}

/** Lowest and highest bed of column i, m. */
export function columnRange(grid: Grid, i: number): { lowest: number; highest: number } {
  let lowest = Infinity;
  let highest = -Infinity;
  for (let j = 0; j < grid.ny; j++) {
    lowest = Math.min(lowest, grid.z[j * grid.nx + i]!);
    highest = Math.max(highest, grid.z[j * grid.nx + i]!);
  }
  return { lowest, highest };
}

/** Water level at the outlet for a discharge. Throws when it lies under the outlet's bed. */
export function outletLevel(grid: Grid, downstream: Downstream, discharge: number): number {
  const outlet = grid.nx - 1;
  const { lowest } = columnRange(grid, outlet);
  const level =
    downstream.kind === "stage"
      ? downstream.value
      : downstream.kind === "normal"
        ? normalLevel(grid, outlet, discharge, downstream.slope)
        : downstream.h0 + (discharge / downstream.C) ** (1 / downstream.b);
  if (!(level > lowest + 0.02)) {
    throw new InputError("stage-under-bed", { level, lowest }, { path: "downstream" });
  }
  demandBanks(grid, outlet, level, discharge);
  return level;
}

/**
 * Sides that stand so far above the bed between them are banks, m: a flume without any is held by its walls and cannot
 * be overtopped.
 */
const LEAST_BANK = 0.5;

/** Refuses a level that stands over both banks: beyond them nothing is known of the ground. */
function demandBanks(grid: Grid, i: number, level: number, discharge: number): void {
  const [left, right] = [grid.z[i]!, grid.z[(grid.ny - 1) * grid.nx + i]!];
  const { lowest } = columnRange(grid, i);
  if (Math.min(left, right) - lowest < LEAST_BANK || level <= Math.max(left, right)) return;
  throw new InputError("overtops", { discharge, level, left, right }, { path: "discharge" });
}
