import type { SpeciesId } from "../core/fish/species-list";
import type { Phase } from "../core/fish/phases";
import type { SeasonalHabits } from "../core/fish/species-schema";

interface SpeciesWords {
  name: string;
  /** What anglers call it in a note or a spreadsheet, in small letters without spaces. Common practice, no source. */
  aliases: readonly string[];
  /** How it lives at the times of its year. */
  ways: Partial<Record<Phase, string>>;
}

/** What is said of each fish that ships. */
export const SPECIES_WORDS: Readonly<Record<SpeciesId, SpeciesWords>> = {
  "brown-trout": {
    name: "Brown trout",
    aliases: ["brown", "brownie", "browntrout"],
    ways: {
      spawn: "Spawning on gravel at pool tails. Keep off the gravel.",
      winter: "Cold water: slow, deep spots. Bites are soft and late.",
      summer: "Warm water: shade, oxygen and current matter more than food.",
    },
  },
  "rainbow-trout": {
    name: "Rainbow trout",
    aliases: ["rainbow", "bow"],
    ways: {
      spawn: "Spawning on gravel at pool tails. Keep off the gravel.",
      winter: "Cold water: slow, deep spots. Bites are soft and late.",
      summer: "Warm water: shade, oxygen and current matter more than food.",
    },
  },
  steelhead: {
    name: "Steelhead on the run",
    aliases: ["steelie"],
    ways: {
      spawn: "Spawning on gravel. Keep off it.",
      winter: "Cold stops them: slow water below fast, near the bottom.",
    },
  },
  "king-salmon": {
    name: "King salmon on the run",
    aliases: ["king", "chinook"],
    ways: {
      spawn: "On the gravel: leave them alone, and follow local closed seasons.",
    },
  },
  "smallmouth-bass": {
    name: "Smallmouth bass",
    aliases: ["smb", "smallie", "smallmouth", "bronzeback"],
    ways: {
      spawn: "On nests in slack shallows near stone or wood.",
      after: "After nesting: hungry, and back behind breaks in the current.",
      summer: "Hot water: shade, current and depth.",
      staging:
        "On the way to winter water: in groups at 1.8 to 2.4 m (6 to 8 ft), where hard bottom meets soft or drops off.",
      winter: "In winter they seek deep, slow holes out of the current. Bites are soft and single.",
    },
  },
  walleye: {
    name: "Walleye",
    aliases: ["pickerel"],
    ways: {
      spawn: "Spawning over stones in shallow current.",
      summer: "Warm, bright water: they go deeper along the edge as the day warms.",
      winter: "Deep, slow water near their summer edges.",
    },
  },
  zander: {
    name: "Zander",
    aliases: ["pikeperch"],
    ways: {
      spawn: "On nests in slack shallows.",
      summer: "Warm, bright water: they go deeper along the edge as the day warms.",
      winter: "Deep, slow water.",
    },
  },
  "channel-catfish": {
    name: "Channel catfish",
    aliases: ["channel", "channelcat"],
    ways: {
      spawn: "In holes and under wood, on the nest.",
      winter: "In winter they mostly gather in deep slack water.",
    },
  },
  "flathead-catfish": {
    name: "Flathead catfish",
    aliases: ["flathead", "flatheadcat"],
    ways: {
      spawn: "In holes and under wood, on the nest.",
      after: "Off the nest and hungry: out from the wood at night, along the ledges.",
      winter: "Still, in the deepest holes. They hardly bite.",
    },
  },
  "yellow-perch": {
    name: "Perch",
    aliases: ["perch", "yellowperch"],
    ways: {
      spawn: "Spawning over weed and wood in the shallows.",
      winter: "In tight shoals in deep slack water.",
    },
  },
  "black-crappie": {
    name: "Crappie",
    aliases: ["crappie", "blackcrappie"],
    ways: {
      spawn: "Shallow, in wood and weed out of the current.",
      winter: "Deep slack by wood.",
    },
  },
  "striped-bass": {
    name: "Striped bass",
    aliases: ["striper", "striped"],
    ways: {
      spawn: "Spawning in the current of the main stem.",
      summer: "Hot water: in the coolest, deepest current. Playing them can kill them.",
    },
  },
  barbel: {
    name: "Barbel",
    aliases: [],
    ways: {
      spawn: "On gravel shallows.",
      summer: "Gravel in fast water where the pool gets shallow.",
      winter: "A little deeper and slower, beside cover.",
    },
  },
  chub: {
    name: "Chub",
    aliases: [],
    ways: {
      spawn: "On gravel shallows.",
      winter: "Under overhanging trees and rafts, a little deeper and slower.",
    },
  },
  "largemouth-bass": {
    name: "Largemouth bass",
    aliases: ["lmb", "largemouth", "bucketmouth"],
    ways: {
      spawn: "On nests in still shallows.",
      summer: "Hot water: shade and cover.",
      winter: "Deep, still water by cover.",
    },
  },
};

/** The name of a fish that ships; its id where it has none. */
export const speciesName = (id: string): string => SPECIES_WORDS[id as SpeciesId]?.name ?? id;

export const PHASE_NAMES: Record<Phase, string> = {
  spawn: "spawning",
  after: "after spawning",
  summer: "high summer",
  staging: "autumn staging",
  winter: "winter",
};

const PEACE = "Leave spawning fish alone, and follow local closed seasons.";

/** What a time of the fish's year means; `base` is the id of the fish that ships. */
export function wayWords(base: string, way: SeasonalHabits): string {
  // Profiles of older books carry the words that they were copied with.
  const known = SPECIES_WORDS[base as SpeciesId]?.ways[way.phase];
  if (known === undefined) return way.words ?? "";
  return way.phase === "spawn" && !known.includes("alone") ? `${known} ${PEACE}` : known;
}
