import { cellsOf, type Field, speedAt } from "../flow/grid";
import { leastCostPaths } from "./least-cost-path";
import { froude } from "./cover";

/** A place along the deepest line of the reach. */
interface Section {
  x: number;
  y: number;
  /** Along the thalweg from its upper end, m. */
  along: number;
  depth: number;
  speed: number;
}

/**
 * A pool by its residual depth: what would be left of it if the river stopped (Lisle 1987, USDA Forest Service Research
 * Note PSW-394; from memory).
 */
export interface Pool {
  /** Where the fast water drops in. */
  head: Section;
  /** The deepest place. */
  deep: Section;
  /** Where it shallows to its crest. */
  tail: Section;
  /** The deep water first met below the riffle, where the pool has one at its head. */
  slot: Section | undefined;
  /** Greatest depth under the crest that holds it up, m. */
  residual: number;
  length: number;
}

/**
 * Riffles from this Froude number up, pools below the other, runs between (Jowett 1993, N.Z. J. Mar. Freshw. Res. 27;
 * from memory).
 */
const FROUDE = { riffle: 0.41, pool: 0.18 };
export type Water = "riffle" | "run" | "pool";
export const waterBy = (number: number): Water =>
  number > FROUDE.riffle ? "riffle" : number < FROUDE.pool ? "pool" : "run";

/** Shallower than this under its crest, m, or shorter, m, is no pool. Common practice, no source. */
const LEAST_RESIDUAL = 0.2;
const LEAST_LENGTH = 5;
/** Smoothing of the bed along the thalweg, m: single stones are no crests. */
const SMOOTHING = 4;
/**
 * The slot is met where the pool has come to this share of its depth, the tail begins where it is left with it. Common
 * practice, no source.
 */
const PART = 0.5;
/** How far above its head the riffle that feeds a pool is looked for, m. Common practice, no source. */
const ABOVE = 10;

/** The deepest way down the reach, by cells, upper end first: the way for which the sum of 1/h2 is least. */
function thalweg({ nx, ny, cell, depth }: Field): number[] {
  const unitCost = cellsOf(new Float64Array(nx * ny), (k) => (depth[k]! > 0.02 ? 1 / depth[k]! ** 2 : Infinity));
  const { cost, next } = leastCostPaths(
    unitCost,
    nx,
    ny,
    cell,
    Array.from({ length: ny }, (_, j) => j * nx + nx - 1),
  );
  let at = Array.from({ length: ny }, (_, j) => j * nx).reduce((best, k) => (cost[k]! < cost[best]! ? k : best));
  const way: number[] = [];
  if (!Number.isFinite(cost[at]!)) return way;
  for (; at >= 0; at = next[at]!) way.push(at);
  return way;
}

/** The pools along the thalweg, from the top of the reach down. */
export function findPools(field: Field): Pool[] {
  const stations = stationsAlong(field);
  if (stations.length < 3) return [];
  const bed = meanAlong(
    stations.map(({ bed: z }) => z),
    stations.map(({ along }) => along),
  );
  // From the outlet up: the highest bed yet met below is the crest that holds the water up.
  const residual = new Array<number>(bed.length).fill(0);
  let crest = bed.at(-1)!;
  for (let n = bed.length - 1; n >= 0; n--) {
    crest = Math.max(crest, bed[n]!);
    residual[n] = crest - bed[n]!;
  }
  const pools: Pool[] = [];
  for (let from = 0; from < residual.length; from++) {
    if (!(residual[from]! > 0.02)) continue;
    let to = from;
    while (to + 1 < residual.length && residual[to + 1]! > 0.02) to++;
    const pool = poolOf(stations, residual, from, to);
    if (pool) pools.push(pool);
    from = to;
  }
  return pools;
}

function poolOf(
  stations: readonly (Section & { bed: number })[],
  residual: readonly number[],
  from: number,
  to: number,
): Pool | undefined {
  let deep = from;
  for (let n = from; n <= to; n++) if (residual[n]! > residual[deep]!) deep = n;
  const length = stations[to]!.along - stations[from]!.along;
  if (residual[deep]! < LEAST_RESIDUAL || length < LEAST_LENGTH) return undefined;
  let slot = from;
  while (slot < deep && residual[slot]! < PART * residual[deep]!) slot++;
  let tail = to;
  while (tail > deep && residual[tail]! < PART * residual[deep]!) tail--;
  const above = stations.slice(0, from + 1).filter((one) => stations[from]!.along - one.along <= ABOVE);
  const fed = above.some((one) => waterBy(froude(one.depth, one.speed)) === "riffle");
  const plain = ({ x, y, along, depth, speed }: Section): Section => ({ x, y, along, depth, speed });
  return {
    head: plain(stations[from]!),
    deep: plain(stations[deep]!),
    tail: plain(stations[tail]!),
    slot: fed ? plain(stations[slot]!) : undefined,
    residual: residual[deep]!,
    length,
  };
}

function stationsAlong(field: Field): (Section & { bed: number })[] {
  const { nx, cell, depth, bed } = field;
  let along = 0;
  let before: number | undefined;
  return thalweg(field).map((k) => {
    if (before !== undefined)
      along += Math.hypot((k % nx) - (before % nx), Math.floor(k / nx) - Math.floor(before / nx)) * cell;
    before = k;
    return {
      x: ((k % nx) + 0.5) * cell,
      y: (Math.floor(k / nx) + 0.5) * cell,
      along,
      depth: depth[k]!,
      speed: speedAt(field, k),
      bed: bed[k]!,
    };
  });
}

/** Running mean over SMOOTHING m of way. */
function meanAlong(values: readonly number[], along: readonly number[]): number[] {
  let [from, to, sum] = [0, 0, 0];
  return values.map((_, n) => {
    while (to < values.length && along[to]! <= along[n]! + SMOOTHING / 2) sum += values[to++]!;
    while (along[from]! < along[n]! - SMOOTHING / 2) sum -= values[from++]!;
    return sum / (to - from);
  });
}
