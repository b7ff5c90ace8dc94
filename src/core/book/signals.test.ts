import { stream } from "../quantity/seeded";
import { NOWHERE, type RateKind, SI_SCALE } from "./classes";
import type { Effort } from "./effort";
import { fishOf } from "./made-season";
import { sampleEffort, sampleRiver } from "./samples";
import { limitOf, signalsOf } from "./signals";

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

test("two fish are no pattern: too few hours to say, and how many it would take", () => {
  const random = stream(3);
  const efforts = [
    sampleEffort("a", 2, river(4, 10, "falling", 1), 2),
    sampleEffort("b", 2, river(9, 10, "rising", 1), 0),
  ];
  const [flow] = signalsOf(["flow"], efforts, SI_SCALE, NOWHERE, random);
  expect(flow).toMatchObject({ verdict: "too-few", p: null, best: null });
  const many = signalsOf(["trend"], season(40, false, 0, stream(9)), SI_SCALE, NOWHERE, random)[0]!;
  // ln 2 at 1.645 + 0.842 standard errors, 4/y: y = 4 (2.487 / ln 2)^2 = 51.5 fish where fish come singly.
  expect((many.wanted! * 0.5) / 51.5).toBeGreaterThan(0.7);
  expect(many.verdict).not.toBe("supported");
});

test("the step-up procedure on the worked example of Benjamini & Hochberg 1995: the first four of fifteen at 5 %", () => {
  const p = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
  ];
  expect(limitOf(p, 0.05)).toBe(0.0095);
  expect(limitOf([0.5, 0.9])).toBe(-1);
  expect(limitOf([])).toBe(-1);
});
