import type { Reason } from "./reasons";

/** What a place is worth to a fish, and what that is made of. */
export interface ScoreField {
  /** NaN where the fish cannot hold. Compares places of one species on one day. */
  score: Float64Array;
  /** Speed at the fish's own height, m/s. */
  focalSpeed: Float64Array;
  /** Score is the product of these, cell by cell. */
  factors: Record<string, ArrayLike<number>>;
  /** What the model itself has to say of a cell. */
  reasons: (k: number) => Reason[];
}
