/** Baits first, then lures. */
export const LURE_CATEGORIES = [
  "natural-bait",
  "worm",
  "floated-worm",
  "egg-bait",
  "cut-fish",
  "whole-fish",
  "live-fish",
  "paste",
  "bread",
  "small-jig",
  "curl-tail",
  "paddle-tail",
  "tube",
  "finesse-worm",
  "spoon",
  "plug",
  "spinner",
] as const;
export type LureCategory = (typeof LURE_CATEGORIES)[number];

/** Baits on a hook, by the piece. */
export type BaitPiece =
  | "whole-worm"
  | "half-worm"
  | "grub-or-nymph"
  | "egg-cluster"
  | "fish-piece"
  | "fish-head"
  | "fish-body"
  | "fish-strip"
  | "whole-bait-fish"
  | "live-bait-fish"
  | "paste"
  | "pellets"
  | "bread"
  | "buoyant-bait";

/**
 * Size of a jig head, kg, and of its body, m; of a hook with what is on it; of a blade by its number; of a lure by
 * mass,
 * kg; of a body or a plug by length, m.
 */
export type LureSize =
  | { head: number; body: number }
  | { hook: number; bait: BaitPiece }
  | { blade: number; mass: number }
  | { mass: number }
  | { length: number };

/** Always words; a swatch only repeats them. */
export type Colour =
  | "black"
  | "brown"
  | "green"
  | "pink"
  | "chartreuse"
  | "orange"
  | "natural"
  | "white"
  | "translucent"
  | "two-tone"
  | "red"
  | "gold"
  | "silver"
  | "crayfish"
  | "bait-fish";

/** What is seen of the fish's food: under the stones, along the edge. */
export const PREY = ["none", "insects", "crayfish", "bait-fish", "worms"] as const;
export type Prey = (typeof PREY)[number];

export const SNAGS = ["none", "some", "many"] as const;
export type Snags = (typeof SNAGS)[number];

/** In coloured water: dark first, or bright straight away. */
export const COLOUR_SCHOOLS = ["dark-first", "bright-first"] as const;
export type ColourSchool = (typeof COLOUR_SCHOOLS)[number];

/** What a lure is to the water: mass, g, density, kg/m3, and the ball that drags like it, m. */
export interface LureBody {
  grams: number;
  density: number;
  diameter: number;
  /** What a live bait pulls up with, N. */
  lift?: number;
}
