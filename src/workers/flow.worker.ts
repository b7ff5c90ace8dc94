import { expose } from "comlink";
import { type Fault, faultOf } from "../core/errors";
import type { Field } from "../core/flow/grid";
import { layReach } from "../core/flow/lay";
import { checkReach, type Reach } from "../core/flow/reach";
import { type Progress, steadyFlow } from "../core/flow/steady";

export type Solved = { ok: true; field: Field } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault };

/** Slices of work end after this long, ms, so that a cancel is heard. */
const SLICE = 40;
let wanted = 0;

/** A field may start another on finer cells, if both lie on the same ground. */
const covers = (near: Field, grid: { nx: number; ny: number; cell: number }): boolean =>
  Math.abs(near.nx * near.cell - grid.nx * grid.cell) <= near.cell && Math.abs(near.ny * near.cell - grid.ny * grid.cell) <= near.cell;

const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

const api = {
  /** Solves a reach at a discharge on cells of `cell` m. A newer call, or cancel(), ends an older one. */
  async solve(reach: Reach, discharge: number, cell: number, near: Field | undefined, onProgress: (progress: Progress) => void): Promise<Solved> {
    const ticket = ++wanted;
    try {
      const grid = layReach(checkReach(reach), cell);
      const start = near && covers(near, grid) ? near : undefined;
      const work = steadyFlow(grid, { discharge, downstream: reach.downstream, near: start });
      let until = performance.now() + SLICE;
      for (;;) {
        const step = work.next();
        if (step.done) return { ok: true, field: step.value };
        const now = performance.now();
        if (step.value.picture) onProgress(step.value);
        if (now < until) continue;
        if (!step.value.picture) onProgress(step.value);
        await breathe();
        if (ticket !== wanted) return { ok: false, cancelled: true };
        until = performance.now() + SLICE;
      }
    } catch (error) {
      return { ok: false, cancelled: false, fault: faultOf(error) };
    }
  },
  cancel(): void {
    wanted++;
  },
};

export type FlowApi = typeof api;
expose(api);
