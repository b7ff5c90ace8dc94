import { ambusher, SLACK } from "./species-curves";
import type { FishRecord } from "./species-record";
import { DEEP, SHALLOWS, spawning, summer, winter } from "./species-seasons";

/** Barbel and chub. */
export const COARSE = {
  barbel: {
    habits: { family: "coarse", drill: "soak", schools: false, overFork: 1.1 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
  chub: {
    habits: { family: "coarse", drill: "drift", schools: false, overFork: 1.07 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
} satisfies Record<string, FishRecord>;
