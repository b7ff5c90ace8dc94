import { FISH, type SpeciesId } from "./species-list";
import type { SpeciesHabits } from "./species-record";

/** By the id of a fish that ships, whose habits hold for profiles copied from it; those of a trout for any other. */
export const habitsOf = (id: string): SpeciesHabits =>
  FISH[Object.hasOwn(FISH, id) ? (id as SpeciesId) : "rainbow-trout"].habits;
