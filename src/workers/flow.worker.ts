import { expose } from "comlink";
import { calibrate, type Calibration } from "../core/flow/calibrate";
import type { Field } from "../core/flow/grid";
import { checkReach } from "../core/flow/reach";
import type { Reach } from "../core/flow/reach-schema";
import type { Progress } from "../core/flow/steady";
import { asFault } from "../core/quantity/answer";
import type { Fault } from "../core/quantity/fault";
import { type FieldRequest, followField, solveField } from "../scenario/field";
import { crewOf } from "./crew";

/** What came of long work: its value, a cancel, or a fault. */
export type Outcome<T> =
  { ok: true; value: T } | { ok: false; cancelled: true } | { ok: false; cancelled: false; fault: Fault };

/** Slices of work end after this long, ms, so that a cancel is heard. */
const SLICE = 20;
let wanted = 0;
/** While a hand shapes the bed, solving waits until it has been still for so long, ms. */
const HAND = 300;
let handUntil = 0;

/** Threads for what is looked at; the precomputed flows share the cores among themselves, a worker each. */
const crew = crewOf(
  navigator.hardwareConcurrency || 1,
  self.crossOriginIsolated,
  () => new Worker(new URL("./crew.worker.ts", import.meta.url), { type: "module" }),
);

// A message to itself lets others in at once, where a timer would wait 4 ms each time.
const channel = new MessageChannel();
const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    channel.port1.onmessage = () => resolve();
    channel.port2.postMessage(0);
  });

/** Runs work in slices until its end, or until a newer job or a cancel has taken its ticket. */
async function drive<Step, Result>(
  work: Generator<Step, Result>,
  onStep: (step: Step, sliceEnds: boolean) => unknown,
): Promise<Outcome<Result>> {
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
      while (performance.now() < handUntil && ticket === wanted)
        await new Promise((resolve) => setTimeout(resolve, HAND / 6));
      if (ticket !== wanted) {
        // Lets the solver's threads go.
        work.return(undefined as never);
        return { ok: false, cancelled: true };
      }
      until = performance.now() + SLICE;
    }
  } catch (error) {
    return { ok: false, cancelled: false, fault: asFault(error) };
  }
}

const api = {
  /** Solves a field, `alone` or with other threads. A newer call, or cancel(), ends an older one. */
  solve: (
    request: FieldRequest,
    near: Field | undefined,
    alone: boolean,
    onProgress: (progress: Progress) => void,
  ): Promise<Outcome<Field>> =>
    drive(
      solveField(request, near, alone ? undefined : crew),
      (step, ends) => (ends || step.picture) && onProgress(step),
    ),
  /** A quick picture of a bed that is being shaped: one slice of work. What is being solved waits meanwhile. */
  follow(request: FieldRequest, before: Field): Outcome<Field> {
    handUntil = performance.now() + HAND;
    try {
      return { ok: true, value: followField(request, before) };
    } catch (error) {
      return { ok: false, cancelled: false, fault: asFault(error) };
    }
  },
  /** Fits a reach to its readings; `onProgress` hears 0..1. */
  calibrate: (reach: Reach, cell: number, onProgress: (done: number) => void): Promise<Outcome<Calibration>> => {
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
