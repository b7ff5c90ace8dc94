import { expose } from "comlink";
import { type Fault, faultOf } from "../core/quantity/fault";
import { calibrate, type Calibration } from "../core/flow/calibrate";
import type { Field } from "../core/flow/grid";
import { layReach } from "../core/flow/lay";
import { checkReach, type Reach } from "../core/flow/reach";
import { type Progress, steadyFlow } from "../core/flow/steady";

export type Solved =
  { ok: true; field: Field } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault };
export type Calibrated =
  { ok: true; value: Calibration } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault };

/** Slices of work end after this long, ms, so that a cancel is heard. */
const SLICE = 40;
let wanted = 0;

/** A field may start another on finer cells, if both lie on the same ground. */
const covers = (near: Field, grid: { nx: number; ny: number; cell: number }): boolean =>
  Math.abs(near.nx * near.cell - grid.nx * grid.cell) <= near.cell &&
  Math.abs(near.ny * near.cell - grid.ny * grid.cell) <= near.cell;

const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** Runs work in slices until its end, or until a newer job or a cancel has taken its ticket. */
async function drive<Step, Result>(
  work: Generator<Step, Result>,
  onStep: (step: Step, sliceEnds: boolean) => void,
): Promise<
  { ok: true; value: Result } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault }
> {
  const ticket = ++wanted;
  try {
    let until = performance.now() + SLICE;
    for (;;) {
      const step = work.next();
      if (step.done) return { ok: true, value: step.value };
      const ends = performance.now() >= until;
      onStep(step.value, ends);
      if (!ends) continue;
      await breathe();
      if (ticket !== wanted) return { ok: false, cancelled: true };
      until = performance.now() + SLICE;
    }
  } catch (error) {
    return { ok: false, cancelled: false, fault: faultOf(error) };
  }
}

const api = {
  /** Solves a reach at a discharge on cells of `cell` m. A newer call, or cancel(), ends an older one. */
  async solve(
    reach: Reach,
    discharge: number,
    cell: number,
    near: Field | undefined,
    onProgress: (progress: Progress) => void,
  ): Promise<Solved> {
    function* work(): Generator<Progress, Field> {
      const grid = layReach(checkReach(reach), cell);
      return yield* steadyFlow(grid, {
        discharge,
        downstream: reach.downstream,
        near: near && covers(near, grid) ? near : undefined,
      });
    }
    const answer = await drive(work(), (step, ends) => (ends || step.picture) && onProgress(step));
    return answer.ok ? { ok: true, field: answer.value } : answer;
  },
  /** Fits a reach to its readings; `onProgress` hears 0..1. */
  calibrate: (reach: Reach, cell: number, onProgress: (done: number) => void): Promise<Calibrated> => {
    function* work(): Generator<number, Calibration> {
      const checked = checkReach(reach);
      return yield* calibrate(checked, checked.readings ?? [], cell);
    }
    return drive(work(), (done, ends) => ends && onProgress(done));
  },
  cancel(): void {
    wanted++;
  },
};

export type FlowApi = typeof api;
expose(api);
