import { overWindow } from "./averaging";
import { coarsen, type Field, type Grid } from "./grid";
import type { Downstream } from "./reach-schema";
import { ShallowWater } from "./solver";
import { outletLevel } from "./stage";
import { interpolateState, scaled } from "./start";
import { fieldOf, stateOf } from "./steady";
import { finish } from "./steps";

/** Cell of the picture that follows a hand, m: coarse enough for many a second. */
const LIVE_CELL = 2;
/** A narrow reach is followed on finer cells: it must be so many across. */
const LEAST_ACROSS = 12;
/** Model time that each picture goes on, s, and the last part of it that is averaged. */
const AHEAD = 24;
const AVERAGED = 12;
/** Steps in that time on the finest of cells. */
const MOST_STEPS = 100_000;

/** A bed on the cells of the live picture. */
export function liveGrid(grid: Grid): Grid {
  const across = Math.floor(grid.ny / LEAST_ACROSS);
  return coarsen(grid, Math.max(1, Math.min(Math.round(LIVE_CELL / grid.cell), across)));
}

/**
 * One picture of the flow on a bed that is being shaped, from the field before, whatever bed or cells that was on: the
 * water is let run on for a while, and is not waited for to settle.
 */
export function liveField(grid: Grid, options: { discharge: number; downstream: Downstream }, before: Field): Field {
  const { discharge } = options;
  const level = outletLevel(grid, options.downstream, discharge);
  const from = stateOf(before);
  const start = interpolateState(
    before.discharge === discharge ? from : scaled(from, discharge / before.discharge),
    grid,
  );
  const water = new ShallowWater(grid, {
    upstream: { kind: "inflow", discharge },
    downstream: { kind: "level", level },
    longestStep: 2,
  });
  try {
    water.setState(start.depth, start.u, start.v);
    water.run(MOST_STEPS, AHEAD - AVERAGED);
    const window = finish(overWindow(water, AVERAGED, MOST_STEPS));
    return fieldOf(grid, window, discharge, "not-converged", water.steps);
  } finally {
    water.release();
  }
}
