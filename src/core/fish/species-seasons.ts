import type { Curve, SeasonalWay } from "./species";

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
  words: string,
  more: Partial<SeasonalWay> = {},
): SeasonalWay => ({
  phase: "spawn",
  temperature,
  turning,
  leaveAlone: true,
  words: `${words} Leave spawning fish in peace; local close seasons stand.`,
  ...more,
});
const winter = (below: number, words: string, more: Partial<SeasonalWay> = {}): SeasonalWay => ({
  phase: "winter",
  temperature: [-2, below],
  words,
  ...more,
});
const summer = (above: number, words: string, more: Partial<SeasonalWay> = {}): SeasonalWay => ({
  phase: "summer",
  temperature: [above, 40],
  words,
  ...more,
});

const HOT_TROUT = summer(17, "Warm water: shade, oxygen and current count for more than food.", { bare: 0.35 });
const COLD_TROUT = winter(5, "Cold water: slow, deep places; a bite is soft and late.", {
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

export const SEASONS: Readonly<Record<string, readonly SeasonalWay[]>> = {
  "brown-trout": [
    spawning([4, 9], "cooling", "Spawning on gravel at the tails of pools: keep off the gravel.", REDD),
    COLD_TROUT,
    HOT_TROUT,
  ],
  "rainbow-trout": [
    spawning([6, 11], "warming", "Spawning on gravel at the tails of pools: keep off the gravel.", REDD),
    COLD_TROUT,
    HOT_TROUT,
  ],
  steelhead: [
    spawning([7, 11], "warming", "Spawning on gravel: keep off it.", REDD),
    winter(4, "Held up by the cold: slow water below the quick, near the bottom.", {
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
      words: "On the gravel: leave them in peace; local close seasons stand.",
      ...REDD,
    },
  ],
  "smallmouth-bass": [
    spawning([13, 18], "warming", "On nests in slack shallows beside stone or wood.", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { stone: 0.5, wood: 0.4 },
    }),
    {
      phase: "after",
      temperature: [18, 22],
      turning: "warming",
      words: "After the nest: back to the breaks in the current, hungry.",
      speed: [
        [0, 0.3],
        [0.1, 0.8],
        [0.2, 1],
        [0.35, 1],
        [0.6, 0.2],
        [0.8, 0],
      ],
    },
    summer(25, "Hot water: shade, current and depth.", {
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
      words: "On the way to winter water: grouped in six to eight feet, where hard bottom meets soft or drops off.",
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
    winter(7, "Wintering holes: deep, slow, out of the current; single soft bites.", { depth: DEEP, speed: STILL }),
  ],
  walleye: [
    spawning([5, 10], "warming", "Spawning over stones in shallow current.", {
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
    summer(20, "Warm, bright water: deeper along the edge as the day warms.", {
      depth: [
        [1, 0.15],
        [2, 0.6],
        [3, 1],
        [8, 1],
      ],
    }),
    winter(6, "Deep, slow water near the summer's edges.", { depth: DEEP, speed: STILL }),
  ],
  zander: [
    spawning([10, 14], "warming", "On nests in slack shallows.", { depth: SHALLOWS, speed: STILL }),
    summer(20, "Warm, bright water: deeper along the edge as the day warms.", {
      depth: [
        [1, 0.15],
        [2, 0.6],
        [3, 1],
        [8, 1],
      ],
    }),
    winter(6, "Deep, slow water.", { depth: DEEP, speed: STILL }),
  ],
  "channel-catfish": [
    spawning([24, 28], "warming", "In holes and under wood, on the nest.", { speed: STILL, cover: { wood: 0.7 } }),
    winter(8, "In the deepest slack holes, together.", {
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
    spawning([22, 27], "warming", "In holes and under wood, on the nest.", { speed: STILL, cover: { wood: 0.9 } }),
    {
      phase: "after",
      temperature: [20, 30],
      turning: "cooling",
      words: "Off the nest, beaten up and hungry: out from the wood at night, along the ledges.",
      cover: { wood: 0.6, ledge: 0.5 },
    },
    winter(10, "Still, in the deepest holes: hardly to be had.", {
      depth: [
        [2, 0.05],
        [3.5, 1],
        [10, 1],
      ],
      speed: STILL,
    }),
  ],
  "yellow-perch": [
    spawning([7, 12], "warming", "Spawning over weed and wood in the shallows.", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { wood: 0.6 },
    }),
    winter(6, "In close shoals in deep slack.", { depth: DEEP, speed: STILL }),
  ],
  "black-crappie": [
    spawning([16, 20], "warming", "Shallow, in wood and weed out of the current.", {
      depth: SHALLOWS,
      speed: STILL,
      cover: { wood: 0.8 },
    }),
    winter(8, "Deep slack by wood.", { depth: DEEP, speed: STILL }),
  ],
  "striped-bass": [
    spawning([14, 20], "warming", "Spawning in the current of the main stem.", {
      speed: [
        [0.2, 0.2],
        [0.6, 1],
        [1.2, 1],
        [1.7, 0],
      ],
    }),
    summer(23, "Hot water: the coolest, deepest current; played fish die of it.", {
      depth: [
        [1, 0.05],
        [2.5, 0.8],
        [4, 1],
        [10, 1],
      ],
    }),
  ],
  barbel: [
    spawning([14, 17], "warming", "On gravel shallows.", {
      depth: SHALLOWS,
      speed: [
        [0, 0.1],
        [0.3, 1],
        [0.8, 1],
        [1.2, 0.1],
      ],
    }),
    summer(17, "Gravel where the pool shallows, in the quick water.", {
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
    winter(7, "A little deeper and slower, beside cover.", { depth: DEEP, cover: { wood: 0.5 } }),
  ],
  chub: [
    spawning([12, 16], "warming", "On gravel shallows.", {
      depth: SHALLOWS,
      speed: [
        [0, 0.1],
        [0.3, 1],
        [0.8, 1],
        [1.2, 0.1],
      ],
    }),
    winter(6, "Under hanging trees and rafts, a little deeper and slower.", {
      depth: [
        [0.5, 0.1],
        [1.2, 1],
        [4, 1],
      ],
      cover: { wood: 0.75 },
    }),
  ],
  "largemouth-bass": [
    spawning([15, 20], "warming", "On nests in still shallows.", { depth: SHALLOWS, speed: STILL }),
    summer(26, "Hot water: shade and cover.", { cover: { wood: 0.75 } }),
    winter(8, "Deep, still water by cover.", { depth: DEEP, speed: STILL }),
  ],
};
