import { COMMON_PRACTICE, FROM_MEMORY } from "../quantity/provenance";
import type { WithYear } from "./species-record";
import type { Ambusher, Curve, Traveller } from "./species-schema";

/**
 * The fish are data, not code: curves after the shapes of habitat-suitability literature (from memory) and the practice
 * of the bank (no source); standard weights after Anderson & Neumann 1996 (from memory). Depth in m, speed in m/s.
 */
const SOURCE = `${COMMON_PRACTICE}; ${FROM_MEMORY}: curves, weights`;

/** The same likings in warm water and cold. */
export const same = (curve: Curve) => ({ warm: curve, cold: curve });

/** A fish that waits beside the current, with what most of them share. */
export const ambusher = (
  fish: Omit<WithYear<Ambusher>, "model" | "source" | "focalHeight" | "restAbove"> &
    Partial<Pick<Ambusher, "focalHeight" | "restAbove">>,
): WithYear<Ambusher> => ({
  model: "ambush",
  focalHeight: 0.15,
  restAbove: 30,
  source: SOURCE,
  ...fish,
});

/** A fish on the run, with what they share. */
export const runner = (
  fish: Pick<WithYear<Traveller>, "forkLength" | "weight" | "suitability" | "passage" | "seasons">,
): WithYear<Traveller> => ({
  model: "travel",
  focalHeight: 0.25,
  territory: 5,
  leastDepth: 0.4,
  restAbove: 20,
  source: SOURCE,
  ...fish,
});

/** Cold fish hold in slack. */
export const SLACK: Curve = [
  [0, 1],
  [0.12, 1],
  [0.3, 0.25],
  [0.45, 0],
];

/** What fish of still and slow water share: perch, crappie, largemouth bass. */
export const STILL_WATER = {
  territory: 3,
  leastDepth: 0.4,
  shy: 0.2,
  ambush: { reach: 2, weight: 0.35 },
  substrate: {},
};
