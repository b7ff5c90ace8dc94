import type { Method } from "../tactics/methods";
import type { Way } from "./ways";

/** Ways that search water fast; the others take the rest slowly. Common practice, no source. */
const SEARCH: readonly Method[] = ["spinner", "plug", "spoon"];

/** A second rod of the other sort, one searching and one slow, the best of its sort; undefined where there is none. */
export function secondRod(ways: readonly Way[], chosen: Way): Way | undefined {
  const searches = SEARCH.includes(chosen.method);
  return (
    ways.find(({ method }) => SEARCH.includes(method) !== searches) ??
    ways.find(({ method }) => method !== chosen.method)
  );
}
