import { stream } from "../quantity/seeded";
import { fishOf } from "../../testing/made-season";
import { sampleEffort, sampleRiver } from "../../testing/book-samples";
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

describe("the line by hand", () => {
  // Hours and fish at ln Q = 0 and 1: two sessions, of which the second moved on within itself.
  const MARKS = [
    { at: 0, hours: 2, fish: 1 },
    { at: 1, hours: 3, fish: 6 },
    { at: 0.5, hours: 1, fish: 2 },
  ];
  const efforts = MARKS.map(({ at, hours, fish }, k) =>
    sampleEffort(k === 0 ? "first" : "second", hours, river(Math.exp(at)), fish),
  );
  // Silverman 1986, eq. 3.31: 0.9 times the spread, by the fifth root of the sessions.
  const mean = (2 * 0 + 3 * 1 + 1 * 0.5) / 6;
  const spread = Math.sqrt((2 * mean ** 2 + 3 * (1 - mean) ** 2 + (0.5 - mean) ** 2) / 6);
  const width = (0.9 * spread) / 2 ** 0.2;
  const weight = (x: number, at: number) => Math.exp(-((x - at) ** 2) / (2 * width ** 2));
  const hoursAt = (x: number, marks = MARKS) => marks.reduce((sum, one) => sum + one.hours * weight(x, one.at), 0);
  const rateAt = (x: number, marks = MARKS) =>
    marks.reduce((sum, one) => sum + one.fish * weight(x, one.at), 0) / hoursAt(x, marks);

  test("48 flows at even steps of the logarithm, fish and hours under a normal kernel at each", () => {
    const points = smoothRate(efforts, stream(1), 5);
    expect(points).toHaveLength(48);
    points.forEach(({ discharge, hours, rate }, k) => {
      expect(Math.log(discharge)).toBeCloseTo(k / 47, 12);
      expect(hours).toBeCloseTo(hoursAt(k / 47), 12);
      expect(rate!).toBeCloseTo(rateAt(k / 47), 12);
    });
  });

  test("sessions are drawn, as many as there are: one twice, eight times both, the other twice", () => {
    const draws = [0, 0, ...Array.from({ length: 8 }, () => [0, 0.5]).flat(), 0.999, 0.999];
    let n = 0;
    const points = smoothRate(efforts, () => draws[n++]!, 10);
    expect(n).toBe(20);
    // The tenth of ten lies nine tenths of the way from the first to the second of them, and so above (Hyndman & Fan
    // 1996, type 7).
    points.forEach(({ low, high }, k) => {
      const x = k / 47;
      const drawn = [rateAt(x, MARKS.slice(0, 1)), rateAt(x, MARKS.slice(1)), ...Array(8).fill(rateAt(x))];
      drawn.sort((a, b) => a - b);
      expect(low!).toBeCloseTo(0.1 * drawn[0] + 0.9 * drawn[1], 12);
      expect(high!).toBeCloseTo(0.9 * drawn[8] + 0.1 * drawn[9], 12);
    });
  });

  test("what has no flow or no hours is no part of it", () => {
    const nothing = [
      sampleEffort("none", 3, null, 4),
      sampleEffort("unknown", 3, sampleRiver({}), 4),
      sampleEffort("dry", 3, river(0), 4),
      sampleEffort("back", 3, river(-1), 4),
      sampleEffort("first", 0, river(40), 4),
    ];
    expect(smoothRate([...efforts, ...nothing], stream(1), 5)).toEqual(smoothRate(efforts, stream(1), 5));
  });

  test("flows within a tenth of each other's logarithm are one flow; the kernel is never narrower", () => {
    const two = (at: number) => [sampleEffort("a", 30, river(1), 3), sampleEffort("b", 2, river(Math.exp(at)), 4)];
    expect(smoothRate(two(0.0999), stream(1), 5)).toEqual([]);
    const points = smoothRate(two(0.15), stream(1), 5);
    expect(points).toHaveLength(48);
    const far = Math.exp(-0.5 * (0.15 / 0.1) ** 2);
    expect(points[0]!.rate!).toBeCloseTo((3 + 4 * far) / (30 + 2 * far), 9);
    expect(points.at(-1)!.rate!).toBeCloseTo((3 * far + 4) / (30 * far + 2), 9);
    expect(smoothRate([sampleEffort("a", 3, river(1), 1)], stream(1), 5)).toEqual([]);
  });

  test("an hour and a half about a flow is enough to speak of it, less is not", () => {
    const apart = (hours: number) =>
      smoothRate([sampleEffort("a", hours, river(1), 1), sampleEffort("b", 40, river(1e6), 1)], stream(1), 5)[0]!;
    expect(apart(1.5).rate!).toBeCloseTo(1 / 1.5, 3);
    expect(apart(1.49)).toMatchObject({ rate: null, low: null, high: null });
    expect(apart(1.49).hours).toBeCloseTo(1.49, 2);
  });
});
