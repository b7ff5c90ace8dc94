import type { FlowBand } from "../core/fish/flow-band";
import type { Hold } from "../core/fish/holds";
import { isShelter } from "../core/fish/judgement";
import type { Lie } from "../core/fish/read";
import { figureText, showText, type UnitSystem } from "./quantity";
import { count } from "./text";

/** The flows at which a lie fishes. */
export function flowBandWords({ low, high, best, openBelow, openAbove }: FlowBand, system: UnitSystem): string {
  const text = (value: number) => showText(value, "discharge", system);
  const range =
    openBelow && openAbove
      ? "at every flow looked at"
      : openBelow
        ? `up to ${text(high)}`
        : openAbove
          ? `from ${text(low)} up`
          : `between ${text(low)} and ${text(high)}`;
  return `Fishes ${range}, best about ${text(best)}.`;
}

const FACTORS: Readonly<Record<string, string>> = {
  ambush: "slow beside fast",
  lane: "way up",
  rest: "rest before effort",
  liking: "as your own fish have it",
};

/** What the score of a lie is made of. */
export function scoreWords({ score, factors }: Pick<Lie, "score" | "factors">): string {
  const parts = Object.entries(factors).map(([name, value]) =>
    name === "netEnergy"
      ? `what feeding brings ${figureText(value * 1000, 0)}`
      : `${FACTORS[name] ?? name} ${figureText(value, 2)}`,
  );
  if (!(score > 0))
    return "It scores nothing to feed at now. Scores compare places on this day; they are no chance of a fish.";
  const scaled = factors.netEnergy === undefined ? " × 1000" : "";
  return `Score ${figureText(score * 1000, 0)} = ${parts.join(" × ")}${scaled}. It compares places on this day; it is no chance of a fish.`;
}

/** What kind of place a lie is. */
export const kindWords = (lie: Pick<Lie, "kind" | "drift">): string => (isShelter(lie) ? "shelter" : lie.kind);

const ORDINALS = ["First", "Second", "Third"];

/** The other places to hold that belong to a lie. */
export function othersWords({ x, y, others }: Pick<Lie, "x" | "y" | "others">, system: UnitSystem): string | undefined {
  if (others.length === 0) return undefined;
  const far = Math.max(...others.map((one) => Math.hypot(one.x - x, one.y - y)));
  return `Fish are spread through it: ${count(others.length, "more place")} to hold within ${showText(far, "distance", system)}, the rings on the plan.`;
}

/** A lie among those of its hold. */
export const holdWords = ({ place, of }: Hold): string =>
  `${ORDINALS[place - 1]} of ${of} lies close together: ${
    place === 1
      ? "the best fish has it; when it is gone the next one moves up."
      : "the next fish has it. Fish them from the nearer to the farther."
  }`;
