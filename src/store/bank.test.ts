import "fake-indexeddb/auto";
import type { EffortInterval } from "../core/book/bank-records";
import { effortOf, rodHours } from "../core/book/effort";
import { HOUR, MINUTE } from "../core/gauge/series";
import { demoBook } from "../demo/book";
import { DEMO_HOUR } from "../demo/hour";
import { endFight, goOn, hookFish, moveOn, noFish, observe, pauseSession } from "./bank";
import { writeBook } from "./book";
import { Database } from "./database";
import { addCatches, endSession, patchCatches, patchSession, startSession } from "./sessions";
import { countCast, fishSpot, NO_SPOT, openStretches, putAway, settleStretches } from "./effort-intervals";

const book = demoBook(DEMO_HOUR);
const reach = book.reaches[0]!.id;
// A day of the record that has passed, its flow falling.
const T0 = DEMO_HOUR - 12 * HOUR;
const spot = (rod: number, lie: string) => ({ ...NO_SPOT, rod, angler: "", lie });
let count = 0;
let one: Database;
let other: Database;
beforeEach(async () => {
  const name = `bank-${count++}`;
  one = new Database(name);
  other = new Database(name);
  await writeBook(one, { ...book, sessions: [], catches: [], stretches: [] });
});
afterEach(async () => {
  other.close();
  await one.delete();
});
const running = async () => (await one.sessions.toArray()).find((own) => own.end === null && !own.deleted)!;
const stretches = async (): Promise<EffortInterval[]> =>
  (await one.stretches.toArray())
    .filter((own) => !own.deleted)
    .sort((a, b) => Date.parse(a.start) - Date.parse(b.start));
const begin = () =>
  startSession(one, reach, "brown-trout", T0, { spots: [spot(1, "jam"), spot(2, "pool")], partners: ["Ana"] });
const minutesOf = (own: EffortInterval) => (Date.parse(own.end!) - Date.parse(own.start)) / MINUTE;

test("two tabs start one session with its rods; the second press does nothing", async () => {
  await Promise.all([begin(), startSession(other, reach, "brown-trout", T0, { spots: [spot(1, "tail")] })]);
  expect(await one.sessions.count()).toBe(1);
  const open = await openStretches(one, (await running()).id);
  expect([1, 2]).toContain(open.length);
  expect(new Set(open.map(({ rod }) => rod)).size).toBe(open.length);
});

test("casts of two tabs add up, and an undo takes its own one back", async () => {
  await begin();
  const [own] = await openStretches(one, (await running()).id);
  const undos = await Promise.all(
    Array.from({ length: 10 }, (_, k) => countCast(k % 2 ? one : other, own!.id, 1, k < 6 ? "near" : "far")),
  );
  const casts = async () => (await one.stretches.get(own!.id))!.casts;
  expect(await casts()).toEqual(
    expect.arrayContaining([
      { line: 1, zone: "near", count: 6 },
      { line: 1, zone: "far", count: 4 },
    ]),
  );
  await undos[0]!();
  expect((await casts()).find(({ zone }) => zone === "near")!.count).toBe(5);
  // Taken back more often than it was done: never under nought.
  await countCast(one, own!.id, 2, "middle", -1);
  expect((await casts()).every(({ count: n }) => n > 0)).toBe(true);
});

test("a pause stops the clock of rods in the hand, not of those that lie; it goes on with what was fished", async () => {
  await begin();
  const session = await running();
  await fishSpot(one, session, 2, { fixed: true }, T0);
  await pauseSession(one, session, "lunch", T0 + 30 * MINUTE);
  expect((await openStretches(one, session.id)).map(({ rod }) => rod)).toEqual([2]);
  // Once is enough.
  await pauseSession(other, session, "camera", T0 + 31 * MINUTE);
  expect(await running()).toMatchObject({ paused: { why: "lunch" } });
  const undo = await goOn(one, session, T0 + 50 * MINUTE);
  const rod = (await openStretches(one, session.id)).find((own) => own.rod === 1)!;
  expect(rod).toMatchObject({ lie: "jam", start: new Date(T0 + 50 * MINUTE).toISOString() });
  expect((await one.observations.toArray())[0]).toMatchObject({ kind: "pause", what: "lunch" });
  await undo();
  expect(await running()).toMatchObject({ paused: { why: "lunch" } });
  await goOn(one, session, T0 + 50 * MINUTE);
  await endSession(one, session, T0 + 60 * MINUTE);
  const ended = (await one.sessions.get(session.id))!;
  expect(rodHours(ended, 0, await stretches())).toBeCloseTo((40 + 60) / 60, 6);
});

test("a fish: on, landed with what its stretch knows, the clock standing meanwhile; lost, it goes on; no fish, as if nothing had been", async () => {
  await begin();
  const session = await running();
  await fishSpot(one, session, 2, { angler: "Ana" }, T0);
  const rig = { retrieve: "dead-drift" as const, grams: 2.1, leader: 0.4, size: "hook 8", castAngle: 40 };
  await fishSpot(one, session, 1, { lure: "Worm", piece: "half a worm", depth: 1.1, method: "float", rig }, T0);
  const own = (await openStretches(one, session.id)).find(({ rod }) => rod === 1)!;
  await countCast(one, own.id, 1, "near");
  await hookFish(one, session, 1, T0 + 10 * MINUTE);
  // The partner fishes on.
  expect((await openStretches(one, session.id)).map(({ rod }) => rod)).toEqual([2]);
  const { fish, undo } = await endFight(one, session, {}, T0 + 14 * MINUTE);
  expect(await one.catches.get(fish)).toMatchObject({
    rod: 1,
    lure: "Worm",
    piece: "half a worm",
    depth: 1.1,
    method: "float",
    lie: "jam",
    cast: 1,
    stretch: own.id,
    rig,
  });
  expect(await running()).toMatchObject({ paused: { why: "fish" } });
  await expect(endFight(one, session, {}, T0 + 15 * MINUTE)).rejects.toMatchObject({ fault: { code: "no-fish-on" } });
  await undo();
  expect((await one.catches.get(fish))!.deleted).toBe(true);
  expect((await running()).on).toMatchObject({ rod: 1 });
  await endFight(one, session, { lost: "broke" }, T0 + 16 * MINUTE);
  const open = await openStretches(one, session.id);
  expect(open.find(({ rod }) => rod === 1)).toMatchObject({ lure: "Worm", casts: [], rig });
  expect((await running()).on).toBeUndefined();
  await hookFish(one, session, 1, T0 + 20 * MINUTE);
  await noFish(one, session, T0 + 21 * MINUTE);
  expect((await openStretches(one, session.id)).map(({ rod }) => rod).sort()).toEqual([1, 2]);
  await endSession(one, session, T0 + 30 * MINUTE);
  await expect(hookFish(one, session, 1, T0)).rejects.toMatchObject({ fault: { code: "session-over" } });
  // 10 + 4 + 9 minutes by rod 1, 30 by the partner's.
  const minutes = (rod: number) =>
    stretches().then((all) => all.filter((each) => each.rod === rod).reduce((sum, each) => sum + minutesOf(each), 0));
  expect([await minutes(1), await minutes(2)]).toEqual([expect.closeTo(23, 6), expect.closeTo(30, 6)]);
});

test("a fish that takes while the clock stands: it has what was fished, and the rods go on as they were afterwards", async () => {
  await startSession(one, reach, "brown-trout", T0, { spots: [{ ...spot(1, "jam"), lure: "Worm" }] });
  const session = await running();
  await pauseSession(one, session, "lunch", T0 + 10 * MINUTE);
  await hookFish(one, session, 1, T0 + 20 * MINUTE);
  const { fish } = await endFight(one, session, {}, T0 + 22 * MINUTE);
  expect(await one.catches.get(fish)).toMatchObject({ lure: "Worm", lie: "jam" });
  const undo = await goOn(one, session, T0 + 30 * MINUTE, { fish, kept: true });
  expect((await openStretches(one, session.id)).map(({ lure }) => lure)).toEqual(["Worm"]);
  expect((await one.catches.get(fish))!.kept).toBe(true);
  await undo();
  expect((await one.catches.get(fish))!.kept).toBeUndefined();
  expect(await running()).toMatchObject({ paused: { why: "fish" } });
  await goOn(one, session, T0 + 30 * MINUTE);
  // Lost while it stood: it stands on.
  await pauseSession(one, session, "camera", T0 + 40 * MINUTE);
  await hookFish(one, session, 1, T0 + 41 * MINUTE);
  await endFight(one, session, { lost: "broke" }, T0 + 42 * MINUTE);
  expect(await running()).toMatchObject({ paused: { why: "camera" } });
  expect(await openStretches(one, session.id)).toEqual([]);
  await goOn(one, session, T0 + 50 * MINUTE);
  expect(await openStretches(one, session.id)).toHaveLength(1);
});

test("a long stretch is cut where the river became another, each piece with its own; hours and fish add up", async () => {
  await startSession(one, reach, "brown-trout", T0, { spots: [spot(1, "jam")] });
  const session = await running();
  await settleStretches(one, session, T0 + 5 * HOUR);
  await settleStretches(other, session, T0 + 5 * HOUR);
  await observe(one, session, "bite", {}, T0 + HOUR);
  await endSession(one, session, T0 + 10 * HOUR);
  const all = await stretches();
  expect(all.length).toBeGreaterThan(2);
  all.slice(1).forEach((own, k) => expect(own.start).toBe(all[k]!.end));
  const flows = all.map(({ river }) => river!.discharge!);
  flows.slice(1).forEach((flow, k) => expect(flow).not.toBe(flows[k]));
  const ended = (await one.sessions.get(session.id))!;
  expect(effortOf([ended], [], 0, undefined, all).reduce((sum, { hours }) => sum + hours, 0)).toBeCloseTo(10, 6);
});

test("moving on rests what is left, and its undo brings everything back; a rod is put away", async () => {
  await begin();
  const session = await running();
  const undo = await moveOn(
    one,
    session,
    [1, 2],
    { lie: "tail", place: { x: 1, y: 2 } },
    { kind: "rest", lie: "jam", place: null, until: new Date(T0 + HOUR).toISOString() },
    T0 + 20 * MINUTE,
  );
  expect((await openStretches(one, session.id)).map(({ lie }) => lie)).toEqual(["tail", "tail"]);
  await undo();
  expect((await openStretches(one, session.id)).map(({ lie }) => lie).sort()).toEqual(["jam", "pool"]);
  expect((await one.observations.toArray()).filter((own) => !own.deleted)).toEqual([]);
  await putAway(one, session, 2, T0 + 30 * MINUTE);
  expect((await openStretches(one, session.id)).map(({ rod }) => rod)).toEqual([1]);
});

test("a session put right takes its stretches with it: moved, cut, or gone; undone, they are as they were", async () => {
  await begin();
  const session = await running();
  await moveOn(one, session, [1], { lie: "tail" }, undefined, T0 + 60 * MINUTE);
  await endSession(one, session, T0 + 120 * MINUTE);
  const before = await stretches();
  const ended = (await one.sessions.get(session.id))!;
  const { undo } = await patchSession(one, ended, { start: T0 - 30 * MINUTE, end: T0 + 40 * MINUTE });
  const after = await stretches();
  const [starts, ends] = [after.map(({ start }) => Date.parse(start)), after.map(({ end }) => Date.parse(end!))];
  expect([Math.min(...starts), Math.max(...ends)]).toEqual([T0 - 30 * MINUTE, T0 + 40 * MINUTE]);
  expect(after.some(({ lie }) => lie === "tail")).toBe(false);
  await undo();
  const hours = (all: EffortInterval[]) => all.map(({ id, start, end }) => ({ id, start, end }));
  expect(hours(await stretches())).toEqual(hours(before));
  // One that was forgotten is closed where it ended.
  await startSession(one, reach, "brown-trout", T0 + 3 * HOUR, { spots: [spot(1, "jam")] });
  await patchSession(one, await running(), { end: T0 + 4 * HOUR });
  expect((await stretches()).every(({ end }) => end !== null)).toBe(true);
});

test("fish of a file: each day a session without hours, all or none; many put right at once, and back", async () => {
  const drafts = [0, 1, 26].map((hour) => ({
    at: T0 - 100 * HOUR + hour * HOUR,
    species: "brown-trout",
    length: 0.3,
    lie: "",
    lure: "",
    notes: "",
  }));
  const undo = await addCatches(one, reach, drafts, (at) => new Date(at).toISOString().slice(0, 10));
  const ids = (await one.catches.toArray()).map(({ id }) => id);
  expect([ids.length, await one.sessions.count()]).toEqual([3, 2]);
  expect((await one.sessions.toArray()).every(({ hoursKnown }) => hoursKnown === false)).toBe(true);
  const back = await patchCatches(one, ids, { lure: "grey nymph" });
  expect((await one.catches.toArray()).every(({ lure }) => lure === "grey nymph")).toBe(true);
  await back();
  expect((await one.catches.toArray()).every(({ lure }) => lure === "")).toBe(true);
  await undo();
  expect((await one.catches.toArray()).every(({ deleted }) => deleted)).toBe(true);
  // One that no schema holds: none of them is taken.
  await expect(addCatches(one, reach, [...drafts, { ...drafts[0]!, length: 9 }], () => "day")).rejects.toMatchObject({
    fault: { code: "unsound-record" },
  });
  expect((await one.catches.toArray()).filter(({ deleted }) => !deleted)).toEqual([]);
});
