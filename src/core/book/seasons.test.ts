import { stream } from "../quantity/seeded";
import { NOWHERE } from "./classes";
import { type RateKind, SI_SCALE } from "./rate-terms";
import type { Effort } from "./effort";
import { coverage, fishOf } from "../../testing/made-season";
import { ratesOf } from "./rates";
import { sampleEffort, sampleRiver } from "../../testing/book-samples";
import { signalsOf } from "./signals";
import { smoothRate } from "./smooth-rate";

// What only whole made-up seasons, hundreds of them, show: rates, bands and signals keep to what they state.

const river = (discharge: number, temperature: number, trend: "rising" | "falling" | "steady", visibleDepth: number) =>
  sampleRiver({ discharge, waterTemperature: temperature, trend, visibleDepth });
const KINDS: readonly RateKind[] = ["flow", "temperature", "trend", "clarity"];
const TRENDS = ["rising", "falling", "steady"] as const;

/** A made-up season: fish by the flow alone, or by nothing; the rest is noise. */
function season(sessions: number, planted: boolean, dispersion: number, random: () => number): Effort[] {
  return Array.from({ length: sessions }, (_, k) => {
    const discharge = Math.exp(Math.log(2) + Math.log(10) * random());
    const hours = 2 + 3 * random();
    const rate = planted ? 1.2 * Math.exp(-0.5 * (Math.log(discharge / 6) / 0.4) ** 2) + 0.05 : 0.5;
    const state = river(discharge, 4 + 16 * random(), TRENDS[Math.floor(3 * random())]!, 0.2 + 2 * random());
    return sampleEffort(`s${k}`, hours, state, fishOf(rate, hours, dispersion, random));
  });
}

test.each([0, 0.5, 2])(
  "80 %% intervals hold the truth of a thousand made-up seasons in 76 to 88 %% of classes: dispersion %p",
  (dispersion) => {
    const held = coverage(350, 40, dispersion, stream(7 + dispersion * 10), ratesOf);
    expect(held).toBeGreaterThan(0.76);
    expect(held).toBeLessThan(0.88);
  },
);

test("a planted best flow is found within its band after 40 sessions; what was not planted is not", () => {
  let [found, within, strays] = [0, 0, 0];
  const seasons = 60;
  for (let n = 0; n < seasons; n++) {
    const random = stream(1000 + n);
    const signals = signalsOf(KINDS, season(40, true, 0.25, random), SI_SCALE, NOWHERE, random, 199);
    const flow = signals.find((one) => one.kind === "flow")!;
    if (flow.verdict === "supported") found++;
    if (flow.best && flow.best.low! <= 6 && flow.best.high! > 6) within++;
    const told = signals.filter((one) => one.verdict === "supported");
    strays += told.filter((one) => one.kind !== "flow").length / Math.max(1, told.length);
  }
  expect(found / seasons).toBeGreaterThan(0.8);
  expect(within / found).toBeGreaterThan(0.8);
  // Of what is told in a season, a tenth may be chance, on average.
  expect(strays / seasons).toBeLessThan(0.1);
});

test.each([0, 1])("in logs without any pattern hardly anything is told as one: dispersion %p", (dispersion) => {
  let told = 0;
  const seasons = 120;
  for (let n = 0; n < seasons; n++) {
    const random = stream(5000 + n);
    const signals = signalsOf(KINDS, season(40, false, dispersion, random), SI_SCALE, NOWHERE, random, 199);
    if (signals.some((one) => one.verdict === "supported")) told++;
  }
  // A tenth by the stated rate, and its own spread: 0.1 + 2 sqrt(0.1 0.9 / 120).
  expect(told / seasons).toBeLessThan(0.155);
});

/** Sixty sessions of three hours over all flows, with fish at a rate by flow. */
const logOf = (rateAt: (q: number) => number, dispersion: number, random: () => number) =>
  Array.from({ length: 60 }, (_, k) => {
    const q = Math.exp(Math.log(2) + Math.log(10) * random());
    return sampleEffort(`s${k}`, 3, sampleRiver({ discharge: q }), fishOf(rateAt(q), 3, dispersion, random));
  });

test("bands from redrawn sessions hold the truth about four times in five (known process, seeded)", () => {
  // A gentle slope of ln rate, which a kernel hardly bends; fish in bunches.
  const truth = (q: number) => 0.5 * (q / 6) ** 0.4;
  let [held, asked] = [0, 0];
  for (let n = 0; n < 120; n++) {
    const random = stream(40 + n);
    for (const { discharge, low, high, rate } of smoothRate(logOf(truth, 0.5, random), random, 120)) {
      if (rate === null || discharge < 3 || discharge > 13) continue;
      asked++;
      if (low! <= truth(discharge) && truth(discharge) <= high!) held++;
    }
  }
  expect(held / asked).toBeGreaterThan(0.7);
  expect(held / asked).toBeLessThan(0.88);
});
