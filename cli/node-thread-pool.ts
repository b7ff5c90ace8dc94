import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { type ThreadPool, threadPool, MOST_THREADS } from "../src/core/flow/thread-pool";
import { hostOf } from "../src/core/flow/kernel";

/** What each thread does: serves its band with an instance of its own (workers/thread.worker.ts is the browser's). */
const SERVE = `
const { parentPort } = require("node:worker_threads");
const hostOf = ${hostOf.toString()};
parentPort.on("message", ({ compiled, memory, thread }) => {
  new WebAssembly.Instance(compiled, hostOf(memory)).exports.serve(thread);
});`;

/**
 * Threads of this process for the solver, one for each core but the caller's own; undefined on a single core. They are
 * begun when a solve first wants them; Node starts them while the caller waits.
 */
export function nodeThreadPool(
  cores = availableParallelism(),
): (ThreadPool & { end: () => Promise<void> }) | undefined {
  const size = Math.min(MOST_THREADS, cores) - 1;
  if (size < 1) return undefined;
  const workers: Worker[] = [];
  const pool = threadPool(() => {
    while (workers.length < size) {
      const worker = new Worker(SERVE, { eval: true });
      worker.unref();
      workers.push(worker);
    }
    return workers;
  });
  return {
    size,
    kernel: pool.kernel,
    serve: pool.serve,
    end: async () => {
      await Promise.all(workers.map((worker) => worker.terminate()));
    },
  };
}
