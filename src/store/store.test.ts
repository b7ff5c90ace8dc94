import "fake-indexeddb/auto";
import { createHash } from "node:crypto";
import { demoBook } from "../demo/book";
import { emptyBook, type Profile } from "../core/book/records";
import { readArchive, writeArchive } from "../core/formats/archive";
import { speciesById } from "../core/fish/species";
import { readGaugeCsv } from "../core/formats/gauge-csv";
import { gaugeCsv } from "../standins/gauge";
import { planMerge, readBook, removeDemo, writeBook } from "./book";
import { Database } from "./database";
import { bedKey, keepField, keptField, solvedFlows } from "./fields";
import { newId } from "./identity";
import {
  addPastSession,
  addReading,
  blankWater,
  endSession,
  gaugeAtReach,
  gaugeOf,
  keepGauge,
  keepWater,
  logCatch,
  markReading,
  removeGauge,
  setTransfer,
  startSession,
} from "./river";
import Dexie from "dexie";
import { seriesOf } from "../core/gauge/summary";

const now = Date.UTC(2026, 9, 1, 12);
const book = demoBook(now);
const profile: Profile = {
  schema: "low-heron/profile@1",
  id: "mine",
  updatedAt: "2026-09-01T00:00:00Z",
  base: "chub",
  species: { ...speciesById("chub"), id: "mine", name: "Big chub", forkLength: 55, source: "own" },
};
let db: Database;
let count = 0;
beforeEach(() => {
  db = new Database(`test-${count++}`);
});
afterEach(() => db.delete());

test("a book comes back as it went in", async () => {
  await writeBook(db, book);
  const back = await readBook(db);
  expect(back.catches).toEqual([...book.catches].sort((a, b) => a.id.localeCompare(b.id)));
  expect(back.series[0]).toEqual(book.series.find((one) => one.id === back.series[0]!.id));
});

test("a write that fails half-way leaves nothing behind", async () => {
  const broken = { ...book, catches: [...book.catches, { ...book.catches[0]!, id: undefined as unknown as string }] };
  await expect(writeBook(db, broken)).rejects.toBeTruthy();
  expect((await readBook(db)).stations).toHaveLength(0);
});

test("merging: newer wins, older is left alone, and the plan says so before anything is written", async () => {
  await writeBook(db, { ...emptyBook(), sessions: book.sessions.slice(0, 2) });
  const [a, b, c] = book.sessions;
  const plan = await planMerge(db, {
    ...emptyBook(),
    sessions: [
      { ...a!, notes: "newer", updatedAt: "2030-01-01T00:00:00Z" },
      { ...b!, notes: "older", updatedAt: "2020-01-01T00:00:00Z" },
      c!,
    ],
  });
  expect(plan.parts.sessions).toEqual({ added: 1, replaced: 1, kept: 1 });
  expect((await db.sessions.get(a!.id))!.notes).toBe("");
  await writeBook(db, plan.take);
  expect((await db.sessions.get(a!.id))!.notes).toBe("newer");
  expect((await db.sessions.get(b!.id))!.notes).toBe("");
});

test("the made-up river goes, with what was logged on it, own records stay, and undo brings it back", async () => {
  await writeBook(db, book);
  await keepGauge(db, readGaugeCsv("time,discharge (m3/s)\n2026-09-01T00:00Z,5\n"), {
    name: "Mine",
    zone: "UTC",
    latitude: null,
    longitude: null,
  });
  const gone = await removeDemo(db);
  const left = await readBook(db);
  expect(left.stations.map((one) => one.name)).toEqual(["Mine"]);
  expect([left.reaches.length, left.sessions.length, left.catches.length]).toEqual([0, 0, 0]);
  await writeBook(db, gone);
  expect((await readBook(db)).sessions).toHaveLength(book.sessions.length);
});

test("a session and a catch take the river from the gauge at their own times", async () => {
  await writeBook(db, { ...book, sessions: [], catches: [] });
  const at = now - 30 * 3_600_000;
  const session = await startSession(db, "demo-kiln-glide", "brown-trout", at);
  const caught = await logCatch(db, session, { lie: "Deep of the pool" }, at + 3_600_000);
  const discharge = (await gaugeOf(db, session.reach && "demo-ostrel-corbel"))!.series.find(
    (one) => one.parameter === "discharge",
  )!;
  const read = (time: number) => discharge.values[discharge.times.findLastIndex((one) => one <= time)];
  expect(session.river!.discharge).toBe(read(at));
  expect(caught.river!.discharge).toBe(read(at + 3_600_000));
  expect(caught.river!.trend).not.toBeNull();
  await endSession(db, session.id, at + 7_200_000);
  expect((await db.sessions.get(session.id))!.end).toBe(new Date(at + 7_200_000).toISOString());
  const past = await addPastSession(db, {
    reach: "demo-alder-bend",
    species: "brown-trout",
    rods: 2,
    notes: "",
    start: at - 9e6,
    end: at - 1e6,
  });
  expect(past.river!.discharge).toBe(read(at - 9e6));
});

test("importing more of one gauge joins it without duplicates", async () => {
  await writeBook(db, { ...emptyBook(), stations: book.stations });
  const target = { station: "demo-ostrel-corbel", name: "", zone: "UTC", latitude: null, longitude: null };
  const part = (from: number, to: number) => readGaugeCsv(gaugeCsv(now - from * 3_600_000, now - to * 3_600_000));
  await keepGauge(db, part(48, 20), target);
  await keepGauge(db, part(30, 0), target);
  const [series] = (await gaugeOf(db, target.station))!.series;
  expect(series!.times).toHaveLength(49);
});

test("fields are kept by bed and flow, and another bed does not see them", async () => {
  const reach = book.reaches[0]!.reach;
  const field = {
    nx: 4,
    ny: 3,
    cell: 1,
    discharge: 6.5,
    bed: new Float32Array(12),
    roughness: new Float32Array(12),
    depth: new Float32Array(12),
    u: new Float32Array(12),
    v: new Float32Array(12),
    unsteadiness: new Float32Array(12),
    verdict: "converged" as const,
    massError: 0,
    steps: 1,
  };
  await keepField(db, bedKey(reach), field);
  expect((await keptField(db, bedKey(reach), 6.5, 1))!.discharge).toBe(6.5);
  expect(await solvedFlows(db, bedKey(reach))).toEqual([{ discharge: 6.5, cell: 1 }]);
  expect(bedKey({ ...reach, roughness: 0.04 })).not.toBe(bedKey(reach));
  // A stone moved is another bed; renamed, or under a tree, it is the same.
  const [stone, ...others] = reach.features!;
  expect(bedKey({ ...reach, features: [{ ...stone!, x: 1 }, ...others] })).not.toBe(bedKey(reach));
  expect(
    bedKey({
      ...reach,
      features: [
        { ...stone!, name: "old pulpit" },
        ...others,
        { kind: "overhang", x: 9, y: 9, length: 4, width: 2, angle: 0 },
      ],
    }),
  ).toBe(bedKey(reach));
});

test("a browser that still holds schema 1 opens with all it had, and the new tables", async () => {
  const name = `old-${count++}`;
  const old = new Dexie(name);
  old.version(1).stores({
    stations: "id",
    series: "id, station",
    reaches: "id, station",
    sessions: "id, reach, start",
    catches: "id, session, at",
    fields: "id, bed, solvedAt",
  });
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
  await keepWater(opened, { ...blankWater("s"), damNote: "siren before a release" });
  expect((await readBook(opened)).waters[0]!.damNote).toBe("siren before a release");
  await opened.delete();
});

test("a browser that holds schema 2 opens with all it had, room for own profiles, and its catches without places", async () => {
  const name = `old-${count++}`;
  const old = new Dexie(name);
  old.version(1).stores({
    stations: "id",
    series: "id, station",
    reaches: "id, station",
    sessions: "id, reach, start",
    catches: "id, session, at",
    fields: "id, bed, solvedAt",
  });
  old
    .version(2)
    .stores({ series: "id, station, [station+updatedAt]", waters: "id", readings: "id, station, reach, at" });
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
  expect(await opened.fields.count()).toBe(1);
  await opened.profiles.put(profile);
  expect((await readBook(opened)).profiles).toEqual([profile]);
  await opened.delete();
});

test("own profiles and places of fish go through an archive and back; a broken profile is refused by its line, and one that names another fish", async () => {
  const digest = async (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");
  const placed = { ...book.catches[0]!, place: { x: 12.5, y: 8 } };
  const own = {
    ...emptyBook(),
    reaches: book.reaches,
    sessions: book.sessions,
    catches: [placed],
    profiles: [profile],
  };
  const back = await readArchive(await writeArchive(own, "2026-10-01T00:00:00Z", digest), digest);
  expect(back.profiles).toEqual([profile]);
  expect(back.catches[0]!.place).toEqual({ x: 12.5, y: 8 });
  for (const wrong of [
    { ...profile, species: { ...profile.species, forkLength: -1 } },
    { ...profile, id: "other" },
  ]) {
    const bytes = await writeArchive({ ...own, profiles: [wrong as typeof profile] }, "2026-10-01T00:00:00Z", digest);
    await expect(readArchive(bytes, digest)).rejects.toMatchObject({
      fault: { code: "bad-record", line: 1, path: "profiles.jsonl" },
    });
  }
});

test("a stage-only gauge gets its discharge from the rating of its water, and says how; a gauge gone takes its water and readings, and undo brings all back", async () => {
  const id = await keepGauge(
    db,
    readGaugeCsv("time,stage (m)\n2026-09-01T00:00Z,0.5\n2026-09-01T01:00Z,Ice\n2026-09-01T02:00Z,0.9\n"),
    { name: "Stage only", zone: "UTC", latitude: null, longitude: null },
  );
  expect(seriesOf((await gaugeOf(db, id))!, "discharge")).toBeUndefined();
  await keepWater(db, {
    ...blankWater(id),
    gaugings: [0.3, 0.5, 0.8, 1.2].map((stage) => ({ stage, discharge: 10 * (stage - 0.1) ** 2 })),
  });
  const record = (await gaugeOf(db, id))!;
  const discharge = seriesOf(record, "discharge")!;
  expect(discharge.values[0]).toBeCloseTo(1.6, 3);
  expect(discharge.values[1]).toBeNaN();
  expect(record.derived!.discharge!.words).toMatch(/your rating from stage \(4 pairs/);
  await addReading(db, {
    station: id,
    reach: null,
    at: "2026-09-01T00:10:00Z",
    kind: "clarity",
    value: 0.8,
    error: null,
    how: "thigh",
  });
  const undo = await removeGauge(db, id);
  expect([await db.waters.count(), await db.readings.count()]).toEqual([0, 0]);
  await undo();
  expect([await db.waters.count(), await db.readings.count()]).toEqual([1, 1]);
});

test("three clarity readings beside the gauge refit the conversion; one taken out no longer counts", async () => {
  await writeBook(db, { ...emptyBook(), stations: book.stations, series: book.series });
  const station = book.stations[0]!.id;
  const turbidity = seriesOf((await gaugeOf(db, station))!, "turbidity")!;
  const ids: string[] = [];
  for (const back of [200, 900, 3000]) {
    const k = turbidity.times.length - back;
    ids.push(
      (
        await addReading(db, {
          station,
          reach: null,
          at: new Date(turbidity.times[k]!).toISOString(),
          kind: "clarity",
          value: 5 * turbidity.values[k]! ** -0.71,
          error: null,
          how: "",
        })
      ).id,
    );
  }
  const fit = (await gaugeOf(db, station))!.clarityFit!;
  expect(fit.pairs).toBe(3);
  expect(fit.a).toBeCloseTo(5, 1);
  await markReading(db, ids[0]!, true);
  expect((await gaugeOf(db, station))!.clarityFit!.pairs).toBe(0);
});

test("an ungauged reach takes its flow by area and lag, then by the angler's own reading there; sessions keep that flow", async () => {
  await writeBook(db, { ...book, sessions: [], catches: [] });
  await setTransfer(db, "demo-alder-bend", { areaRatio: 0.5, lag: 2 });
  const gauge = seriesOf((await gaugeOf(db, "demo-ostrel-corbel"))!, "discharge")!;
  const at = gauge.times[gauge.times.length - 30]!;
  const there = async () => seriesOf((await gaugeAtReach(db, await db.reaches.get("demo-alder-bend")))!, "discharge")!;
  const value = async () => {
    const one = await there();
    return one.values[one.times.indexOf(at)]!;
  };
  const lagged = gauge.values[gauge.times.indexOf(at - 2 * 3_600_000)]!;
  expect(await value()).toBeCloseTo(0.5 * lagged, 9);
  await addReading(db, {
    station: null,
    reach: "demo-alder-bend",
    at: new Date(at).toISOString(),
    kind: "discharge",
    value: 0.7 * lagged,
    error: 0.1,
    how: "timed floats",
  });
  expect(await value()).toBeCloseTo(0.7 * lagged, 9);
  expect((await startSession(db, "demo-alder-bend", "brown-trout", at)).river!.discharge).toBeCloseTo(0.7 * lagged, 9);
});

test("ids sort by age and do not meet", () => {
  expect(newId(1000) < newId(2000)).toBe(true);
  expect(new Set(Array.from({ length: 500 }, () => newId(5))).size).toBe(500);
});
