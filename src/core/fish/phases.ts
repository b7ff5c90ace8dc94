/** Times of the fish's year in which it lives otherwise. */
export const PHASES = ["spawn", "after", "summer", "staging", "winter"] as const;
export type Phase = (typeof PHASES)[number];
