/**
 * A queue for something that does one job at a time, such as a worker: jobs wait their turn, and those nobody wants
 * any more are skipped.
 */
export class Queue {
  private last: Promise<unknown> = Promise.resolve();

  /** Runs a job in its turn; rejects with an AbortError when its signal is aborted before. */
  run<T>(job: () => Promise<T>, signal: AbortSignal): Promise<T> {
    const turn = this.last.then(() => {
      signal.throwIfAborted();
      return job();
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }
}
