import fc from "fast-check";
import {
  HOUR,
  indexAtOrBefore,
  interpolated,
  knownBy,
  lastReading,
  mergeSeries,
  readingAt,
  readingsBetween,
  type Series,
  seriesFrom,
} from "./series";

const at = (hours: number) => Date.UTC(2026, 0, 1) + hours * HOUR;
const series = seriesFrom("stage", [
  [at(0), 1],
  [at(1), NaN],
  [at(2), 3],
  [at(12), 5],
]);

test("readings in any order become a record in order; of two at one instant the one given later wins", () => {
  const found = seriesFrom("stage", [
    [at(2), 3],
    [at(0), 9],
    [at(0), 1],
  ]);
  expect([...found.times]).toEqual([at(0), at(2)]);
  expect([...found.values]).toEqual([1, 3]);
  expect(() => seriesFrom("stage", [[NaN, 1]])).toThrow("bad-time");
});

test("the place of an instant in a record, by halving, is that of a plain search", () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 60 })), fc.integer({ min: -2, max: 62 }), (hours, wanted) => {
      const record = seriesFrom(
        "stage",
        hours.map((hour) => [at(hour), hour] as const),
      );
      const plain = Array.from(record.times).findLastIndex((time) => time <= at(wanted));
      expect(indexAtOrBefore(record, at(wanted))).toBe(plain);
    }),
    { seed: 3 },
  );
});

test("the last true reading counts for six hours, at its own time, past a gap", () => {
  expect(lastReading(series, at(1.5))).toEqual({ time: at(0), value: 1 });
  expect(readingAt(series, at(8))).toBe(3);
  expect(readingAt(series, at(8) + 1)).toBeNull();
  expect(readingAt(series, at(-1))).toBeNull();
  expect(readingAt(undefined, at(0))).toBeNull();
  expect(readingAt(series, at(4), HOUR)).toBeNull();
});

test("between two readings the value is on the line; across a stale stretch there is none", () => {
  expect(interpolated(series, at(1))).toBe(2);
  expect(interpolated(series, at(2))).toBe(3);
  expect(interpolated(series, at(7))).toBe(3 + (5 / 10) * 2);
  expect(interpolated(series, at(5))).toBeNaN();
  expect(interpolated(series, at(13))).toBeNaN();
  expect(interpolated(series, at(-1))).toBeNaN();
});

test("the readings between two instants are those at both ends too, without the gaps", () => {
  expect([...readingsBetween(series, at(0), at(2))]).toEqual([
    [at(0), 1],
    [at(2), 3],
  ]);
  expect([...readingsBetween(series, at(0) + 1, at(2) - 1)]).toEqual([]);
  expect([...readingsBetween(series, at(-9), at(99))].map(([, value]) => value)).toEqual([1, 3, 5]);
});

test("a record as it was known at an instant holds nothing of later, and shares its memory", () => {
  const then = knownBy(series, at(2));
  expect([...then.times]).toEqual([at(0), at(1), at(2)]);
  expect(then.values.buffer).toBe(series.values.buffer);
  expect(knownBy(series, at(99))).toBe(series);
  expect(knownBy(series, at(-1)).times).toHaveLength(0);
});

test("two records of one parameter: every instant once, the newer's value where both have it, whichever begins first", () => {
  const of = (...readings: [number, number][]) =>
    seriesFrom(
      "stage",
      readings.map(([hour, value]) => [at(hour), value] as const),
    );
  const joined = (older: Series, newer: Series) => {
    const { times, values } = mergeSeries(older, newer);
    return Array.from(times, (time, k) => [(time - at(0)) / HOUR, values[k]]);
  };
  const [one, other] = [of([0, 1], [2, 2], [5, 3]), of([1, 10], [2, 20], [9, 30])];
  expect(joined(one, other)).toEqual([
    [0, 1],
    [1, 10],
    [2, 20],
    [5, 3],
    [9, 30],
  ]);
  expect(joined(other, one)).toEqual([
    [0, 1],
    [1, 10],
    [2, 2],
    [5, 3],
    [9, 30],
  ]);
});

test("between readings the gaps are passed over; the next may be six hours ahead, and no more", () => {
  const of = (...readings: [number, number][]) =>
    seriesFrom(
      "stage",
      readings.map(([hour, value]) => [at(hour), value] as const),
    );
  expect(interpolated(of([0, 1], [1, NaN], [3, NaN], [4, 5]), at(2))).toBe(3);
  expect(interpolated(of([0, 1], [7, 8]), at(1))).toBe(2);
  expect(interpolated(of([0, 1], [7, 8]), at(1) - 1)).toBeNaN();
  expect(interpolated(of([0, 1], [2, NaN]), at(1))).toBeNaN();
});
