import type { CONDITIONS, FINS, HOOKED, LostCause, SEAM_SIDES, TAKE_PHASES } from "../core/book/records";
import type { LengthKind } from "../core/book/weights";

export const LOST_WORDS: Record<LostCause, string> = {
  "pulled-out": "hook pulled out",
  straightened: "hook straightened",
  broke: "line broke",
  frayed: "line frayed through",
  snagged: "lost in a snag",
  "at-the-net": "lost at the net",
  unknown: "lost, cause unknown",
};
export const LENGTH_WORDS: Record<LengthKind, string> = {
  total: "to the tips of the tail",
  pinched: "tail pinched",
  fork: "to the fork",
};
export const FIN_WORDS: Record<(typeof FINS)[number], string> = {
  whole: "whole",
  clipped: "clipped",
  partial: "partly clipped",
};
export const CONDITION_WORDS: Record<(typeof CONDITIONS)[number], string> = {
  fat: "fat",
  spent: "spent",
  marked: "marked",
};
export const HOOKED_WORDS: Record<(typeof HOOKED)[number], string> = {
  lip: "lip",
  mouth: "inside the mouth",
  throat: "throat",
  outside: "outside",
};
export const PHASE_WORDS: Record<(typeof TAKE_PHASES)[number], string> = {
  fall: "on the fall",
  pause: "on the pause",
  lift: "on the lift",
  swing: "on the swing",
  "end-of-drift": "at the end of the drift",
};
export const SIDE_WORDS: Record<(typeof SEAM_SIDES)[number], string> = {
  slow: "slow side",
  on: "on the seam",
  fast: "fast side",
};
