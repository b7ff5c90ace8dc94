import type { Family } from "../fish/species-habits";
import type { ClarityClass } from "../gauge/clarity";
import { isDirty } from "./colours";
import type { LureCategory, Prey } from "./lure-kinds";

/**
 * The methods of fishing that are worked out: what each puts on the hook, and its rod. How each is rigged and behaves
 * stands in rig/methods.ts, how it is spoken of in words/methods.ts; a method that lacks a part does not compile.
 */

/** What the day asks of a lure beside the water. */
export interface Mood {
  prey: Prey;
  tough: boolean;
  warmth: "cold" | "usual" | "warm";
}

interface LureQuestion {
  family: Family;
  species: string;
  clarity: ClarityClass;
  mood: Mood;
}

interface MethodRecord {
  /** Rod, m; shorter by a fifth in tight cover. Common practice, no source. */
  rod: number;
  /** Fished with the longest rod of a box; others with the shortest. */
  longest: boolean;
  /** What goes on, by the fish and the water. Common practice, no source. */
  category: (question: LureQuestion) => LureCategory;
}

const RECORDS = {
  float: {
    rod: 3.9,
    longest: true,
    category: ({ family, species, clarity, mood }) => {
      const dirty = isDirty(clarity);
      if (family === "run" || family === "catfish" || family === "striper") return naturalFor(family, species, dirty);
      return dirty || mood.prey === "worms" ? "worm" : clarity === "gin-clear" ? "natural-bait" : "small-jig";
    },
  },
  drift: {
    rod: 3,
    longest: true,
    category: ({ family, species, clarity }) => naturalFor(family, species, isDirty(clarity) || clarity === "green"),
  },
  sinker: {
    rod: 2.7,
    longest: false,
    category: ({ family, species }) =>
      family === "catfish" || family === "striper" ? meatFor(species) : "floated-worm",
  },
  "drop-shot": {
    rod: 2.1,
    longest: false,
    category: ({ family, clarity }) => (family === "catfish" ? "cut-fish" : isDirty(clarity) ? "worm" : "finesse-worm"),
  },
  "dead-bait": { rod: 2.7, longest: false, category: () => "whole-fish" },
  jig: { rod: 2.1, longest: false, category: jigFor },
  spoon: { rod: 2.1, longest: false, category: () => "spoon" },
  plug: { rod: 2.1, longest: false, category: () => "plug" },
  spinner: { rod: 2.1, longest: false, category: () => "spinner" },
} satisfies Record<string, MethodRecord>;

export type Method = keyof typeof RECORDS;
export const METHOD: Readonly<Record<Method, MethodRecord>> = RECORDS;
export const METHODS = Object.keys(RECORDS) as [Method, ...Method[]];

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

const meatFor = (species: string): LureCategory => (species === "channel-catfish" ? "cut-fish" : "whole-fish");

function naturalFor(family: Family, species: string, worm: boolean): LureCategory {
  if (family === "run") return "egg-bait";
  if (family === "catfish" || family === "striper") return meatFor(species);
  if (family === "trout" || family === "panfish" || family === "coarse") return worm ? "worm" : "natural-bait";
  return "worm";
}

function jigFor({ family, species, clarity, mood: { prey, tough, warmth } }: LureQuestion): LureCategory {
  if (family === "catfish") return meatFor(species);
  if (family === "trout" || family === "run" || family === "panfish" || family === "coarse") return "small-jig";
  if (prey === "crayfish") return "tube";
  if (tough || (warmth === "cold" && family === "bass")) return "finesse-worm";
  if (prey === "bait-fish" || isDirty(clarity) || warmth === "warm") return "paddle-tail";
  return "curl-tail";
}
