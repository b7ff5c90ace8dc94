/**
 * Prints docs/rigs.md: the weights that are chosen beside those of the trade, each with its source. `npm run rigs`
 * writes it.
 */
import { adviseRig } from "../src/core/rig/advise";
import { hangingLine } from "../src/core/rig/vertical";
import { TRADE_CASES } from "../src/testing/trade-cases";
import { messageText } from "../src/words/messages";
import { methodName } from "../src/words/methods";
import "../src/words/rig";
import { weightText } from "../src/words/weight";

const lines = [
  "# Weights against the trade",
  "",
  "Printed by `npm run rigs`. What is chosen for each case, beside what is fished there. A case holds where the choice is within one step of its ladder (tested).",
  "",
  "| case | depth, speed | the trade | chosen | for | on the bottom | down in | swept or angle | source |",
  "|---|---|---|---|---|---|---|---|---|",
  ...TRADE_CASES.map(({ name, range: [low, high], source, request }) => {
    const advice = adviseRig(request);
    if (!("ladder" in advice)) throw new Error(name);
    const grams = "head" in advice ? advice.head.grams : advice.grams;
    const touch = "head" in advice ? advice.touch : advice.touchFraction;
    const trade =
      low === high ? weightText(low, "metric") : `${weightText(low, "metric")} to ${weightText(high, "metric")}`;
    const away = advice.angle === null ? `${advice.swept.toFixed(1)} m` : `${advice.angle.toFixed(0)}°`;
    const { depth, meanSpeed } = request.water;
    return `| ${name} (${methodName(request.method).toLowerCase()}, ${request.species}) | ${depth} m, ${meanSpeed} m/s | ${trade} | ${weightText(grams, "metric")} | ${advice.purpose} | ${(100 * touch).toFixed(0)} % | ${advice.seconds.toFixed(1)} s | ${away} | ${source} |`;
  }),
  "",
  "## A line under the rod",
  "",
  "In even water a line that hangs under the rod leans so that its weight under water is its drag over the tangent of its angle, W' = D / tan(angle). Lead under 12 m of line at 0.6 m/s:",
  "",
  "| line | lead | angle | drag of the line in the water | D / tan(angle) | W' |",
  "|---|---|---|---|---|---|",
  ...[0.00012, 0.00022, 0.0003].flatMap((diameter) =>
    [40, 80, 160].map((grams) => {
      const weight = (grams / 1000) * 9.81 * (1 - 999.7 / 11_340);
      const { angle, length } = hangingLine({ depth: 12, meanSpeed: 0.6, bedRoughness: 0 }, weight, diameter);
      const drag = 0.5 * 999.7 * 1.2 * diameter * 0.36 * length;
      const closed = drag / Math.tan((angle * Math.PI) / 180);
      const figures = Number.isFinite(drag) ? [`${drag.toFixed(2)} N`, `${closed.toFixed(2)} N`] : ["–", "–"];
      return `| ${(diameter * 1000).toFixed(2)} mm | ${grams} g | ${angle.toFixed(0)}° | ${figures.join(" | ")} | ${weight.toFixed(2)} N |`;
    }),
  ),
  "",
  "## Why",
  "",
  "The reasons of the first case, as the card gives them:",
  "",
  ...adviseRig(TRADE_CASES[0]!.request)
    .reasons.slice(0, 4)
    .map((one) => `- ${messageText(one, "metric")}`),
];
process.stdout.write(`${lines.join("\n")}\n`);
