/** Which of two states of a record is the later one: the same on every device. */

/** What tells two states of one record apart. */
export interface Versioned {
  id: string;
  updatedAt: string;
  deleted?: boolean;
}

/** Most instants that a series tells apart. */
export const MOST_STAMPS = 1000;

/**
 * The instant of an edit: now, or a millisecond after the state that it changes where the clock has jumped back or
 * another device's runs ahead. So edits of one record keep their order (a hybrid logical clock, Kulkarni et al. 2014,
 * OPODIS: the greater of wall time and the last time seen, counted on).
 */
export const stampAfter = (now: number, before: string | undefined): string =>
  new Date(before === undefined ? now : Math.max(now, Date.parse(before) + 1)).toISOString();

/** A value as text that does not hang on the order of its keys. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/** Below 0 where b is the later state, above 0 where a is; of two at one instant the same one on every device. */
export function compareVersions(a: Versioned, b: Versioned): number {
  const apart = Date.parse(a.updatedAt) - Date.parse(b.updatedAt);
  if (apart !== 0) return apart;
  if (Boolean(a.deleted) !== Boolean(b.deleted)) return a.deleted ? 1 : -1;
  const [x, y] = [canonical(a), canonical(b)];
  return x === y ? 0 : x < y ? -1 : 1;
}

/** The one of two states of a record that stands. */
export const laterVersion = <T extends Versioned>(a: T, b: T): T => (compareVersions(a, b) < 0 ? b : a);
