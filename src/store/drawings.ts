import type { Drawing } from "../core/trace/drawing-schema";
import type { TracedReach } from "../core/trace/traced-reach";
import { fetched } from "../core/quantity/fetched";
import type { ReachRecord } from "../core/book/records";
import { change, type Undo } from "./change";
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
