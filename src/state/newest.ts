import { act } from "./act";

/**
 * Works on the newest of what is asked, one job at a time: a job that has begun is finished, so that something is seen
 * while more comes; what is overtaken before it has begun is passed over. A failure is told as a notice.
 */
export function newest<T>(job: (value: T) => Promise<void>): (value: T) => void {
  let waiting: { value: T } | undefined;
  let running = false;
  return (value) => {
    waiting = { value };
    if (running) return;
    running = true;
    act(async () => {
      try {
        while (waiting) {
          const next: T = waiting.value;
          waiting = undefined;
          await job(next);
        }
      } finally {
        running = false;
      }
    });
  };
}
