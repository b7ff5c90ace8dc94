import type { Family } from "../fish/species-record";
import type { SpeciesId } from "../fish/species-list";
import { habitsOf } from "../fish/species-habits";
import { isSpeciesId } from "../tactics/fished-with";
import { OUNCE } from "../quantity/units";

const oz = (share: number): number => share * OUNCE * 1000;

/**
 * Jig heads that are carried for a fish, g, lightest first: trout minis 1/32 to 1/16 oz (1/16 is easier to start with);
 * stand-up finesse heads 1/10, 1/6 and 1/5; walleye in current 3/16, 1/4, 3/8; perch 4 to 5 and 9 g; a river
 * paddle-tail 1/4 oz; big swimbaits 1 oz; a dead bait on a head of 30 to 50 g. Common practice, no source.
 */
const BY_FAMILY: Record<Family, readonly number[]> = {
  trout: [oz(1 / 32), oz(1 / 16), oz(1 / 8), oz(1 / 4)],
  run: [oz(1 / 16), oz(1 / 8), oz(1 / 4), oz(3 / 8), oz(1 / 2), oz(3 / 4)],
  bass: [oz(1 / 10), oz(1 / 6), oz(1 / 5), oz(1 / 4), oz(3 / 8), oz(1 / 2), oz(3 / 4)],
  striper: [oz(1 / 4), oz(3 / 8), oz(1 / 2), oz(3 / 4), oz(1), oz(1.5), oz(2)],
  walleye: [oz(3 / 16), oz(1 / 4), oz(3 / 8), oz(1 / 2), oz(3 / 4), oz(1)],
  catfish: [oz(1 / 2), oz(3 / 4), 30, 40, 50, 60],
  panfish: [oz(1 / 32), oz(1 / 16), oz(1 / 8), oz(1 / 4)],
  coarse: [oz(1 / 16), oz(1 / 8), oz(1 / 4), oz(3 / 8)],
};

/** Perch: 4 to 5 g, 9 to hold bottom in flow. */
const BY_SPECIES: Partial<Record<SpeciesId, readonly number[]>> = { "yellow-perch": [oz(1 / 8), 4.5, 9, 14] };

/** Heads that are carried for a fish that ships, by its id, g. */
export const headsFor = (species: string): readonly number[] =>
  (isSpeciesId(species) && BY_SPECIES[species]) || BY_FAMILY[habitsOf(species).family];

/** Spoons, g: 1 3/4 oz for 40 ft of current, heavier where it is stronger. Common practice, no source. */
export const SPOONS: readonly number[] = [
  oz(1 / 8),
  5,
  ...[1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.5, 1.75, 2, 2.5, 3].map(oz),
];
/** Sliding sinkers: 1/4 to 1/2 oz, heavier where the water asks for it, g. Common practice, no source. */
export const SINKERS: readonly number[] = [1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.5, 2, 3, 4, 6].map(oz);
/** The smallest shot that is drifted along the bed, g: dust shot is for floats. Common practice, no source. */
export const DRIFTED_SHOT = 0.1;
/** Drop shot: 20 to 30 g by the current; lighter in slow water, g. Common practice, no source. */
export const DROP_SHOTS: readonly number[] = [14, 20, 25, 30, 40];
/** Heads for a dead bait, g: 30 to 50 in current. Common practice, no source. */
export const BAIT_HEADS: readonly number[] = [30, 40, 50, 60];
