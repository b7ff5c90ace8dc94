import { MINUTE } from "../gauge/series";
import type { Effort } from "./effort";

/** Pieces are of half an hour: whole hours of every zone begin on one. */
const PIECE = 30 * MINUTE;

/**
 * Fishing cut at every half hour, for what changes within a session: the clock, the light, the tide, the glass. Hours
 * are spread evenly over its span, and each fish is in the piece of its own time; sums stay as they were.
 */
export const halfHourIntervals = (efforts: readonly Effort[]): Effort[] => efforts.flatMap(cut);

function cut(effort: Effort): Effort[] {
  const { start, end, hours, catches } = effort;
  if (end <= start) return [effort];
  const edges = [start];
  for (let edge = (Math.floor(start / PIECE) + 1) * PIECE; edge < end; edge += PIECE) edges.push(edge);
  const pieces = edges.map((from, k): Effort => {
    const to = edges[k + 1] ?? end;
    return { ...effort, start: from, end: to, hours: (hours * (to - from)) / (end - start), catches: [] };
  });
  // A fish from before the start or after the end is in the first piece or in the last.
  for (const fish of catches) {
    const at = Date.parse(fish.at);
    (pieces.findLast((piece) => piece.start <= at) ?? pieces[0]!).catches.push(fish);
  }
  return pieces;
}

/** Its middle, ms. */
export const middleOf = ({ start, end }: Pick<Effort, "start" | "end">): number => (start + end) / 2;
