import { proxy, type Remote, wrap } from "comlink";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach";
import type { Progress } from "../core/flow/steady";
import type { FlowApi, Solved } from "./flow.worker";
import type { PictureApi } from "./picture.worker";
import type { ReadApi } from "./read.worker";

let flow: Remote<FlowApi> | undefined;
let reading: Remote<ReadApi> | undefined;
let picture: Remote<PictureApi> | undefined;

/** The worker that solves flow; made when first wanted. */
const flowWorker = (): Remote<FlowApi> =>
  (flow ??= wrap<FlowApi>(new Worker(new URL("./flow.worker.ts", import.meta.url), { type: "module" })));

/** The worker that reads fields, gauge files and rigs. */
export const readWorker = (): Remote<ReadApi> =>
  (reading ??= wrap<ReadApi>(new Worker(new URL("./read.worker.ts", import.meta.url), { type: "module" })));

/** The worker that draws the water. */
export const pictureWorker = (): Remote<PictureApi> =>
  (picture ??= wrap<PictureApi>(new Worker(new URL("./picture.worker.ts", import.meta.url), { type: "module" })));

/** Solves in the worker; aborting the signal ends it within a slice. */
export async function solveInWorker(reach: Reach, discharge: number, cell: number, near: Field | undefined, onProgress: (progress: Progress) => void, signal: AbortSignal): Promise<Solved> {
  const worker = flowWorker();
  const cancel = () => void worker.cancel();
  signal.addEventListener("abort", cancel, { once: true });
  try {
    if (signal.aborted) return { ok: false, cancelled: true };
    return await worker.solve(reach, discharge, cell, near, proxy(onProgress));
  } finally {
    signal.removeEventListener("abort", cancel);
  }
}
