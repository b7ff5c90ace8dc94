import { type Book, emptyBook, PART_NAMES, type PartName } from "./log-contents";
import type { SeriesRecord } from "./records";
import { joinSeries } from "./series-join";
import { laterVersion, type Versioned } from "./versions";

/**
 * Books of several devices as one. Of two states of a record the later one stands; a series keeps every reading of
 * both. The outcome does not hang on who takes in whom, nor on how often (tested over made-up divergent books).
 */

/** Two states of one record of a part as one. */
export function mergeRecords<T extends Versioned>(part: PartName, a: T, b: T): T {
  if (part === "series") return joinSeries(a as unknown as SeriesRecord, b as unknown as SeriesRecord) as unknown as T;
  return laterVersion(a, b);
}

/** A record brought back at an instant: alive, and later than what is there. */
export const renewed = <T extends Versioned>({ deleted: _, ...record }: T, at: string): T =>
  ({ ...record, updatedAt: at }) as T;

/** Two books as one, each part in the order of its ids. */
export function mergeBooks(a: Book, b: Book): Book {
  const book = emptyBook();
  for (const part of PART_NAMES) {
    const all = new Map<string, Versioned>();
    for (const record of [...a[part], ...b[part]] as Versioned[]) {
      const other = all.get(record.id);
      all.set(record.id, other ? mergeRecords(part, other, record) : record);
    }
    (book[part] as Versioned[]) = [...all.values()].sort((x, y) => (x.id < y.id ? -1 : 1));
  }
  return book;
}
