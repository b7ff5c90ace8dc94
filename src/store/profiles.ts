import type { Profile } from "../core/book/records";
import type { Species } from "../core/fish/species-schema";
import { add, patch, setDeleted, type Undo } from "./change";
import type { Database } from "./database";

/** Keeps a fish as this angler knows it: a new profile, or changes of one. */
export async function keepProfile(db: Database, base: string, species: Species): Promise<Undo> {
  const { id } = species;
  if (await db.profiles.get(id)) return patch(db, db.profiles, id, { base, species, deleted: undefined });
  const profile: Profile = {
    schema: "low-heron/profile@1",
    id,
    updatedAt: new Date().toISOString(),
    base,
    species,
  };
  return add(db, db.profiles, profile);
}

export const removeProfile = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.profiles, id, true);
