import type { Kernel } from "./kernel";
import { THREADED } from "./kernel-threaded";

/** More than four threads gain little: bands get thin, and all wait for the slowest. */
export const MOST_THREADS = 4;

/** What a thread is handed to serve a solve: an instance of its own on the shared memory, for its band. */
export interface ThreadTask {
  compiled: WebAssembly.Module;
  memory: WebAssembly.Memory;
  thread: number;
}

/** Other threads that can take part in a solve. */
export interface ThreadPool {
  /** How many, besides the one that calls. */
  readonly size: number;
  /** The kernel that they share memory by. */
  readonly kernel: Kernel;
  /** Has each serve its band, from thread 1, until it is told to end. */
  serve: (compiled: WebAssembly.Module, memory: WebAssembly.Memory, threads: number) => void;
}

/**
 * A pool of helpers.
 * @param helpers those that can be counted on by now: one that has not begun to run would be waited for in vain, since
 *   a thread that waits can start none
 */
export const threadPool = (helpers: () => readonly { postMessage: (message: ThreadTask) => void }[]): ThreadPool => ({
  get size() {
    return helpers().length;
  },
  kernel: THREADED,
  serve: (compiled, memory, threads) =>
    helpers()
      .slice(0, threads - 1)
      .forEach((helper, index) => helper.postMessage({ compiled, memory, thread: index + 1 })),
});
