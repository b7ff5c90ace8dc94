/**
 * Runs one job at a time and keeps only the newest of those that wait: for workers asked faster than they can answer.
 */
export class Latest {
  private busy = false;
  private waiting: (() => Promise<void>) | undefined;

  ask(job: () => Promise<void>): void {
    this.waiting = job;
    if (!this.busy) void this.go();
  }

  private async go(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const job = this.waiting;
      this.waiting = undefined;
      try {
        await job();
      } catch {
        // A worker that fails leaves what is shown as it was; the next job has its own chance.
      }
    }
    this.busy = false;
  }
}
