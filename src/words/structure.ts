import type { UnitSystem } from "./quantity";
import { lengthOf } from "../core/water/polyline";
import type { Structure } from "../core/water/structure";
import { breakName } from "./place";
import { figureText, showText } from "./quantity";
import { capital } from "./text";

/** A piece of structure in words, for the list beside the plan. */
export interface Told {
  kind: "foam line" | "break" | "ledge" | "corner" | "pool" | "bottom";
  words: string;
}

/** The structure in words, kind by kind, each with its numbers; `where` tells a place by what can be seen. */
export function tellStructure(
  { foam, wakes, ledges, corners, pools, bottoms }: Structure,
  system: UnitSystem,
  where: (place: readonly [number, number]) => string,
): Told[] {
  const far = (value: number) => showText(value, "distance", system);
  const deep = (value: number) => showText(value, "depth", system);
  const fast = (value: number) => showText(value, "speed", system);
  const from = (points: readonly (readonly [number, number])[]) => {
    return `From ${where(points[0]!)} to ${where(points.at(-1)!)}`;
  };
  const at = ({ x, y }: { x: number; y: number }) => where([x, y]);
  return [
    ...foam.map((one): Told => ({
      kind: "foam line",
      words: `${from(one.points)}: ${figureText(one.gathers, 1)} times the average drift passes along it.`,
    })),
    ...wakes.map((one): Told => ({
      kind: "break",
      words: `${capital(breakName(one))}, ${at(one)}: ${fast(one.free)} of current hits it; slack for ${far(one.length)} below, down to ${fast(one.least)}.`,
    })),
    ...ledges.map((one): Told => ({
      kind: "ledge",
      words: `${from(one.points)}, ${far(lengthOf(one))} long: ${deep(one.shallow)} dropping to ${deep(one.deep)}.`,
    })),
    ...corners.map((one): Told => ({
      kind: "corner",
      words: `${capital(at(one))}: ${deep(one.depth)} deep, rising into ${fast(one.speed)} of current, its tip ${far(2 * one.radius)} across.`,
    })),
    ...pools.flatMap((one): Told[] => [
      {
        kind: "pool",
        words: `Head ${at(one.head)}; deepest ${at(one.deep)}, with ${deep(one.deep.depth)}; tail ${at(one.tail)}; ${far(one.length)} long, ${deep(one.residual)} deep below its downstream crest.`,
      },
      ...(one.slot
        ? [
            {
              kind: "pool" as const,
              words: `Slot below its riffle, ${at(one.slot)}: ${deep(one.slot.depth)} deep, ${fast(one.slot.speed)}.`,
            },
          ]
        : []),
    ]),
    ...bottoms.map((one): Told => ({
      kind: "bottom",
      words: `${capital(one.hard)} meets ${one.soft}, ${at({ x: one.points[0]![0], y: one.points[0]![1] })}, along ${far(lengthOf(one))}.`,
    })),
  ];
}
