import normalCdf from "@stdlib/stats-base-dists-normal-cdf";
import type { Field } from "../flow/grid";
import { scoreNear } from "./flow-band";

/** Where a fish was had, against what the model gives the places of that day. */
export interface PlacedFish {
  /**
   * Share of the wet water that the model gave less than this place, 0..1. By chance alone: evenly spread, half on
   * average.
   */
  percentile: number;
  /** Rank of the lie that it came from, within a territory of it; null where it came from none. */
  rank: number | null;
  /** Share of the wet water that lies within a territory of any lie: how often a fish would fall on one by chance. */
  nearLies: number;
}

/** How a place stands among the wet cells, each taken as the best within a step or two, as the place itself is. */
export function percentileOf(
  score: ArrayLike<number>,
  field: Pick<Field, "nx" | "ny" | "cell" | "depth">,
  x: number,
  y: number,
): number {
  const { nx, ny, cell, depth } = field;
  const own = scoreNear(score, field, x, y);
  let [less, all] = [0, 0];
  // Every second cell each way is enough for a share.
  for (let j = 0; j < ny; j += 2) {
    for (let i = 0; i < nx; i += 2) {
      if (!(depth[j * nx + i]! > 0)) continue;
      const other = scoreNear(score, field, (i + 0.5) * cell, (j + 0.5) * cell);
      all++;
      less += other < own ? 1 : other === own ? 0.5 : 0;
    }
  }
  return all > 0 ? less / all : 0.5;
}

/** The lie within `reach` m of a place, the nearest of them, and the share of the wet water within that of any lie. */
export function onLies(
  lies: readonly { x: number; y: number; rank: number }[],
  field: Pick<Field, "nx" | "ny" | "cell" | "depth">,
  x: number,
  y: number,
  reach: number,
): { rank: number | null; nearLies: number } {
  const { nx, ny, cell, depth } = field;
  const away = (one: { x: number; y: number }, px: number, py: number) => Math.hypot(one.x - px, one.y - py);
  const near = lies.filter((one) => away(one, x, y) <= reach).sort((a, b) => away(a, x, y) - away(b, x, y))[0];
  let [within, all] = [0, 0];
  for (let k = 0; k < nx * ny; k++) {
    if (!(depth[k]! > 0)) continue;
    all++;
    if (lies.some((one) => away(one, ((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell) <= reach)) within++;
  }
  return { rank: near?.rank ?? null, nearLies: all > 0 ? within / all : 0 };
}

/** All places to hold of some lies, each with the rank of its lie. */
export const placesOf = (
  lies: readonly { x: number; y: number; rank: number; others: readonly { x: number; y: number }[] }[],
): { x: number; y: number; rank: number }[] =>
  lies.flatMap(({ x, y, rank, others }) => [{ x, y, rank }, ...others.map((one) => ({ x: one.x, y: one.y, rank }))]);

export interface Agreement {
  fish: number;
  /** Mean percentile, and its p-value: how likely chance alone would do as well or better. */
  mean: number;
  pValue: number;
  /** Fish that came from a lie, and how many would by chance. */
  onLies: number;
  expected: number;
}

/** The agreement of the model with placed fish; undefined without any. */
export function agreementOf(fish: readonly PlacedFish[]): Agreement | undefined {
  if (fish.length === 0) return undefined;
  const sum = fish.reduce((total, one) => total + one.percentile, 0);
  return {
    fish: fish.length,
    mean: sum / fish.length,
    pValue: 1 - irwinHall(sum, fish.length),
    onLies: fish.filter((one) => one.rank !== null).length,
    expected: fish.reduce((total, one) => total + one.nearLies, 0),
  };
}

/** More than these are summed by the normal law: the alternating series loses its digits. */
const MOST_EXACT = 15;

/**
 * Probability that the sum of n independent even draws from 0..1 is at most x (Irwin 1927, Hall 1927); by the normal
 * law of mean n/2 and variance n/12 for many.
 */
export function irwinHall(x: number, n: number): number {
  if (x <= 0) return 0;
  if (x >= n) return 1;
  if (n > MOST_EXACT) return normal((x - n / 2) / Math.sqrt(n / 12));
  let [sum, binomial, factorial] = [0, 1, 1];
  for (let k = 1; k <= n; k++) factorial *= k;
  for (let k = 0; k <= Math.floor(x); k++) {
    sum += (k % 2 ? -1 : 1) * binomial * (x - k) ** n;
    binomial = (binomial * (n - k)) / (k + 1);
  }
  return Math.min(1, Math.max(0, sum / factorial));
}

const normal = (z: number): number => normalCdf(z, 0, 1);
