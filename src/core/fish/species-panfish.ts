import { ambusher, SLACK, STILL_WATER } from "./species-curves";
import type { FishRecord } from "./species-record";
import { DEEP, SHALLOWS, STILL, spawning, winter } from "./species-seasons";

/** Perch and crappie. */
export const PANFISH = {
  "yellow-perch": {
    habits: { family: "panfish", drill: "drift", schools: true, overFork: 1.04 },
    species: ambusher({
      ...STILL_WATER,
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
      seasons: [
        spawning([7, 12], "warming", {
          depth: SHALLOWS,
          speed: STILL,
          cover: { wood: 0.6 },
        }),
        winter(6, { depth: DEEP, speed: STILL }),
      ],
    }),
  },
  "black-crappie": {
    habits: { family: "panfish", drill: "drift", schools: true, overFork: 1.03 },
    species: ambusher({
      ...STILL_WATER,
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
      seasons: [
        spawning([16, 20], "warming", {
          depth: SHALLOWS,
          speed: STILL,
          cover: { wood: 0.8 },
        }),
        winter(8, { depth: DEEP, speed: STILL }),
      ],
    }),
  },
} satisfies Record<string, FishRecord>;
