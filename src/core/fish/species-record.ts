import type { Species } from "./species-schema";

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

/** A fish as the models know it, its year included; its id is its key in the list. */
export type WithYear<T> = T extends Species ? Omit<T, "id" | "seasons"> & Required<Pick<T, "seasons">> : never;

/** All that depends on a fish, but for its words and the methods that it is fished with. */
export interface FishRecord {
  habits: SpeciesHabits;
  species: WithYear<Species>;
}
