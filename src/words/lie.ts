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
      ? "at every flow modelled"
      : openBelow
        ? `up to ${text(high)}`
        : openAbove
          ? `from ${text(low)} up`
          : `between ${text(low)} and ${text(high)}`;
  return `Fishes ${range}, best about ${text(best)}.`;
}

const FACTORS: Readonly<Record<string, string>> = {
  ambush: "slow beside fast",
  lane: "migration route",
  rest: "rest before hard water",
  liking: "your own fish",
};

/** What the score of a lie is made of. */
export function scoreWords({ score, factors }: Pick<Lie, "score" | "factors">): string {
  const parts = Object.entries(factors).map(([name, value]) =>
    name === "netEnergy"
      ? `food gained ${figureText(value * 1000, 0)}`
      : `${FACTORS[name] ?? name} ${figureText(value, 2)}`,
  );
  if (!(score > 0))
    return "Score 0: not worth feeding here now. Scores compare spots today; they aren’t the chance of a fish.";
  const scaled = factors.netEnergy === undefined ? " × 1000" : "";
  return `Score ${figureText(score * 1000, 0)} = ${parts.join(" × ")}${scaled}. Scores compare spots today; they aren’t the chance of a fish.`;
}

/** What kind of place a lie is. */
export const kindWords = (lie: Pick<Lie, "kind" | "drift">): string => (isShelter(lie) ? "shelter" : lie.kind);

const ORDINALS = ["First", "Second", "Third"];

/** The other places to hold that belong to a lie. */
export function othersWords({ x, y, others }: Pick<Lie, "x" | "y" | "others">, system: UnitSystem): string | undefined {
  if (others.length === 0) return undefined;
  const far = Math.max(...others.map((one) => Math.hypot(one.x - x, one.y - y)));
  return `Fish spread through it: ${count(others.length, "more place")} to hold within ${showText(far, "distance", system)}, ringed on the plan.`;
}

/** A lie among those of its hold. */
export const holdWords = ({ place, of }: Hold): string =>
  `${ORDINALS[place - 1]} of ${of} lies close together: ${
    place === 1
      ? "the best fish holds here. Catch it and the next one moves up."
      : "the next fish holds here. Fish them from near to far."
  }`;
