import { type Remote, wrap } from "comlink";
import { InputError } from "../core/quantity/fault";

/** A worker and what it can do; a worker that breaks down is ended, told of, and made anew when it is next wanted. */
export interface Client<Api> {
  /** Asks the worker; rejects with an InputError "worker-lost" if it breaks down meanwhile. */
  ask: <T>(work: (api: Remote<Api>) => Promise<T>) => Promise<T>;
}

/**
 * A client of a worker that is made when first wanted.
 * @param make makes the worker, by a literal URL that the bundler sees
 */
export function clientOf<Api>(make: () => Worker): Client<Api> {
  let running: { api: Remote<Api>; lost: Promise<never> } | undefined;
  const start = () => {
    const worker = make();
    const api = wrap<Api>(worker);
    const lost = new Promise<never>((_, reject) => {
      const end = () => {
        worker.terminate();
        // A late word from one that is gone already does not end its successor.
        if (running?.api === api) running = undefined;
        reject(new InputError("worker-lost"));
      };
      worker.addEventListener("error", end);
      worker.addEventListener("messageerror", end);
    });
    // Nobody may be waiting when it breaks down.
    lost.catch(() => undefined);
    return { api, lost };
  };
  return {
    ask: (work) => {
      running ??= start();
      return Promise.race([work(running.api), running.lost]);
    },
  };
}
