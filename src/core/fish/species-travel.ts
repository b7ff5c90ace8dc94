import type { SpeciesId } from "./species-habits";
import { runner, same } from "./species-curves";
import type { Traveller } from "./species-schema";

/** Fish on the run. */
export const TRAVELLERS = {
  steelhead: runner({
    id: "steelhead",
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
  }),
  "king-salmon": runner({
    id: "king-salmon",
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
  }),
} satisfies Partial<Record<SpeciesId, Traveller>>;
