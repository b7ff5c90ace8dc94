import "fake-indexeddb/auto";
import type { ReachRecord } from "../core/book/records";
import { demoBook } from "../demo/book";
import { writeBook } from "./book";
import { Database } from "./database";
import { addFeature, moveFeature, patchFeature, patchReach, removeFeature, removeReach, reshapeReach } from "./reaches";
import { keepWater } from "./gauges";
import { patchCatch, removeCatch, removeSession } from "./sessions";

/** Two connections to one database, as two tabs have them. */
const book = demoBook(Date.UTC(2026, 9, 1, 12));
const id = book.reaches[0]!.id;
let count = 0;
// Each step lays the bed anew, which takes its time in here.
jest.setTimeout(60_000);
let one: Database;
let other: Database;
beforeEach(async () => {
  const name = `tabs-${count++}`;
  one = new Database(name);
  other = new Database(name);
  await writeBook(one, book);
});
afterEach(async () => {
  other.close();
  await one.delete();
});

const reach = async (): Promise<ReachRecord["reach"]> => (await one.reaches.get(id))!.reach;
const features = async () => (await reach()).features ?? [];
const named = async (feature: string) => (await features()).find((own) => own.id === feature)!;
const stone = async () =>
  (await features()).find((own) => own.kind === "boulder") as { id: string; x: number; y: number };

test("a held key in one tab and names in another: every step and the last name are there", async () => {
  const before = await stone();
  const steps = Array.from({ length: 8 }, () => moveFeature(one, id, before.id, [0.1, 0]));
  const names = Array.from({ length: 3 }, (_, k) => patchFeature(other, id, before.id, { name: `Stone ${k}` }));
  const renamed = patchReach(other, id, { name: "The bend below" });
  await Promise.all([...steps, ...names, renamed]);
  const after = (await named(before.id)) as typeof before & { name: string };
  expect(after.x).toBeCloseTo(before.x + 0.8, 6);
  expect(after.y).toBeCloseTo(before.y, 6);
  expect(after.name).toBe("Stone 2");
  expect((await reach()).name).toBe("The bend below");
});

test("undo takes back its own step only: what another hand did since stays", async () => {
  const before = await stone();
  const undoMove = await moveFeature(one, id, before.id, [1, 0.5]);
  await moveFeature(other, id, before.id, [2, 0]);
  const undoName = await patchFeature(one, id, before.id, { name: "Old pulpit" });
  await patchFeature(other, id, before.id, { name: "New pulpit" });
  await undoMove();
  await undoName();
  const after = (await named(before.id)) as typeof before & { name?: string };
  expect([after.x, after.y]).toEqual([expect.closeTo(before.x + 2, 6), expect.closeTo(before.y, 6)]);
  // It was renamed again since: that name stays.
  expect(after.name).toBe("New pulpit");
});

test("a step that is stopped at the bed's edge is taken back by what it truly moved", async () => {
  const before = await stone();
  const undo = await moveFeature(one, id, before.id, [1e4, 0]);
  expect((await stone()).x).toBeGreaterThan(before.x);
  await undo();
  expect((await stone()).x).toBeCloseTo(before.x, 6);
});

test("objects come and go by their ids, and come back to their place in the list", async () => {
  const order = (await features()).map((own) => own.id);
  const { id: log, undo } = await addFeature(one, id, {
    kind: "log",
    x: 30,
    y: 8,
    length: 4,
    width: 1.5,
    angle: 0,
    height: 0.4,
  });
  expect((await features()).at(-1)!.id).toBe(log);
  const putBack = await removeFeature(other, id, order[0]!);
  expect((await features()).map((own) => own.id)).toEqual([...order.slice(1), log]);
  await putBack();
  await undo();
  expect((await features()).map((own) => own.id)).toEqual(order);
});

test("what cannot be laid is refused with its place, and nothing is written", async () => {
  const before = await reach();
  const own = await stone();
  await expect(patchFeature(one, id, own.id, { diameter: -1 })).rejects.toMatchObject({
    fault: { code: "bad-reach", path: expect.stringContaining("features") as string },
  });
  await expect(patchReach(one, id, { roughness: 9 })).rejects.toMatchObject({ fault: { path: "roughness" } });
  expect(await reach()).toEqual(before);
});

test("a record that is gone is told, not made anew", async () => {
  await expect(patchReach(one, "nowhere", { name: "x" })).rejects.toMatchObject({ fault: { code: "record-gone" } });
  expect(await one.reaches.get("nowhere")).toBeUndefined();
});

test("a template's measures are changed and set back while its objects were moved", async () => {
  const { bed } = await reach();
  if (bed.kind !== "template") throw new Error("the demo reach is made from a template");
  const undo = await reshapeReach(one, id, { width: bed.width + 4 });
  expect((await reach()).bed).toMatchObject({ width: bed.width + 4 });
  await undo();
  expect((await reach()).bed).toMatchObject({ width: bed.width });
});

test("deletes leave tombstones, and their undo lifts them", async () => {
  const session = book.sessions[0]!.id;
  const fish = book.catches[0]!.id;
  const undos = [await removeSession(one, session), await removeCatch(one, fish), await removeReach(one, id)];
  const marks = async () => [
    (await one.sessions.get(session))!.deleted,
    (await one.catches.get(fish))!.deleted,
    (await one.reaches.get(id))!.deleted,
  ];
  expect(await marks()).toEqual([true, true, true]);
  for (const undo of undos) await undo();
  expect(await marks()).toEqual([undefined, undefined, undefined]);
});

test("two panels that say different things of one catch and one water keep both", async () => {
  const fish = book.catches[0]!;
  await Promise.all([patchCatch(one, fish, { length: 0.41 }), patchCatch(other, fish, { lure: "grey nymph" })]);
  expect(await one.catches.get(fish.id)).toMatchObject({ length: 0.41, lure: "grey nymph" });
  const station = book.stations[0]!.id;
  await Promise.all([
    keepWater(one, station, undefined, { water: { altitude: 120 } }),
    keepWater(other, station, undefined, { water: { damNote: "siren" } }),
  ]);
  expect(await one.waters.get(station)).toMatchObject({ altitude: 120, damNote: "siren" });
});
