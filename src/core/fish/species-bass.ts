import { ambusher, same, SLACK, STILL_WATER } from "./species-curves";
import type { FishRecord } from "./species-record";
import { DEEP, SHALLOWS, SIX_TO_EIGHT, STILL, spawning, summer, winter } from "./species-seasons";

/** Black bass, and striped bass. */
export const BASS = {
  "smallmouth-bass": {
    habits: { family: "bass", drill: "drift", schools: true, overFork: 1.04 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
  "largemouth-bass": {
    habits: { family: "bass", drill: "drift", schools: false, overFork: 1.03 },
    species: ambusher({
      ...STILL_WATER,
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
      seasons: [
        spawning([15, 20], "warming", { depth: SHALLOWS, speed: STILL }),
        summer(26, { cover: { wood: 0.75 } }),
        winter(8, { depth: DEEP, speed: STILL }),
      ],
    }),
  },
  "striped-bass": {
    habits: { family: "striper", drill: "drift", schools: true, overFork: 1.07 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
} satisfies Record<string, FishRecord>;
