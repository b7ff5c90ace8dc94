import type { RigRequest } from "./request";

/**
 * What the bank has taught of one method's rig: the line's pull over what is worked out, and the drag of a lure, m2.
 */
export interface Learned {
  pull: number;
  dragArea?: number;
}

/** One word from the bed moves the line's pull by so much, up to so much in all. Common practice, no source. */
const STEP = 1.2;
const LIMITS = { least: 1 / 3, most: 3 };

/** From what the bed says: a weight that never touches is pulled harder than was worked out, one that drags less. */
export function learnedFrom({ pull, ...rest }: Learned, said: "never-touches" | "drags"): Learned {
  const next = said === "never-touches" ? pull * STEP : pull / STEP;
  return { ...rest, pull: Math.min(LIMITS.most, Math.max(LIMITS.least, next)) };
}

/** Nothing was learned yet. */
export const UNLEARNED: Learned = { pull: 1 };

/** A request as the bank has taught it; what the box says of a lure's drop goes first. */
export const withLearned = (request: RigRequest, { pull, dragArea }: Learned): RigRequest => ({
  ...request,
  tackle: { ...(dragArea !== undefined && { dragArea }), ...request.tackle, pullFactor: pull },
});
