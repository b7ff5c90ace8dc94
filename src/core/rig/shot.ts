import { FROM_MEMORY, sourced } from "../quantity/provenance";

/** Split shot by size, g (from memory; the angler can change them). */
export const SHOT_SIZES = sourced(
  [
    { size: "SSG", grams: 1.6 }, { size: "AAA", grams: 0.8 }, { size: "BB", grams: 0.4 }, { size: "No 1", grams: 0.3 },
    { size: "No 3", grams: 0.2 }, { size: "No 4", grams: 0.17 }, { size: "No 5", grams: 0.13 }, { size: "No 6", grams: 0.1 },
    { size: "No 8", grams: 0.06 }, { size: "No 10", grams: 0.04 },
  ] as const,
  "g",
  FROM_MEMORY,
);

export type Shotting = "tapered" | "bulk" | "even";

/** Shot of one size at one place: `below` is the distance under the float, m. */
export interface Placed {
  size: string;
  grams: number;
  count: number;
  below: number;
}

/** Shot by the number of groups on the line: bulk goes low in one group with a small dropper; even and tapered spread. */
const GROUPS: Record<Shotting, readonly { at: number; share: number }[]> = {
  // `at` is the share of the way from float to the lowest shot, `share` that group's share of the weight.
  tapered: [{ at: 0.25, share: 0.4 }, { at: 0.5, share: 0.3 }, { at: 0.75, share: 0.2 }, { at: 1, share: 0.1 }],
  bulk: [{ at: 0.75, share: 0.85 }, { at: 1, share: 0.15 }],
  even: [{ at: 0.25, share: 0.25 }, { at: 0.5, share: 0.25 }, { at: 0.75, share: 0.25 }, { at: 1, share: 0.25 }],
};

/** Under this much shot, g, two groups do: nobody pinches on a string of dust. Common practice, no source. */
const LITTLE = { grams: 1.2, groups: [{ at: 0.6, share: 0.65 }, { at: 1, share: 0.35 }] };

/**
 * The whole shot whose sum comes nearest under `target` g with the fewest pieces: exact search over the box in hundredths of a
 * gram (a bounded knapsack; at most `mostEach` of a size). Returns counts by size, heaviest first.
 */
export function fill(target: number, sizes: readonly { size: string; grams: number }[] = SHOT_SIZES.value, mostEach = 6): { size: string; grams: number; count: number }[] {
  const units = Math.round(target * 100 + 1e-6);
  if (units <= 0) return [];
  // fewest[w]: least pieces that weigh w exactly; from[w]: the last size taken to get there.
  const fewest = new Float64Array(units + 1).fill(Infinity);
  const taken: (Map<number, number> | undefined)[] = new Array(units + 1);
  fewest[0] = 0;
  taken[0] = new Map();
  sizes.forEach((one, index) => {
    const weight = Math.round(one.grams * 100);
    const before = Float64Array.from(fewest);
    const beforeTaken = taken.slice();
    for (let w = 0; w <= units; w++) {
      for (let count = 1; count <= mostEach && count * weight <= w; count++) {
        const pieces = before[w - count * weight]! + count;
        if (pieces < fewest[w]!) {
          fewest[w] = pieces;
          taken[w] = new Map(beforeTaken[w - count * weight]).set(index, count);
        }
      }
    }
  });
  let best = units;
  while (best > 0 && !Number.isFinite(fewest[best]!)) best--;
  return [...(taken[best] ?? [])].sort((a, b) => a[0] - b[0]).map(([index, count]) => ({ ...sizes[index]!, count }));
}

/** A shot plan that fills a float: heavier under the float, lighter to the hook (tapered), together and low (bulk), or alike (even). */
export function shotPlan(capacityGrams: number, style: Shotting, setting: number): Placed[] {
  const placed: Placed[] = [];
  let carried = 0;
  for (const group of capacityGrams < LITTLE.grams ? LITTLE.groups : GROUPS[style]) {
    carried += group.share * capacityGrams;
    const soFar = placed.reduce((sum, shot) => sum + shot.grams * shot.count, 0);
    for (const shot of fill(carried - soFar)) placed.push({ ...shot, below: group.at * setting });
  }
  return placed;
}

export const shotMass = (plan: readonly Placed[]): number => plan.reduce((sum, shot) => sum + shot.grams * shot.count, 0);
