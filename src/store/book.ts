import { type Book, emptyBook, PART_NAMES, type SeriesRecord } from "../core/book/records";
import { withFeatureIds } from "../core/flow/feature-ids";
import type { Database, StoredSeries } from "./database";

/** Moving whole books in and out of the browser: archive, demo, merge. */

export const toStored = (record: SeriesRecord): StoredSeries => ({
  id: record.id,
  station: record.station,
  parameter: record.parameter,
  unit: record.unit,
  updatedAt: record.updatedAt,
  ...(record.deleted === undefined ? {} : { deleted: record.deleted }),
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
  ...(stored.deleted === undefined ? {} : { deleted: stored.deleted }),
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
  /** What the archive holds that was removed here since: left out, unless it is wanted back. */
  removed: Book;
}

/** What an import would do, before it is done: newest wins per record. */
export async function planMerge(db: Database, incoming: Book): Promise<MergePlan> {
  const plan: MergePlan = { parts: {}, take: emptyBook(), removed: emptyBook() };
  for (const name of PART_NAMES) {
    const own = new Map<string, { updatedAt: string; deleted?: boolean }>();
    await db
      .table(name)
      .each(({ id, updatedAt, deleted }: { id: string; updatedAt: string; deleted?: boolean }) =>
        own.set(id, { updatedAt, deleted }),
      );
    const count = { added: 0, replaced: 0, kept: 0 };
    for (const record of incoming[name]) {
      const ours = own.get(record.id);
      const newer = ours === undefined || Date.parse(record.updatedAt) > Date.parse(ours.updatedAt);
      if (ours === undefined) count.added++;
      else if (newer) count.replaced++;
      else count.kept++;
      if (newer) (plan.take[name] as unknown[]).push(record);
      else if (ours.deleted && !record.deleted) (plan.removed[name] as unknown[]).push(record);
    }
    plan.parts[name] = count;
  }
  return plan;
}

/** Does what a plan says, in one transaction; with `back` also what was removed here, newer than its tombstones. */
export async function applyPlan(
  db: Database,
  { take, removed }: MergePlan,
  back: boolean,
  now: number = Date.now(),
): Promise<void> {
  await writeBook(db, back ? joined(take, renewed(removed, now)) : take);
}

const joined = (one: Book, other: Book): Book =>
  Object.fromEntries(PART_NAMES.map((name) => [name, [...one[name], ...other[name]]])) as unknown as Book;

const renewed = (book: Book, now: number): Book => {
  const updatedAt = new Date(now).toISOString();
  return Object.fromEntries(
    PART_NAMES.map((name) => [name, book[name].map((record) => ({ ...record, updatedAt }))]),
  ) as unknown as Book;
};

/** Writes a book in one transaction: all of it or nothing. */
export async function writeBook(db: Database, book: Book): Promise<void> {
  await db.transaction("rw", bookTables(db), async () => {
    await db.stations.bulkPut(book.stations);
    await db.series.bulkPut(book.series.map(toStored));
    await db.reaches.bulkPut(book.reaches.map((record) => ({ ...record, reach: withFeatureIds(record.reach) })));
    await db.sessions.bulkPut(book.sessions);
    await db.catches.bulkPut(book.catches);
    await db.waters.bulkPut(book.waters);
    await db.readings.bulkPut(book.readings);
    await db.profiles.bulkPut(book.profiles);
  });
}

/** A record that stays as a mark of its removal, so that a merge does not bring it back. */
const tombstone = <T extends { updatedAt: string }>(record: T, at: string): T => ({
  ...record,
  updatedAt: at,
  deleted: true,
});

/** The same for a series: its readings go, since they are long; undo has them. */
export const seriesTombstone = (stored: StoredSeries, at: string): StoredSeries => ({
  ...tombstone(stored, at),
  times: new Float64Array(0),
  values: new Float64Array(0),
});

/**
 * Takes every made-up record out, in one transaction; tombstones stay. Own sessions on made-up reaches go with them.
 * Gives back what was there, for undo.
 */
export async function removeDemo(db: Database, now: number = Date.now()): Promise<Book> {
  return db.transaction("rw", bookTables(db), async () => {
    const book = emptyBook();
    const alive = (record: { deleted?: boolean }) => !record.deleted;
    const isDemo = (record: { demo?: boolean; deleted?: boolean }) => record.demo === true && alive(record);
    book.stations = await db.stations.filter(isDemo).toArray();
    const series = await db.series.filter(isDemo).toArray();
    book.series = series.map(toRecord);
    book.reaches = await db.reaches.filter(isDemo).toArray();
    const reaches = new Set(book.reaches.map((record) => record.id));
    book.sessions = await db.sessions
      .filter((session) => isDemo(session) || (alive(session) && reaches.has(session.reach)))
      .toArray();
    const sessions = new Set(book.sessions.map((session) => session.id));
    book.catches = await db.catches.filter((one) => isDemo(one) || (alive(one) && sessions.has(one.session))).toArray();
    const stations = new Set(book.stations.map((record) => record.id));
    book.waters = await db.waters
      .filter((water) => isDemo(water) || (alive(water) && stations.has(water.id)))
      .toArray();
    book.readings = await db.readings
      .filter(
        (one) =>
          isDemo(one) ||
          (alive(one) &&
            ((one.station !== null && stations.has(one.station)) || (one.reach !== null && reaches.has(one.reach)))),
      )
      .toArray();
    const at = new Date(now).toISOString();
    await db.series.bulkPut(series.map((one) => seriesTombstone(one, at)));
    for (const name of PART_NAMES) {
      if (name === "series") continue;
      await db.table(name).bulkPut(book[name].map((record) => tombstone(record, at)));
    }
    return book;
  });
}

/** Brings back what was taken out, newer than its tombstones. */
export async function restoreBook(db: Database, book: Book, now: number = Date.now()): Promise<void> {
  await writeBook(db, renewed(book, now));
}
