import { standardWeight } from "./standard-weight";
import type { Traveller } from "./species-schema";
import { type Field, speedAt } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import type { Cover } from "../water/cover";
import { leastCostPaths } from "../water/least-cost-path";
import { swimmingCost } from "./foraging";
import { focalHeightIn } from "./net-energy";
import type { ScoreField } from "./score-field";
import { smoothstep } from "../water/smooth";
import { suits } from "./suitability";

/** Speed over the ground of a fish on its way, m/s. Common practice, no source. */
const PACE = 0.4;
/** Extra cost, as a share of the cheapest way, at which a way is taken a third as often. Common practice, no source. */
const DETOUR = 0.05;
/** Share of its worth that a resting place without cover keeps. Common practice, no source. */
const BARE = 0.6;
/** Fish that are held up lie in water of so much of the deepest: none to whole. Common practice, no source. */
const HELD = { none: 0.4, whole: 1 };
/** Water ahead that a fish rests before, m up its way. Common practice, no source. */
export const AHEAD = 12;
/**
 * Thin water costs more, since it shows the fish; under the least that lets it pass, or faster than it can pass, there
 * is no way. Common practice, no source.
 */
function hindrance(depth: number, speed: number, { passage }: Traveller): number {
  if (depth < passage.depth || speed > passage.speed) return Infinity;
  return 1 + 3 * Math.max(0, 0.6 - depth) + 0.4 * Math.max(0, 1.2 - depth);
}

/**
 * Where fish on the run stop: near the way upstream that costs least energy, in water that suits and hides them, before
 * the way grows dear. Cost of a metre is the
 * power of swimming at pace against the current (foraging.ts) over that pace; ways are found by Dijkstra 1959 from both
 * ends of the reach.
 */
export function scoreTravel(
  field: Field,
  species: Traveller,
  cover: Pick<Cover, "total">,
  at: { temperature: number },
): ScoreField {
  const { nx, ny, cell } = field;
  const cells = nx * ny;
  const weight = standardWeight(species, species.forkLength * 10) ?? 1000;
  const { depth: byDepth, speed: bySpeed } = suits(species.suitability, at.temperature);
  const make = () => new Float32Array(cells);
  const parts = { lane: make(), depth: make(), speed: make(), rest: make(), cover: make() };
  const hidden = (k: number) => BARE + (1 - BARE) * cover.total[k]!;
  const focalSpeed = new Float64Array(cells);
  // J per metre made good up-current; the current along x is what is swum against.
  const unitCost = new Float64Array(cells).fill(Infinity);
  for (let k = 0; k < cells; k++) {
    const h = field.depth[k]!;
    if (h <= 0) continue;
    focalSpeed[k] = speedAtHeight(
      speedAt(field, k),
      h,
      roughnessHeight(field.roughness[k]!, h),
      focalHeightIn(species, h),
    );
    unitCost[k] =
      (swimmingCost(weight, at.temperature, Math.max(0, speedAt(field, k) * Math.sign(field.u[k]! || 1) + PACE)) /
        PACE) *
      hindrance(h, speedAt(field, k), species);
  }
  const column = (i: number) => Array.from({ length: ny }, (_, j) => j * nx + i);
  const up = leastCostPaths(unitCost, nx, ny, cell, column(nx - 1));
  const down = leastCostPaths(unitCost, nx, ny, cell, column(0));
  let best = Infinity;
  for (let j = 0; j < ny; j++) best = Math.min(best, up.cost[j * nx]!);
  const score = new Float64Array(cells).fill(NaN);
  if (!Number.isFinite(best)) return heldUp(field, species, focalSpeed, bySpeed, hidden);
  for (let k = 0; k < cells; k++) {
    const h = field.depth[k]!;
    if (h < species.leastDepth || !Number.isFinite(up.cost[k]! + down.cost[k]!)) continue;
    parts.lane[k] = Math.exp(-Math.max(0, up.cost[k]! + down.cost[k]! - best) / best / DETOUR);
    parts.depth[k] = byDepth(h);
    parts.speed[k] = bySpeed(focalSpeed[k]!);
    parts.rest[k] = restBefore(k, down.next, unitCost, nx, cell);
    parts.cover[k] = hidden(k);
    score[k] = parts.lane[k]! * parts.depth[k]! * parts.speed[k]! * parts.rest[k]! * parts.cover[k]!;
  }
  return {
    score,
    focalSpeed,
    factors: parts,
    reasons: (k) => [
      { kind: "lane", dearer: (up.cost[k]! + down.cost[k]!) / best - 1 },
      { kind: "rest", share: aheadOf(k, down.next, unitCost, nx, cell) / unitCost[k]! },
    ],
  };
}

/** Where the way up is too thin or too fast, fish wait for water: in the deepest that holds them, slow and hidden. */
function heldUp(
  field: Field,
  species: Traveller,
  focalSpeed: Float64Array,
  bySpeed: (speed: number) => number,
  hidden: (k: number) => number,
): ScoreField {
  const cells = field.depth.length;
  const deepest = field.depth.reduce((most, h) => Math.max(most, h), 0);
  const parts = { depth: new Float32Array(cells), speed: new Float32Array(cells), cover: new Float32Array(cells) };
  const score = new Float64Array(cells).fill(NaN);
  for (let k = 0; k < cells; k++) {
    if (field.depth[k]! < species.leastDepth) continue;
    parts.depth[k] = smoothstep(HELD.none, HELD.whole, field.depth[k]! / deepest);
    parts.speed[k] = bySpeed(focalSpeed[k]!);
    parts.cover[k] = hidden(k);
    score[k] = parts.depth[k]! * parts.speed[k]! * parts.cover[k]!;
  }
  return { score, focalSpeed, factors: parts, reasons: () => [{ kind: "heldUp", passage: species.passage.depth }] };
}

/** From half for water no dearer ahead to one where it is half as dear again. */
function restBefore(k: number, next: Int32Array, unitCost: Float64Array, nx: number, cell: number): number {
  const share = aheadOf(k, next, unitCost, nx, cell) / unitCost[k]!;
  return 0.5 + 0.5 * Math.min(1, Math.max(0, (share - 1) / 0.5));
}

/** Mean cost of a metre over the next stretch of the cheapest way up. */
function aheadOf(k: number, next: Int32Array, unitCost: Float64Array, nx: number, cell: number): number {
  let [sum, count] = [0, 0];
  for (let at = k; at >= 0 && count < AHEAD / cell; at = next[at]!) {
    sum += unitCost[at]!;
    count++;
    if (at % nx === 0) break;
  }
  return sum / count;
}
