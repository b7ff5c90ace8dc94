/**
 * A log that is edited in any order: sessions moved, given other times, deleted and restored, fish corrected, moved and
 * deleted, spots corrected, each step undone, against a plain reference. Each rod's hours stay those that it fished, at
 * the river that was; all of it undone, the log is what it was.
 */
import { isDeepStrictEqual } from "node:util";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import type { EffortInterval } from "../../src/core/book/bank-records";
import type { Catch, Session } from "../../src/core/book/records";
import { riverState } from "../../src/core/book/river-state";
import { HOUR, MINUTE } from "../../src/core/gauge/series";
import type { GaugeRecord } from "../../src/core/gauge/summary";
import { writeBook } from "../../src/store/book";
import type { Undo } from "../../src/store/change";
import { Database } from "../../src/store/database";
import { gaugeAtReach } from "../../src/store/river";
import * as log from "../../src/store/sessions";
import { fishSpot, NO_SPOT, patchStretch } from "../../src/store/effort-intervals";
import * as reference from "./bank-model";
import { AUTUMN, LIES, riverBook, sorted, WEEK } from "./bank-river";
import { pick, type Random } from "./mutate";
import { type Part, taken } from "./part";

/** What the reference knows of a session and its fish. */
interface Entry {
  id: string;
  rods: reference.BankModel;
  notes: string;
  deleted: boolean;
  fish: Map<string, { at: number; length: number | null; deleted: boolean }>;
}

interface Desk {
  db: Database;
  gauge: GaugeRecord;
  log: Entry[];
  /** Every step, newest last: how to take it back, and the log before it. */
  steps: { undo: Undo; before: Entry[] }[];
}

type Edit = (desk: Desk, entry: Entry, random: Random) => Promise<void>;

async function does(desk: Desk, command: () => Promise<Undo>, then: () => void): Promise<void> {
  const before = structuredClone(desk.log);
  const undo = await command();
  then();
  desk.steps.push({ undo, before });
}

const sessionOf = async ({ db }: Desk, { id }: Entry): Promise<Session> => (await db.sessions.get(id))!;
const aFish = ({ fish }: Entry, random: Random) => (fish.size > 0 ? pick([...fish.keys()], random) : undefined);

/** Other times of a session: the reference moves its fish only with all of it. */
async function retime(desk: Desk, entry: Entry, to: { start: number; end: number }): Promise<void> {
  const { start, end } = entry.rods;
  if (to.end <= to.start) return;
  const [session, by] = [await sessionOf(desk, entry), to.start - start];
  await does(
    desk,
    async () => (await log.patchSession(desk.db, session, to)).undo,
    () => {
      reference.correct(entry.rods, to.start, to.end);
      if (to.end - end! === by) for (const fish of entry.fish.values()) fish.at += by;
    },
  );
}

const EDITS: Record<string, Edit> = {
  move: (desk, entry, random) => {
    const by = pick([-WEEK, WEEK, HOUR, -90 * MINUTE], random);
    return retime(desk, entry, { start: entry.rods.start + by, end: entry.rods.end! + by });
  },
  times: (desk, entry, random) => {
    const shift = () => Math.floor((random() - 0.5) * 6) * 11 * MINUTE;
    return retime(desk, entry, { start: entry.rods.start + shift(), end: entry.rods.end! + shift() });
  },
  notes: async (desk, entry, random) => {
    const [session, notes] = [await sessionOf(desk, entry), pick(["", "windy", "two herons"], random)];
    await does(
      desk,
      async () => (await log.patchSession(desk.db, session, { notes })).undo,
      () => (entry.notes = notes),
    );
  },
  session: (desk, entry) =>
    does(
      desk,
      () => (entry.deleted ? log.restoreSession : log.removeSession)(desk.db, entry.id),
      () => (entry.deleted = !entry.deleted),
    ),
  newFish: async (desk, entry, random) => {
    const [{ start, end }, session] = [entry.rods, await sessionOf(desk, entry)];
    const at = start + Math.floor(random() * (end! - start));
    let id = "";
    await does(
      desk,
      async () => {
        const { fish, undo } = await log.logCatch(desk.db, session, { length: 0.3 }, at);
        id = fish.id;
        return undo;
      },
      () => entry.fish.set(id, { at, length: 0.3, deleted: false }),
    );
  },
  fish: async (desk, entry, random) => {
    const id = aFish(entry, random);
    const fish = id === undefined ? undefined : await desk.db.catches.get(id);
    if (!fish) return;
    const length = pick([null, 0.25, 0.41], random);
    const at = random() < 0.5 ? undefined : Date.parse(fish.at) + pick([-7, 3, 40], random) * MINUTE;
    await does(
      desk,
      () => log.patchCatch(desk.db, fish, { length, ...(at !== undefined && { at }) }),
      () => Object.assign(entry.fish.get(fish.id)!, { length, ...(at !== undefined && { at }) }),
    );
  },
  fishInBin: async (desk, entry, random) => {
    const id = aFish(entry, random);
    if (id === undefined) return;
    const fish = entry.fish.get(id)!;
    await does(
      desk,
      () => (fish.deleted ? log.restoreCatch : log.removeCatch)(desk.db, id),
      () => (fish.deleted = !fish.deleted),
    );
  },
  allFish: (desk, entry) => {
    const own = [...entry.fish].filter(([, fish]) => !fish.deleted);
    const ids = own.map(([id]) => id);
    return does(
      desk,
      () => log.patchCatches(desk.db, ids, { length: 0.5 }),
      () => own.forEach(([, fish]) => (fish.length = 0.5)),
    );
  },
  spot: async (desk, entry, random) => {
    const stretches = await alive(desk, entry);
    if (stretches.length === 0) return;
    const [one, lie] = [pick(stretches, random), pick(LIES, random)];
    await does(
      desk,
      () => patchStretch(desk.db, one.id, { lie }),
      () => reference.correctPlace(entry.rods, one.rod, Date.parse(one.start), Date.parse(one.end!), lie),
    );
  },
  undo: (desk) => undoStep(desk),
  reopen: async ({ db }) => {
    db.close();
    await db.open();
  },
};
const NAMES = Object.keys(EDITS);

async function undoStep(desk: Desk): Promise<void> {
  const step = desk.steps.pop();
  if (!step) return;
  await step.undo();
  desk.log = step.before;
}

const alive = async ({ db }: Desk, { id }: Entry): Promise<EffortInterval[]> =>
  (await db.stretches.where({ session: id }).toArray()).filter((one) => !one.deleted);

async function wrongOf(desk: Desk, entry: Entry): Promise<string | undefined> {
  const { db, gauge } = desk;
  const { start, end } = entry.rods;
  const session = await sessionOf(desk, entry);
  const is = { start: Date.parse(session.start), end: Date.parse(session.end!) };
  const other = (river: unknown, at: number) => !isDeepStrictEqual(river, riverState(gauge, at));
  if (is.start !== start || is.end !== end) return "the session has other times";
  if (session.notes !== entry.notes || Boolean(session.deleted) !== entry.deleted) return "the session is another one";
  if (other(session.river, start)) return "the session has another river";
  const sums = new Map<string, number>();
  for (const one of await alive(desk, entry)) {
    const [from, to] = [Date.parse(one.start), Date.parse(one.end!)];
    if (from < start || to > end) return "a stretch reaches out of its session";
    if (other(one.river, from)) return `the river of ${one.start} is another one`;
    if (to > from) sums.set(`${one.rod} ${one.lie}`, (sums.get(`${one.rod} ${one.lie}`) ?? 0) + to - from);
  }
  const wanted = sorted(reference.fishedBy(entry.rods, end));
  if (!isDeepStrictEqual(sorted(sums), wanted))
    return `hours ${JSON.stringify(sorted(sums))} instead of ${JSON.stringify(wanted)}`;
  return wrongFish(entry, await db.catches.where({ session: entry.id }).toArray(), other);
}

function wrongFish(
  entry: Entry,
  records: readonly Catch[],
  other: (river: unknown, at: number) => boolean,
): string | undefined {
  const known = records.filter((one) => entry.fish.has(one.id));
  if (known.length !== entry.fish.size) return "a fish is missing";
  if (records.some((one) => !entry.fish.has(one.id) && !one.deleted)) return "a fish came from nowhere";
  for (const one of known) {
    const { at, length, deleted } = entry.fish.get(one.id)!;
    if (Date.parse(one.at) !== at || one.length !== length || Boolean(one.deleted) !== deleted)
      return `fish ${JSON.stringify(one)} instead of ${JSON.stringify({ at, length, deleted })}`;
    if (other(one.river, at)) return "the river of a fish is another one";
  }
  return undefined;
}

async function wrongIn(desk: Desk): Promise<string | undefined> {
  for (const entry of desk.log) {
    const wrong = await wrongOf(desk, entry);
    if (wrong) return wrong;
  }
  return undefined;
}

/** What is alive in the log, without the stamps of its records. */
async function contentOf({ db }: Desk): Promise<unknown> {
  const tables = [db.sessions, db.stretches, db.catches] as const;
  const all = await Promise.all(
    tables.map((table) => table.toArray() as Promise<(Session | EffortInterval | Catch)[]>),
  );
  // A field set to nothing is no field.
  const bare = (one: object): unknown => JSON.parse(JSON.stringify({ ...one, updatedAt: "" }));
  return all.map((rows) => rows.filter((one) => !one.deleted).map(bare));
}

/** A session that was fished with one or two rods at some spots. */
async function fished(desk: Desk, reach: string, start: number, random: Random): Promise<Entry> {
  const { db } = desk;
  const model = reference.newModel(start);
  const rods = pick([1, 2], random);
  const spots = Array.from({ length: rods }, (_, k) => ({ ...NO_SPOT, rod: k + 1, angler: "", lie: "jam" }));
  await log.startSession(db, reach, "brown-trout", start, { spots });
  const session = (await db.sessions.toArray()).find((one) => one.end === null)!;
  for (const { rod } of spots) reference.setRod(model, rod, { lie: "jam" }, start);
  let now = start;
  for (let moves = Math.floor(random() * 5); moves > 0; moves--) {
    now += Math.floor(random() * 100) * MINUTE;
    const [rod, lie] = [pick([1, 2], random), pick(LIES, random)];
    await fishSpot(db, session, rod, { lie }, now);
    reference.setRod(model, rod, { lie }, now);
  }
  now += (10 + Math.floor(random() * 120)) * MINUTE;
  await log.endSession(db, session, now);
  reference.finish(model, now);
  return { id: session.id, rods: model, notes: "", deleted: false, fish: new Map() };
}

export const editSequences: Part = {
  name: "edits in the log",
  share: 0.01,
  trial: () => {
    const db = new Database("edits", { indexedDB: new IDBFactory(), IDBKeyRange });
    const ready = writeBook(db, riverBook());
    return async (random) => {
      await ready;
      const [reach] = await db.reaches.toArray();
      const desk: Desk = { db, gauge: (await gaugeAtReach(db, reach))!, log: [], steps: [] };
      for (const day of [0, 1])
        desk.log.push(await fished(desk, reach!.id, AUTUMN + (24 * day + Math.floor(random() * 14)) * HOUR, random));
      const before = await contentOf(desk);
      const said: string[] = [];
      let wrong = await wrongIn(desk);
      for (let count = 4 + Math.floor(random() * 20); count > 0 && !wrong; count--) {
        const name = pick(NAMES, random);
        said.push(name);
        try {
          await EDITS[name]!(desk, pick(desk.log, random), random);
          wrong = await wrongIn(desk);
        } catch (error) {
          wrong = `threw ${String((error as Error).stack ?? error).slice(0, 400)}`;
        }
      }
      while (!wrong && desk.steps.length > 0) {
        await undoStep(desk);
        wrong = await wrongIn(desk);
        if (wrong) wrong = `undone: ${wrong}`;
      }
      if (!wrong && !isDeepStrictEqual(await contentOf(desk), before)) wrong = "all undone, the log is another one";
      taken.count++;
      for (const table of [db.sessions, db.stretches, db.catches, db.observations]) await table.clear();
      return wrong && `${wrong}, after ${said.join(" ")}`;
    };
  },
};
