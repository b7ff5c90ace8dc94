import { stream } from "../quantity/seeded";
import { fishOf } from "./made-season";
import { sampleEffort, sampleRiver } from "./samples";
import { smoothRate } from "./smooth-rate";

const river = (discharge: number) => sampleRiver({ discharge });

const season = (rateAt: (q: number) => number, dispersion: number, random: () => number) =>
  Array.from({ length: 60 }, (_, k) => {
    const q = Math.exp(Math.log(2) + Math.log(10) * random());
    return sampleEffort(`s${k}`, 3, river(q), fishOf(rateAt(q), 3, dispersion, random));
  });

test("the same rate everywhere is a level line, and it is fish over hours", () => {
  const efforts = Array.from({ length: 20 }, (_, k) => sampleEffort(`s${k}`, 2, river(2 + k), 1));
  const points = smoothRate(efforts, stream(1), 50);
  for (const point of points) {
    expect(point.rate!).toBeCloseTo(0.5, 9);
    // Every redrawn log is the same then.
    expect([point.low!, point.high!].map((one) => one.toFixed(9))).toEqual(["0.500000000", "0.500000000"]);
  }
});

test("a planted peak is where the line is highest; where hardly anybody fished nothing is drawn", () => {
  const random = stream(8);
  const peaked = season((q) => 1.2 * Math.exp(-0.5 * (Math.log(q / 6) / 0.4) ** 2) + 0.05, 0, random);
  const points = smoothRate([...peaked, sampleEffort("far", 0.2, river(200), 0)], random, 50);
  const best = points.filter((one) => one.rate !== null).sort((a, b) => b.rate! - a.rate!)[0]!;
  expect(best.discharge).toBeGreaterThan(4);
  expect(best.discharge).toBeLessThan(9);
  expect(points.at(-1)).toMatchObject({ rate: null, low: null, high: null });
});

test("no flow, or one alone, is no line", () => {
  expect(smoothRate([], stream(1))).toEqual([]);
  expect(smoothRate([sampleEffort("a", 3, river(5), 1), sampleEffort("b", 3, null, 1)], stream(1))).toEqual([]);
});
