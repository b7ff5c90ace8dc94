import { fishedFor, inSeason, turningOf, seasonalHabitsIn, seasonalHabitsOf } from "../core/fish/season";
import type { Phase } from "../core/fish/phases";
import type { SeasonalHabits, Species } from "../core/fish/species-schema";
import type { Conditions } from "./conditions";

/** A time of the fish's year: by temperature and date, as in the rest of the year, or as the angler says. */
export type SeasonChoice = "auto" | "usual" | Phase;

/** How a fish lives under the conditions: its curves, and the way of its year where there is one. */
export interface LivingFish {
  species: Species;
  way: SeasonalHabits | undefined;
}

export function livingFish(
  species: Species,
  season: SeasonChoice,
  { temperature, at }: Pick<Conditions, "temperature" | "at">,
  latitude: number | undefined,
): LivingFish {
  if (season === "usual") return { species, way: undefined };
  if (season !== "auto") {
    const way = seasonalHabitsIn(species, season);
    return { species: inSeason(species, way), way };
  }
  const turning = at === undefined || latitude === undefined ? undefined : turningOf(at, latitude);
  const way = seasonalHabitsOf(species, temperature, turning);
  return { species: fishedFor(species, way), way };
}
