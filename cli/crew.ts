import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { THREADED } from "../src/core/flow/kernel-threaded";
import type { Crew } from "../src/core/flow/solver";

/** More than four gain little: bands get thin, and all wait for the slowest. */
const MOST = 4;

/** What each thread does: an instance of its own on the shared memory, serving until it is told to end. */
const SERVE = `
const { parentPort } = require("node:worker_threads");
parentPort.on("message", ({ module, memory, thread }) => {
  new WebAssembly.Instance(module, { env: { memory, abort() {} } }).exports.serve(thread);
});`;

/** Threads of this process for the solver, one for each core but the caller's own; undefined on a single core. */
export function threadCrew(cores = availableParallelism()): (Crew & { end: () => Promise<void> }) | undefined {
  const size = Math.min(MOST, cores) - 1;
  if (size < 1) return undefined;
  const workers = Array.from({ length: size }, () => new Worker(SERVE, { eval: true }));
  for (const worker of workers) worker.unref();
  return {
    size,
    kernel: THREADED,
    serve: (module, memory, threads) =>
      workers.slice(0, threads - 1).forEach((worker, k) => worker.postMessage({ module, memory, thread: k + 1 })),
    end: async () => {
      await Promise.all(workers.map((worker) => worker.terminate()));
    },
  };
}
