import { InputError } from "../quantity/fault";
import { readPairs } from "../formats/rating-csv";
import { dischargeAt, fitRating, stageAt } from "./rating";

const stages = [0.31, 0.42, 0.55, 0.7, 0.9, 1.15, 1.4, 1.8];
const pairs = (of: (stage: number) => number) => stages.map((stage) => ({ stage, discharge: of(stage) }));

test("recovers C, h0 and b of clean pairs, and has then no scatter", () => {
  const fit = fitRating(pairs((stage) => 14 * (stage - 0.12) ** 1.9));
  expect(fit.C).toBeCloseTo(14, 3);
  expect(fit.h0).toBeCloseTo(0.12, 4);
  expect(fit.b).toBeCloseTo(1.9, 4);
  expect(fit.standardError).toBeLessThan(1e-4);
  expect(fit).toMatchObject({ count: 8, maxGauged: 14 * (1.8 - 0.12) ** 1.9 });
});

test.each([
  ["rectangular weir, 1.5 (Poleni; ISO 1438)", 1.5, (h: number) => (2 / 3) * 0.6 * Math.sqrt(2 * 9.81) * 4 * h ** 1.5],
  ["90 degree V-notch, 2.5 (ISO 1438)", 2.5, (h: number) => (8 / 15) * 0.58 * Math.sqrt(2 * 9.81) * h ** 2.5],
  ["wide channel under Manning, 5/3", 5 / 3, (h: number) => ((20 * Math.sqrt(0.002)) / 0.03) * h ** (5 / 3)],
])("the exponent of a %s", (_, b, law) => {
  const fit = fitRating(pairs((stage) => law(stage - 0.2)));
  expect(fit.b).toBeCloseTo(b, 3);
  expect(fit.h0).toBeCloseTo(0.2, 3);
});

test("scattered pairs: the error is about the scatter put in, and the curve lies within its band of the truth", () => {
  const noise = [0.05, -0.06, 0.04, -0.03, 0.06, -0.05, 0.02, -0.03];
  const fit = fitRating(
    stages.map((stage, k) => ({ stage, discharge: 14 * (stage - 0.12) ** 1.9 * Math.exp(noise[k]!) })),
  );
  expect(fit.standardError).toBeGreaterThan(0.03);
  expect(fit.standardError).toBeLessThan(0.09);
  const rated = dischargeAt(fit, 1);
  expect(rated.low!).toBeLessThan(14 * 0.88 ** 1.9);
  expect(rated.high!).toBeGreaterThan(14 * 0.88 ** 1.9);
});

test("stage and discharge are each other's inverse; beyond 1.5 times the highest gauging is flagged; under h0 nothing flows", () => {
  const fit = fitRating(pairs((stage) => 14 * (stage - 0.12) ** 1.9));
  expect(stageAt(fit, dischargeAt(fit, 1.1).value).value).toBeCloseTo(1.1, 9);
  expect(dischargeAt(fit, 1.8).extrapolated).toBe(false);
  expect(stageAt(fit, 1.6 * fit.maxGauged).extrapolated).toBe(true);
  expect(dischargeAt(fit, 0.05).value).toBe(0);
});

test("three pairs make a curve but tell no error; fewer, still flows, and falling ones are refused", () => {
  expect(fitRating(pairs((stage) => stage ** 2).slice(0, 3)).standardError).toBeNull();
  expect(() => fitRating(pairs((stage) => stage).slice(0, 2))).toThrow(InputError);
  expect(() => fitRating([...pairs((stage) => stage), { stage: 2, discharge: 0 }])).toThrow("discharge-not-positive");
  expect(() => fitRating(pairs((stage) => 5 - stage))).toThrow("not-a-rating");
  expect(() => fitRating([{ stage: NaN, discharge: 1 }])).toThrow("not-a-number");
});

test("pairs from a CSV: units by header, or two bare columns; bad lines told, bad columns located", () => {
  const { gaugings, rejected } = readPairs("flow (cfs),gage height (ft)\n100,3\nx,4\n-5,2\n200,4\n");
  expect(gaugings[0]!.discharge).toBeCloseTo(2.8316846592, 9);
  expect(gaugings[0]!.stage).toBeCloseTo(0.9144, 9);
  expect(rejected.map((one) => one.line)).toEqual([3, 4]);
  expect(readPairs("0.5;1.2\n0.7;2.4\n").gaugings).toEqual([
    { stage: 0.5, discharge: 1.2 },
    { stage: 0.7, discharge: 2.4 },
  ]);
  expect(() => readPairs("a,b\n1,2\n")).toThrow("no-named-column");
  expect(() => readPairs("stage (cfs),discharge\n1,2\n")).toThrow("wrong-unit");
  expect(() => readPairs("stage (furlong),discharge\n1,2\n")).toThrow("unknown-unit");
  expect(() => readPairs("stage,discharge\nx,y\n")).toThrow("no-pairs");
});
