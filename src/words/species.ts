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
    spawn: "Spawning on gravel at the tails of pools: keep off the gravel.",
    winter: "Cold water: slow, deep places; a bite is soft and late.",
    summer: "Warm water: shade, oxygen and current count for more than food.",
  },
  "rainbow-trout": {
    spawn: "Spawning on gravel at the tails of pools: keep off the gravel.",
    winter: "Cold water: slow, deep places; a bite is soft and late.",
    summer: "Warm water: shade, oxygen and current count for more than food.",
  },
  steelhead: {
    spawn: "Spawning on gravel: keep off it.",
    winter: "Held up by the cold: slow water below the quick, near the bottom.",
  },
  "king-salmon": {
    spawn: "On the gravel: leave them in peace; local close seasons stand.",
  },
  "smallmouth-bass": {
    spawn: "On nests in slack shallows beside stone or wood.",
    after: "After the nest: back to the breaks in the current, hungry.",
    summer: "Hot water: shade, current and depth.",
    staging: "On the way to winter water: grouped in six to eight feet, where hard bottom meets soft or drops off.",
    winter: "Wintering holes: deep, slow, out of the current; single soft bites.",
  },
  walleye: {
    spawn: "Spawning over stones in shallow current.",
    summer: "Warm, bright water: deeper along the edge as the day warms.",
    winter: "Deep, slow water near the summer's edges.",
  },
  zander: {
    spawn: "On nests in slack shallows.",
    summer: "Warm, bright water: deeper along the edge as the day warms.",
    winter: "Deep, slow water.",
  },
  "channel-catfish": {
    spawn: "In holes and under wood, on the nest.",
    winter: "In winter they mostly gather in deep slack water.",
  },
  "flathead-catfish": {
    spawn: "In holes and under wood, on the nest.",
    after: "Off the nest, beaten up and hungry: out from the wood at night, along the ledges.",
    winter: "Still, in the deepest holes: hardly to be had.",
  },
  "yellow-perch": {
    spawn: "Spawning over weed and wood in the shallows.",
    winter: "In close shoals in deep slack.",
  },
  "black-crappie": {
    spawn: "Shallow, in wood and weed out of the current.",
    winter: "Deep slack by wood.",
  },
  "striped-bass": {
    spawn: "Spawning in the current of the main stem.",
    summer: "Hot water: the coolest, deepest current; played fish die of it.",
  },
  barbel: {
    spawn: "On gravel shallows.",
    summer: "Gravel where the pool shallows, in the quick water.",
    winter: "A little deeper and slower, beside cover.",
  },
  chub: {
    spawn: "On gravel shallows.",
    winter: "Under hanging trees and rafts, a little deeper and slower.",
  },
  "largemouth-bass": {
    spawn: "On nests in still shallows.",
    summer: "Hot water: shade and cover.",
    winter: "Deep, still water by cover.",
  },
};

const PEACE = "Leave spawning fish in peace; local close seasons stand.";

/** What a time of the fish's year means; `base` is the id of the fish that ships. */
export function wayWords(base: string, way: SeasonalWay): string {
  // Profiles of older books carry the words that they were copied with.
  const known = WAYS[base]?.[way.phase];
  if (known === undefined) return way.words ?? "";
  return way.phase === "spawn" && !known.includes("in peace") ? `${known} ${PEACE}` : known;
}
