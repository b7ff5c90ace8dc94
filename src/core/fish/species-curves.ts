import { COMMON_PRACTICE, FROM_MEMORY } from "../quantity/provenance";
import type { Ambusher, Curve, Traveller } from "./species-schema";
import type { SpeciesId } from "./species-habits";
import { SEASONS } from "./species-seasons";

/**
 * The fish are data, not code: curves after the shapes of habitat-suitability literature (from memory) and the practice
 * of the bank (no source); standard weights after Anderson & Neumann 1996 (from memory). Depth in m, speed in m/s.
 */
const SOURCE = `${COMMON_PRACTICE}; ${FROM_MEMORY}: curves, weights`;

/** The same likings in warm water and cold. */
export const same = (curve: Curve) => ({ warm: curve, cold: curve });

/** A fish that waits beside the current, with what most of them share. */
export const ambusher = (
  fish: { id: SpeciesId } & Omit<Ambusher, "model" | "source" | "focalHeight" | "restAbove"> &
    Partial<Pick<Ambusher, "focalHeight" | "restAbove">>,
): Ambusher => ({
  model: "ambush",
  focalHeight: 0.15,
  restAbove: 30,
  source: SOURCE,
  seasons: SEASONS[fish.id],
  ...fish,
});

/** A fish on the run, with what they share. */
export const runner = (
  fish: { id: SpeciesId } & Pick<Traveller, "id" | "forkLength" | "weight" | "suitability" | "passage">,
): Traveller => ({
  model: "travel",
  focalHeight: 0.25,
  territory: 5,
  leastDepth: 0.4,
  restAbove: 20,
  source: SOURCE,
  seasons: SEASONS[fish.id],
  ...fish,
});
