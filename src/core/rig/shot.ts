import { FROM_MEMORY, sourced } from "../quantity/provenance";
import type { Shotting } from "./shotting";

/** Split shot by size, g (from memory; the angler can change them). */
export const SHOT_SIZES = sourced(
  [
    { size: "SSG", grams: 1.6 },
    { size: "AAA", grams: 0.8 },
    { size: "BB", grams: 0.4 },
    { size: "No 1", grams: 0.3 },
    { size: "No 3", grams: 0.2 },
    { size: "No 4", grams: 0.17 },
    { size: "No 5", grams: 0.13 },
    { size: "No 6", grams: 0.1 },
    { size: "No 8", grams: 0.06 },
    { size: "No 10", grams: 0.04 },
  ] as const,
  "g",
  FROM_MEMORY,
);

/** Shot of one size in the box; how many there are, where that is known. */
export interface BoxShot {
  size: string;
  grams: number;
  count?: number;
}

/** Shot of one size at one place: `below` is the distance under the float, m. */
export interface Placed {
  size: string;
  grams: number;
  count: number;
  below: number;
}

/**
 * Most pieces pinched on besides the heaviest, and how near their sum must come to the float's capacity, g. Common
 * practice, no source.
 */
const MOST_PIECES = 6;
const NEAR = 0.03;

interface Shape {
  /** Wanted share of the weight of piece i of n, heaviest (nearest the float) first. */
  share: (i: number, n: number) => number;
  /** Its place: share of the way from float to lowest shot. */
  at: (i: number, n: number) => number;
  fewest: number;
}

/**
 * Tapered: heavier under the float, lighter to the hook. Bulk: together and low, one small dropper. Even: alike. Common
 * practice, no source.
 */
const SHAPES: Record<Shotting, Shape> = {
  tapered: { share: (i, n) => (2 * (n - i)) / (n * (n + 1)), at: (i, n) => (i + 1) / n, fewest: 3 },
  bulk: { share: (i, n) => (i === n - 1 ? 0.12 : 0.88 / (n - 1)), at: (i, n) => (i === n - 1 ? 1 : 0.75), fewest: 2 },
  even: { share: (_, n) => 1 / n, at: (i, n) => (i + 1) / n, fewest: 3 },
};

/**
 * Whole shot that fills a float, placed by the style; `below` for a float-to-shot length of `setting` m. Exact search
 * over all
 * choices of at most six pieces from the box: of those that fill the float, the one nearest the wanted shares, fewer
 * pieces first.
 * What six pieces cannot carry sits as the heaviest shot right under the float.
 */
export function shotPlan(
  capacityGrams: number,
  style: Shotting,
  setting: number,
  box: readonly BoxShot[] = SHOT_SIZES.value,
): Placed[] {
  const sizes = box.filter(({ count }) => count !== 0).sort((a, b) => b.grams - a.grams);
  const heaviest = sizes[0];
  if (!heaviest) return [];
  const wanted = Math.max(0, Math.ceil((capacityGrams - 0.6 * MOST_PIECES * heaviest.grams) / heaviest.grams));
  const spare = Math.min(wanted, heaviest.count ?? Infinity);
  const target = capacityGrams - spare * heaviest.grams;
  const shape = SHAPES[style];
  const left = sizes.map((one) => (one === heaviest && one.count ? { ...one, count: one.count - spare } : one));
  const pieces = bestPieces(
    target,
    left.filter(({ count }) => count !== 0),
    shape,
  );
  const placed: Placed[] = spare
    ? [{ size: heaviest.size, grams: heaviest.grams, count: spare, below: Math.min(0.1, 0.2 * setting) }]
    : [];
  pieces.forEach((piece, i) => {
    const below = shape.at(i, pieces.length) * setting;
    const last = placed.at(-1);
    if (last && last.size === piece.size && last.below === below) last.count++;
    else placed.push({ size: piece.size, grams: piece.grams, count: 1, below });
  });
  return placed;
}

/**
 * The non-increasing run of at most six shot that fills the target best; the nearest sum under it where none comes
 * near.
 */
function bestPieces(target: number, sizes: readonly BoxShot[], shape: Shape): BoxShot[] {
  let best: BoxShot[] = [];
  let least = Infinity;
  const judge = (run: readonly BoxShot[], sum: number) => {
    const miss = target - sum;
    const n = run.length;
    // A float that is not filled is worse than any shape; then shape; then number of pieces.
    let cost = (miss > NEAR ? 100 * miss : 0) + 0.004 * n + (n < shape.fewest ? 0.05 : 0);
    for (let i = 0; i < n; i++) cost += (run[i]!.grams / target - shape.share(i, n)) ** 2;
    if (cost < least) {
      least = cost;
      best = [...run];
    }
  };
  const run: BoxShot[] = [];
  const grow = (from: number, sum: number) => {
    if (run.length > 0) judge(run, sum);
    if (run.length === MOST_PIECES) return;
    for (let k = from; k < sizes.length; k++) {
      const { grams, count = Infinity } = sizes[k]!;
      if (sum + grams > target + NEAR || run.filter((one) => one === sizes[k]).length >= count) continue;
      run.push(sizes[k]!);
      grow(k, sum + grams);
      run.pop();
    }
  };
  if (target > 0) grow(0, 0);
  return best;
}

export const shotMass = (plan: readonly Placed[]): number =>
  plan.reduce((sum, shot) => sum + shot.grams * shot.count, 0);
