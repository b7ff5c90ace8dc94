import "fake-indexeddb/auto";
import { createHash } from "node:crypto";
import { drawnOf } from "../core/trace/drawing";
import type { Drawing } from "../core/trace/drawing-schema";
import { traceReach } from "../core/trace/traced-reach";
import { readArchive, writeArchive } from "../core/formats/archive";
import { readBook } from "./book";
import { Database } from "./database";
import { addTraced, draftOf, keepDraft, keepPicture, pictureOf, retrace } from "./drawings";
import { addWaterReading } from "./reaches";

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
  await addWaterReading(db, "r", reading);
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
