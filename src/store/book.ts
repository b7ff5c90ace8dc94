import { type Book, emptyBook, PART_NAMES, type SeriesRecord } from "../core/book/records";
import type { Database, StoredSeries } from "./database";

/** Moving whole books in and out of the browser: archive, demo, merge. */

export const toStored = (record: SeriesRecord): StoredSeries => ({
  id: record.id,
  station: record.station,
  parameter: record.parameter,
  unit: record.unit,
  updatedAt: record.updatedAt,
  demo: record.demo,
  times: Float64Array.from(record.times),
  values: Float64Array.from(record.values, (value) => value ?? NaN),
});

const toRecord = (stored: StoredSeries): SeriesRecord => ({
  schema: "low-heron/series@1",
  id: stored.id,
  station: stored.station,
  parameter: stored.parameter,
  unit: stored.unit,
  updatedAt: stored.updatedAt,
  ...(stored.demo === undefined ? {} : { demo: stored.demo }),
  times: Array.from(stored.times),
  values: Array.from(stored.values, (value) => (Number.isNaN(value) ? null : value)),
});

const bookTables = (db: Database) => [
  db.stations,
  db.series,
  db.reaches,
  db.sessions,
  db.catches,
  db.waters,
  db.readings,
  db.profiles,
];

export async function readBook(db: Database): Promise<Book> {
  return db.transaction("r", bookTables(db), async () => ({
    stations: await db.stations.toArray(),
    series: (await db.series.toArray()).map(toRecord),
    reaches: await db.reaches.toArray(),
    sessions: await db.sessions.toArray(),
    catches: await db.catches.toArray(),
    waters: await db.waters.toArray(),
    readings: await db.readings.toArray(),
    profiles: await db.profiles.toArray(),
  }));
}

export interface MergePlan {
  /** Records that are new here, newer than ours, or older than ours (left alone), by part. */
  parts: Record<string, { added: number; replaced: number; kept: number }>;
  take: Book;
}

/** What an import would do, before it is done: newest wins per record. */
export async function planMerge(db: Database, incoming: Book): Promise<MergePlan> {
  const plan: MergePlan = { parts: {}, take: emptyBook() };
  for (const name of PART_NAMES) {
    const own = new Map<string, string>();
    await db.table(name).each((record: { id: string; updatedAt: string }) => own.set(record.id, record.updatedAt));
    const count = { added: 0, replaced: 0, kept: 0 };
    for (const record of incoming[name]) {
      const ours = own.get(record.id);
      const newer = ours === undefined || Date.parse(record.updatedAt) > Date.parse(ours);
      if (ours === undefined) count.added++;
      else if (newer) count.replaced++;
      else count.kept++;
      if (newer) (plan.take[name] as unknown[]).push(record);
    }
    plan.parts[name] = count;
  }
  return plan;
}

/** Writes a book in one transaction: all of it or nothing. */
export async function writeBook(db: Database, book: Book): Promise<void> {
  await db.transaction("rw", bookTables(db), async () => {
    await db.stations.bulkPut(book.stations);
    await db.series.bulkPut(book.series.map(toStored));
    await db.reaches.bulkPut(book.reaches);
    await db.sessions.bulkPut(book.sessions);
    await db.catches.bulkPut(book.catches);
    await db.waters.bulkPut(book.waters);
    await db.readings.bulkPut(book.readings);
    await db.profiles.bulkPut(book.profiles);
  });
}

/**
 * Takes every made-up record out, in one transaction, and gives them back for undo. Own sessions on made-up reaches go
 * with them.
 */
export async function removeDemo(db: Database): Promise<Book> {
  return db.transaction("rw", bookTables(db), async () => {
    const book = emptyBook();
    const isDemo = (record: { demo?: boolean }) => record.demo === true;
    book.stations = await db.stations.filter(isDemo).toArray();
    book.series = (await db.series.filter(isDemo).toArray()).map(toRecord);
    book.reaches = await db.reaches.filter(isDemo).toArray();
    const reaches = new Set(book.reaches.map((record) => record.id));
    book.sessions = await db.sessions.filter((session) => isDemo(session) || reaches.has(session.reach)).toArray();
    const sessions = new Set(book.sessions.map((session) => session.id));
    book.catches = await db.catches.filter((one) => isDemo(one) || sessions.has(one.session)).toArray();
    const stations = new Set(book.stations.map((record) => record.id));
    book.waters = await db.waters.filter((water) => isDemo(water) || stations.has(water.id)).toArray();
    book.readings = await db.readings
      .filter(
        (one) =>
          isDemo(one) ||
          (one.station !== null && stations.has(one.station)) ||
          (one.reach !== null && reaches.has(one.reach)),
      )
      .toArray();
    for (const name of PART_NAMES) await db.table(name).bulkDelete(book[name].map((record) => record.id));
    return book;
  });
}
