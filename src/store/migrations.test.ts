import "fake-indexeddb/auto";
import { createHash } from "node:crypto";
import Dexie from "dexie";
import type { Profile } from "../core/book/records";
import { readArchive, writeArchive } from "../core/formats/archive";
import { speciesById } from "../core/fish/species";
import { demoBook } from "../demo/book";
import { readBook } from "./book";
import { effortOf } from "../core/book/effort";
import { Database } from "./database";
import { draftOf, dropDraft, keepDraft } from "./drawings";
import { keepWater } from "./gauges";
import { startSession } from "./sessions";
import { NO_SPOT } from "./effort-intervals";
import { dropForecast, keepForecast } from "./weather";
import { addPiece, addPieces, changePiece, countPiece } from "./tackle";

const book = demoBook(Date.UTC(2026, 9, 1, 12));
const profile: Profile = {
  schema: "low-heron/profile@1",
  id: "mine",
  updatedAt: "2026-09-01T00:00:00Z",
  base: "chub",
  species: { ...speciesById("chub"), id: "mine", name: "Big chub", forkLength: 55, source: "own" },
};
/** Tables of each schema as it was; those of later ones add to it. */
const SCHEMAS: readonly Record<string, string>[] = [
  {
    stations: "id",
    series: "id, station",
    reaches: "id, station",
    sessions: "id, reach, start",
    catches: "id, session, at",
    fields: "id, bed, solvedAt",
  },
  { series: "id, station, [station+updatedAt]", waters: "id", readings: "id, station, reach, at" },
  { profiles: "id" },
  {},
  {},
  { tackle: "id" },
  {
    stretches: "id, session",
    observations: "id, session",
    rules: "id, reach",
    photos: "id, catch",
  },
  { weather: "id" },
  { preferences: "id" },
];

/** A database as an application of that schema would have made it. */
function olderBook(name: string, version: number): Dexie {
  const old = new Dexie(name);
  SCHEMAS.slice(0, version).forEach((tables, index) => old.version(index + 1).stores(tables));
  return old;
}
let count = 0;

test("a browser that still holds schema 1 opens with all it had, and the new tables", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 1);
  await old.table("sessions").bulkAdd(book.sessions.slice(0, 3));
  await old.table("stations").bulkAdd(book.stations);
  await old.table("series").add({
    id: "x",
    station: book.stations[0]!.id,
    parameter: "stage",
    unit: "m",
    times: Float64Array.of(1, 2),
    values: Float64Array.of(0.5, NaN),
    updatedAt: "2026-01-01T00:00:00Z",
  });
  await old
    .table("fields")
    .add({ id: "f", bed: "b", field: { depth: Float32Array.of(1) }, solvedAt: "2026-01-01T00:00:00Z" });
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  expect(back.sessions).toEqual(book.sessions.slice(0, 3));
  expect(back.series[0]!.values).toEqual([0.5, null]);
  expect([back.waters, back.readings]).toEqual([[], []]);
  // Fields can be worked out again: those of the old, unpacked form go.
  expect(await opened.fields.count()).toBe(0);
  await keepWater(opened, "s", undefined, { water: { damNote: "siren before a release" } });
  expect((await readBook(opened)).waters[0]!.damNote).toBe("siren before a release");
  await opened.delete();
});

test("a browser that holds schema 2 opens with all it had, room for own profiles, and its catches without places", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 2);
  const before = book.catches.slice(0, 4).map((one) => ({ ...one, place: undefined }));
  await old.table("catches").bulkAdd(before);
  await old.table("waters").bulkAdd(book.waters);
  await old.table("readings").bulkAdd(book.readings);
  await old.table("fields").add({ id: "f", bed: "b", packed: {}, ground: {}, solvedAt: "2026-01-01T00:00:00Z" });
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  expect(back.catches).toEqual(before);
  expect([back.waters, back.readings.length, back.profiles]).toEqual([book.waters, book.readings.length, []]);
  // Kept fields have a part by another name since schema 4: they are worked out again.
  expect(await opened.fields.count()).toBe(0);
  await opened.profiles.put(profile);
  expect((await readBook(opened)).profiles).toEqual([profile]);
  await opened.delete();
});

test("a browser that holds schema 3 opens with all it had, and every object of a bed gets an id of its own", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 3);
  const plain = book.reaches.map((record) => ({
    ...record,
    reach: { ...record.reach, features: record.reach.features?.map((one) => ({ ...one, id: undefined })) },
  }));
  await old.table("reaches").bulkAdd(plain);
  await old.table("sessions").bulkAdd(book.sessions);
  await old.table("profiles").add(profile);
  await old.table("fields").add({ id: "f", bed: "b", packed: {}, ground: {}, solvedAt: "2026-01-01T00:00:00Z" });
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  expect([back.sessions.length, back.profiles]).toEqual([book.sessions.length, [profile]]);
  for (const { id, reach } of back.reaches) {
    const before = plain.find((one) => one.id === id)!.reach.features ?? [];
    const features = reach.features ?? [];
    expect(features.map((one) => ({ ...one, id: undefined }))).toEqual(before);
    expect(new Set(features.map((one) => one.id)).size).toBe(features.length);
    expect(features.every((one) => typeof one.id === "string" && one.id !== "")).toBe(true);
  }
  expect(back.reaches.some(({ reach }) => (reach.features?.length ?? 0) > 1)).toBe(true);
  expect(await opened.fields.count()).toBe(0);
  await opened.delete();
});

test("a browser that holds schema 4 opens with all it had: readings know when they came, and what no archive could hold is made to fit", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 4);
  const [station] = book.stations;
  const series = (id: string, deleted?: boolean) => ({
    id,
    station: station!.id,
    parameter: "stage",
    unit: "m",
    times: Float64Array.from(deleted ? [] : [1, 2]),
    values: Float64Array.from(deleted ? [] : [0.5, NaN]),
    updatedAt: "2026-01-01T02:00:00+02:00",
    ...(deleted ? { deleted } : {}),
  });
  await old
    .table("stations")
    .bulkAdd([
      station!,
      { ...station!, id: "long", name: "N".repeat(300), code: "9".repeat(70), zone: "Z".repeat(90) },
      { ...station!, id: "blank", name: "" },
    ]);
  await old.table("series").bulkAdd([series("kept"), series("gone", true)]);
  await old.table("reaches").bulkAdd(book.reaches);
  await old
    .table("sessions")
    .bulkAdd([
      { ...book.sessions[0]!, end: new Date(Date.parse(book.sessions[0]!.start) - 1).toISOString() },
      ...book.sessions.slice(1),
    ]);
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  const at = "2026-01-01T00:00:00.000Z";
  expect(back.series.find((one) => one.id === "kept")).toMatchObject({
    stamps: [at],
    marks: [0, 0],
    values: [0.5, null],
  });
  expect(back.series.find((one) => one.id === "gone")).toMatchObject({ stamps: [], cleared: at, deleted: true });
  const long = back.stations.find((one) => one.id === "long")!;
  expect([long.name.length, long.code.length, long.zone.length]).toEqual([120, 40, 60]);
  expect(back.stations.find((one) => one.id === "blank")!.name).toBe("Gauge");
  expect(back.stations.find((one) => one.id === station!.id)).toEqual(station);
  expect(back.sessions.find((one) => one.id === book.sessions[0]!.id)!.end).toBe(book.sessions[0]!.start);
  expect(back.sessions).toHaveLength(book.sessions.length);
  // And all of it can go out and come in again.
  const digest = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
  const read = await readArchive(await writeArchive(back, at, digest), digest);
  expect(read.setAside).toEqual([]);
  await opened.delete();
});

test("a browser that holds schema 5 opens with all it had, and an empty tackle box that keeps what is put into it", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 5);
  await old.table("sessions").bulkAdd(book.sessions);
  await old.table("catches").bulkAdd(book.catches);
  await old.table("profiles").add(profile);
  await old.table("waters").bulkAdd(book.waters);
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  expect([back.sessions, back.catches, back.profiles, back.waters, back.tackle]).toEqual([
    [...book.sessions].sort((a, b) => (a.id < b.id ? -1 : 1)),
    [...book.catches].sort((a, b) => (a.id < b.id ? -1 : 1)),
    [profile],
    book.waters,
    [],
  ]);
  await addPiece(opened, { kind: "head", name: "minnow head", count: 2, grams: 3.5, metal: "tin" });
  const [piece] = (await readBook(opened)).tackle;
  expect(piece).toMatchObject({ schema: "low-heron/tackle@1", name: "minnow head", count: 2 });
  // Lost one; the undo finds it again, whatever was changed meanwhile.
  const undo = await countPiece(opened, piece!.id, -1);
  // Renamed by a hand that still saw two: the one that was lost stays lost until it is found again.
  await changePiece(opened, piece!, { kind: "head", name: "renamed", count: 2, grams: 3.5, metal: "tin" });
  expect((await opened.tackle.get(piece!.id))!).toMatchObject({ name: "renamed", count: 1 });
  await undo();
  expect((await opened.tackle.get(piece!.id))!).toMatchObject({ name: "renamed", count: 2, metal: "tin" });
  const none = await addPieces(opened, [
    { kind: "shot", name: "BB", count: 5, grams: 0.4 },
    { kind: "shot", name: "AAA", count: 5, grams: 0.8 },
  ]);
  await none();
  expect((await opened.tackle.toArray()).filter((one) => !one.deleted)).toHaveLength(1);
  // What is no piece is let in by nobody.
  await expect(addPiece(opened, { kind: "head", name: "bad", count: 1 })).rejects.toThrow();
  await opened.delete();
});

test("a browser that holds schema 6 opens with all it had, its sessions counted whole, and keeps hours on the bank from there on", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 6);
  await old.table("sessions").bulkAdd(book.sessions);
  await old.table("catches").bulkAdd(book.catches);
  await old.table("reaches").bulkAdd(book.reaches);
  await old.table("stations").bulkAdd(book.stations);
  await old.table("tackle").add({
    schema: "low-heron/tackle@1",
    id: "t",
    updatedAt: "2026-01-01T00:00:00Z",
    kind: "shot",
    name: "BB",
    count: 5,
    grams: 0.4,
  });
  old.close();
  const opened = new Database(name);
  const back = await readBook(opened);
  expect([back.sessions.length, back.catches.length, back.tackle.length]).toEqual([
    book.sessions.length,
    book.catches.length,
    1,
  ]);
  expect([back.stretches, back.observations, back.rules, back.photos]).toEqual([[], [], [], []]);
  const hours = (sessions: typeof book.sessions) =>
    effortOf(sessions, book.catches, 0, undefined, back.stretches).reduce((sum, one) => sum + one.hours, 0);
  expect(hours(back.sessions)).toBeCloseTo(hours(book.sessions), 9);
  await startSession(opened, book.reaches[0]!.id, "brown-trout", Date.UTC(2026, 9, 1, 12), {
    spots: [{ ...NO_SPOT, rod: 1, angler: "" }],
  });
  expect((await readBook(opened)).stretches).toHaveLength(1);
  await opened.delete();
});

test("a browser that holds schema 7 opens with its stretches and rules, and room for forecasts, which a backup holds", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 7);
  await old.table("sessions").bulkAdd(book.sessions);
  await old.table("stretches").bulkAdd(book.stretches);
  await old.table("rules").bulkAdd(book.rules);
  old.close();
  const opened = new Database(name);
  const forecast = { id: "s", source: "file" as const, name: "w.csv", issued: 1, hours: [] };
  expect(await keepForecast(opened, forecast)).toBeUndefined();
  expect(await keepForecast(opened, { ...forecast, name: "x.csv" })).toMatchObject(forecast);
  expect((await dropForecast(opened, "s"))!.name).toBe("x.csv");
  expect(await dropForecast(opened, "s")).toBeUndefined();
  const back = await readBook(opened);
  expect(back.stretches).toHaveLength(book.stretches.length);
  expect(back.rules).toEqual(book.rules);
  expect(back.weather).toMatchObject([{ id: "s", deleted: true }]);
  await opened.delete();
});

test("a browser that holds schema 9 opens with all it had, and room for drawings and their pictures", async () => {
  const name = `old-${count++}`;
  const old = olderBook(name, 9);
  await old.table("reaches").bulkAdd(book.reaches);
  await old.table("preferences").add(book.preferences[0] ?? { id: "none" });
  old.close();
  const opened = new Database(name);
  expect((await readBook(opened)).reaches).toHaveLength(book.reaches.length);
  const drawing = {
    sheet: { width: 9, height: 9 },
    scale: { kind: "unknown" as const },
    marks: [],
    discharge: 1,
    slope: null,
  };
  await keepDraft(opened, "new", "Run", drawing);
  expect(await draftOf(opened, "new")).toMatchObject({ name: "Run", drawing });
  await dropDraft(opened, "new");
  expect(await draftOf(opened, "new")).toBeUndefined();
  await opened.delete();
});
