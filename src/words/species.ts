import type { Phase } from "../core/fish/phases";
import type { SeasonalWay } from "../core/fish/species-schema";

/** Fish that ship, by id. */
const NAMES: Readonly<Record<string, string>> = {
  "brown-trout": "Brown trout",
  "rainbow-trout": "Rainbow trout",
  steelhead: "Steelhead on the run",
  "king-salmon": "King salmon on the run",
  "smallmouth-bass": "Smallmouth bass",
  walleye: "Walleye",
  zander: "Zander",
  "channel-catfish": "Channel catfish",
  "flathead-catfish": "Flathead catfish",
  "yellow-perch": "Perch",
  "black-crappie": "Crappie",
  "striped-bass": "Striped bass",
  barbel: "Barbel",
  chub: "Chub",
  "largemouth-bass": "Largemouth bass",
};

/** The name of a fish that ships; its id where it has none. */
export const speciesName = (id: string): string => NAMES[id] ?? id;

export const PHASE_NAMES: Record<Phase, string> = {
  spawn: "spawning",
  after: "after spawning",
  summer: "high summer",
  staging: "autumn staging",
  winter: "winter",
};

/** How each fish lives at the times of its year. */
const WAYS: Readonly<Record<string, Partial<Record<Phase, string>>>> = {
  "brown-trout": {
    spawn: "Spawning on gravel at pool tails. Keep off the gravel.",
    winter: "Cold water: slow, deep spots. Bites are soft and late.",
    summer: "Warm water: shade, oxygen and current matter more than food.",
  },
  "rainbow-trout": {
    spawn: "Spawning on gravel at pool tails. Keep off the gravel.",
    winter: "Cold water: slow, deep spots. Bites are soft and late.",
    summer: "Warm water: shade, oxygen and current matter more than food.",
  },
  steelhead: {
    spawn: "Spawning on gravel. Keep off it.",
    winter: "Cold stops them: slow water below fast, near the bottom.",
  },
  "king-salmon": {
    spawn: "On the gravel: leave them alone, and follow local closed seasons.",
  },
  "smallmouth-bass": {
    spawn: "On nests in slack shallows near stone or wood.",
    after: "After nesting: hungry, and back behind breaks in the current.",
    summer: "Hot water: shade, current and depth.",
    staging:
      "On the way to winter water: in groups at 1.8 to 2.4 m (6 to 8 ft), where hard bottom meets soft or drops off.",
    winter: "In winter they seek deep, slow holes out of the current. Bites are soft and single.",
  },
  walleye: {
    spawn: "Spawning over stones in shallow current.",
    summer: "Warm, bright water: they go deeper along the edge as the day warms.",
    winter: "Deep, slow water near their summer edges.",
  },
  zander: {
    spawn: "On nests in slack shallows.",
    summer: "Warm, bright water: they go deeper along the edge as the day warms.",
    winter: "Deep, slow water.",
  },
  "channel-catfish": {
    spawn: "In holes and under wood, on the nest.",
    winter: "In winter they mostly gather in deep slack water.",
  },
  "flathead-catfish": {
    spawn: "In holes and under wood, on the nest.",
    after: "Off the nest and hungry: out from the wood at night, along the ledges.",
    winter: "Still, in the deepest holes. They hardly bite.",
  },
  "yellow-perch": {
    spawn: "Spawning over weed and wood in the shallows.",
    winter: "In tight shoals in deep slack water.",
  },
  "black-crappie": {
    spawn: "Shallow, in wood and weed out of the current.",
    winter: "Deep slack by wood.",
  },
  "striped-bass": {
    spawn: "Spawning in the current of the main stem.",
    summer: "Hot water: in the coolest, deepest current. Playing them can kill them.",
  },
  barbel: {
    spawn: "On gravel shallows.",
    summer: "Gravel in fast water where the pool gets shallow.",
    winter: "A little deeper and slower, beside cover.",
  },
  chub: {
    spawn: "On gravel shallows.",
    winter: "Under overhanging trees and rafts, a little deeper and slower.",
  },
  "largemouth-bass": {
    spawn: "On nests in still shallows.",
    summer: "Hot water: shade and cover.",
    winter: "Deep, still water by cover.",
  },
};

const PEACE = "Leave spawning fish alone, and follow local closed seasons.";

/** What a time of the fish's year means; `base` is the id of the fish that ships. */
export function wayWords(base: string, way: SeasonalWay): string {
  // Profiles of older books carry the words that they were copied with.
  const known = WAYS[base]?.[way.phase];
  if (known === undefined) return way.words ?? "";
  return way.phase === "spawn" && !known.includes("alone") ? `${known} ${PEACE}` : known;
}
