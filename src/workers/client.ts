import { type Remote, wrap } from "comlink";
import { InputError } from "../core/quantity/fault";

/** What every worker answers, so that it is known to live (alive.ts). */
export interface Alive {
  alive: () => void;
}

/** Code of the fault of a worker that broke down, hung or never started. */
export const WORKER_LOST = "worker-lost";

/** The worker was ended because another's stop was not heard: nothing is wrong, and who waits may ask again. */
export class WorkerEnded extends InputError {
  constructor() {
    super(WORKER_LOST);
  }
}

/** A worker and what it can do; a worker that breaks down is ended, told of, and made anew when it is next wanted. */
export interface Client<Api> {
  /** Asks the worker; rejects with an InputError "worker-lost" if it breaks down, hangs or never starts meanwhile. */
  ask: <T>(work: (api: Remote<Api>) => Promise<T>) => Promise<T>;
  /** Ends the worker, if it runs; all that waits for it is rejected with WorkerEnded. */
  end: () => void;
}

/** While something is waited for, the worker is asked so often whether it lives, ms. */
const BEAT = 1000;
/**
 * Beats in a row without an answer after which it is given up: long records are read in one go. Beats are counted, and
 * not seconds, since a page that sleeps hears nothing.
 */
const PATIENCE = 30;

interface Running<Api> {
  api: Remote<Api & Alive>;
  lost: Promise<never>;
  end: (why: InputError) => void;
  waiting: number;
  /** It has answered once. */
  heard: boolean;
  timer: ReturnType<typeof setInterval> | undefined;
}

/**
 * A client of a worker that is made when first wanted.
 * @param make makes the worker, by a literal URL that the bundler sees
 * @param patience beats in a row that it may be silent
 */
export function clientOf<Api>(make: () => Worker, patience = PATIENCE): Client<Api> {
  let running: Running<Api> | undefined;

  const start = (): Running<Api> => {
    const worker = make();
    const api = wrap<Api & Alive>(worker);
    let end!: (why: InputError) => void;
    const lost = new Promise<never>((_, reject) => {
      end = (why) => {
        worker.terminate();
        clearInterval(own.timer);
        // A late word from one that is gone already does not end its successor.
        if (running === own) running = undefined;
        reject(why);
      };
      for (const fails of ["error", "messageerror"])
        worker.addEventListener(fails, () => end(new InputError(WORKER_LOST)));
    });
    // Nobody may be waiting when it breaks down.
    lost.catch(() => undefined);
    const own: Running<Api> = { api, lost, end: (why) => end(why), waiting: 0, heard: false, timer: undefined };
    return own;
  };

  const watch = (one: Running<Api>) => {
    let silent = 0;
    let asked = false;
    // One that has never answered may still be on its way over a slow network.
    const borne = () => (one.heard ? patience : Math.max(patience, PATIENCE));
    one.timer = setInterval(() => {
      if (!asked) {
        asked = true;
        const answered = () => {
          asked = false;
          silent = 0;
          one.heard = true;
        };
        (one.api as Remote<Alive>).alive().then(answered, answered);
      } else if (++silent >= borne()) one.end(new InputError(WORKER_LOST));
    }, BEAT);
  };

  return {
    ask: async (work) => {
      const one = (running ??= start());
      if (one.waiting++ === 0) watch(one);
      try {
        return await Promise.race([work(one.api as unknown as Remote<Api>), one.lost]);
      } finally {
        if (--one.waiting === 0) clearInterval(one.timer);
      }
    },
    end: () => running?.end(new WorkerEnded()),
  };
}
