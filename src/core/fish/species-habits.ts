import { COMMON_PRACTICE, FROM_MEMORY, sourced } from "../quantity/provenance";

/**
 * The fish that ship. Everything that depends on one is a record over these ids: its habits here, its model
 * (species-list.ts), its year (species-seasons.ts) and its words (words/species.ts). A fish that lacks one of them does
 * not compile.
 */
export type SpeciesId =
  | "brown-trout"
  | "rainbow-trout"
  | "steelhead"
  | "king-salmon"
  | "smallmouth-bass"
  | "walleye"
  | "zander"
  | "channel-catfish"
  | "flathead-catfish"
  | "yellow-perch"
  | "black-crappie"
  | "striped-bass"
  | "barbel"
  | "chub"
  | "largemouth-bass";

/** Fish that are tackled alike. */
export const FAMILIES = ["trout", "run", "bass", "striper", "walleye", "catfish", "panfish", "coarse"] as const;
export type Family = (typeof FAMILIES)[number];

/**
 * How a lie is worked. Drift: near, middle and far along the lines of current, nearer fish first. Walk: lanes across
 * the break, the lure walked along the bottom with the current. Soak: a bait that lies still on the bottom, its scent
 * running down to the fish.
 */
export type Drill = "drift" | "walk" | "soak";

export interface SpeciesHabits {
  family: Family;
  drill: Drill;
  /** Comes in schools: one bite calls for the same cast again, quickly. */
  schools: boolean;
  /** Total length over fork length (from memory; order of a hundredth): forked tails more, square tails none. */
  overFork: number;
}

const HABITS = sourced<Record<SpeciesId, SpeciesHabits>>(
  {
    "brown-trout": { family: "trout", drill: "drift", schools: false, overFork: 1.03 },
    "rainbow-trout": { family: "trout", drill: "drift", schools: false, overFork: 1.04 },
    steelhead: { family: "run", drill: "drift", schools: false, overFork: 1.05 },
    "king-salmon": { family: "run", drill: "drift", schools: false, overFork: 1.07 },
    "smallmouth-bass": { family: "bass", drill: "drift", schools: true, overFork: 1.04 },
    walleye: { family: "walleye", drill: "walk", schools: true, overFork: 1.06 },
    zander: { family: "walleye", drill: "walk", schools: true, overFork: 1.06 },
    "channel-catfish": { family: "catfish", drill: "soak", schools: false, overFork: 1.09 },
    "flathead-catfish": { family: "catfish", drill: "soak", schools: false, overFork: 1 },
    "yellow-perch": { family: "panfish", drill: "drift", schools: true, overFork: 1.04 },
    "black-crappie": { family: "panfish", drill: "drift", schools: true, overFork: 1.03 },
    "striped-bass": { family: "striper", drill: "drift", schools: true, overFork: 1.07 },
    barbel: { family: "coarse", drill: "soak", schools: false, overFork: 1.1 },
    chub: { family: "coarse", drill: "drift", schools: false, overFork: 1.07 },
    "largemouth-bass": { family: "bass", drill: "drift", schools: false, overFork: 1.03 },
  },
  "share",
  `${COMMON_PRACTICE}; lengths ${FROM_MEMORY}`,
);

export const isSpeciesId = (id: string): id is SpeciesId => Object.hasOwn(HABITS.value, id);

/** By the id of a fish that ships, whose habits hold for profiles copied from it; those of a trout for any other. */
export const habitsOf = (id: string): SpeciesHabits =>
  isSpeciesId(id) ? HABITS.value[id] : { family: "trout", drill: "drift", schools: false, overFork: 1.04 };
