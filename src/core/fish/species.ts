import { InputError } from "../quantity/fault";
import { SPECIES } from "./species-list";
import type { Species } from "./species-schema";

export function speciesById(id: string): Species {
  const found = SPECIES.find((species) => species.id === id);
  if (!found)
    throw new InputError("unknown-species", { id, known: SPECIES.map((species) => species.id) }, { path: "species" });
  return found;
}
