import { type Fault, faultOf } from "./fault";

/**
 * What came of work that may refuse its input: a value, or the fault, located. For crossing from a worker, where errors
 * lose their kind.
 */
export type Answer<T> = { ok: true; value: T } | { ok: false; fault: Fault };

export function answer<T>(work: () => T): Answer<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    return { ok: false, fault: faultOf(error) };
  }
}
