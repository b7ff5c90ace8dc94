import type { Field } from "../core/flow/grid";
import { liveField, liveGrid } from "../core/flow/live";
import { rasteriseReach } from "../core/flow/rasterise";
import { checkReach } from "../core/flow/reach";
import { asKept } from "../core/flow/precomputed";
import type { ThreadPool } from "../core/flow/thread-pool";
import { type Progress, steadyFlow } from "../core/flow/steady";
import { covers, type FieldRequest } from "./field";

// Apart from field.ts, so that a page carries the names of fields without the solver.

/** A quick picture of the flow while the bed is being shaped, from the field before. */
export function followField({ reach, discharge }: FieldRequest, before: Field): Field {
  const checked = checkReach(reach);
  return liveField(liveGrid(rasteriseReach(checked)), { discharge, downstream: checked.downstream }, before);
}

/** Solves the field, in slices; started from a field near by where there is one on the same ground. */
export function* solveField(request: FieldRequest, near?: Field, pool?: ThreadPool): Generator<Progress, Field> {
  const reach = checkReach(request.reach);
  const grid = rasteriseReach(reach, request.cell);
  const field = yield* steadyFlow(grid, {
    discharge: request.discharge,
    downstream: reach.downstream,
    near: near && covers(near, grid) ? near : undefined,
    pool,
  });
  return asKept(field);
}
