import { forecastFlow } from "./forecast/flow-forecast";
import { bendAt, recededFlow, recessionLaw } from "./recession-law";
import { boxed, daysToFall, recession } from "./recession";
import { HOUR, seriesFrom } from "./series";

const start = Date.UTC(2025, 0, 1);
const hourly = (of: (hour: number) => number, hours: number) =>
  seriesFrom(
    "discharge",
    Array.from({ length: hours }, (_, k) => [start + k * HOUR, of(k)] as const),
  );

/** Falls of ten days by k = 0.9 a day, on which runoff stands that is gone half a day after the peak. */
const withRunoff = (hour: number) => {
  const since = hour % 240;
  const runoff = since < 12 ? 1 + 3 * (1 - since / 12) : 1;
  return 20 * 0.9 ** (since / 24) * runoff;
};

test("while the runoff of the peak still drains the fall is not yet the river's own: it is left out", () => {
  // Tallaksen 1995, J. Hydrol. 165: recession begins when direct runoff has ceased.
  const found = recession(hourly(withRunoff, 240 * 6))!;
  expect(found.events).toBe(6);
  expect(found.lambdaPerDay).toBeCloseTo(-Math.log(0.9), 2);
  expect(found.high - found.low).toBeLessThan(0.01);
});

test("with fewer than three falls, or none long enough, nothing is said", () => {
  expect(recession(hourly(withRunoff, 240 * 2))).toBeNull();
  expect(recession(hourly((hour) => 5 + Math.sin(hour / 4), 24 * 60))).toBeNull();
  expect(recession(hourly(() => NaN, 24 * 60))).toBeNull();
});

test("a fall that is broken by a gap is two falls", () => {
  const whole = recession(hourly(withRunoff, 240 * 6))!;
  const broken = recession(hourly((hour) => (hour % 240 > 110 && hour % 240 < 126 ? NaN : withRunoff(hour)), 240 * 6))!;
  expect(broken.events).toBeGreaterThan(whole.events);
  expect(broken.lambdaPerDay).toBeCloseTo(whole.lambdaPerDay, 2);
});

test("days from one flow to another: 20 to 10 m3/s at k = 0.90 a day take 6.58 (closed form)", () => {
  expect(daysToFall(20, 10, -Math.log(0.9))).toBeCloseTo(6.5788, 3);
});

describe("the law of the falls, dQ/dt = -a Q^b (Brutsaert & Nieber 1977, Water Resour. Res. 13)", () => {
  /** Falls of ten days from 20 m3/s by the law's own integral, half a day of rise before each. */
  const falls = (a: number, b: number) =>
    hourly((hour) => {
      const since = hour % 240;
      return since < 12 ? 20 + since : recededFlow(20, (since - 12) / 24, a, b);
    }, 240 * 6);

  test.each([
    [0.1, 1],
    [0.02, 1.5],
    [0.005, 2],
    [0.0008, 2.8],
  ])("a = %d, b = %d are found again in a made record", (a, b) => {
    const law = recessionLaw(boxed(falls(a, b)))!;
    expect(law.falls).toBe(6);
    expect(law.b).toBeCloseTo(b, 1);
    // The rate at 10 m3/s, where both are told together.
    expect((law.a[1] * 10 ** law.b) / (a * 10 ** b)).toBeCloseTo(1, 1);
  });

  test("its integral is the exponential at b = 1 and the hyperbola of a draining store at b = 2 (closed forms)", () => {
    expect(recededFlow(20, 5, 0.1, 1)).toBeCloseTo(20 * Math.exp(-0.5), 10);
    expect(recededFlow(20, 5, 0.1, 1 + 1e-5)).toBeCloseTo(20 * Math.exp(-0.5), 3);
    expect(recededFlow(20, 5, 0.01, 2)).toBeCloseTo(20 / (1 + 0.01 * 20 * 5), 10);
    expect(bendAt(5, 10, 2)).toBe(0.5);
    expect(bendAt(20, 10, 2)).toBe(1);
  });

  test("near base flow a short record's forecast bends: from a lower flow it falls by a smaller share", () => {
    // Three falls of four days make the law; there are too few days to try other ways on.
    const at = (day: number) =>
      forecastFlow(
        hourly(
          (hour) => {
            const since = hour < 288 ? hour % 96 : hour - 288;
            return since < 12 ? 20 + since : recededFlow(20, (since - 12) / 24, 0.02, 2);
          },
          288 + 24 * day,
        ),
        start + (287 + 24 * day) * HOUR,
      )!;
    const share = (day: number) => at(day).points.at(-1)!.median / at(day).discharge;
    for (const day of [2, 3]) {
      const told = at(day).points.at(-1)!.median / recededFlow(at(day).discharge, 5, 0.02, 2);
      expect(told).toBeGreaterThan(0.9);
      expect(told).toBeLessThan(1.1);
    }
    expect(at(1).method).toBe("recession");
    expect(share(3)).toBeGreaterThan(share(1));
    for (const { low, median, high } of at(1).points) {
      expect(low).toBeLessThanOrEqual(median);
      expect(median).toBeLessThanOrEqual(high);
    }
  });

  test("falls of hardly any span tell no exponent: the fall is exponential then", () => {
    const flat = hourly(
      (hour) => (hour % 240 < 12 ? 10 : recededFlow(10, ((hour % 240) - 12) / 24, 0.0005, 2)),
      240 * 6,
    );
    expect(recessionLaw(boxed(flat))!.b).toBe(1);
    expect(recessionLaw(boxed(hourly(() => 5, 240)))).toBeNull();
  });
});
