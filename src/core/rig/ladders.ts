import type { Family } from "../fish/species-habits";
import { OUNCE } from "../quantity/units";

const oz = (share: number): number => share * OUNCE * 1000;

/**
 * Jig heads that are carried for a fish, g, lightest first: trout minis 1/32 to 1/16 oz (1/16 is easier to start with);
 * stand-up finesse heads 1/10, 1/6 and 1/5; walleye in current 3/16, 1/4, 3/8; perch 4 to 5 and 9 g; a river
 * paddle-tail 1/4 oz; big swimbaits 1 oz; a dead bait on a head of 30 to 50 g. Common practice, no source.
 */
export const HEADS: Record<Family, readonly number[]> = {
  trout: [oz(1 / 32), oz(1 / 16), oz(1 / 8)],
  run: [oz(1 / 16), oz(1 / 8), oz(1 / 4), oz(3 / 8)],
  bass: [oz(1 / 10), oz(1 / 6), oz(1 / 5), oz(1 / 4), oz(3 / 8)],
  striper: [oz(1 / 4), oz(3 / 8), oz(1 / 2), oz(1)],
  walleye: [oz(3 / 16), oz(1 / 4), oz(3 / 8), oz(1 / 2)],
  catfish: [30, 40, 50],
  panfish: [oz(1 / 32), oz(1 / 16), 4.5, 9],
  coarse: [oz(1 / 16), oz(1 / 8), oz(1 / 4)],
};

/** Spoons, g; the heaviest is 1 3/4 oz, for 40 ft of current. Common practice, no source. */
export const SPOONS: readonly number[] = [3.5, 5, 7, 10, 14, 21, 28, oz(1.75)];
/** Sliding sinkers: 1/4 to 1/2 oz, heavier where the water asks for it, g. Common practice, no source. */
export const SINKERS: readonly number[] = [oz(1 / 4), oz(3 / 8), oz(1 / 2), 21, 28, 42, 56, 85, 113, 170];
/** Drop shot: 20 to 30 g by the current; lighter in still water, g. Common practice, no source. */
export const DROP_SHOTS: readonly number[] = [20, 25, 30, 40];
/** Heads for a dead bait, g. Common practice, no source. */
export const BAIT_HEADS: readonly number[] = [30, 40, 50];
