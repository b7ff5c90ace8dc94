import type { Whereabouts } from "../core/fish/lie-place";
import type { Way } from "../core/rig/ways";
import { whereaboutsWords } from "./place";
import { methodWords } from "./methods";
import { figureText, showText, type UnitSystem } from "./quantity";

/** Where to stand, where it lands, what the hand does, and what that brings: line by line, for the card. */
export function castLines(
  way: Way,
  fish: { x: number; y: number; upCurrent: readonly [number, number] },
  system: UnitSystem,
  whereabouts: Whereabouts | undefined,
): string[] {
  const { from, cast, school, faster } = way;
  const { landing, seconds, robust, mends } = cast;
  const far = showText(Math.hypot(landing[0] - from[0], landing[1] - from[1]), "distance", system);
  const stand = whereabouts && whereaboutsWords(whereabouts, system);
  return [
    `From ${school === "from-below" ? "below" : "above"}${stand ? `, ${stand}` : ""}: cast ${far}, ${landingWords(landing, fish, system)}. ${methodWords(way.advice).hand(way.advice, cast, school).sentence}`,
    `${figureText(seconds, 1)} seconds near the fish, or ${figureText(robust, 1)} if the water is a fifth faster or slower.`,
    ...(faster
      ? [
          `Faster water (${showText(faster.speed, "speed", system)}) is under the line ${showText(faster.at, "distance", system)} out. Mend over it${mends > 0 ? "" : " at once"}.`,
        ]
      : []),
  ];
}

/** Chance of a snag, in words. */
export const snagWords = (snags: number): string => (snags < 0.03 ? "few" : snags < 0.1 ? "some" : "many");

/** Where to land it, by the fish: "1.6 m above it, 0.4 m to the left". Left and right looking down-current. */
export function landingWords(
  landing: readonly [number, number],
  fish: { x: number; y: number; upCurrent: readonly [number, number] },
  system: UnitSystem,
): string {
  const [dx, dy] = [landing[0] - fish.x, landing[1] - fish.y];
  const [ux, uy] = fish.upCurrent;
  const up = dx * ux + dy * uy;
  // Looking down-current, (-ux, -uy), the right hand is at (uy, -ux) with y running to the right bank.
  const right = dx * uy - dy * ux;
  const text = (metres: number) => showText(Math.abs(metres), "distance", system);
  const parts = [
    Math.abs(up) < 0.25 ? undefined : `${text(up)} ${up > 0 ? "upstream of it" : "below it"}`,
    Math.abs(right) < 0.25 ? undefined : `${text(right)} to the ${right > 0 ? "right" : "left"}`,
  ].filter((part) => part !== undefined);
  return parts.length ? parts.join(", ") : "right on it";
}
