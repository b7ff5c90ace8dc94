import { COMMON_PRACTICE, FROM_MEMORY } from "../quantity/provenance";
import { runner, same } from "./species-curves";
import type { FishRecord } from "./species-record";
import { REDD, spawning, summer, winter } from "./species-seasons";
import { territoryAcross } from "./territory";

const TROUT = {
  model: "drift",
  forkLength: 32,
  preyLength: 6,
  focalHeight: 0.1,
  territory: territoryAcross(32),
  leastDepth: 0.2,
  restAbove: 20,
  source: `${COMMON_PRACTICE}; weights ${FROM_MEMORY}`,
} as const;

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

/** Trout, and fish on the run. */
export const SALMONIDS = {
  "brown-trout": {
    habits: { family: "trout", drill: "drift", schools: false, overFork: 1.03 },
    species: {
      ...TROUT,
      weight: { a: -4.867, b: 2.96 },
      seasons: [spawning([4, 9], "cooling", REDD), COLD_TROUT, HOT_TROUT],
    },
  },
  "rainbow-trout": {
    habits: { family: "trout", drill: "drift", schools: false, overFork: 1.04 },
    species: {
      ...TROUT,
      weight: { a: -5.023, b: 3.024 },
      seasons: [spawning([6, 11], "warming", REDD), COLD_TROUT, HOT_TROUT],
    },
  },
  steelhead: {
    habits: { family: "run", drill: "drift", schools: false, overFork: 1.05 },
    species: runner({
      passage: { depth: 0.18, speed: 2.44 },
      forkLength: 70,
      weight: { a: -5.023, b: 3.024 },
      suitability: {
        depth: same([
          [0.4, 0.1],
          [0.8, 0.8],
          [1.2, 1],
          [4, 1],
        ]),
        speed: {
          warm: [
            [0, 0.15],
            [0.2, 0.5],
            [0.35, 1],
            [0.8, 1],
            [1.2, 0.3],
            [1.6, 0],
          ],
          cold: [
            [0, 0.3],
            [0.15, 0.8],
            [0.3, 1],
            [0.5, 0.9],
            [0.8, 0.2],
            [1.1, 0],
          ],
        },
        turn: [5, 10],
      },
      seasons: [
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
    }),
  },
  "king-salmon": {
    habits: { family: "run", drill: "drift", schools: false, overFork: 1.07 },
    species: runner({
      passage: { depth: 0.24, speed: 2.44 },
      forkLength: 85,
      weight: { a: -4.661, b: 2.901 },
      suitability: {
        depth: same([
          [0.5, 0.1],
          [1, 0.7],
          [1.5, 1],
          [6, 1],
        ]),
        speed: same([
          [0, 0.1],
          [0.2, 0.45],
          [0.4, 1],
          [1, 1],
          [1.4, 0.3],
          [1.9, 0],
        ]),
        turn: [5, 10],
      },
      seasons: [
        {
          phase: "spawn",
          temperature: null,
          leaveAlone: true,
          ...REDD,
        },
      ],
    }),
  },
} satisfies Record<string, FishRecord>;
