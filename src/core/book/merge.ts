import { type Book, emptyBook, PART_NAMES, type PartName, type SeriesRecord } from "./records";
import { joinSeries } from "./series-join";

/**
 * Books of several devices as one. Of two states of a record the later one stands; a series keeps every reading of
 * both. The outcome does not hang on who takes in whom, nor on how often (tested over made-up divergent books).
 */

interface Kept {
  id: string;
  updatedAt: string;
  deleted?: boolean;
}

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
export function compareStates(a: Kept, b: Kept): number {
  const apart = Date.parse(a.updatedAt) - Date.parse(b.updatedAt);
  if (apart !== 0) return apart;
  if (Boolean(a.deleted) !== Boolean(b.deleted)) return a.deleted ? 1 : -1;
  const [x, y] = [canonical(a), canonical(b)];
  return x === y ? 0 : x < y ? -1 : 1;
}

const laterState = <T extends Kept>(a: T, b: T): T => (compareStates(a, b) < 0 ? b : a);

/** Two states of one record of a part as one. */
export function mergeRecords<T extends Kept>(part: PartName, a: T, b: T): T {
  if (part === "series") return joinSeries(a as unknown as SeriesRecord, b as unknown as SeriesRecord) as unknown as T;
  return laterState(a, b);
}

/** A record brought back at an instant: alive, and later than what is there. */
export const renewed = <T extends Kept>({ deleted: _, ...record }: T, at: string): T =>
  ({ ...record, updatedAt: at }) as T;

/** Two books as one, each part in the order of its ids. */
export function mergeBooks(a: Book, b: Book): Book {
  const book = emptyBook();
  for (const part of PART_NAMES) {
    const all = new Map<string, Kept>();
    for (const record of [...a[part], ...b[part]] as Kept[]) {
      const other = all.get(record.id);
      all.set(record.id, other ? mergeRecords(part, other, record) : record);
    }
    (book[part] as Kept[]) = [...all.values()].sort((x, y) => (x.id < y.id ? -1 : 1));
  }
  return book;
}
