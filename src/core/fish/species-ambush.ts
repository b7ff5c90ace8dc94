import type { SpeciesId } from "./species-habits";
import { ambusher, same } from "./species-curves";
import type { Ambusher, Curve } from "./species-schema";

/** Cold fish hold in slack. */
const SLACK: Curve = [
  [0, 1],
  [0.12, 1],
  [0.3, 0.25],
  [0.45, 0],
];

const WALLEYE: Pick<Ambusher, "suitability" | "ambush" | "cover" | "shy" | "substrate" | "territory" | "leastDepth"> = {
  territory: 4,
  leastDepth: 0.5,
  shy: 0.6,
  suitability: {
    depth: {
      warm: [
        [0.5, 0.1],
        [1, 0.6],
        [1.5, 1],
        [4, 1],
        [8, 0.7],
      ],
      cold: [
        [0.7, 0],
        [1.2, 0.4],
        [2, 1],
        [8, 1],
      ],
    },
    speed: {
      warm: [
        [0, 0.5],
        [0.08, 0.9],
        [0.15, 1],
        [0.3, 0.8],
        [0.55, 0.1],
        [0.75, 0],
      ],
      cold: SLACK,
    },
    turn: [6, 14],
  },
  ambush: { reach: 2.5, weight: 0.7 },
  cover: { stone: 0.35, wood: 0.35, ledge: 0.25 },
  substrate: { silt: 0.5, weed: 0.7 },
};
const PANFISH = { territory: 3, leastDepth: 0.4, shy: 0.2, ambush: { reach: 2, weight: 0.35 }, substrate: {} };

/** Fish that wait beside the current. */
export const AMBUSHERS = {
  "smallmouth-bass": ambusher({
    id: "smallmouth-bass",
    forkLength: 38,
    weight: { a: -5.329, b: 3.2 },
    territory: 3,
    leastDepth: 0.35,
    shy: 0.25,
    suitability: {
      depth: {
        warm: [
          [0.35, 0.2],
          [0.7, 0.8],
          [1, 1],
          [3, 1],
          [5, 0.5],
        ],
        cold: [
          [0.8, 0.05],
          [1.4, 0.4],
          [2, 1],
          [6, 1],
        ],
      },
      speed: {
        warm: [
          [0, 0.4],
          [0.08, 0.9],
          [0.15, 1],
          [0.3, 1],
          [0.55, 0.2],
          [0.8, 0],
        ],
        cold: SLACK,
      },
      turn: [8, 15],
    },
    ambush: { reach: 2, weight: 0.75 },
    cover: { stone: 0.4, wood: 0.3, ledge: 0.15 },
    substrate: { silt: 0.4, sand: 0.7, weed: 0.8 },
  }),
  walleye: ambusher({ ...WALLEYE, id: "walleye", forkLength: 45, weight: { a: -5.453, b: 3.18 } }),
  zander: ambusher({ ...WALLEYE, id: "zander", forkLength: 55, weight: null }),
  "channel-catfish": ambusher({
    id: "channel-catfish",
    forkLength: 50,
    weight: { a: -5.8, b: 3.294 },
    territory: 5,
    leastDepth: 0.6,
    shy: 0.4,
    focalHeight: 0.1,
    suitability: {
      depth: {
        warm: [
          [0.6, 0.2],
          [1.2, 0.8],
          [1.8, 1],
          [6, 1],
        ],
        cold: [
          [1, 0.05],
          [2, 0.6],
          [3, 1],
          [8, 1],
        ],
      },
      speed: {
        warm: [
          [0, 0.3],
          [0.1, 0.75],
          [0.2, 1],
          [0.45, 1],
          [0.75, 0.2],
          [1, 0],
        ],
        cold: SLACK,
      },
      turn: [8, 16],
    },
    ambush: { reach: 3, weight: 0.5 },
    cover: { stone: 0.1, wood: 0.25, ledge: 0.6 },
    substrate: { weed: 0.7 },
  }),
  "flathead-catfish": ambusher({
    id: "flathead-catfish",
    forkLength: 75,
    weight: { a: -5.542, b: 3.23 },
    territory: 8,
    leastDepth: 0.8,
    shy: 0.6,
    focalHeight: 0.1,
    suitability: {
      depth: {
        warm: [
          [0.8, 0.1],
          [1.5, 0.7],
          [2.5, 1],
          [8, 1],
        ],
        cold: [
          [1.5, 0.05],
          [3, 0.8],
          [4, 1],
          [9, 1],
        ],
      },
      speed: {
        warm: [
          [0, 0.8],
          [0.1, 1],
          [0.3, 0.8],
          [0.6, 0.1],
          [0.8, 0],
        ],
        cold: SLACK,
      },
      turn: [10, 18],
    },
    ambush: { reach: 3, weight: 0.4 },
    cover: { stone: 0.1, wood: 0.75, ledge: 0.3 },
    substrate: {},
  }),
  "yellow-perch": ambusher({
    ...PANFISH,
    id: "yellow-perch",
    forkLength: 25,
    weight: { a: -5.386, b: 3.23 },
    suitability: {
      depth: {
        warm: [
          [0.4, 0.3],
          [1, 1],
          [5, 1],
        ],
        cold: [
          [0.8, 0.1],
          [2, 1],
          [8, 1],
        ],
      },
      speed: {
        warm: [
          [0, 1],
          [0.15, 1],
          [0.35, 0.3],
          [0.5, 0],
        ],
        cold: SLACK,
      },
      turn: [6, 14],
    },
    cover: { stone: 0.1, wood: 0.3, ledge: 0.3 },
  }),
  "black-crappie": ambusher({
    ...PANFISH,
    id: "black-crappie",
    forkLength: 25,
    weight: { a: -5.618, b: 3.345 },
    suitability: {
      depth: {
        warm: [
          [0.5, 0.2],
          [1.2, 1],
          [4, 1],
        ],
        cold: [
          [1, 0.1],
          [2.5, 1],
          [8, 1],
        ],
      },
      speed: {
        warm: [
          [0, 1],
          [0.08, 1],
          [0.2, 0.2],
          [0.3, 0],
        ],
        cold: [
          [0, 1],
          [0.05, 1],
          [0.15, 0.1],
          [0.25, 0],
        ],
      },
      turn: [8, 15],
    },
    cover: { stone: 0.05, wood: 0.7, ledge: 0.15 },
  }),
  "striped-bass": ambusher({
    id: "striped-bass",
    forkLength: 65,
    weight: { a: -4.924, b: 3.007 },
    territory: 6,
    leastDepth: 0.6,
    shy: 0.3,
    focalHeight: 0.4,
    restAbove: 24,
    suitability: {
      depth: same([
        [0.6, 0.2],
        [1.2, 0.8],
        [2, 1],
        [8, 1],
      ]),
      speed: {
        warm: [
          [0, 0.2],
          [0.2, 0.7],
          [0.4, 1],
          [0.9, 1],
          [1.3, 0.2],
          [1.6, 0],
        ],
        cold: SLACK,
      },
      turn: [6, 12],
    },
    ambush: { reach: 4, weight: 0.7 },
    cover: { stone: 0.35, wood: 0.1, ledge: 0.4 },
    substrate: {},
  }),
  barbel: ambusher({
    id: "barbel",
    forkLength: 60,
    weight: null,
    territory: 3,
    leastDepth: 0.4,
    shy: 0.4,
    focalHeight: 0.08,
    restAbove: 22,
    suitability: {
      depth: {
        warm: [
          [0.4, 0.3],
          [0.8, 1],
          [3, 1],
        ],
        cold: [
          [0.8, 0.1],
          [1.8, 1],
          [5, 1],
        ],
      },
      speed: {
        warm: [
          [0, 0.1],
          [0.15, 0.5],
          [0.3, 1],
          [0.7, 1],
          [1, 0.2],
          [1.3, 0],
        ],
        cold: [
          [0, 0.8],
          [0.2, 1],
          [0.4, 0.4],
          [0.6, 0],
        ],
      },
      turn: [7, 13],
    },
    ambush: { reach: 2, weight: 0.3 },
    cover: { stone: 0.2, wood: 0.25, ledge: 0.2 },
    substrate: { silt: 0.2, sand: 0.6, weed: 0.8 },
  }),
  chub: ambusher({
    id: "chub",
    forkLength: 42,
    weight: null,
    territory: 2,
    leastDepth: 0.3,
    shy: 0.5,
    focalHeight: 0.3,
    suitability: {
      depth: {
        warm: [
          [0.3, 0.4],
          [0.6, 1],
          [2.5, 1],
        ],
        cold: [
          [0.6, 0.2],
          [1.4, 1],
          [4, 1],
        ],
      },
      speed: {
        warm: [
          [0, 0.4],
          [0.1, 0.9],
          [0.2, 1],
          [0.45, 0.9],
          [0.7, 0.1],
          [0.9, 0],
        ],
        cold: SLACK,
      },
      turn: [5, 12],
    },
    ambush: { reach: 1.5, weight: 0.5 },
    cover: { stone: 0.1, wood: 0.5, ledge: 0.1 },
    substrate: { silt: 0.6 },
  }),
  "largemouth-bass": ambusher({
    ...PANFISH,
    id: "largemouth-bass",
    forkLength: 40,
    weight: { a: -5.528, b: 3.273 },
    suitability: {
      depth: {
        warm: [
          [0.3, 0.5],
          [0.7, 1],
          [3, 1],
          [5, 0.5],
        ],
        cold: [
          [0.8, 0.1],
          [2, 1],
          [6, 1],
        ],
      },
      speed: {
        warm: [
          [0, 1],
          [0.1, 1],
          [0.2, 0.4],
          [0.35, 0],
        ],
        cold: [
          [0, 1],
          [0.05, 1],
          [0.15, 0.1],
          [0.25, 0],
        ],
      },
      turn: [8, 15],
    },
    cover: { stone: 0.1, wood: 0.6, ledge: 0.2 },
  }),
} satisfies Partial<Record<SpeciesId, Ambusher>>;
