import { ambusher, SLACK } from "./species-curves";
import type { FishRecord } from "./species-record";
import type { Ambusher } from "./species-schema";
import { DEEP, SHALLOWS, STILL, spawning, summer, winter } from "./species-seasons";

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
/** In hot water both go down to the deep. */
const HOT = summer(20, {
  depth: [
    [1, 0.15],
    [2, 0.6],
    [3, 1],
    [8, 1],
  ],
});

/** Walleye, and its kin. */
export const WALLEYES = {
  walleye: {
    habits: { family: "walleye", drill: "walk", schools: true, overFork: 1.06 },
    species: ambusher({
      ...WALLEYE,
      forkLength: 45,
      weight: { a: -5.453, b: 3.18 },
      seasons: [
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
        HOT,
        winter(6, { depth: DEEP, speed: STILL }),
      ],
    }),
  },
  zander: {
    habits: { family: "walleye", drill: "walk", schools: true, overFork: 1.06 },
    species: ambusher({
      ...WALLEYE,
      forkLength: 55,
      weight: null,
      seasons: [
        spawning([10, 14], "warming", { depth: SHALLOWS, speed: STILL }),
        HOT,
        winter(6, { depth: DEEP, speed: STILL }),
      ],
    }),
  },
} satisfies Record<string, FishRecord>;
