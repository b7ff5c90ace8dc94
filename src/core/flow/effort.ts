import type { Reach } from "./reach-schema";
import { templateCells } from "./template";

/**
 * How long a solve will take, before it begins. Work grows with the wet cells of the finest grid and the steps to its
 * settling, which hang little on its size (bench: 1,300 to 3,000 steps from 7 to 450 thousand cells); the coarser grids
 * add a quarter.
 */

/** Steps on the finest grid that the middle one of the bench's solves took. */
const STEPS = 1800;
const COARSER = 1.25;
/** Share of a grid that is wet: banks and bars are passed over. */
const WET = 0.65;
/** s a wet cell and step on one thread of the machine it was built on (bench), until this one has shown its own. */
const USUAL_PACE = 95e-9;

/** About how many cells a reach's finest grid has; soundings and sections by their extent, without being laid. */
export function cellsOf({ bed }: Reach): number {
  if (bed.kind === "grid") return bed.nx * bed.ny;
  if (bed.kind === "template") {
    const { nx, ny } = templateCells(bed);
    return nx * ny;
  }
  const points =
    bed.kind === "soundings"
      ? bed.points
      : bed.sections.flatMap(({ x, points: own }) => own.map(({ y }) => ({ x, y })));
  const across = (of: (point: { x: number; y: number }) => number) => {
    let [least, most] = [Infinity, -Infinity];
    for (const point of points) [least, most] = [Math.min(least, of(point)), Math.max(most, of(point))];
    return most - least;
  };
  return (across(({ x }) => x) * across(({ y }) => y)) / bed.cell ** 2;
}

/** Seconds a solve of so many cells is expected to take at a pace, s a wet cell and step. */
export const expectedSeconds = (cells: number, pace = USUAL_PACE): number => cells * WET * STEPS * COARSER * pace;

/** The pace that a solve has shown: its seconds over its steps on the finest grid and the cells wet there. */
export const paceOf = (seconds: number, steps: number, wetCells: number): number =>
  seconds / (steps * wetCells * COARSER);
