import { type Field, speedAt } from "../flow/grid";
import { distanceTo, isWood } from "../flow/features";
import type { Feature } from "../flow/reach-schema";
import { leastCostPaths } from "../water/least-cost-path";
import { groundOf, type Ground } from "../water/land";
import { wadingCosts } from "./stands";

/** Where a fish can be led and landed from a stand. */
export interface LandingPlace {
  x: number;
  y: number;
  /** Depth, m, and speed, m/s, there. */
  depth: number;
  speed: number;
  /** From the stand, m: along the way to it, and of that down the current (below 0: up). */
  walk: number;
  below: number;
}

/** Wood that a fish on the line can run into. */
export interface NearWood {
  kind: Feature["kind"];
  /** m from the fish. */
  away: number;
}

/**
 * A place to land a fish: water a hand to knee deep and slack, on a shelving edge. So far along the way at most, m; a
 * step up-current costs as much as three down it, since a tired fish goes with the water. Common practice, no source.
 */
const SHALLOW = { least: 0.08, most: 0.45 };
const SLACK = 0.3;
const FARTHEST = 30;
const AGAINST = 3;
/** Wood nearer to a landing place than that is a trap, m. Own choice. */
const CLEAR = 2.5;
/** Wood so near to the fish decides which way to pull, m. Common practice, no source. */
const NEAR = 8;

/**
 * The place where a fish hooked at a lie can be landed from a stand: slack, shelving, clear of wood, reached without
 * bad
 * wading, and rather below than above. Undefined where there is none within a walk.
 */
export function landingPlace(
  field: Field,
  features: readonly Feature[],
  from: readonly [number, number],
  downCurrent: readonly [number, number],
  ground: Ground = groundOf(field, features),
): LandingPlace | undefined {
  const { nx, ny, cell, depth } = field;
  const at = (x: number, y: number) =>
    Math.min(ny - 1, Math.max(0, Math.floor(y / cell))) * nx + Math.min(nx - 1, Math.max(0, Math.floor(x / cell)));
  const ways = leastCostPaths(wadingCosts(field, ground), nx, ny, cell, [at(from[0], from[1])]);
  const wood = features.filter(isWood);
  let best: { k: number; worth: number } | undefined;
  for (let k = 0; k < nx * ny; k++) {
    const walk = ways.cost[k]!;
    if (!(walk <= FARTHEST) || depth[k]! < SHALLOW.least || depth[k]! > SHALLOW.most) continue;
    const speed = speedAt(field, k);
    if (speed > SLACK || !shelves(depth, k, nx, ny)) continue;
    const [x, y] = place(k, nx, cell);
    if (wood.some((one) => distanceTo(one, x, y) < CLEAR)) continue;
    const below = (x - from[0]) * downCurrent[0] + (y - from[1]) * downCurrent[1];
    const worth = walk + (below < 0 ? -below * (AGAINST - 1) : 0) + 10 * speed;
    if (!best || worth < best.worth) best = { k, worth };
  }
  if (!best) return undefined;
  const [x, y] = place(best.k, nx, cell);
  return {
    x,
    y,
    depth: depth[best.k]!,
    speed: speedAt(field, best.k),
    walk: Math.hypot(x - from[0], y - from[1]),
    below: (x - from[0]) * downCurrent[0] + (y - from[1]) * downCurrent[1],
  };
}

const place = (k: number, nx: number, cell: number): [number, number] => [
  ((k % nx) + 0.5) * cell,
  (Math.floor(k / nx) + 0.5) * cell,
];

/** Is it shallower on one side than here: an edge that a fish can be slid over? */
function shelves(depth: Float32Array, k: number, nx: number, ny: number): boolean {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  const beside = [i > 0 && k - 1, i < nx - 1 && k + 1, j > 0 && k - nx, j < ny - 1 && k + nx];
  return beside.some((one) => one !== false && depth[one]! < 0.5 * depth[k]!);
}

/** The nearest wood that a hooked fish can reach, if any is near. */
export function woodNear(features: readonly Feature[], fish: { x: number; y: number }): NearWood | undefined {
  return features
    .filter(isWood)
    .map((one) => ({ kind: one.kind, away: distanceTo(one, fish.x, fish.y) }))
    .filter(({ away }) => away <= NEAR)
    .sort((a, b) => a.away - b.away)[0];
}
