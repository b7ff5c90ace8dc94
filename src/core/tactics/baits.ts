import type { Family } from "../fish/species-record";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { BaitPiece, LureBody, LureCategory } from "./lure-kinds";

/** Baits as things: fish live, whole or cut, and what else goes on a hook. */
export const BAIT_KINDS = [
  "live-fish",
  "whole-fish",
  "fish-head",
  "fish-body",
  "fish-strip",
  "worm",
  "eggs",
  "grub",
  "paste",
  "pellets",
  "bread",
  "buoyant",
] as const;
export type BaitKind = (typeof BAIT_KINDS)[number];

interface BaitRecord {
  category: LureCategory;
  piece: BaitPiece;
  /** Usual length, m, and mass for the cube of it, g for (10 cm)^3. */
  length: number;
  massAt10: number;
  /** kg/m3 */
  density: number;
  /** Diameter of the ball that drags like it, as a share of its length. */
  ball: number;
  /** Number of the hook; of fish by their length. */
  hook: number | "by-length";
  /** How long it fishes before it is renewed, minutes. */
  lasts: number;
  /** What a live one pulls up with, as a share of its mass times g. */
  swims?: number;
}

/**
 * Measures of baits. Fish of 10 to 20 cm, 15 cm on a 1/0; cut fish washes out and is renewed; bread is soon gone. A
 * live fish swims against its weight. Common practice, no source; masses of fish 11 g for 10 cm (from memory).
 */
export const BAITS = sourced<Record<BaitKind, BaitRecord>>(
  {
    "live-fish": {
      category: "live-fish",
      piece: "live-bait-fish",
      length: 0.1,
      massAt10: 11,
      density: 1030,
      ball: 0.2,
      hook: "by-length",
      lasts: 60,
      swims: 0.05,
    },
    "whole-fish": {
      category: "whole-fish",
      piece: "whole-bait-fish",
      length: 0.12,
      massAt10: 11,
      density: 1060,
      ball: 0.25,
      hook: "by-length",
      lasts: 60,
    },
    "fish-head": {
      category: "cut-fish",
      piece: "fish-head",
      length: 0.06,
      massAt10: 70,
      density: 1080,
      ball: 0.45,
      hook: -2,
      lasts: 60,
    },
    "fish-body": {
      category: "cut-fish",
      piece: "fish-body",
      length: 0.06,
      massAt10: 60,
      density: 1060,
      ball: 0.45,
      hook: -2,
      lasts: 30,
    },
    "fish-strip": {
      category: "cut-fish",
      piece: "fish-strip",
      length: 0.08,
      massAt10: 6,
      density: 1060,
      ball: 0.22,
      hook: 1,
      lasts: 20,
    },
    worm: {
      category: "worm",
      piece: "whole-worm",
      length: 0.1,
      massAt10: 1.2,
      density: 1120,
      ball: 0.15,
      hook: 6,
      lasts: 15,
    },
    eggs: {
      category: "egg-bait",
      piece: "egg-cluster",
      length: 0.014,
      massAt10: 500,
      density: 1120,
      ball: 1,
      hook: 4,
      lasts: 10,
    },
    grub: {
      category: "natural-bait",
      piece: "grub-or-nymph",
      length: 0.015,
      massAt10: 60,
      density: 1080,
      ball: 0.5,
      hook: 12,
      lasts: 15,
    },
    paste: {
      category: "paste",
      piece: "paste",
      length: 0.02,
      massAt10: 600,
      density: 1200,
      ball: 1,
      hook: 8,
      lasts: 20,
    },
    pellets: {
      category: "paste",
      piece: "pellets",
      length: 0.014,
      massAt10: 560,
      density: 1150,
      ball: 1,
      hook: 8,
      lasts: 40,
    },
    bread: {
      category: "bread",
      piece: "bread",
      length: 0.02,
      massAt10: 300,
      density: 1050,
      ball: 1,
      hook: 8,
      lasts: 5,
    },
    buoyant: {
      category: "floated-worm",
      piece: "buoyant-bait",
      length: 0.016,
      massAt10: 320,
      density: 700,
      ball: 1,
      hook: 6,
      lasts: 30,
    },
  },
  "m, g, kg/m3, minutes",
  COMMON_PRACTICE,
);

/** Hooks by the length of a bait fish, m: 15 cm on 1/0 (written 0; 2/0 is -1). Common practice, no source. */
const HOOK_BY_LENGTH: readonly (readonly [number, number])[] = [
  [0.04, 8],
  [0.06, 6],
  [0.08, 4],
  [0.1, 2],
  [0.13, 1],
  [0.16, 0],
  [0.19, -1],
  [0.22, -2],
  [0.26, -3],
  [Infinity, -5],
];
export const hookForLength = (length: number): number => HOOK_BY_LENGTH.find(([upTo]) => length <= upTo)![1];

/** A live bait for a fish, by its family, m. Common practice, no source. */
const LIVE_LENGTH: Record<Family, number> = {
  trout: 0.05,
  run: 0.08,
  bass: 0.08,
  striper: 0.15,
  walleye: 0.1,
  catfish: 0.15,
  panfish: 0.04,
  coarse: 0.04,
};
export const liveBaitFor = (family: Family): { kind: "live-fish"; length: number } => ({
  kind: "live-fish",
  length: LIVE_LENGTH[family],
});

/** Gravity times a gram, N. */
const GRAM = 9.81e-3;

/** A bait with whatever of it the angler has measured. */
export interface OwnBait {
  kind?: BaitKind;
  grams?: number;
  density?: number;
  diameter?: number;
  length?: number;
  hook?: number;
  /** Minutes until it is renewed. */
  lasts?: number;
  name?: string;
}

/** The kind that a bait of a category is where no more is known of it. */
const USUAL_KIND: Partial<Record<LureCategory, BaitKind>> = {
  "natural-bait": "grub",
  worm: "worm",
  "floated-worm": "buoyant",
  "egg-bait": "eggs",
  "cut-fish": "fish-body",
  "whole-fish": "whole-fish",
  "live-fish": "live-fish",
  paste: "paste",
  bread: "bread",
};
/** How long a bait of a category fishes before it is renewed, minutes; undefined for lures. */
export const usualLasts = (category: LureCategory): number | undefined => {
  const kind = USUAL_KIND[category];
  return kind && BAITS.value[kind].lasts;
};

/** What a bait of a kind is on the hook: its own measures, or those that its kind and length have. */
export function baitBody(own: OwnBait & { kind: BaitKind }): {
  category: LureCategory;
  piece: BaitPiece;
  hook: number;
  length: number;
  lasts: number;
  body: LureBody;
} {
  const { category, piece, massAt10, ball, hook, swims, ...usual } = BAITS.value[own.kind];
  const length = own.length ?? (own.grams === undefined ? usual.length : 0.1 * Math.cbrt(own.grams / massAt10));
  const grams = own.grams ?? massAt10 * (length / 0.1) ** 3;
  return {
    category,
    piece,
    hook: own.hook ?? (hook === "by-length" ? hookForLength(length) : hook),
    length,
    lasts: own.lasts ?? usual.lasts,
    body: {
      grams,
      density: own.density ?? usual.density,
      diameter: own.diameter ?? ball * length,
      ...(swims !== undefined && { lift: swims * grams * GRAM }),
    },
  };
}
