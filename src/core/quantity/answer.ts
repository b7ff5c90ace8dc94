import { type Fault, InputError } from "./fault";
import { message } from "./message";

/**
 * What came of work that may refuse its input: a value, or the fault, located. For crossing from a worker, where errors
 * lose their kind.
 */
export type Answer<T> = { ok: true; value: T } | { ok: false; fault: Fault };

/** Any error as a fault: what was refused as it was, a defect of ours by its own words. Never throws. */
export function asFault(error: unknown): Fault {
  if (error instanceof InputError) return error.fault;
  // Errors lose their class when they cross from a worker, but keep their name and fields.
  if (typeof error === "object" && error !== null && "fault" in error) return (error as { fault: Fault }).fault;
  const detail = error instanceof Error ? error.message : String(error);
  return message("internal", { detail: detail.split("\n")[0]!.slice(0, 300) });
}

export function answer<T>(work: () => T): Answer<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    return { ok: false, fault: asFault(error) };
  }
}

export async function answerLater<T>(work: () => Promise<T>): Promise<Answer<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    return { ok: false, fault: asFault(error) };
  }
}
