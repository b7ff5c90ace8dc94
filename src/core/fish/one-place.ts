import type { LiePlace } from "./lie-place";

/** m, and its score. */
export interface OtherPlace {
  x: number;
  y: number;
  score: number;
}

interface Named extends OtherPlace {
  place: LiePlace;
  kind: string;
}

/**
 * Lies of one name nearer to the best of them than this are one place to an angler, m: on one side of a break, and in a
 * part of the water. Common practice, no source.
 */
const ONE_PLACE = { break: 4, part: 12 };

/** Of lies of one name near each other the best, with the others as more places in it. */
export function onePlaceOnce<T extends Named>(lies: readonly T[]): (T & { others: OtherPlace[] })[] {
  const kept: (T & { others: OtherPlace[] })[] = [];
  for (const lie of lies) {
    const { x, y, score } = lie;
    const best = kept.find(
      (other) =>
        samePlace(other.place, lie.place) &&
        (other.kind === "resting") === (lie.kind === "resting") &&
        Math.hypot(other.x - x, other.y - y) < ("break" in lie.place ? ONE_PLACE.break : ONE_PLACE.part),
    );
    if (best) best.others.push({ x, y, score });
    else kept.push({ ...lie, others: [] });
  }
  return kept;
}

const samePlace = (a: LiePlace, b: LiePlace): boolean =>
  a.kind === b.kind &&
  (!("side" in a) || !("side" in b) || a.side === b.side) &&
  (!("break" in a) || !("break" in b) || (a.break.kind === b.break.kind && a.break.name === b.break.name));
