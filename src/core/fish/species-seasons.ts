/**
 * The year of each fish: how it lives while it spawns, after it, in summer, on its way to winter water, and in winter.
 * The first way that fits the
 * temperature and the turn of the year holds (season.ts). Spawning temperatures and depths after the
 * habitat-suitability literature (from memory),
 * the rest common practice, no source. Depth in m, speed in m/s, temperature in degC.
 */
const SHALLOWS: Curve = [
  [0.2, 0.4],
  [0.5, 1],
  [1.2, 1],
  [2.5, 0.2],
];
const STILL: Curve = [
  [0, 1],
  [0.1, 1],
  [0.25, 0.3],
  [0.4, 0],
];
const DEEP: Curve = [
  [0.8, 0.05],
  [1.5, 0.4],
  [2.2, 1],
  [8, 1],
];
const REDD = {
  depth: [
    [0.1, 0.3],
    [0.25, 1],
    [0.6, 1],
    [1.1, 0.2],
  ] as Curve,
  speed: [
    [0.05, 0.1],
    [0.3, 1],
    [0.65, 1],
    [1, 0.1],
  ] as Curve,
};
/** Six to eight feet: 1.83 to 2.44 m. */
const SIX_TO_EIGHT: Curve = [
  [0.8, 0.05],
  [1.3, 0.3],
  [1.83, 1],
  [2.44, 1],
  [3.5, 0.5],
  [5, 0.3],
];

const spawning = (
  temperature: [number, number],
  turning: "warming" | "cooling",
  more: Partial<SeasonalHabits> = {},
): SeasonalHabits => ({
  phase: "spawn",
  temperature,
  turning,
  leaveAlone: true,
  ...more,
});
const winter = (below: number, more: Partial<SeasonalHabits> = {}): SeasonalHabits => ({
  phase: "winter",
  temperature: [-2, below],
  ...more,
});
const summer = (above: number, more: Partial<SeasonalHabits> = {}): SeasonalHabits => ({
  phase: "summer",
  temperature: [above, 40],
  ...more,
});

const HOT_TROUT = summer(17, { bare: 0.35 });
const COLD_TROUT = winter(5, {
  depth: [
    [0.4, 0.3],
    [0.8, 0.8],
    [1.2, 1],
  ],
  speed: [
    [0, 1],
    [0.2, 1],
    [0.45, 0.3],
    [0.75, 0],
  ],
});

export const SEASONS: Readonly<Record<SpeciesId, readonly SeasonalHabits[]>> = {
  "brown-trout": [spawning([4, 9], "cooling", REDD), COLD_TROUT, HOT_TROUT],
  "rainbow-trout": [spawning([6, 11], "warming", REDD), COLD_TROUT, HOT_TROUT],
  steelhead: [
    spawning([7, 11], "warming", REDD),
    winter(4, {
      speed: [
        [0, 0.6],
        [0.15, 1],
        [0.35, 1],
        [0.6, 0.4],
        [0.9, 0],
      ],
    }),
  ],
  "king-salmon": [
    {
      phase: "spawn",
      temperature: null,
      leaveAlone: true,
      ...REDD,
    },
  ],
  "smallmouth-bass": [
    spawning([13, 18], "warming", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { stone: 0.5, wood: 0.4 },
    }),
    {
      phase: "after",
      temperature: [18, 22],
      turning: "warming",
      speed: [
        [0, 0.3],
        [0.1, 0.8],
        [0.2, 1],
        [0.35, 1],
        [0.6, 0.2],
        [0.8, 0],
      ],
    },
    summer(25, {
      cover: { wood: 0.55, stone: 0.4 },
      speed: [
        [0, 0.15],
        [0.15, 0.7],
        [0.3, 1],
        [0.6, 0.7],
        [0.95, 0],
      ],
    }),
    {
      phase: "staging",
      temperature: [7, 13],
      turning: "cooling",
      depth: SIX_TO_EIGHT,
      speed: [
        [0, 0.7],
        [0.08, 1],
        [0.25, 1],
        [0.4, 0.3],
        [0.6, 0],
      ],
      cover: { edge: 0.55, ledge: 0.45 },
    },
    winter(7, { depth: DEEP, speed: STILL }),
  ],
  walleye: [
    spawning([5, 10], "warming", {
      depth: SHALLOWS,
      speed: [
        [0, 0.1],
        [0.3, 0.8],
        [0.6, 1],
        [1, 0.5],
        [1.4, 0],
      ],
      cover: { stone: 0.6 },
    }),
    summer(20, {
      depth: [
        [1, 0.15],
        [2, 0.6],
        [3, 1],
        [8, 1],
      ],
    }),
    winter(6, { depth: DEEP, speed: STILL }),
  ],
  zander: [
    spawning([10, 14], "warming", { depth: SHALLOWS, speed: STILL }),
    summer(20, {
      depth: [
        [1, 0.15],
        [2, 0.6],
        [3, 1],
        [8, 1],
      ],
    }),
    winter(6, { depth: DEEP, speed: STILL }),
  ],
  "channel-catfish": [
    spawning([24, 28], "warming", { speed: STILL, cover: { wood: 0.7 } }),
    winter(8, {
      depth: [
        [1.5, 0.05],
        [2.5, 0.6],
        [3.5, 1],
        [10, 1],
      ],
      speed: STILL,
    }),
  ],
  "flathead-catfish": [
    spawning([22, 27], "warming", { speed: STILL, cover: { wood: 0.9 } }),
    {
      phase: "after",
      temperature: [20, 30],
      turning: "cooling",
      cover: { wood: 0.6, ledge: 0.5 },
    },
    winter(10, {
      depth: [
        [2, 0.05],
        [3.5, 1],
        [10, 1],
      ],
      speed: STILL,
    }),
  ],
  "yellow-perch": [
    spawning([7, 12], "warming", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { wood: 0.6 },
    }),
    winter(6, { depth: DEEP, speed: STILL }),
  ],
  "black-crappie": [
    spawning([16, 20], "warming", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { wood: 0.8 },
    }),
    winter(8, { depth: DEEP, speed: STILL }),
  ],
  "striped-bass": [
    spawning([14, 20], "warming", {
      speed: [
        [0.2, 0.2],
        [0.6, 1],
        [1.2, 1],
        [1.7, 0],
      ],
    }),
    summer(23, {
      depth: [
        [1, 0.05],
        [2.5, 0.8],
        [4, 1],
        [10, 1],
      ],
    }),
  ],
  barbel: [
    spawning([14, 17], "warming", {
      depth: SHALLOWS,
      speed: [
        [0, 0.1],
        [0.3, 1],
        [0.8, 1],
        [1.2, 0.1],
      ],
    }),
    summer(17, {
      depth: [
        [0.3, 0.4],
        [0.5, 1],
        [1.5, 1],
        [3, 0.4],
      ],
      speed: [
        [0, 0.05],
        [0.2, 0.5],
        [0.35, 1],
        [0.8, 1],
        [1.1, 0.2],
        [1.3, 0],
      ],
    }),
    winter(7, { depth: DEEP, cover: { wood: 0.5 } }),
  ],
  chub: [
    spawning([12, 16], "warming", {
      depth: SHALLOWS,
      speed: [
        [0, 0.1],
        [0.3, 1],
        [0.8, 1],
        [1.2, 0.1],
      ],
    }),
    winter(6, {
      depth: [
        [0.5, 0.1],
        [1.2, 1],
        [4, 1],
      ],
      cover: { wood: 0.75 },
    }),
  ],
  "largemouth-bass": [
    spawning([15, 20], "warming", { depth: SHALLOWS, speed: STILL }),
    summer(26, { cover: { wood: 0.75 } }),
    winter(8, { depth: DEEP, speed: STILL }),
  ],
};
import type { SpeciesId } from "./species-habits";
import type { Curve, SeasonalHabits } from "./species-schema";
