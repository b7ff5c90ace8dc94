import { ambusher, SLACK } from "./species-curves";
import type { FishRecord } from "./species-record";
import { STILL, spawning, winter } from "./species-seasons";

/** Catfish. */
export const CATFISH = {
  "channel-catfish": {
    habits: { family: "catfish", drill: "soak", schools: false, overFork: 1.09 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
  "flathead-catfish": {
    habits: { family: "catfish", drill: "soak", schools: false, overFork: 1 },
    species: ambusher({
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
      seasons: [
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
    }),
  },
} satisfies Record<string, FishRecord>;
