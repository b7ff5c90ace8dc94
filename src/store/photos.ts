import type { Photo } from "../core/book/bank-records";
import { add, setDeleted, type Undo } from "./change";
import type { Database } from "./database";
import { newId } from "./identity";

/** A picture ready to be kept. */
export type Shot = Pick<Photo, "taken" | "width" | "height" | "data" | "place">;

/** Keeps a picture of a fish. */
export const addPhoto = (db: Database, fish: string, shot: Shot): Promise<Undo> =>
  add(db, db.photos, {
    schema: "low-heron/photo@1",
    id: newId(),
    updatedAt: new Date().toISOString(),
    catch: fish,
    ...shot,
  });

export const removePhoto = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.photos, id, true);
