/**
 * What makes an hour better or worse, each a factor about 1 with the code of its reason: the rules of the trade as
 * visible weights, which the angler's own log confirms or overrules.
 */
export interface Factor {
  what:
    | "river"
    | "clarity"
    | "warmth"
    | "light"
    | "tide"
    | "season"
    | "log"
    | "lies"
    | "band"
    | "size"
    | "relief"
    | "wind"
    | "bait"
    | "known";
  /** What it is, as a code. */
  is: string;
  factor: number;
}
