import type { Drawing } from "../core/trace/drawing-schema";
import type { TracedReach } from "../core/trace/traced-reach";
import { fetched } from "../core/quantity/fetched";
import type { ReachRecord } from "../core/book/records";
import { InputError } from "../core/quantity/fault";
import type { Mark } from "../core/trace/marks";
import { change, same, together, type Undo } from "./change";
import type { Database, DrawingDraft, KeptPicture } from "./database";
import { addReach } from "./reaches";

/** Drafts of drawings and their pictures, and reaches laid from them. A draft goes when its reach is kept. */

export const draftOf = (db: Database, id: string): Promise<DrawingDraft | undefined> => db.drawings.get(id);

export const keepDraft = async (db: Database, id: string, name: string, drawing: Drawing): Promise<void> => {
  await db.drawings.put({ id, name, drawing, updatedAt: new Date().toISOString() });
};

export const dropDraft = async (db: Database, id: string): Promise<void> => {
  await db.transaction("rw", db.drawings, db.pictures, db.reaches, async () => {
    await db.drawings.delete(id);
    // A reach's own picture stays with it.
    if (!(await db.reaches.get(id))) await db.pictures.delete(id);
  });
};

export const pictureOf = (db: Database, id: string): Promise<KeptPicture | undefined> => db.pictures.get(id);
export const keepPicture = async (db: Database, picture: KeptPicture): Promise<void> => {
  await db.pictures.put(picture);
};
export const dropPicture = (db: Database, id: string): Promise<void> => db.pictures.delete(id);

const tracedOf = (drawing: Drawing, { corner, heading }: TracedReach): NonNullable<ReachRecord["traced"]> => ({
  drawing,
  corner: [corner[0], corner[1]],
  heading,
});

/** Keeps a new reach as it was drawn, with the picture of its draft where that was kept. */
export async function addTraced(
  db: Database,
  draft: string,
  drawing: Drawing,
  traced: TracedReach,
  station: string | null,
): Promise<ReachRecord> {
  const record = await addReach(db, traced.reach, station, tracedOf(drawing, traced));
  const picture = await pictureOf(db, draft);
  if (picture) await keepPicture(db, { ...picture, id: record.id });
  await dropDraft(db, draft);
  return record;
}

/** Lays a reach anew from its drawing: its bed and what stands on it; readings stay. */
export async function retrace(db: Database, id: string, drawing: Drawing, traced: TracedReach): Promise<Undo> {
  const { soundReach } = await fetched(import("../core/flow/sound-reach"));
  const laid = soundReach(traced.reach);
  const undo = await change(
    db,
    db.reaches,
    id,
    (record) => ({
      ...record,
      reach: { ...laid, id, name: laid.name, readings: record.reach.readings },
      traced: tracedOf(drawing, traced),
    }),
    (record, before) => ({ ...record, reach: before.reach, traced: before.traced }),
  );
  await db.drawings.delete(id);
  return undo;
}

/**
 * Lays the bed of a reach anew from its drawing with one more depth; what stands on the bed stays as it is. A draft
 * that is still being drawn gets the depth too.
 * @throws InputError "drawing-changed" where the drawing, or on undo the bed, is another than this step knew
 */
export async function deepenTraced(
  db: Database,
  id: string,
  { before, mark }: { before: Drawing; mark: Mark },
  { reach: { bed, roughness, downstream } }: TracedReach,
): Promise<Undo> {
  const draftBy = (by: (marks: readonly Mark[]) => Mark[]) =>
    db.drawings.where({ id }).modify((draft) => {
      draft.drawing = { ...draft.drawing, marks: by(draft.drawing.marks) };
    });
  const without = (marks: readonly Mark[]) => marks.filter((one) => one.id !== mark.id);
  return together(db, [db.reaches, db.drawings], async (keep) => {
    const undo = await change(
      db,
      db.reaches,
      id,
      (record) => {
        if (!record.traced || !same(record.traced.drawing, before)) throw new InputError("drawing-changed");
        const drawing = { ...before, marks: [...before.marks, mark] };
        return {
          ...record,
          reach: { ...record.reach, bed, roughness, downstream },
          traced: { ...record.traced, drawing },
        };
      },
      (record, old) => {
        if (!record.traced || !same(record.reach.bed, bed)) throw new InputError("drawing-changed");
        const drawing = { ...record.traced.drawing, marks: without(record.traced.drawing.marks) };
        const { bed: earlier, roughness: rough, downstream: outlet } = old.reach;
        return {
          ...record,
          reach: { ...record.reach, bed: earlier, roughness: rough, downstream: outlet },
          traced: { ...record.traced, drawing },
        };
      },
    );
    await draftBy((marks) => [...marks, mark]);
    keep(undo);
    keep(async () => {
      await draftBy(without);
    });
  });
}
