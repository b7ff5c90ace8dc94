import { FISH, type SpeciesId } from "./species-list";
import type { SpeciesHabits } from "./species-record";

export const isSpeciesId = (id: string): id is SpeciesId => Object.hasOwn(FISH, id);

/** By the id of a fish that ships, whose habits hold for profiles copied from it; those of a trout for any other. */
export const habitsOf = (id: string): SpeciesHabits => FISH[isSpeciesId(id) ? id : "rainbow-trout"].habits;
