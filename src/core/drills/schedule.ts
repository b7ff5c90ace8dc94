import { DAY, MINUTE } from "../gauge/series";

/** What is known of one drill: its box, when it is due, how often it was tried, and the best that was scored. */
export interface Card {
  box: number;
  /** ms */
  due: number;
  tries: number;
  /** 0..100 */
  best: number;
}

/** A drill comes back after so long, ms, the later the more often it was right (Leitner's boxes, 1972; from memory). */
export const BOXES = [10 * MINUTE, DAY, 3 * DAY, 7 * DAY, 21 * DAY] as const;
/** From here on it was right. Common practice, no source. */
export const PASSED = 60;

/** The card after a try: what was missed comes back soon, what was right later each time. */
export function afterTry(card: Card | undefined, score: number, now: number): Card {
  const right = score >= PASSED;
  const box = right ? Math.min(BOXES.length - 1, (card?.box ?? 0) + 1) : 0;
  return {
    box,
    due: now + BOXES[right ? box : 0]!,
    tries: (card?.tries ?? 0) + 1,
    best: Math.max(card?.best ?? 0, score),
  };
}

/**
 * Which drill is next: one that is due, longest first; else one never tried, in their order; else what is due
 * soonest.
 */
export function nextDrill<T extends string>(
  order: readonly T[],
  cards: Readonly<Record<string, Card>>,
  now: number,
): T {
  const known = order.filter((id) => cards[id]);
  const soonest = [...known].sort((a, b) => cards[a]!.due - cards[b]!.due)[0];
  if (soonest && cards[soonest]!.due <= now) return soonest;
  return order.find((id) => !cards[id]) ?? soonest ?? order[0]!;
}
