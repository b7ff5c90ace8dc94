import type { Whereabouts } from "../core/fish/lie-place";
import type { Way } from "../core/rig/ways";
import { whereaboutsWords } from "./place";
import { METHOD_NAMES } from "./rig";
import { figureText, showText, type UnitSystem } from "./quantity";
import { count } from "./text";
import { weightText } from "./weight";

/** What a way is called: spinners by the side that they are worked from. */
export const wayName = ({ method, school }: Pick<Way, "method" | "school">): string =>
  method === "spinner" ? `Spinner, ${school === "from-below" ? "up" : "down"}` : METHOD_NAMES[method];

/** How it is set, in short: for the table of ways. */
export function setWords({ advice, school }: Pick<Way, "advice" | "school">, system: UnitSystem): string {
  const weight = (grams: number) => weightText(grams, system);
  switch (advice.method) {
    case "float":
      return `${showText(advice.setting, "depth", system)}, ${advice.holdBack > 0 ? `held back ${figureText(100 * advice.holdBack, 0)} %` : "running free"}`;
    case "drift":
      return `${advice.pieces} × ${weight(advice.piece)}, ${showText(advice.hookDistance, "smallLength", system)} up`;
    case "sinker":
    case "drop-shot":
    case "dead-bait":
      return weight(advice.grams);
    case "jig":
    case "spoon":
      return `${weight(advice.head.grams)}, count ${figureText(advice.countdown, 0)}`;
    case "plug":
      return `${showText(advice.lineOut, "distance", system)} of line${advice.touches ? "" : ", off the bottom"}`;
    case "spinner": {
      const { turns } = advice[school === "from-below" ? "up" : "down"];
      return turns < 0.05 ? "held" : `${figureText(turns, 1)} turns a second`;
    }
  }
}

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
    `From ${school === "from-below" ? "below" : "above"}${stand ? `, ${stand}` : ""}: cast ${far}, ${landingWords(landing, fish, system)}. ${handWords(way)}`,
    `${figureText(seconds, 1)} seconds near the fish, or ${figureText(robust, 1)} if the water is a fifth faster or slower.`,
    ...(faster
      ? [
          `Faster water (${showText(faster.speed, "speed", system)}) is under the line ${showText(faster.at, "distance", system)} out. Mend over it${mends > 0 ? "" : " at once"}.`,
        ]
      : []),
  ];
}

/** What the hand does once it has landed. */
function handWords({ advice, cast, school }: Way): string {
  switch (advice.method) {
    case "float":
    case "drift":
      return cast.mends === 0 ? "No mend." : `Mend ${count(cast.mends, "time")}.`;
    case "sinker":
    case "drop-shot":
    case "dead-bait":
      return "Tighten up and leave it.";
    case "jig":
    case "spoon":
      return "Let it sink, then lift and drop it towards you.";
    case "plug":
      return `${figureText(advice.turns, 1)} turns a second.`;
    case "spinner": {
      const { turns } = advice[school === "from-below" ? "up" : "down"];
      return turns < 0.05 ? "Hold it and let it swing round." : `${figureText(turns, 1)} turns a second.`;
    }
  }
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
