import { asFault } from "../core/quantity/answer";
import type { Fault } from "../core/quantity/fault";
import { message } from "../core/quantity/message";

/** Names of an error of the database and of the one that it stands for. */
export const namesOf = (error: unknown): string[] => {
  const { name, inner } = (error ?? {}) as { name?: string; inner?: { name?: string } };
  return [inner?.name, name].filter((one) => one !== undefined);
};

/** Errors of the browser's store itself: not of what was to be kept. */
const STORE_ERRORS = new Set([
  "QuotaExceededError",
  "AbortError",
  "DatabaseClosedError",
  "InvalidStateError",
  "MissingAPIError",
  "OpenFailedError",
  "ReadOnlyError",
  "SecurityError",
  "TimeoutError",
  "TransactionInactiveError",
  "UnknownError",
  "VersionChangeError",
  "VersionError",
  "DataError",
  "ModifyError",
  "BulkError",
]);

/** Faults that an error of the store is told by. */
const TOLD: readonly string[] = ["disk-full", "not-kept"];

/** Any error of a command as a fault; one of the browser's store as "disk-full" or "not-kept". */
export function storeFault(error: unknown): Fault {
  const names = namesOf(error);
  if (names.includes("QuotaExceededError")) return message("disk-full");
  const fault = asFault(error);
  const failed = fault.code === "internal" || names.some((name) => STORE_ERRORS.has(name));
  return failed && !TOLD.includes(fault.code) ? message("not-kept", { detail: String(fault.values.detail) }) : fault;
}

/** Did the browser's store fail, so that the same write may go through elsewhere? */
export const isStoreFailure = (error: unknown): boolean =>
  TOLD.includes(asFault(error).code) || namesOf(error).some((name) => STORE_ERRORS.has(name));

/** May the same be done later: was it the store, or a part of the application that did not come? */
export const mayBeRepeated = (error: unknown): boolean =>
  isStoreFailure(error) || asFault(error).code === "part-not-fetched";
