import type { Family } from "../fish/species-record";
import type { ClarityClass } from "../gauge/clarity";
import { isDirty } from "./colours";
import type { LureCategory, Prey } from "./lure-kinds";
import type { Retrieve } from "./retrieve-kinds";

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

/** What of a box a method is made of, besides rod, reel and line. */
export type BoxPart = "float" | "shot" | "weight" | "head" | "body" | "spoon" | "plug" | "spinner" | "bait";

interface MethodRecord {
  box: readonly BoxPart[];
  /** Rod, m; shorter by a fifth in tight cover. Common practice, no source. */
  rod: number;
  /** Fished with the longest rod of a box; others with the shortest. */
  longest: boolean;
  /** What goes on, by the fish and the water. Common practice, no source. */
  category: (question: LureQuestion) => LureCategory;
  /**
   * How it is worked: as its fish is (drifted to it, walked along the bottom), always drifted, or laid and waited on;
   * a dead bait for hours.
   */
  worked: "as-fish" | "drifted" | "laid" | "laid-long";
  /** What the hand may do, the usual first. Common practice, no source. */
  retrieves: readonly Retrieve[];
  /** It fishes a weight that is chosen for a purpose: others carry none, or one that fills a float. */
  weighs?: true;
  /** Where it is deep it hangs under the rod of a boat. */
  underRod?: true;
  /** Why it does not suit some water, m and m/s; undefined: it does. */
  unsuited?: (water: { depth: number; meanSpeed: number }, fish: { family: Family }) => string | undefined;
}

/** Water that hardly runs, m/s; what a bait without weight sinks in, and depth for a spoon, m. Common practice. */
const SLOW = 0.3;
const SHALLOW = 1.5;
const SPOON_DEPTH = 1.5;

const WALKED: readonly Retrieve[] = ["lift-and-drop", "drag", "hop", "snap", "hold", "swing"];
const REELED: readonly Retrieve[] = ["steady", "stop-and-go", "swing"];

const RECORDS = {
  float: {
    box: ["float", "bait"],
    rod: 3.9,
    longest: true,
    worked: "drifted",
    retrieves: ["dead-drift", "lift-and-drop", "hold"],
    category: ({ family, species, clarity, mood }) => {
      const dirty = isDirty(clarity);
      if (family === "run" || family === "catfish" || family === "striper") return naturalFor(family, species, dirty);
      return dirty || mood.prey === "worms" ? "worm" : mood.prey === "insects" ? "natural-bait" : "small-jig";
    },
  },
  drift: {
    box: ["shot", "bait"],
    rod: 3,
    longest: true,
    worked: "drifted",
    retrieves: ["dead-drift", "lift-and-drop", "swing"],
    weighs: true,
    category: ({ family, species, clarity }) => naturalFor(family, species, isDirty(clarity) || clarity === "green"),
  },
  freeline: {
    box: ["bait"],
    rod: 2.7,
    longest: false,
    worked: "drifted",
    retrieves: ["dead-drift", "swing"],
    unsuited: ({ meanSpeed, depth }) => (meanSpeed > SLOW || depth > SHALLOW ? "freeline-slow-water" : undefined),
    category: ({ family, species }) => naturalFor(family, species, true),
  },
  sinker: {
    box: ["weight", "bait"],
    rod: 2.7,
    longest: false,
    worked: "laid",
    retrieves: ["hold", "drag"],
    weighs: true,
    // Drift feeders are fished for on the bottom only where the water hardly runs.
    unsuited: ({ meanSpeed }, { family }) => (family === "trout" && meanSpeed > SLOW ? "sinker-slow-water" : undefined),
    category: ({ family, species }) =>
      family === "catfish" || family === "striper" ? meatFor(species) : "floated-worm",
  },
  "drop-shot": {
    box: ["weight", "bait"],
    rod: 2.1,
    longest: false,
    worked: "as-fish",
    retrieves: ["hold", "drag", "hop"],
    weighs: true,
    underRod: true,
    category: ({ family, clarity }) => (family === "catfish" ? "cut-fish" : isDirty(clarity) ? "worm" : "finesse-worm"),
  },
  "dead-bait": {
    box: ["head", "bait"],
    rod: 2.7,
    longest: false,
    worked: "laid-long",
    retrieves: ["hold", "lift-and-drop", "drag"],
    weighs: true,
    category: () => "whole-fish",
  },
  jig: {
    box: ["head", "body"],
    rod: 2.1,
    longest: false,
    worked: "as-fish",
    retrieves: WALKED,
    weighs: true,
    category: jigFor,
  },
  spoon: {
    box: ["spoon"],
    rod: 2.1,
    longest: false,
    worked: "as-fish",
    retrieves: ["lift-and-drop", "snap", "steady", "swing"],
    weighs: true,
    underRod: true,
    unsuited: ({ depth }) => (depth < SPOON_DEPTH ? "spoon-shallow" : undefined),
    category: () => "spoon",
  },
  plug: { box: ["plug"], rod: 2.1, longest: false, worked: "as-fish", retrieves: REELED, category: () => "plug" },
  spinner: {
    box: ["spinner"],
    rod: 2.1,
    longest: false,
    worked: "as-fish",
    retrieves: [...REELED, "lift-and-drop"],
    category: () => "spinner",
  },
} satisfies Record<string, MethodRecord>;

export type Method = keyof typeof RECORDS;
export const METHOD: Readonly<Record<Method, MethodRecord>> = RECORDS;
/** Methods that fish a weight. */
export type Weighted = { [M in Method]: (typeof RECORDS)[M] extends { weighs: true } ? M : never }[Method];
export const isWeighted = (method: Method): method is Weighted => METHOD[method].weighs === true;

export const METHODS = Object.keys(RECORDS) as [Method, ...Method[]];

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
