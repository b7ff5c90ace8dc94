import { InputError } from "./fault";

/**
 * A request as JSON, from the line or a file; what it holds is still to be checked.
 * @throws InputError "request-not-json"
 */
export function readRequest(text: string, file?: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new InputError("request-not-json", { message: (error as Error).message }, { file });
  }
}
