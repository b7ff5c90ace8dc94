import { isWood, within } from "../flow/features";
import type { Field } from "../flow/grid";
import type { Feature } from "../flow/reach-schema";

/** What a line from the angler to where the lure lands must keep clear of. */
export interface CastWays {
  field: Field;
  features: readonly Feature[];
  /** Places of other lies, m. */
  others: readonly { x: number; y: number }[];
}

/** What a cast line runs into: wood, ground or stone that stands out of the water, or a nearer fish. */
export type CastFault = "wood" | "dry" | "nearer-lie";

/**
 * A line keeps so far from wood and from a nearer lie, m; the last stretch, where the lure lies, may reach wood; a lie
 * is nearer when it is passed by so much. Common practice, no source.
 */
const CLEAR = { wood: 0.3, lie: 1, end: 1, passed: 1.5 };
const STEP = 0.25;

/** What a straight line between two places, m, runs into first; undefined where it is clear. */
export function castFault(
  { field, features, others }: CastWays,
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
): CastFault | undefined {
  const length = Math.hypot(bx - ax, by - ay);
  const [ux, uy] = length > 0 ? [(bx - ax) / length, (by - ay) / length] : [0, 0];
  const overNearer = others.some(({ x, y }) => {
    const along = (x - ax) * ux + (y - ay) * uy;
    return along > 0 && along < length - CLEAR.passed && Math.abs((x - ax) * uy - (y - ay) * ux) < CLEAR.lie;
  });
  if (overNearer) return "nearer-lie";
  const wood = features.filter(isWood);
  const trees = features.filter(({ kind }) => kind === "overhang");
  const under = new Set<Feature>();
  let afloat = false;
  for (let away = 0; away < length; away += STEP) {
    const [x, y] = [ax + ux * away, ay + uy * away];
    if (away <= length - CLEAR.end && wood.some((one) => touches(one, x, y, uy, ux))) return "wood";
    // A cast may end under a hanging tree, and not go on behind it.
    for (const tree of trees) {
      const inside = within(tree, x, y) < 1;
      if (inside) under.add(tree);
      else if (under.has(tree)) return "wood";
    }
    const wet = isWet(field, x, y);
    if (afloat && !wet) return "dry";
    afloat ||= wet;
  }
  return undefined;
}

/** How far one gets from a place towards another before wood, m, the first metre not looked at. */
export function clearOfWood(
  features: readonly Feature[],
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
): number {
  const wood = features.filter(isWood);
  const length = Math.hypot(bx - ax, by - ay);
  const [ux, uy] = length > 0 ? [(bx - ax) / length, (by - ay) / length] : [0, 0];
  for (let away = CLEAR.end; away < length; away += STEP)
    if (wood.some((one) => touches(one, ax + ux * away, ay + uy * away, uy, ux))) return away - STEP;
  return length;
}

const touches = (one: Feature, x: number, y: number, nx: number, ny: number): boolean =>
  [-CLEAR.wood, 0, CLEAR.wood].some((off) => within(one, x + nx * off, y - ny * off) < 1);

function isWet({ nx, ny, cell, depth }: Field, x: number, y: number): boolean {
  const i = Math.min(nx - 1, Math.max(0, Math.floor(x / cell)));
  const j = Math.min(ny - 1, Math.max(0, Math.floor(y / cell)));
  return depth[j * nx + i]! > 0;
}
