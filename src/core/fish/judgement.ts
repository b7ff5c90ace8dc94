/**
 * Of one judgement follow what kind of lie a place is, whether it is told at all, and at which flows it fishes: a place
 * pays that stands out from the water by that factor of its median (even water has no lies), and is worth that share of
 * the best place at the flow. Common practice, no source.
 */
const STANDS_OUT = 1.1;
const WORTH = 0.5;

/** What a score is judged against: the best place at the flow, and the middle of the water that a fish can hold in. */
export interface ScoreScale {
  best: number;
  medianScore: number;
}

/** What a place must score to pay. */
export const needed = ({ best, medianScore }: ScoreScale): number => Math.max(WORTH * best, STANDS_OUT * medianScore);

export const pays = (score: number, at: ScoreScale): boolean => score > 0 && score >= needed(at);

/** Does a lie only shelter a fish that lives off the drift? One on the run rests where it pays to stop. */
export const isShelter = ({ kind, drift }: { kind: string; drift: number | null }): boolean =>
  kind === "resting" && drift !== null;
