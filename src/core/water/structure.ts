import type { Field } from "../flow/grid";
import { showText } from "../quantity/show";
import type { UnitSystem } from "../quantity/units";
import { type BottomEdge, findBottomEdges } from "./bottoms";
import { type Corner, findCorners } from "./corners";
import { type Break, nameOfBreak } from "./cover";
import { findFoamLines, type FoamLine } from "./foam-lines";
import { findLedges, type Ledge } from "./ledges";
import { findPools, type Pool } from "./pools";
import { lengthOf, nearestLine } from "./polyline";
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

/** What piece of structure a place belongs to, in words; undefined where none is near. */
export function structureAt({ corners, ledges, pools, bottoms }: Structure, x: number, y: number): string | undefined {
  const near = (place: { x: number; y: number } | undefined, within: number) =>
    place !== undefined && Math.hypot(place.x - x, place.y - y) <= within;
  if (corners.some((one) => near(one, NEAR.corner))) return "Corner facing the current";
  if (pools.some(({ slot }) => near(slot, NEAR.part))) return "Slot below the riffle";
  if (nearestLine(ledges, x, y).distance <= NEAR.ledge) return "On the ledge";
  if (nearestLine(bottoms, x, y).distance <= NEAR.bottom) return "Where hard bottom meets soft";
  if (pools.some(({ head }) => near(head, NEAR.part))) return "Head of the pool";
  if (pools.some(({ tail }) => near(tail, NEAR.part))) return "Tail of the pool";
  return undefined;
}

/** A piece of structure in words, for the list beside the plan. */
export interface Told {
  kind: "foam line" | "break" | "ledge" | "corner" | "pool" | "bottom";
  words: string;
}

/** The structure in words, kind by kind, each with its numbers. */
export function tellStructure({ foam, wakes, ledges, corners, pools, bottoms }: Structure, system: UnitSystem): Told[] {
  const far = (value: number) => showText(value, "distance", system);
  const deep = (value: number) => showText(value, "depth", system);
  const fast = (value: number) => showText(value, "speed", system);
  const from = (points: readonly (readonly [number, number])[]) => {
    const [[a], [b]] = [points[0]!, points.at(-1)!];
    return `${far(Math.min(a, b))} to ${far(Math.max(a, b))} down the reach`;
  };
  const at = ({ x, y }: { x: number; y: number }) => `${far(x)} down, ${far(y)} from the left edge`;
  return [
    ...foam.map((one): Told => ({
      kind: "foam line",
      words: `${from(one.points)}: ${one.gathers.toFixed(1)} times as much floats by on it as would if it were spread evenly.`,
    })),
    ...wakes.map((one): Told => ({
      kind: "break",
      words: `${capital(nameOfBreak(one))} at ${at(one)}: ${fast(one.free)} of water meets it; slack for ${far(one.length)} below, down to ${fast(one.least)}.`,
    })),
    ...ledges.map((one): Told => ({
      kind: "ledge",
      words: `${from(one.points)}, ${far(lengthOf(one))} long: ${deep(one.shallow)} dropping to ${deep(one.deep)}.`,
    })),
    ...corners.map((one): Told => ({
      kind: "corner",
      words: `${at(one)}: ${deep(one.depth)} deep, rising into ${fast(one.speed)} of current, its nose ${far(2 * one.radius)} across.`,
    })),
    ...pools.flatMap((one): Told[] => [
      {
        kind: "pool",
        words: `Head at ${at(one.head)}, deepest at ${at(one.deep)} with ${deep(one.deep.depth)}, tail from ${at(one.tail)}; ${far(one.length)} long, ${deep(one.residual)} deep under the crest that holds it up.`,
      },
      ...(one.slot
        ? [
            {
              kind: "pool" as const,
              words: `Slot below its riffle at ${at(one.slot)}: ${deep(one.slot.depth)} deep, ${fast(one.slot.speed)}.`,
            },
          ]
        : []),
    ]),
    ...bottoms.map((one): Told => ({
      kind: "bottom",
      words: `${capital(one.hard)} meets ${one.soft} near ${at({ x: one.points[0]![0], y: one.points[0]![1] })}, along ${far(lengthOf(one))}.`,
    })),
  ];
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
