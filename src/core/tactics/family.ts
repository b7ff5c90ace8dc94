import type { Method } from "./lure-kinds";

/** Fish that are tackled alike. */
export const FAMILIES = ["trout", "run", "bass", "striper", "walleye", "catfish", "panfish", "coarse"] as const;
export type Family = (typeof FAMILIES)[number];

const OF: Readonly<Record<string, Family>> = {
  "brown-trout": "trout",
  "rainbow-trout": "trout",
  steelhead: "run",
  "king-salmon": "run",
  "smallmouth-bass": "bass",
  "largemouth-bass": "bass",
  "striped-bass": "striper",
  walleye: "walleye",
  zander: "walleye",
  "channel-catfish": "catfish",
  "flathead-catfish": "catfish",
  "yellow-perch": "panfish",
  "black-crappie": "panfish",
  barbel: "coarse",
  chub: "coarse",
};

/** Ways that a fish is fished for in rivers, the usual ones first. Common practice, no source. */
export const METHODS_FOR: Readonly<Record<Family, readonly Method[]>> = {
  trout: ["float", "drift", "jig", "spinner", "spoon", "plug"],
  run: ["float", "drift", "jig", "spoon", "spinner", "plug"],
  bass: ["jig", "drop-shot", "plug", "spinner", "drift", "float", "spoon"],
  striper: ["jig", "plug", "spoon", "dead-bait", "drift", "sinker"],
  walleye: ["jig", "drift", "sinker", "drop-shot", "plug", "spinner", "float", "dead-bait"],
  catfish: ["sinker", "dead-bait", "drift", "float", "jig"],
  panfish: ["float", "jig", "drop-shot", "spinner", "drift", "spoon"],
  coarse: ["float", "drift", "sinker", "jig", "spinner"],
};

/** By the id of a fish that ships, whose habits hold for profiles copied from it. */
export const familyOf = (species: string): Family => OF[species] ?? "trout";
