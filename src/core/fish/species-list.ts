import { COMMON_PRACTICE, FROM_MEMORY } from "../quantity/provenance";
import { AMBUSHERS } from "./species-ambush";
import type { SpeciesId } from "./species-habits";
import type { DriftFeeder, Species } from "./species-schema";
import { SEASONS } from "./species-seasons";
import { TRAVELLERS } from "./species-travel";
import { territoryAcross } from "./territory";

const trout = {
  model: "drift",
  forkLength: 32,
  preyLength: 6,
  focalHeight: 0.1,
  territory: territoryAcross(32),
  leastDepth: 0.2,
  restAbove: 20,
  source: `${COMMON_PRACTICE}; weights ${FROM_MEMORY}`,
} as const;

/** The fish as the models know them: trout, fish on the run, and fish that wait beside the current. */
const MODELS: Record<SpeciesId, Species> = {
  "brown-trout": {
    ...trout,
    id: "brown-trout",
    weight: { a: -4.867, b: 2.96 },
    seasons: SEASONS["brown-trout"],
  } satisfies DriftFeeder,
  "rainbow-trout": {
    ...trout,
    id: "rainbow-trout",
    weight: { a: -5.023, b: 3.024 },
    seasons: SEASONS["rainbow-trout"],
  } satisfies DriftFeeder,
  ...TRAVELLERS,
  ...AMBUSHERS,
};
export const SPECIES: readonly Species[] = Object.values(MODELS);
