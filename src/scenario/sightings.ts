import { membersOf, rougher, type Unsure, USUAL_DOUBT } from "../core/flow/ensemble";
import type { Field } from "../core/flow/grid";
import { guessedBed } from "../core/flow/guessed-bed";
import { rasteriseReach } from "../core/flow/rasterise";
import { checkReach } from "../core/flow/reach";
import { steadyFlow } from "../core/flow/steady";
import { telling } from "../core/flow/steps";
import { cellOf, covers } from "./field";
import { readReach } from "./read";
import type { ReachReading } from "./reading";
import { type EnsembleRequest, type Robustness, robustnessOf, type Sighting } from "./robustness";

/** Cells of the members, m: 1 m, where depths are near converged, to a quarter more. */
const CELLS = [1, 1.25] as const;

export const unsureOf = ({ reach, band }: EnsembleRequest): Unsure => {
  const cell = cellOf(reach);
  return { ...USUAL_DOUBT, discharge: band, cell: [Math.max(cell, CELLS[0]), Math.max(cell, CELLS[0]) * CELLS[1]] };
};

/** Solves and reads the members one after another, each from the field before; yields the share done, 0..1. */
export function* sightings(request: EnsembleRequest, near?: Field): Generator<number, Sighting[]> {
  const reach = checkReach(request.reach);
  const seen: Sighting[] = [];
  let before = near;
  const members = membersOf(unsureOf(request));
  for (const [index, member] of members.entries()) {
    const grid = rougher(rasteriseReach(guessedBed(reach, index), member.cell), member.roughness);
    const work = steadyFlow(grid, {
      discharge: member.discharge,
      downstream: reach.downstream,
      levelShift: member.level,
      near: before && covers(before, grid) ? before : undefined,
    });
    before = yield* telling(work, (step) => (index + step.done) / members.length);
    seen.push(sightingOf(readReach(before, request.reading)));
  }
  return seen;
}

const sightingOf = ({ lies, seams }: ReachReading): Sighting => ({
  lies: lies.flatMap(({ x, y, score, others }) => [{ x, y, score }, ...others]),
  seams: seams.map(({ points }) => points.map(([x, y]) => [x, y] as const)),
});

/** How often each lie and seam of a reading is there, worked out whole. */
export function* robustness(
  request: EnsembleRequest,
  reading: Pick<ReachReading, "lies" | "seams">,
  near?: Field,
): Generator<number, Robustness> {
  return robustnessOf(reading, yield* sightings(request, near));
}
