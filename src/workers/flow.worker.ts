import { fitReach, type ReachFit } from "../core/flow/fit-reach";
import type { Field } from "../core/flow/grid";
import { checkReach } from "../core/flow/reach";
import type { Reach } from "../core/flow/reach-schema";
import type { Progress } from "../core/flow/steady";
import { asFault } from "../core/quantity/answer";
import type { FieldRequest } from "../scenario/field";
import { followField, solveField } from "../scenario/solve";
import type { EnsembleRequest, Robustness } from "../scenario/robustness";
import { robustness } from "../scenario/sightings";
import type { ReachReading } from "../scenario/reading";
import { ThreadWorkers } from "./thread-workers";
import { cancel, drive, giveWay, type Outcome } from "./drive";
import { offer } from "./alive";

const helpers = new ThreadWorkers(
  () => new Worker(new URL("./thread.worker.ts", import.meta.url), { type: "module", name: "solver helper" }),
);

const api = {
  /** Solves a field with so many threads besides its own. A newer call, or cancel(), ends an older one. */
  solve: (
    request: FieldRequest,
    near: Field | undefined,
    threads: number,
    onProgress: (progress: Progress) => void,
  ): Promise<Outcome<Field>> => {
    helpers.enlist(threads);
    const work = solveField(request, near, threads > 0 ? helpers.pool : undefined);
    return drive(work, (step, ends) => (ends || step.picture) && onProgress(step));
  },
  /** A quick picture of a bed that is being shaped: one slice of work. What is being solved waits meanwhile. */
  follow(request: FieldRequest, before: Field): Outcome<Field> {
    giveWay();
    try {
      return { ok: true, value: followField(request, before) };
    } catch (error) {
      return { ok: false, cancelled: false, fault: asFault(error) };
    }
  },
  /** Fits a reach to its readings; `onProgress` hears 0..1. */
  fit: (reach: Reach, cell: number, onProgress: (done: number) => void): Promise<Outcome<ReachFit>> => {
    function* work(): Generator<number, ReachFit> {
      const checked = checkReach(reach);
      return yield* fitReach(checked, checked.readings ?? [], cell);
    }
    return drive(work(), (done, ends) => ends && onProgress(done));
  },
  /** How often what a field shows is there where all that is not known is moved. */
  robustness: (
    request: EnsembleRequest,
    reading: Pick<ReachReading, "lies" | "seams">,
    near: Field,
  ): Promise<Outcome<Robustness>> => drive(robustness(request, reading, near), () => undefined),
  cancel,
};

export type FlowApi = typeof api;
offer(api);
