import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { SPECIES } from "../fish/species-list";
import { TRADE_CASES } from "../../testing/trade-cases";
import { methodsFor } from "../tactics/fished-with";
import { isWeighted } from "../tactics/methods";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";

/** The weights that are chosen, against the trade: within one step of the ladder. Common practice, no source. */

const chosen = (request: RigRequest) => {
  const advice = adviseRig(request);
  if (!("ladder" in advice)) throw new Error(`${request.method} has no ladder`);
  return {
    ladder: advice.ladder.map(({ grams }) => grams),
    grams: "head" in advice ? advice.head.grams : advice.grams,
  };
};

test.each(TRADE_CASES)("$name", ({ range: [low, high], request }) => {
  const { ladder, grams } = chosen(request);
  const under = ladder.findLast((one) => one < 0.999 * low) ?? low;
  const over = ladder.find((one) => one > 1.001 * high) ?? high;
  expect(grams).toBeGreaterThanOrEqual(0.999 * under);
  expect(grams).toBeLessThanOrEqual(1.001 * over);
});

test("docs/rigs.md is what its command prints", () => {
  const printed = execFileSync("node", ["--import", "tsx", "scripts/rigs.ts"], { encoding: "utf8" });
  expect(readFileSync("docs/rigs.md", "utf8")).toBe(printed);
}, 60_000);

/** Lightest and heaviest that the trade fishes for a fish in a river of two metres at most, g. Common practice. */
const TRADE_RANGE = { small: [0.1, 60], large: [0.1, 120] } as const;

test("every fish has three methods with weights of the trade at low, middle and high flow", () => {
  for (const { id } of SPECIES) {
    const [low, high] = ["catfish", "striped", "barbel", "walleye", "zander", "salmon", "steelhead", "chub"].some(
      (one) => id.includes(one),
    )
      ? TRADE_RANGE.large
      : TRADE_RANGE.small;
    for (const [depth, meanSpeed] of [
      [0.9, 0.25],
      [1.3, 0.45],
      [1.8, 0.8],
    ] as const) {
      const fits = methodsFor(id)
        .filter(isWeighted)
        .map((method) => chosen({ method, species: id, water: { depth, meanSpeed, bedRoughness: 0.15 } }).grams)
        .filter((grams) => grams >= low && grams <= high);
      expect([id, depth, fits.length >= 3]).toEqual([id, depth, true]);
    }
  }
});
