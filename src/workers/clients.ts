import { proxy, type Remote, wrap } from "comlink";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach";
import type { Progress } from "../core/flow/steady";
import type { Calibrated, FlowApi, Solved } from "./flow.worker";
import type { PictureApi } from "./picture.worker";
import type { ReadApi } from "./read.worker";

let flow: Remote<FlowApi> | undefined;
const ladder: (Remote<FlowApi> | undefined)[] = [];
let fit: Remote<FlowApi> | undefined;
let reading: Remote<ReadApi> | undefined;
let picture: Remote<PictureApi> | undefined;

/** The worker that solves flow; made when first wanted. */
const flowWorker = (): Remote<FlowApi> => (flow ??= newFlowWorker());
/** Others like it for the ladder of flows, one a lane, so that what is looked at never waits for the background. */
const ladderWorker = (lane: number): Remote<FlowApi> => (ladder[lane] ??= newFlowWorker());
/** And one that fits a bed to readings: neither it nor what is looked at ends the other. */
const fitWorker = (): Remote<FlowApi> => (fit ??= newFlowWorker());
const newFlowWorker = (): Remote<FlowApi> =>
  wrap<FlowApi>(new Worker(new URL("./flow.worker.ts", import.meta.url), { type: "module" }));

/** The worker that reads fields, gauge files and rigs. */
export const readWorker = (): Remote<ReadApi> =>
  (reading ??= wrap<ReadApi>(new Worker(new URL("./read.worker.ts", import.meta.url), { type: "module" })));

/** The worker that draws the water. */
export const pictureWorker = (): Remote<PictureApi> =>
  (picture ??= wrap<PictureApi>(new Worker(new URL("./picture.worker.ts", import.meta.url), { type: "module" })));

type Solve = (
  reach: Reach,
  discharge: number,
  cell: number,
  near: Field | undefined,
  onProgress: (progress: Progress) => void,
  signal: AbortSignal,
) => Promise<Solved>;

/** Solves in the worker; aborting the signal ends it within a slice. */
export const solveInWorker: Solve = (...job) => solveIn(flowWorker(), ...job);
/** The same in a worker of the background's own. */
export const solveInBackground = (lane: number, ...job: Parameters<Solve>): Promise<Solved> =>
  solveIn(ladderWorker(lane), ...job);

const solveIn = (
  worker: Remote<FlowApi>,
  ...[reach, discharge, cell, near, onProgress, signal]: Parameters<Solve>
): Promise<Solved> =>
  untilAborted(worker, signal, async () => worker.solve(reach, discharge, cell, near, proxy(onProgress)));

/** Fits a reach to its readings, in a worker of its own. */
export const calibrateInWorker = (
  reach: Reach,
  cell: number,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Calibrated> =>
  untilAborted(fitWorker(), signal, async () => fitWorker().calibrate(reach, cell, proxy(onProgress)));

async function untilAborted<T>(
  worker: Remote<FlowApi>,
  signal: AbortSignal,
  work: () => Promise<T>,
): Promise<T | { ok: false; cancelled: true }> {
  const cancel = () => void worker.cancel();
  signal.addEventListener("abort", cancel, { once: true });
  try {
    if (signal.aborted) return { ok: false, cancelled: true };
    return await work();
  } finally {
    signal.removeEventListener("abort", cancel);
  }
}
