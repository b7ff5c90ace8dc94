import { InputError } from "./fault";

/**
 * A part of the application that comes when it is asked for. One that does not come is told as such: it is no fault of
 * what was entered, nor of the browser's store.
 * @throws InputError "part-not-fetched"
 */
export const fetched = <T>(part: Promise<T>): Promise<T> =>
  part.catch((error: unknown) => {
    throw new InputError("part-not-fetched", { detail: error instanceof Error ? error.message : String(error) });
  });
