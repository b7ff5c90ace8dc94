import type { Snags } from "../tactics/lure-kinds";
import type { Drift } from "./drift-path";

/**
 * Chance of a snag for each metre along the bed: of clean stones, of some and of many snags, of weed; the heavier it is
 * and the rougher the bed the more, and a third of it where the point is hidden. Common practice, no source: to compare
 * ways by, not a forecast.
 */
const A_METRE: Record<Snags, number> = { none: 0.004, some: 0.015, many: 0.04 };
const WEED = 0.02;
const HIDDEN = 1 / 3;
/** Roughness that the figures are for, m, and the weight that doubles them, g. */
const ROUGH = 0.15;
const HEAVY = 20;

export interface SnagQuestion {
  snags: Snags;
  weed: boolean;
  bedRoughness: number;
  grams: number;
  weedless: boolean;
}

/** Chance that a drift ends in a snag. */
export function snagChance({ path }: Pick<Drift, "path">, question: SnagQuestion): number {
  const { snags, weed, bedRoughness, grams, weedless } = question;
  let metres = 0;
  for (let k = 1; k < path.length; k++)
    metres += path[k]!.touch * Math.hypot(path[k]!.x - path[k - 1]!.x, path[k]!.y - path[k - 1]!.y);
  const each =
    (A_METRE[snags] + (weed ? WEED : 0)) *
    Math.sqrt(bedRoughness / ROUGH) *
    (1 + grams / HEAVY) *
    (weedless ? HIDDEN : 1);
  return 1 - Math.exp(-each * metres);
}
