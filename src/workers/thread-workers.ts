import { type ThreadPool, threadPool, MOST_THREADS } from "../core/flow/thread-pool";

/** Threads beside the worker that asks: one core is left to the page. None where memory cannot be shared. */
export const helpersFor = (cores: number, isolated: boolean): number =>
  isolated ? Math.max(0, Math.min(MOST_THREADS, cores - 1) - 1) : 0;

/**
 * Helpers for the solver, begun when they are first wanted. One counts from when it says that it runs, and no more once
 * it has broken down: a solve that begins before has fewer threads, and never waits for one that is not there.
 */
export class ThreadWorkers {
  private readonly all: Worker[] = [];
  private ready: Worker[] = [];
  readonly pool: ThreadPool = threadPool(() => this.ready);

  constructor(private readonly make: () => Worker) {}

  /** Sees to it that there are so many. */
  enlist(count: number): void {
    while (this.all.length < count) {
      const worker = this.make();
      this.all.push(worker);
      worker.addEventListener("message", () => this.ready.push(worker), { once: true });
      worker.addEventListener("error", () => (this.ready = this.ready.filter((one) => one !== worker)));
    }
  }
}
