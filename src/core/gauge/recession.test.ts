import { daysToFall, recession } from "./recession";
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
