import type { Phase } from "./phases";
import { along } from "./suitability";
import type { SeasonalHabits, Species } from "./species-schema";

export type Turning = "warming" | "cooling";

/**
 * The water of the year warms from 20 January to 25 July on the northern half of the earth, the other way round on the
 * southern. Common practice, no source.
 */
const WARMS = { from: [1, 20], to: [7, 25] } as const;

/** Does the water of the year warm or cool? `at` in ms since 1970 UTC; latitude in degrees. */
export function turningOf(at: number, latitude: number): Turning {
  const date = new Date(at);
  const day = (date.getUTCMonth() + 1) * 100 + date.getUTCDate();
  const north = day >= WARMS.from[0] * 100 + WARMS.from[1] && day < WARMS.to[0] * 100 + WARMS.to[1];
  return north === latitude >= 0 ? "warming" : "cooling";
}

/**
 * The way a fish lives by the water's temperature, degC, and the turn of the year; undefined: as in the rest of the
 * year. Where the turn is not known, ways that need it are passed over.
 */
export function seasonalHabitsOf(
  species: Species,
  temperature: number,
  turning: Turning | undefined,
): SeasonalHabits | undefined {
  return species.seasons?.find(
    ({ temperature: range, turning: wanted }) =>
      range !== null &&
      temperature >= range[0] &&
      temperature <= range[1] &&
      (wanted === undefined || wanted === turning),
  );
}

export const seasonalHabitsIn = (species: Species, phase: Phase): SeasonalHabits | undefined =>
  species.seasons?.find((way) => way.phase === phase);

/**
 * The species as it is fished for at a time of its year that nobody has asked for by name. Nobody is led to fish on
 * their nests and gravel: while they
 * spawn, those that do not are shown, as in the rest of the year; where the spawning ones are is told only when it is
 * asked, so as to keep off.
 */
export const fishedFor = (species: Species, way: SeasonalHabits | undefined): Species =>
  way?.leaveAlone ? species : inSeason(species, way);

/** The species as it lives in a season: its curves and likings changed as the way says. */
export function inSeason(species: Species, way: SeasonalHabits | undefined): Species {
  if (!way) return species;
  const { depth, speed } = way;
  if (species.model === "drift")
    return {
      ...species,
      ...(depth || speed ? { wants: { depth, speed } } : {}),
      ...(way.bare === undefined ? {} : { bare: way.bare }),
    };
  const { suitability } = species;
  const same = (curve: typeof depth, own: (typeof suitability)["depth"]) =>
    curve ? { warm: curve, cold: curve } : own;
  const changed = { ...suitability, depth: same(depth, suitability.depth), speed: same(speed, suitability.speed) };
  if (species.model === "travel") return { ...species, suitability: changed };
  return { ...species, suitability: changed, cover: { ...species.cover, ...way.cover } };
}

/** A suitability from which on water counts as what is sought. Common practice, no source. */
const SOUGHT = 0.5;

/** Is a place of the depth, m, and the speed at the fish, m/s, that a season's way seeks? */
export const isSought = ({ depth, speed }: SeasonalHabits, at: { depth: number; focalSpeed: number }): boolean =>
  (!depth || along(depth, at.depth) >= SOUGHT) && (!speed || along(speed, at.focalSpeed) >= SOUGHT);
