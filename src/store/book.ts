import { mergeRecords, renewed } from "../core/book/merge";
import { type Book, emptyBook, PART_NAMES, type PartName } from "../core/book/log-contents";
import type { ReachRecord, SeriesRecord } from "../core/book/records";
import { sameReadings } from "../core/book/series-join";
import { compareVersions, stampAfter, type Versioned } from "../core/book/versions";
import { withFeatureIds } from "../core/flow/feature-ids";
import type { Database } from "./database";
import { joinStored, renewedStored, type StoredSeries, storedTombstone, toRecord, toStored } from "./series-stored";

/** Moving whole books in and out of the browser: archive, demo, merge. */

const bookTables = (db: Database) => [
  db.stations,
  db.series,
  db.reaches,
  db.sessions,
  db.catches,
  db.waters,
  db.readings,
  db.profiles,
  db.tackle,
  db.stretches,
  db.observations,
  db.rules,
  db.photos,
  db.preferences,
  db.weather,
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
    tackle: await db.tackle.toArray(),
    stretches: await db.stretches.toArray(),
    observations: await db.observations.toArray(),
    rules: await db.rules.toArray(),
    photos: await db.photos.toArray(),
    preferences: await db.preferences.toArray(),
    weather: await db.weather.toArray(),
  }));
}

export interface MergePlan {
  /**
   * Records by part: new here, later than ours, joined with ours (series), taken out there since, or left as they are
   * since ours stand.
   */
  parts: Record<string, { added: number; replaced: number; joined: number; gone: number; kept: number }>;
  take: Book;
  /** What the archive holds that was removed here since: left out, unless it is wanted back. */
  removed: Book;
  /** What the archive holds as it was, where ours has been changed since; series only ever join. */
  older: Book;
}

const isSeries = (part: PartName, one: Versioned): one is StoredSeries => part === "series" && "marks" in one;

/** A record as its table keeps it. */
function asKept(part: PartName, record: unknown): Versioned {
  if (part === "series") return toStored(record as SeriesRecord);
  if (part !== "reaches") return record as Versioned;
  const reach = record as ReachRecord;
  return { ...reach, reach: withFeatureIds(reach.reach) } as Versioned;
}

const mergeKept = (part: PartName, a: Versioned, b: Versioned): Versioned =>
  isSeries(part, a) && isSeries(part, b) ? joinStored(a, b) : mergeRecords(part, a, b);

const renewKept = (part: PartName, one: Versioned, at: string): Versioned =>
  isSeries(part, one) ? renewedStored(one, at) : renewed(one, at);

const sameKept = (part: PartName, a: Versioned, b: Versioned): boolean =>
  isSeries(part, a) && isSeries(part, b)
    ? a.updatedAt === b.updatedAt && sameReadings(a, b)
    : compareVersions(a, b) === 0;

/** The book's own states of records of a part, in the order of theirs. */
const ownStates = (db: Database, part: PartName, records: readonly Versioned[]): Promise<(Versioned | undefined)[]> =>
  db.table<Versioned, string>(part).bulkGet(records.map((one) => one.id));

/** What an import would do, before it is done: the later state of each record stands, series join. */
export async function planMerge(db: Database, incoming: Book): Promise<MergePlan> {
  const plan: MergePlan = { parts: {}, take: emptyBook(), removed: emptyBook(), older: emptyBook() };
  for (const part of PART_NAMES) {
    const count = { added: 0, replaced: 0, joined: 0, gone: 0, kept: 0 };
    const states = await ownStates(db, part, incoming[part]);
    incoming[part].forEach((record, index) => {
      const [ours, theirs] = [states[index], asKept(part, record)];
      const merged = ours ? mergeKept(part, ours, theirs) : theirs;
      const takes = !ours || !sameKept(part, merged, ours);
      if (takes) (plan.take[part] as unknown[]).push(record);
      else if (ours.deleted && !record.deleted) (plan.removed[part] as unknown[]).push(record);
      else if (part !== "series" && !ours.deleted && !record.deleted && !sameKept(part, ours, theirs))
        (plan.older[part] as unknown[]).push(record);
      if (!takes) count.kept++;
      else if (merged.deleted) count.gone += ours && !ours.deleted ? 1 : 0;
      else if (!ours || ours.deleted) count.added++;
      else if (part === "series" && !sameKept(part, merged, theirs)) count.joined++;
      else count.replaced++;
    });
    plan.parts[part] = count;
  }
  return plan;
}

/** Merge: the newest of each record stands. Restore: all that the archive holds stands as it was there. */
export type TakeIn = "merge" | "restore";

/** Does what a plan says, in one transaction; what is restored comes later than what was made of it since. */
export async function applyPlan(
  db: Database,
  { take, removed, older }: MergePlan,
  how: TakeIn,
  now: number = Date.now(),
): Promise<void> {
  await db.transaction("rw", bookTables(db), async () => {
    await takeIn(db, take);
    if (how === "merge") return;
    await takeIn(db, removed, now);
    await takeIn(db, older, now);
  });
}

/** Takes everything out of the book, in one transaction; tombstones stay, so that it does not come back by a merge. */
export async function emptyTheBook(db: Database, now: number = Date.now()): Promise<void> {
  await db.transaction("rw", bookTables(db), async () => {
    for (const part of PART_NAMES) {
      const alive = (await db.table<Versioned, string>(part).toArray()).filter((one) => !one.deleted);
      await db.table(part).bulkPut(alive.map((one) => goneAt(part, one, stampAfter(now, one.updatedAt))));
    }
  });
}

/** What stays of a record that is taken out. */
const goneAt = (part: PartName, one: Versioned, at: string): Versioned =>
  isSeries(part, one) ? storedTombstone(one, at) : { ...one, updatedAt: at, deleted: true };

/** Takes a book in, merged with what is there, in one transaction: all of it or nothing. */
export const writeBook = (db: Database, book: Book): Promise<void> => takeIn(db, book);

/** Brings back what was taken out, later than its tombstones. */
export const restoreBook = (db: Database, book: Book, now: number = Date.now()): Promise<void> => takeIn(db, book, now);

/** Merges a book in; with `now` each record comes later than what is there. */
async function takeIn(db: Database, book: Book, now?: number): Promise<void> {
  await db.transaction("rw", bookTables(db), async () => {
    for (const part of PART_NAMES) {
      const states = await ownStates(db, part, book[part]);
      const merged = book[part].map((record, index) => {
        const [ours, theirs] = [states[index], asKept(part, record)];
        const given = now === undefined ? theirs : renewKept(part, theirs, stampAfter(now, ours?.updatedAt));
        return ours ? mergeKept(part, ours, given) : given;
      });
      await db.table(part).bulkPut(merged);
    }
  });
}

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
    book.series = (await db.series.filter(isDemo).toArray()).map(toRecord);
    book.reaches = await db.reaches.filter(isDemo).toArray();
    const reaches = new Set(book.reaches.map((record) => record.id));
    book.sessions = await db.sessions
      .filter((session) => isDemo(session) || (alive(session) && reaches.has(session.reach)))
      .toArray();
    const sessions = new Set(book.sessions.map((session) => session.id));
    book.catches = await db.catches.filter((one) => isDemo(one) || (alive(one) && sessions.has(one.session))).toArray();
    const ofSession = (one: { demo?: boolean; deleted?: boolean; session: string }) =>
      isDemo(one) || (alive(one) && sessions.has(one.session));
    book.stretches = await db.stretches.filter(ofSession).toArray();
    book.observations = await db.observations.filter(ofSession).toArray();
    const fish = new Set(book.catches.map((one) => one.id));
    book.photos = await db.photos.filter((one) => isDemo(one) || (alive(one) && fish.has(one.catch))).toArray();
    book.rules = await db.rules
      .filter((one) => isDemo(one) || (alive(one) && one.reach !== null && reaches.has(one.reach)))
      .toArray();
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
    for (const part of PART_NAMES) {
      const gone = book[part].map((record): Versioned => {
        return goneAt(part, asKept(part, record), stampAfter(now, record.updatedAt));
      });
      await db.table(part).bulkPut(gone);
    }
    return book;
  });
}
