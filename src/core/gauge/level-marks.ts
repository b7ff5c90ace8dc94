import { dischargeAt, fitRating, type Rated, type Rating } from "./rating";

/** The water's level at a mark of the angler's own: a staff, or a stone that is just covered. */
export interface LevelReading {
  /** ms since 1970 UTC */
  at: number;
  mark: string;
  /** m over the mark; below 0 it stands out of the water. */
  level: number;
  /** m3/s, where it was known then. */
  discharge: number | null;
}

/** A mark, and what its readings make of it. */
export interface LevelMark {
  name: string;
  readings: number;
  /** Readings with a flow. */
  pairs: number;
  /** Null where they bear no rating yet. */
  rating: Rating | null;
  last: LevelReading;
  /** The flow that the last level means. */
  flow: Rated | null;
}

/** One mark under one name, however it is typed. */
const keyOf = (mark: string): string => mark.trim().toLowerCase();

/** Marks by their last reading, the newest first. */
export function levelMarks(readings: readonly LevelReading[]): LevelMark[] {
  const groups = new Map<string, LevelReading[]>();
  for (const reading of readings.toSorted((a, b) => a.at - b.at)) {
    const key = keyOf(reading.mark);
    groups.set(key, [...(groups.get(key) ?? []), reading]);
  }
  return [...groups.values()]
    .map((group): LevelMark => {
      const pairs = group.flatMap(({ level, discharge }) => (discharge === null ? [] : [{ stage: level, discharge }]));
      const rating = ratingOf(pairs);
      const last = group.at(-1)!;
      return {
        name: last.mark.trim(),
        readings: group.length,
        pairs: pairs.length,
        rating,
        last,
        flow: rating && dischargeAt(rating, last.level),
      };
    })
    .sort((a, b) => b.last.at - a.last.at);
}

function ratingOf(pairs: readonly { stage: number; discharge: number }[]): Rating | null {
  try {
    return pairs.length < 3 ? null : fitRating(pairs);
  } catch {
    // Too few different levels, or flows that fall as the water rises: told as a mark without a rating.
    return null;
  }
}

/** A flow that a level means, m3/s. */
export interface FlowByMark {
  at: number;
  discharge: number;
  mark: string;
}

/**
 * Flows that levels without one mean, by the rating of their mark, in order of time. What lies beyond the flows that
 * it was made of is only a guess, and left out.
 */
export function flowsByMark(readings: readonly LevelReading[]): FlowByMark[] {
  const marks = new Map(levelMarks(readings).map((mark) => [keyOf(mark.name), mark]));
  return readings
    .toSorted((a, b) => a.at - b.at)
    .flatMap(({ at, mark, level, discharge }) => {
      const rating = marks.get(keyOf(mark))?.rating;
      const rated = rating && dischargeAt(rating, level);
      const flow = discharge ?? (rated && !rated.extrapolated && rated.value > 0 ? rated.value : null);
      return flow === null ? [] : [{ at, discharge: flow, mark: mark.trim() }];
    });
}
