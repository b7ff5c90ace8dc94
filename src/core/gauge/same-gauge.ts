import type { Series } from "./series";

/** Readings at the same instants that two records need to be told alike, and the share of them that must agree. */
const ALIKE = { least: 8, share: 0.9 };

/**
 * Are two records of one gauge? They are where enough of their readings stand at the same instants and nearly all of
 * those agree, to the six figures that a change of units and back may cost. Common practice, no source.
 */
export function sameRecord(a: readonly Series[], b: readonly Series[]): boolean {
  let [shared, equal] = [0, 0];
  for (const one of a) {
    const other = b.find(({ parameter }) => parameter === one.parameter);
    if (!other) continue;
    for (let i = 0, j = 0; i < one.times.length && j < other.times.length;) {
      if (one.times[i]! < other.times[j]!) i++;
      else if (one.times[i]! > other.times[j]!) j++;
      else {
        const [x, y] = [one.values[i++]!, other.values[j++]!];
        if (Number.isNaN(x) || Number.isNaN(y)) continue;
        shared++;
        if (Math.abs(x - y) <= 1e-6 * Math.max(Math.abs(x), Math.abs(y), 1)) equal++;
      }
    }
  }
  return shared >= ALIKE.least && equal >= ALIKE.share * shared;
}
