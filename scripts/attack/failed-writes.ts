/** Every command of the store with its disk failing: told as such, nothing half written, done when it is repeated. */
import { isDeepStrictEqual } from "node:util";
import { IDBFactory, IDBKeyRange, IDBObjectStore } from "fake-indexeddb";
import type { Book } from "../../src/core/book/log-contents";
import type { WaterReading } from "../../src/core/flow/reach-schema";
import { identified } from "../../src/core/flow/feature-ids";
import { rasteriseReach } from "../../src/core/flow/rasterise";
import type { Field } from "../../src/core/flow/grid";
import { blankField } from "../../src/testing/reach-samples";
import { readGaugeFile } from "../../src/core/formats/gauge-file";
import { speciesById } from "../../src/core/fish/species";
import { demoBook } from "../../src/demo/book";
import { gaugeCsv } from "../../src/standins/gauge";
import { applyPlan, planMerge, readBook, removeDemo, restoreBook, writeBook } from "../../src/store/book";
import { Database } from "../../src/store/database";
import { isStoreFailure, storeFault } from "../../src/store/failure";
import { keepField } from "../../src/store/fields";
import * as gauges from "../../src/store/gauges";
import { keepProfile, removeProfile } from "../../src/store/profiles";
import * as reaches from "../../src/store/reaches";
import * as sessions from "../../src/store/sessions";
import type { Undo } from "../../src/store/change";
import { faultText } from "../../src/words/messages";
import { pick, type Random } from "./mutate";

const NOW = Date.UTC(2026, 4, 14, 14);

/** A book small enough to be laid a thousand times, with something of every kind in it. */
function smallBook(): Book {
  const book = demoBook(NOW);
  const session = book.sessions[0]!;
  const [station, reach] = [book.stations[0]!, book.reaches[0]!];
  const profile = { ...speciesById("chub"), id: "own-chub", name: "Chub of the weir" };
  return {
    ...book,
    stations: [station],
    reaches: [reach],
    series: book.series.map((one) => ({
      ...one,
      times: one.times.slice(-24),
      values: one.values.slice(-24),
      marks: one.marks.slice(-24),
    })),
    sessions: [{ ...session, reach: reach.id }],
    catches: book.catches.filter((one) => one.session === session.id).slice(0, 2),
    readings: book.readings.slice(0, 2),
    profiles: [
      {
        schema: "low-heron/profile@1",
        id: profile.id,
        updatedAt: new Date(NOW).toISOString(),
        base: "chub",
        species: profile,
      },
    ],
  };
}

const BOOK = smallBook();
const REACH = BOOK.reaches[0]!;
const STONE = identified(REACH.reach.features ?? [])[0]!.id;
const [SESSION, STATION] = [BOOK.sessions[0]!, BOOK.stations[0]!];
const FILE = readGaugeFile(gaugeCsv(NOW - 4 * 3_600_000, NOW));
const READING: WaterReading = {
  x: 20,
  y: 10,
  kind: "depth",
  value: 0.6,
  discharge: 5,
  at: new Date(NOW).toISOString(),
};

function stillField(): Field {
  const { nx, ny, cell, z, roughness } = rasteriseReach({ ...REACH.reach, features: [] }, 4);
  return {
    ...blankField(nx, ny, cell),
    discharge: 5,
    bed: Float32Array.from(z),
    roughness: Float32Array.from(roughness),
  };
}

type Command = (db: Database) => Promise<unknown>;

/** Every way of writing that the application has. */
const COMMANDS: Readonly<Record<string, Command>> = {
  addReach: (db) => reaches.addReach(db, { ...REACH.reach, id: "another", name: "Another" }, null),
  removeReach: (db) => reaches.removeReach(db, REACH.id),
  setGauge: (db) => reaches.setGauge(db, REACH.id, null),
  patchReach: (db) => reaches.patchReach(db, REACH.id, { name: "Renamed" }),
  moveFeature: (db) => reaches.moveFeature(db, REACH.id, STONE, [0.5, 0]),
  patchFeature: (db) => reaches.patchFeature(db, REACH.id, STONE, { name: "Named" }),
  addFeature: (db) => reaches.addFeature(db, REACH.id, { kind: "pier", x: 30, y: 12, diameter: 1, height: 1 }),
  removeFeature: (db) => reaches.removeFeature(db, REACH.id, STONE),
  addWaterReadings: (db) => reaches.addWaterReadings(db, REACH.id, [READING]),
  startSession: (db) => sessions.startSession(db, REACH.id, "brown-trout", NOW),
  endSession: (db) => sessions.endSession(db, SESSION, NOW),
  addPastSession: (db) =>
    sessions.addPastSession(db, {
      reach: REACH.id,
      species: "brown-trout",
      rods: 1,
      notes: "",
      start: NOW - 7_200_000,
      end: NOW - 3_600_000,
    }),
  removeSession: (db) => sessions.removeSession(db, SESSION.id),
  logCatch: (db) => sessions.logCatch(db, SESSION, { length: 0.31 }, NOW),
  patchCatch: (db) => sessions.patchCatch(db, BOOK.catches[0]!, { notes: "Under the alder" }),
  patchSession: (db) => sessions.patchSession(db, SESSION, { rods: 2, start: Date.parse(SESSION.start) - 60_000 }),
  removeCatch: (db) => sessions.removeCatch(db, BOOK.catches[0]!.id),
  keepGauge: (db) => gauges.keepGauge(db, FILE, { name: "Own", zone: "UTC", latitude: null, longitude: null }),
  joinGauge: (db) =>
    gauges.keepGauge(db, FILE, { station: STATION.id, name: "", zone: "UTC", latitude: null, longitude: null }),
  keepWater: (db) =>
    gauges.keepWater(db, STATION.id, REACH.id, {
      water: { altitude: 90 },
      place: { latitude: 50, longitude: 5 },
      transfer: { areaRatio: 0.8, lag: 1 },
    }),
  addReading: (db) =>
    gauges.addReading(db, {
      station: STATION.id,
      reach: null,
      at: new Date(NOW).toISOString(),
      kind: "clarity",
      value: 0.7,
      error: null,
      how: "seen",
    }),
  removeGauge: (db) => gauges.removeGauge(db, STATION.id),
  keepProfile: (db) => keepProfile(db, "chub", { ...speciesById("chub"), id: "mine", name: "Mine" }),
  changeProfile: (db) => keepProfile(db, "chub", { ...speciesById("chub"), id: "own-chub", name: "Renamed" }),
  removeProfile: (db) => removeProfile(db, "own-chub"),
  takeIn: async (db) => {
    const there = { ...BOOK, sessions: [{ ...SESSION, id: "theirs", notes: "from elsewhere" }], reaches: [] };
    await applyPlan(db, await planMerge(db, there), "restore");
  },
  restore: (db) => restoreBook(db, BOOK, NOW),
  removeDemo: (db) => removeDemo(db, NOW),
  keepField: (db) => keepField(db, "bed", stillField()),
};

type Way = "full" | "aborted" | "closed";
const WAYS: readonly Way[] = ["full", "aborted", "closed"];

const own = { put: IDBObjectStore.prototype.put, add: IDBObjectStore.prototype.add };

/** From here on the n-th write fails in a way, once. @returns whether it has, and the end of it */
function failing(way: Way, nth: number): { fired: () => boolean; end: () => void } {
  let [count, fired] = [0, false];
  const wrap = (write: typeof own.put) =>
    function (this: IDBObjectStore, ...given: Parameters<typeof own.put>) {
      if (++count !== nth || fired) return write.apply(this, given);
      fired = true;
      if (way === "full") throw new DOMException("no room", "QuotaExceededError");
      if (way === "closed") throw new DOMException("the database is gone", "InvalidStateError");
      const request = write.apply(this, given);
      this.transaction.abort();
      return request;
    };
  IDBObjectStore.prototype.put = wrap(own.put) as typeof own.put;
  IDBObjectStore.prototype.add = wrap(own.add) as typeof own.add;
  return {
    fired: () => fired,
    end: () => Object.assign(IDBObjectStore.prototype, own),
  };
}

let laid = 0;
async function freshBook(): Promise<Database> {
  const db = new Database(`attack ${++laid}`, { indexedDB: new IDBFactory(), IDBKeyRange });
  await writeBook(db, BOOK);
  return db;
}

const stateOf = async (db: Database) => ({ ...(await readBook(db)), fields: await db.fields.count() });

/** One command with one of its writes failing. @returns what is wrong with how it was borne */
export async function failedWrite(random: Random, k: number): Promise<string | undefined> {
  const names = Object.keys(COMMANDS);
  const name = names[k % names.length]!;
  const command = COMMANDS[name]!;
  const way = pick(WAYS, random);
  const nth = k < names.length * WAYS.length ? 1 : 1 + Math.floor(random() * 8);
  const db = await freshBook();
  const told = `${name}, write ${nth} ${way}`;
  try {
    const first = await borne(db, () => command(db), way, nth);
    if (!first.fired) return nth === 1 ? `${told}: writes nothing` : undefined;
    if (first.wrong) return `${told}: ${first.wrong}`;
    const done = await command(db);
    const undo = typeof done === "function" ? (done as Undo) : (done as { undo?: Undo } | undefined)?.undo;
    if (!undo) return undefined;
    const back = await borne(db, undo, way, 1);
    if (back.wrong) return `${told}: its undo ${back.wrong}`;
    await undo();
    return undefined;
  } finally {
    db.close();
  }
}

/** How work with a failing write is borne: refused as a failure of the store, with words, and nothing written. */
async function borne(
  db: Database,
  work: () => Promise<unknown>,
  way: Way,
  nth: number,
): Promise<{ fired: boolean; wrong?: string }> {
  const before = await stateOf(db);
  const disk = failing(way, nth);
  let error: unknown;
  try {
    await work();
  } catch (thrown) {
    error = thrown;
  } finally {
    disk.end();
  }
  const fired = disk.fired();
  const wrong = (text: string) => ({ fired, wrong: text });
  if (!fired) return error === undefined ? { fired } : wrong(`refused without cause, ${String(error)}`);
  if (error === undefined) return wrong("silent");
  if (!isStoreFailure(error)) return wrong(`not known as a failure of the store, ${String(error)}`);
  const fault = storeFault(error);
  if (faultText(fault) === fault.code) return wrong(`no words for ${fault.code}`);
  return isDeepStrictEqual(await stateOf(db), before) ? { fired } : wrong("half written");
}
