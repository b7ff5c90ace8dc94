import "fake-indexeddb/auto";
import { createHash } from "node:crypto";
import { demoBook } from "../demo/book";
import { emptyBook, PART_NAMES } from "../core/book/log-contents";
import type { Profile } from "../core/book/records";
import { readArchive, writeArchive } from "../core/formats/archive";
import { speciesById } from "../core/fish/species";
import { readGaugeCsv } from "../core/formats/gauge-csv";
import { gaugeCsv } from "../standins/gauge";
import { applyPlan, emptyTheBook, planMerge, readBook, removeDemo, restoreBook, writeBook } from "./book";
import { Database } from "./database";
import { bedKey } from "../scenario/field";
import type { Session } from "../core/book/records";
import { seriesOf } from "../core/gauge/summary";
import { keepField, keptField, solvedFlows } from "./fields";
import { addReading, keepGauge, keepWater, removeGauge, removeReading } from "./gauges";
import { newId } from "./identity";
import { patchReach, removeReach } from "./reaches";
import { gaugeAtReach, gaugeOf } from "./river";
import { addPastSession, endSession, logCatch, startSession } from "./sessions";

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

const started = async (reach: string, at: number): Promise<Session> => {
  const before = new Set(await db.sessions.toCollection().primaryKeys());
  await startSession(db, reach, "brown-trout", at);
  return (await db.sessions.toArray()).find((one) => !before.has(one.id))!;
};

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
  expect(plan.parts.sessions).toEqual({ added: 1, replaced: 1, joined: 0, gone: 0, kept: 1 });
  expect((await db.sessions.get(a!.id))!.notes).toBe("");
  await writeBook(db, plan.take);
  expect((await db.sessions.get(a!.id))!.notes).toBe("newer");
  expect((await db.sessions.get(b!.id))!.notes).toBe("");
});

test("the demo river goes, with what was logged on it, own records stay, and undo brings it back", async () => {
  await writeBook(db, book);
  await keepGauge(db, readGaugeCsv("time,discharge (m3/s)\n2026-09-01T00:00Z,5\n"), {
    name: "Mine",
    zone: "UTC",
    latitude: null,
    longitude: null,
  });
  const gone = await removeDemo(db);
  const alive = async () => {
    const left = await readBook(db);
    const there = <T extends { deleted?: boolean }>(records: T[]) => records.filter((one) => !one.deleted);
    return {
      stations: there(left.stations),
      reaches: there(left.reaches),
      sessions: there(left.sessions),
      catches: there(left.catches),
    };
  };
  const left = await alive();
  expect(left.stations.map((one) => one.name)).toEqual(["Mine"]);
  expect([left.reaches.length, left.sessions.length, left.catches.length]).toEqual([0, 0, 0]);
  // What went leaves its mark, so that an archive of before does not bring it back by itself.
  const plan = await planMerge(db, book);
  expect([plan.take.sessions.length, plan.removed.sessions.length]).toEqual([0, book.sessions.length]);
  await applyPlan(db, plan, "merge");
  expect((await alive()).sessions).toEqual([]);
  await applyPlan(db, plan, "restore");
  expect((await alive()).sessions).toHaveLength(book.sessions.length);
  await removeDemo(db);
  await restoreBook(db, gone);
  const back = await alive();
  expect([back.stations.length, back.sessions.length]).toEqual([1 + book.stations.length, book.sessions.length]);
  expect((await readBook(db)).series.find((one) => one.id === book.series[0]!.id)!.values).toEqual(
    book.series[0]!.values,
  );
});

test("a session and a catch take the river from the gauge at their own times", async () => {
  await writeBook(db, { ...book, sessions: [], catches: [] });
  const at = now - 30 * 3_600_000;
  const session = await started("demo-kiln-glide", at);
  const { fish: caught, undo } = await logCatch(db, session, { lie: "Deep of the pool" }, at + 3_600_000);
  const discharge = (await gaugeOf(db, session.reach && "demo-ostrel-corbel"))!.series.find(
    (one) => one.parameter === "discharge",
  )!;
  const read = (time: number) => discharge.values[discharge.times.findLastIndex((one) => one <= time)];
  expect(session.river!.discharge).toBe(read(at));
  expect(caught.river!.discharge).toBe(read(at + 3_600_000));
  expect(caught.river!.trend).not.toBeNull();
  await undo();
  expect((await db.catches.get(caught.id))!.deleted).toBe(true);
  const reopen = await endSession(db, session, at + 7_200_000);
  expect((await db.sessions.get(session.id))!.end).toBe(new Date(at + 7_200_000).toISOString());
  await reopen();
  expect((await db.sessions.get(session.id))!.end).toBeNull();
  await addPastSession(db, {
    reach: "demo-alder-bend",
    species: "brown-trout",
    rods: 2,
    notes: "",
    start: at - 9e6,
    end: at - 1e6,
  });
  const past = await db.sessions.filter((one) => one.rods === 2).first();
  expect(past!.river!.discharge).toBe(read(at - 9e6));
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
    speedDeviation: new Float32Array(12),
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

test("own profiles and places of fish go through an archive and back; a broken profile is set aside by its line, and one that names another fish", async () => {
  const digest = async (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");
  const placed = { ...book.catches[0]!, place: { x: 12.5, y: 8 } };
  const own = {
    ...emptyBook(),
    reaches: book.reaches,
    sessions: book.sessions,
    catches: [placed],
    profiles: [profile],
  };
  const { book: back } = await readArchive(await writeArchive(own, "2026-10-01T00:00:00Z", digest), digest);
  expect(back.profiles).toEqual([profile]);
  expect(back.catches[0]!.place).toEqual({ x: 12.5, y: 8 });
  for (const wrong of [
    { ...profile, species: { ...profile.species, forkLength: -1 } },
    { ...profile, id: "other" },
  ]) {
    const bytes = await writeArchive({ ...own, profiles: [wrong as typeof profile] }, "2026-10-01T00:00:00Z", digest);
    const read = await readArchive(bytes, digest);
    expect(read.setAside).toMatchObject([{ path: "profiles.jsonl", line: 1, why: { code: "bad-record" } }]);
    expect([read.book.profiles.length, read.book.catches.length]).toEqual([0, 1]);
  }
});

test("a stage-only gauge gets its discharge from the rating of its water, and says how; a gauge gone takes its water and readings, and undo brings all back", async () => {
  const id = await keepGauge(
    db,
    readGaugeCsv("time,stage (m)\n2026-09-01T00:00Z,0.5\n2026-09-01T01:00Z,Ice\n2026-09-01T02:00Z,0.9\n"),
    { name: "Stage only", zone: "UTC", latitude: null, longitude: null },
  );
  expect(seriesOf((await gaugeOf(db, id))!, "discharge")).toBeUndefined();
  await keepWater(db, id, undefined, {
    water: { gaugings: [0.3, 0.5, 0.8, 1.2].map((stage) => ({ stage, discharge: 10 * (stage - 0.1) ** 2 })) },
  });
  const record = (await gaugeOf(db, id))!;
  const discharge = seriesOf(record, "discharge")!;
  expect(discharge.values[0]).toBeCloseTo(1.6, 3);
  expect(discharge.values[1]).toBeNaN();
  expect(record.derived!.discharge).toMatchObject({ by: "rating", from: "stage", pairs: 4 });
  await addReading(db, {
    station: id,
    reach: null,
    at: "2026-09-01T00:10:00Z",
    kind: "clarity",
    value: 0.8,
    error: null,
    how: "thigh",
  });
  const gone = async () =>
    (await Promise.all([db.stations, db.waters, db.readings].map((table) => table.toArray()))).map((rows) =>
      rows.map((row) => row.deleted === true),
    );
  const undo = await removeGauge(db, id);
  expect(await gone()).toEqual([[true], [true], [true]]);
  expect((await db.series.toArray()).map((one) => [one.deleted, one.times.length])).toEqual([[true, 0]]);
  expect(await gaugeOf(db, id)).toBeUndefined();
  await undo();
  expect(await gone()).toEqual([[false], [false], [false]]);
  expect(seriesOf((await gaugeOf(db, id))!, "stage")!.values).toHaveLength(3);
});

test("three clarity readings beside the gauge refit the conversion; one taken out no longer counts", async () => {
  await writeBook(db, { ...emptyBook(), stations: book.stations, series: book.series });
  const station = book.stations[0]!.id;
  const turbidity = seriesOf((await gaugeOf(db, station))!, "turbidity")!;
  for (const back of [200, 900, 3000]) {
    const k = turbidity.times.length - back;
    await addReading(db, {
      station,
      reach: null,
      at: new Date(turbidity.times[k]!).toISOString(),
      kind: "clarity",
      value: 5 * turbidity.values[k]! ** -0.71,
      error: null,
      how: "",
    });
  }
  const fit = (await gaugeOf(db, station))!.clarityFit!;
  expect(fit.pairs).toBe(3);
  expect(fit.a).toBeCloseTo(5, 1);
  const [first] = await db.readings.toArray();
  await removeReading(db, first!.id);
  expect((await gaugeOf(db, station))!.clarityFit!.pairs).toBe(0);
});

test("an ungauged reach takes its flow by area and lag, then by the angler's own reading there; sessions keep that flow", async () => {
  await writeBook(db, { ...book, sessions: [], catches: [] });
  await keepWater(db, "demo-ostrel-corbel", "demo-alder-bend", { water: {}, transfer: { areaRatio: 0.5, lag: 2 } });
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
  expect((await started("demo-alder-bend", at)).river!.discharge).toBeCloseTo(0.7 * lagged, 9);
});

test("ids sort by age and do not meet", () => {
  expect(newId(1000) < newId(2000)).toBe(true);
  expect(new Set(Array.from({ length: 500 }, () => newId(5))).size).toBe(500);
});

test("a book restores as it was: what was removed since comes back, what was renamed since has its name of then", async () => {
  await writeBook(db, book);
  const saved = await readBook(db);
  const [first, second] = book.reaches;
  await removeReach(db, first!.id);
  await patchReach(db, second!.id, { name: "Another name" });
  const plan = await planMerge(db, saved);
  expect(plan.removed.reaches.map(({ id }) => id)).toEqual([first!.id]);
  expect(plan.older.reaches.map(({ id }) => id)).toEqual([second!.id]);
  await applyPlan(db, plan, "merge");
  expect((await db.reaches.get(first!.id))!.deleted).toBe(true);
  expect((await db.reaches.get(second!.id))!.reach.name).toBe("Another name");
  await applyPlan(db, plan, "restore");
  expect((await db.reaches.get(first!.id))!.deleted).toBeUndefined();
  expect((await db.reaches.get(second!.id))!.reach.name).toBe(second!.reach.name);
});

test("an emptied book holds nothing but tombstones, and its copy brings all of it back", async () => {
  await writeBook(db, book);
  const saved = await readBook(db);
  await emptyTheBook(db);
  const left = await readBook(db);
  for (const part of PART_NAMES) expect(left[part].every((one) => one.deleted)).toBe(true);
  await applyPlan(db, await planMerge(db, saved), "merge");
  expect((await db.reaches.toArray()).filter((one) => !one.deleted)).toEqual([]);
  await applyPlan(db, await planMerge(db, saved), "restore");
  for (const part of PART_NAMES)
    expect((await readBook(db))[part].filter((one) => !one.deleted)).toHaveLength(book[part].length);
});
