import type { Field } from "../flow/grid";
import { type BottomEdge, findBottomEdges } from "./bottoms";
import { type Corner, findCorners } from "./corners";
import type { Break } from "./cover";
import { findFoamLines, type FoamLine } from "./foam-lines";
import { findLedges, type Ledge } from "./ledges";
import { findPools, type Pool } from "./pools";
import { nearestLine } from "./polyline";
import { findWakes, type Wake } from "./wakes";

/** What an angler reads in the water beside its seams and eddies (seams.ts, eddies.ts). */
export interface Structure {
  foam: FoamLine[];
  wakes: Wake[];
  ledges: Ledge[];
  corners: Corner[];
  pools: Pool[];
  bottoms: BottomEdge[];
}

export const structureOf = (field: Field, breaks: readonly Break[]): Structure => ({
  foam: findFoamLines(field),
  wakes: findWakes(field, breaks),
  ledges: findLedges(field),
  corners: findCorners(field, breaks),
  pools: findPools(field),
  bottoms: findBottomEdges(field),
});

/** A place counts as part of a piece of structure within so many metres of it. Common practice, no source. */
const NEAR = { ledge: 2, corner: 3, part: 4, bottom: 2 };

/** The piece of structure that a place belongs to. */
export type StructurePart = "corner" | "slot" | "ledge" | "bottom-edge" | "head" | "tail";

/** What piece of structure a place belongs to; undefined where none is near. */
export function structureAt(
  { corners, ledges, pools, bottoms }: Structure,
  x: number,
  y: number,
): StructurePart | undefined {
  const near = (place: { x: number; y: number } | undefined, within: number) =>
    place !== undefined && Math.hypot(place.x - x, place.y - y) <= within;
  if (corners.some((one) => near(one, NEAR.corner))) return "corner";
  if (pools.some(({ slot }) => near(slot, NEAR.part))) return "slot";
  if (nearestLine(ledges, x, y).distance <= NEAR.ledge) return "ledge";
  if (nearestLine(bottoms, x, y).distance <= NEAR.bottom) return "bottom-edge";
  if (pools.some(({ head }) => near(head, NEAR.part))) return "head";
  if (pools.some(({ tail }) => near(tail, NEAR.part))) return "tail";
  return undefined;
}
