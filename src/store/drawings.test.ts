import "fake-indexeddb/auto";
import { createHash } from "node:crypto";
import { drawnOf } from "../core/trace/drawing";
import type { Drawing } from "../core/trace/drawing-schema";
import { traceReach } from "../core/trace/traced-reach";
import { readArchive, writeArchive } from "../core/formats/archive";
import { readBook } from "./book";
import { Database } from "./database";
import { addTraced, deepenTraced, draftOf, keepDraft, keepPicture, pictureOf, retrace } from "./drawings";
import { patchReach, takeFittedBed } from "./reaches";
import { addFeature, addWaterReadings } from "./reaches";

const line = (id: "left-bank" | "right-bank", y: number) => ({
  id,
  kind: id,
  places: Array.from({ length: 7 }, (_, k): [number, number] => [10 * k + 1, y]),
});
const drawing: Drawing = {
  sheet: { width: 80, height: 40 },
  scale: { kind: "length", from: [0, 0], to: [10, 0], metres: 10, north: 0, at: null },
  marks: [line("left-bank", 10), line("right-bank", 20)],
  discharge: 3,
  slope: 0.003,
};
const traced = (from: Drawing, id: string) =>
  traceReach(drawnOf(from), { id, name: "Run", discharge: 3, slope: 0.003, roughness: 0.035, cell: 1 });
const sha256 = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
let count = 0;
const open = () => new Database(`drawings-${count++}`);

test("a reach that was drawn is kept with its drawing; its draft goes, its picture goes with it", async () => {
  const db = open();
  await keepDraft(db, "new", "Run", drawing);
  await keepPicture(db, { id: "new", picture: new Blob(["x"]), width: 80, height: 40 });
  await addTraced(db, "new", drawing, traced(drawing, "r"), null);
  expect(await draftOf(db, "new")).toBeUndefined();
  expect(await pictureOf(db, "new")).toBeUndefined();
  expect(await pictureOf(db, "r")).toMatchObject({ width: 80 });
  expect((await db.reaches.get("r"))!.traced!.drawing).toEqual(drawing);
  // In a backup too: another browser can go on drawing.
  const back = await readArchive(await writeArchive(await readBook(db), "2026-05-01T00:00:00Z", sha256), sha256);
  expect(back.book.reaches[0]!.traced!.drawing).toEqual(drawing);
  await db.delete();
});

test("drawn again, the bed is laid anew, readings stay, and undo brings back the bed before", async () => {
  const db = open();
  await addTraced(db, "new", drawing, traced(drawing, "r"), null);
  const reading = { x: 5, y: 9, kind: "depth", value: 0.4, discharge: 3, at: "2026-05-01T10:00:00Z" } as const;
  await addWaterReadings(db, "r", [reading]);
  const before = await db.reaches.get("r");
  const wider = { ...drawing, marks: [line("left-bank", 8), line("right-bank", 24)] };
  await keepDraft(db, "r", "Run", wider);
  const undo = await retrace(db, "r", wider, traced(wider, "other"));
  const after = (await db.reaches.get("r"))!;
  expect(after.reach.id).toBe("r");
  expect(after.reach.readings).toEqual([reading]);
  expect((after.reach.bed as { ny: number }).ny).toBeGreaterThan((before!.reach.bed as { ny: number }).ny);
  expect(await draftOf(db, "r")).toBeUndefined();
  await undo();
  expect((await db.reaches.get("r"))!.reach).toEqual(before!.reach);
  await db.delete();
});

const depthMark = (id: string, x: number): Drawing["marks"][number] => ({
  id,
  kind: "depth",
  places: [[x, 15]],
  measures: { depth: 0.9 },
});
const deeper = (from: Drawing, id: string, x: number) => {
  const mark = depthMark(id, x);
  const next = { ...from, marks: [...from.marks, mark] };
  return { next, mark, laid: traced(next, "r") };
};

test("a depth more: the bed is laid anew, what stands on it stays, the draft has it too; undo takes back that alone", async () => {
  const db = open();
  await addTraced(db, "new", drawing, traced(drawing, "r"), null);
  const stone = { kind: "boulder", id: "stone", x: 30, y: 9, diameter: 2.5, height: 0.8 } as const;
  await addFeature(db, "r", stone);
  const draft = { ...drawing, marks: [...drawing.marks, depthMark("drawn since", 20)] };
  await keepDraft(db, "r", "Run", draft);
  const before = (await db.reaches.get("r"))!;
  const { next, mark, laid } = deeper(drawing, "d", 40);
  const undo = await deepenTraced(db, "r", { before: drawing, mark }, laid);
  const after = (await db.reaches.get("r"))!;
  expect(after.traced!.drawing).toEqual(next);
  expect(after.reach.bed).toEqual(laid.reach.bed);
  expect(after.reach.bed).not.toEqual(before.reach.bed);
  expect(after.reach.features).toEqual(before.reach.features);
  expect(after.reach.features).toMatchObject([{ kind: "boulder", x: 30 }]);
  expect((await draftOf(db, "r"))!.drawing.marks.map(({ id }) => id)).toEqual([
    "left-bank",
    "right-bank",
    "drawn since",
    "d",
  ]);
  await undo();
  const back = (await db.reaches.get("r"))!;
  expect({ ...back, updatedAt: "" }).toEqual({ ...before, updatedAt: "" });
  expect((await draftOf(db, "r"))!.drawing).toEqual(draft);
  await db.delete();
});

test("a depth for a drawing that has changed since is refused, and nothing is written; its undo too", async () => {
  const db = open();
  await addTraced(db, "new", drawing, traced(drawing, "r"), null);
  const first = deeper(drawing, "d", 40);
  const undo = await deepenTraced(db, "r", { before: drawing, mark: first.mark }, first.laid);
  const stood = await db.reaches.get("r");
  const late = deeper(drawing, "late", 60);
  await expect(deepenTraced(db, "r", { before: drawing, mark: late.mark }, late.laid)).rejects.toThrow(
    "drawing-changed",
  );
  expect(await db.reaches.get("r")).toEqual(stood);
  const second = deeper(first.next, "e", 60);
  await deepenTraced(db, "r", { before: first.next, mark: second.mark }, second.laid);
  const both = await db.reaches.get("r");
  await expect(undo()).rejects.toThrow("drawing-changed");
  expect(await db.reaches.get("r")).toEqual(both);
  await db.delete();
});

test("a fit that moved the bed is taken for that bed alone, and undone only while it stands", async () => {
  const db = open();
  await addTraced(db, "new", drawing, traced(drawing, "r"), null);
  const { reach } = (await db.reaches.get("r"))!;
  if (reach.bed.kind !== "grid") throw new Error("a traced bed is a grid");
  const fit = { ...reach, roughness: 0.03, bed: { ...reach.bed, z: reach.bed.z.map((one) => one + 0.01) } };
  const undo = await takeFittedBed(db, "r", reach.bed, fit);
  expect((await db.reaches.get("r"))!.reach).toMatchObject({ roughness: 0.03, bed: fit.bed });
  await expect(takeFittedBed(db, "r", reach.bed, fit)).rejects.toThrow("bed-changed");
  // Roughness that was set since stays when the fit is taken back.
  const since = await patchReach(db, "r", { roughness: 0.05 });
  await undo();
  expect((await db.reaches.get("r"))!.reach).toEqual({ ...reach, roughness: 0.05 });
  await expect(undo()).rejects.toThrow("bed-changed");
  await since();
  await db.delete();
});
