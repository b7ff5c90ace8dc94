import type { TackleDraft, TackleItem } from "../core/rig/tackle-item";
import { add, change, differing, patch, setDeleted, type Undo } from "./change";
import type { Database } from "./database";
import { newId } from "./identity";

const made = (draft: TackleDraft): TackleItem => ({
  schema: "low-heron/tackle@1",
  id: newId(),
  updatedAt: new Date().toISOString(),
  ...draft,
});

/** Puts a piece into the box. */
export const addPiece = (db: Database, draft: TackleDraft): Promise<Undo> => add(db, db.tackle, made(draft));

/** Puts many in at once, all or none; undo takes all of them out. */
export async function addPieces(db: Database, drafts: readonly TackleDraft[]): Promise<Undo> {
  const items = drafts.map(made);
  await db.transaction("rw", db.tackle, () => db.tackle.bulkAdd(items));
  return async () => {
    await db.transaction("rw", db.tackle, async () => {
      for (const { id } of items) await setDeleted(db, db.tackle, id, true);
    });
  };
}

/**
 * Says anew what a piece is: only what differs from how it stood is written, so that one that was lost meanwhile stays
 * lost.
 */
export function changePiece(db: Database, stood: TackleItem, draft: TackleDraft): Promise<Undo> {
  const { schema, id, updatedAt, deleted, demo, ...before } = stood;
  return patch<TackleItem>(db, db.tackle, id, differing<TackleDraft>(before, draft));
}

export const removePiece = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.tackle, id, true);

/** One is lost, or found again: the count goes down or up, from whatever it is by then, and never under nought. */
export const countPiece = (db: Database, id: string, by: number): Promise<Undo> => {
  const counted = (item: TackleItem, step: number): TackleItem =>
    item.count === null ? item : { ...item, count: Math.min(9999, Math.max(0, item.count + step)) };
  return change(
    db,
    db.tackle,
    id,
    (item) => counted(item, by),
    (item, before) => (before.count === 0 && by < 0 ? item : counted(item, -by)),
  );
};
