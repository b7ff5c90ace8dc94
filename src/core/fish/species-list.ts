import { BASS } from "./species-bass";
import { CATFISH } from "./species-catfish";
import { COARSE } from "./species-coarse";
import { PANFISH } from "./species-panfish";
import type { FishRecord } from "./species-record";
import { SALMONIDS } from "./species-salmonids";
import type { Species } from "./species-schema";
import { WALLEYES } from "./species-walleye";

const RECORDS = { ...SALMONIDS, ...BASS, ...WALLEYES, ...CATFISH, ...PANFISH, ...COARSE };

/**
 * The fish that ship. A fish is a record here (its habits, its model, its year), the methods that it is fished with
 * (tactics/fished-with.ts) and its words (words/species.ts): one that lacks a part does not compile.
 */
export type SpeciesId = keyof typeof RECORDS;
export const FISH: Readonly<Record<SpeciesId, FishRecord>> = RECORDS;

/** The fish as the models know them. */
export const SPECIES: readonly Species[] = Object.entries(FISH).map(([id, { species }]) => ({ ...species, id }));
