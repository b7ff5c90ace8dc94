import { stream } from "../quantity/seeded";
import { NOWHERE } from "./classes";
import { SI_SCALE } from "./rate-terms";
import { fishOf } from "./made-season";
import { sampleEffort, sampleRiver } from "./samples";
import { limitOf, signalsOf } from "./signals";

const river = (discharge: number, temperature: number, trend: "rising" | "falling" | "steady", visibleDepth: number) =>
  sampleRiver({ discharge, waterTemperature: temperature, trend, visibleDepth });
const TRENDS = ["rising", "falling", "steady"] as const;

test("two fish are no pattern: too few hours to say, and how many it would take", () => {
  const random = stream(3);
  const efforts = [
    sampleEffort("a", 2, river(4, 10, "falling", 1), 2),
    sampleEffort("b", 2, river(9, 10, "rising", 1), 0),
  ];
  const [flow] = signalsOf(["flow"], efforts, SI_SCALE, NOWHERE, random);
  expect(flow).toMatchObject({ verdict: "too-few", p: null, best: null });
  const next = stream(9);
  const plain = Array.from({ length: 40 }, (_, k) =>
    sampleEffort(`s${k}`, 3.5, river(6, 12, TRENDS[k % 3]!, 1), fishOf(0.5, 3.5, 0, next)),
  );
  const many = signalsOf(["trend"], plain, SI_SCALE, NOWHERE, random)[0]!;
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
