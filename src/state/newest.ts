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
    const next = async (): Promise<void> => {
      const taken = waiting;
      waiting = undefined;
      if (!taken) return void (running = false);
      // A job that fails does not take the newer value with it.
      await job(taken.value).finally(() => act(next));
    };
    act(next);
  };
}
