import { habitsOf } from "../fish/species-habits";
import type { Drill } from "../fish/species-record";
import { METHOD, type Method } from "./methods";
import type { Retrieve } from "./retrieve-kinds";

/** A bait that is laid, but dragged or lifted instead of left: it is fished as what is cast. */
export const isMoved = (method: Method, retrieve?: Retrieve): boolean =>
  METHOD[method].worked.startsWith("laid") && retrieve !== undefined && retrieve !== "hold";

/**
 * How a method works a lie of a fish: a laid bait is waited on, whatever its fish is else worked like; one that is
 * moved is worked as its fish is.
 */
export function drillFor(method: Method, species: string, retrieve?: Retrieve): Drill {
  const { drill } = habitsOf(species);
  switch (isMoved(method, retrieve) ? "as-fish" : METHOD[method].worked) {
    case "laid":
    case "laid-long":
      return "soak";
    case "drifted":
      return "drift";
    case "as-fish":
      // A lure does not lie and wait.
      return drill === "soak" ? "drift" : drill;
  }
}
