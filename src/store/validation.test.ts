import "fake-indexeddb/auto";
import { type Book, emptyBook } from "../core/book/log-contents";
import { readGaugeCsv } from "../core/formats/gauge-csv";
import { demoBook } from "../demo/book";
import { applyPlan, planMerge, readBook, writeBook } from "./book";
import { patch } from "./change";
import { Database } from "./database";
import { keepGauge, removeGauge } from "./gauges";
import { endSession, removeSession, startSession } from "./sessions";

const book = demoBook(Date.UTC(2026, 9, 1, 12));
const light: Book = { ...book, series: [] };
const REACH = book.reaches[0]!.id;
let count = 0;
let db: Database;
beforeEach(async () => {
  db = new Database(`gate-${count++}`);
  await writeBook(db, light);
});
afterEach(() => db.delete());
jest.setTimeout(60_000);

const csv = (from: number, hours: number, value: number): string =>
  `time,stage (m)\n${Array.from({ length: hours }, (_, k) => `${new Date(from + k * 3_600_000).toISOString()},${value}`).join("\n")}\n`;
const target = (station?: string) => ({ station, name: "Mine", zone: "UTC", latitude: null, longitude: null });

describe("nothing is kept that no archive could hold", () => {
  test.each<[string, () => Promise<unknown>, string]>([
    ["a session of nine rods", () => patch(db, db.sessions, book.sessions[0]!.id, { rods: 9 }), "rods"],
    [
      "one that ends before it begins",
      () => patch(db, db.sessions, book.sessions[0]!.id, { end: "2020-01-01T00:00:00Z" }),
      "end",
    ],
    ["a fish of seven metres", () => patch(db, db.catches, book.catches[0]!.id, { length: 7 }), "length"],
    [
      "a gauge of too long a name",
      () => patch(db, db.stations, book.stations[0]!.id, { name: "x".repeat(121) }),
      "name",
    ],
    ["a reach of another's id", () => db.reaches.put({ ...book.reaches[0]!, id: "other" }), "reach.id"],
    ["a record that is none", () => db.catches.put({ id: "x" } as never), "schema"],
    ["readings out of order", () => db.series.put(stored([2, 1], [1, 1], [0, 0])), "times"],
    ["readings without values", () => db.series.put(stored([1, 2], [1], [0, 0])), "values"],
    ["readings of no stamp", () => db.series.put(stored([1, 2], [1, 2], [0, 1])), "marks"],
    [
      "a series of an unknown kind",
      () => db.series.put({ ...stored([1], [1], [0]), parameter: "smell" as never }),
      "parameter",
    ],
  ])("%s", async (_, write, field) => {
    const before = await readBook(db);
    await expect(write()).rejects.toMatchObject({ fault: { code: "unsound-record", values: { field } } });
    expect(await readBook(db)).toEqual(before);
  });

  const stored = (times: number[], values: number[], marks: number[]) => ({
    id: "s",
    station: "g",
    parameter: "stage" as const,
    unit: "m",
    updatedAt: "2026-01-01T00:00:00Z",
    times: Float64Array.from(times),
    values: Float64Array.from(values),
    marks: Uint16Array.from(marks),
    stamps: ["2026-01-01T00:00:00.000Z"],
  });

  test("one unsound record among many leaves nothing of them behind", async () => {
    const broken = { ...light, catches: [...light.catches, { ...light.catches[0]!, id: "n", length: -1 }] };
    const empty = new Database(`gate-${count++}`);
    await expect(writeBook(empty, broken)).rejects.toMatchObject({ fault: { code: "unsound-record" } });
    expect(await readBook(empty)).toEqual(emptyBook());
    await empty.delete();
  });

  test("a file's long name and number are cut as they are kept", async () => {
    const file = readGaugeCsv(csv(0, 2, 1));
    const id = await keepGauge(
      db,
      { ...file, station: { id: "7".repeat(90), name: "" } },
      { ...target(), name: "N".repeat(200) },
    );
    expect(await db.stations.get(id)).toMatchObject({ name: "N".repeat(120), code: "7".repeat(40) });
  });
});

describe("clocks", () => {
  const at = (time: string) => jest.spyOn(Date, "now").mockReturnValue(Date.parse(time));
  afterEach(() => jest.restoreAllMocks());

  test("a clock set back between start and end: the session ends as it begins, and its edits keep their order", async () => {
    at("2026-10-02T12:00:00Z");
    await startSession(db, REACH, "brown-trout", Date.parse("2026-10-02T12:00:00Z"));
    const started = (await db.sessions.toArray()).find((one) => one.end === null)!;
    at("2026-10-02T08:00:00Z");
    await endSession(db, started, Date.parse("2026-10-02T08:00:00Z"));
    const ended = (await db.sessions.get(started.id))!;
    expect(ended.end).toBe(started.start);
    expect(ended.updatedAt > started.updatedAt).toBe(true);
    // Another device that took in the start takes in the end, though its clock says it is older.
    const other = new Database(`gate-${count++}`);
    await writeBook(other, { ...light, sessions: [started] });
    const plan = await planMerge(other, { ...light, sessions: [ended] });
    expect(plan.parts.sessions).toMatchObject({ replaced: 1, kept: 0 });
    await other.delete();
  });
});

describe("two tabs and quick presses", () => {
  test("started twice at once, in two tabs: one session runs; on another reach it is told", async () => {
    const tab = new Database(db.name);
    const now = Date.parse("2026-10-02T12:00:00Z");
    await Promise.all([0, 1, 2, 3].map((k) => startSession(k % 2 ? tab : db, REACH, "brown-trout", now + k)));
    const running = (await db.sessions.toArray()).filter((one) => one.end === null && !one.deleted);
    expect(running).toHaveLength(1);
    await expect(startSession(tab, book.reaches[1]!.id, "brown-trout", now)).rejects.toMatchObject({
      fault: { code: "session-runs" },
    });
    // Once it is gone another may start, and the undo of a press that did nothing takes nothing back.
    const nothing = await startSession(tab, REACH, "brown-trout", now);
    await nothing();
    expect((await db.sessions.get(running[0]!.id))!.deleted).toBeUndefined();
    await removeSession(db, running[0]!.id);
    await startSession(tab, book.reaches[1]!.id, "brown-trout", now);
    expect((await db.sessions.toArray()).filter((one) => one.end === null && !one.deleted)).toHaveLength(1);
    tab.close();
  });
});

describe("two devices", () => {
  const APRIL = Date.UTC(2026, 3, 1);
  const MONTH = 720 * 3_600_000;
  let phone: Database;
  beforeEach(() => {
    phone = new Database(`gate-${count++}`);
  });
  afterEach(() => phone.delete());
  const exchange = async () => {
    await applyPlan(db, await planMerge(db, await readBook(phone)), "merge");
    await applyPlan(phone, await planMerge(phone, await readBook(db)), "merge");
    return Promise.all([readBook(db), readBook(phone)]);
  };

  test("April shared, May here, June there: each has all three after an exchange, and a second one changes nothing", async () => {
    const id = await keepGauge(db, readGaugeCsv(csv(APRIL, 720, 1)), target());
    await exchange();
    await keepGauge(db, readGaugeCsv(csv(APRIL + MONTH, 720, 2)), target(id));
    await keepGauge(phone, readGaugeCsv(csv(APRIL + 2 * MONTH, 720, 3)), target(id));
    const plan = await planMerge(db, await readBook(phone));
    expect(plan.parts.series).toMatchObject({ joined: 1, kept: 0 });
    const [here, there] = await exchange();
    expect(here.series[0]!.times).toHaveLength(3 * 720);
    expect(there).toEqual(here);
    const again = await planMerge(db, there);
    expect(
      Object.values(again.parts).every(({ added, replaced, joined, gone }) => added + replaced + joined + gone === 0),
    ).toBe(true);
  });

  test("a gauge removed here is removed there; taken in anew it comes back without its old readings; undo brings those too", async () => {
    const id = await keepGauge(db, readGaugeCsv(csv(APRIL, 10, 1)), target());
    await exchange();
    const undo = await removeGauge(db, id);
    const told = await planMerge(phone, await readBook(db));
    expect([told.parts.stations!.gone, told.parts.series!.gone]).toEqual([1, 1]);
    let [, there] = await exchange();
    expect(there.stations.find((one) => one.id === id)!.deleted).toBe(true);
    expect(there.series[0]).toMatchObject({ deleted: true, times: [] });
    await keepGauge(phone, readGaugeCsv(csv(APRIL + MONTH, 3, 2)), target(id));
    [, there] = await exchange();
    expect(there.series[0]!.times).toHaveLength(3);
    await undo();
    const [here] = await exchange();
    // Undo took its own step back only: what has come since is there as well.
    expect(here.series[0]!.times).toHaveLength(13);
    expect(here.series[0]!.deleted).toBeUndefined();
  });
});
