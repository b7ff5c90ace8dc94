import { readRequest } from "../src/core/quantity/request";
import { readText } from "./arguments";

/** A request as JSON on the line, in a file, or from standard input. */
export function requestAsked(given: string): unknown {
  return given.trimStart().startsWith("{") ? readRequest(given) : readRequest(readText(given), given);
}
