import { THREADED } from "../core/flow/kernel-threaded";
import type { Crew } from "../core/flow/solver";
import type { Enlisted } from "./crew.worker";

/** More than four gain little: bands get thin, and all wait for the slowest. */
const MOST = 4;

/**
 * Threads of the solver beside the worker that asks: one core is left to the page. None where memory cannot be shared
 * (a page that is not isolated), or where there is no core to spare.
 */
export function crewOf(cores: number, isolated: boolean, make: () => Worker): Crew | undefined {
  const size = isolated ? Math.min(MOST, cores - 1) - 1 : 0;
  if (size < 1) return undefined;
  const workers: Worker[] = [];
  return {
    size,
    kernel: THREADED,
    serve: (compiled, memory, threads) => {
      for (let thread = 1; thread < threads; thread++)
        (workers[thread] ??= make()).postMessage({ compiled, memory, thread } satisfies Enlisted);
    },
  };
}
