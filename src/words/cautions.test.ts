import type { Caution } from "../core/gauge/cautions";
import { cautionWords } from "./cautions";

test.each<[Caution, RegExp]>([
  [{ kind: "rising", metresPerHour: 0.15 }, /^Rising fast, 0\.49 ft an hour: leave the water/],
  [{ kind: "rising", ratePerHour: 0.124 }, /^Rising fast, 12 % an hour: leave the water/],
  [{ kind: "very-high", exceedance: 0.04, rising: true }, /^Very high for the season, and rising: only 4 % of days/],
  [{ kind: "thunder", minutesLeft: 20 }, /off the water, rod down, for another 20 min/],
  [{ kind: "dam", note: "siren, then a metre" }, /^Dam above: siren, then a metre\. Know your way out/],
  [{ kind: "tide" }, /tide is coming in/],
  [{ kind: "dark" }, /don’t wade where you haven’t waded by day/],
  [{ kind: "heat", temperature: 21, fish: "brown-trout" }, /^Water 70 °F: too warm for brown trout\. Leave them/],
  [{ kind: "cold", temperature: 8 }, /^Cold water, 46 °F/],
  [{ kind: "storm" }, /^Thunder is forecast for this hour: stay off the water/],
  [{ kind: "wind", speed: 12 }, /^Strong wind, up to 27 mph: white caps/],
  [{ kind: "frost", temperature: -2 }, /^Frost, 28 °F: stones and banks are icy/],
])("%j is said so", (caution, words) => {
  expect(cautionWords(caution, "us")).toMatch(words);
});
