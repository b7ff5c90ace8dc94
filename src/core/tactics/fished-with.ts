import type { SpeciesId } from "../fish/species-list";
import type { Method } from "./methods";

/**
 * Ways that each fish is fished for in rivers, the usual ones first: trout also with a sliding sinker where the water
 * hardly runs, bass with a bottom rig and a leader, predators and catfish with dead bait that is laid and waited on,
 * chub and barbel with a bait and no weight. Common practice, no source.
 */
const BY_SPECIES: Readonly<Record<SpeciesId, readonly Method[]>> = {
  "brown-trout": ["float", "drift", "jig", "spinner", "spoon", "plug", "sinker", "freeline"],
  "rainbow-trout": ["float", "drift", "jig", "spinner", "spoon", "plug", "sinker", "freeline"],
  steelhead: ["float", "drift", "jig", "spoon", "spinner", "plug"],
  "king-salmon": ["float", "drift", "plug", "spinner", "jig", "spoon"],
  "smallmouth-bass": ["jig", "drop-shot", "plug", "spinner", "drift", "sinker", "float", "spoon"],
  walleye: ["jig", "drift", "sinker", "drop-shot", "plug", "spinner", "float", "dead-bait", "spoon"],
  zander: ["jig", "drop-shot", "dead-bait", "drift", "sinker", "plug", "spinner", "float", "spoon"],
  "channel-catfish": ["sinker", "dead-bait", "drift", "float", "jig"],
  "flathead-catfish": ["sinker", "dead-bait", "drift", "float", "jig"],
  "yellow-perch": ["float", "jig", "drop-shot", "spinner", "drift", "spoon"],
  "black-crappie": ["float", "jig", "drop-shot", "spinner", "drift", "spoon"],
  "striped-bass": ["jig", "plug", "spoon", "dead-bait", "drift", "sinker"],
  barbel: ["sinker", "drift", "float", "freeline", "jig"],
  chub: ["float", "drift", "freeline", "sinker", "spinner", "plug", "jig"],
  "largemouth-bass": ["jig", "plug", "drop-shot", "spinner", "float", "sinker", "spoon"],
};

/** Is it a fish that ships? Asked here, and not of the models: every page knows the ids, few need the curves. */
export const isSpeciesId = (id: string): id is SpeciesId => Object.hasOwn(BY_SPECIES, id);

/** The ways to fish for a fish, by the id of the one that ships; those of a trout for any other. */
export const methodsFor = (species: string): readonly Method[] =>
  BY_SPECIES[isSpeciesId(species) ? species : "brown-trout"];
