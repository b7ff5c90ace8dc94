import { fishWeights, type MeasuredFish } from "../src/core/book/weights";
import { speciesById } from "../src/core/fish/species";
import { only } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";

export const fish: Command = {
  usage: "JSON",
  about: `Weighs a fish against its kind: {species, length (m), lengthKind?: total|pinched|fork, weight? (kg), girth? (m)}.
Output: standardWeight (kg; null where none is published), relativeWeight (percent, null without a weight), girthWeight (kg,
null without a girth: L G^2 / 800 in pounds and inches), totalLength, source.`,
  options: {},
  run: (args) => {
    const asked = requestAsked(only(args, "a fish")) as MeasuredFish;
    const weights = fishWeights(asked);
    return { ...weights, source: speciesById(asked.species).source };
  },
};
