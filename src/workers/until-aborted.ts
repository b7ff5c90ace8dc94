import { asFault } from "../core/quantity/answer";
import { type Client, WorkerEnded } from "./client";
import type { Outcome } from "./drive";

/** A cancel is heard within so long, ms. */
const STOPPED_WITHIN = 800;

/**
 * Runs work of a worker until its end or until the signal is aborted; anew, if the worker was ended because another's
 * stop was not heard. Never rejects.
 */
export async function untilAborted<T>(
  client: Client<{ cancel: () => void }>,
  signal: AbortSignal,
  work: () => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  let late: ReturnType<typeof setTimeout> | undefined;
  const cancel = () => {
    client.ask((api) => api.cancel()).catch(() => undefined);
    // One that does not hear it is ended: stop always stops.
    late = setTimeout(() => client.end(), STOPPED_WITHIN);
  };
  signal.addEventListener("abort", cancel, { once: true });
  try {
    for (;;) {
      if (signal.aborted) return { ok: false, cancelled: true };
      try {
        return await work();
      } catch (error) {
        if (signal.aborted || error instanceof WorkerEnded) continue;
        return { ok: false, cancelled: false, fault: asFault(error) };
      }
    }
  } finally {
    clearTimeout(late);
    signal.removeEventListener("abort", cancel);
  }
}
