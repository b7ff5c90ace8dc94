import fc from "fast-check";
import { sampleOutlook, sampleReach, T0 } from "../../testing/plan-samples";
import { speciesById } from "../fish/species";
import type { Outlook } from "../gauge/outlook";
import { DAY, HOUR } from "../gauge/series";
import { NO_WEATHER } from "../gauge/weather";
import { coursesOf } from "./courses";
import { planOf } from "./plan";

const STEPS = 30;
const WATERS = { flow: fc.double({ min: 0.5, max: 40, noNaN: true }), count: fc.integer({ min: 12, max: 20 }) };

/** A river whose forecast is these paths, hour by hour. */
function outlookOfPaths(paths: readonly Float64Array[]): Outlook {
  const points = Array.from({ length: STEPS }, (_, h) => {
    const flows = paths.map((path) => path[h]!).sort((a, b) => a - b);
    const at = (share: number) => flows[Math.floor(share * flows.length)]!;
    return { time: T0 + (h + 1) * HOUR, low: at(0.1), median: at(0.5), high: at(0.9) };
  });
  const seen = points.map(({ time }, h) => ({ time, low: 0.2, median: 0.3 + 0.05 * h, high: 3 }));
  const season = Array.from({ length: 366 }, () => Float64Array.of(1, 2, 4, 8, 16));
  return {
    ...sampleOutlook(),
    season: season as unknown as Outlook["season"],
    visibleDepth: [{ time: T0, low: 0.2, median: 0.25, high: 3 }, ...seen],
    flow: { from: T0, discharge: 5, method: "combined", ways: [], step: HOUR, points, paths: [...paths] },
  };
}

test("an hour is worth the mean of what it is worth on each path, worked out one by one", () => {
  fc.assert(
    fc.property(
      WATERS.count.chain((count) =>
        fc.array(fc.array(WATERS.flow, { minLength: STEPS, maxLength: STEPS }), { minLength: count, maxLength: count }),
      ),
      (flows) => {
        const paths = flows.map((flow) => Float64Array.from(flow));
        const outlook = outlookOfPaths(paths);
        const lies = [
          { discharge: 2, visibleDepth: 0.4, score: 0.9 },
          { discharge: 9, visibleDepth: 1.5, score: 0.3 },
        ];
        const log = [{ low: 0, high: 4, hours: 12, events: 20, rate: 1.7, interval: [1, 2] as [number, number] }];
        const bands = [{ spot: "a", measure: "discharge" as const, low: 3, high: 9 }];
        const hours = Array.from({ length: STEPS }, (_, h) => ({
          ...NO_WEATHER,
          time: T0 + h * HOUR,
          cloud: 1,
          wind: 6,
        }));
        const weather = { issued: T0, hours };
        const all = { lies, log, usualRate: 0.5, bands, weather, known: "pool" };
        const ask = { species: speciesById("brown-trout"), from: T0, to: T0 + DAY, farthest: null, zone: "UTC" };
        const found = planOf([sampleReach("a", { ...all, outlook })], ask).days[0]!.hours;
        const expected = new Float64Array(found.length);
        for (const { weight, flows: along, seen } of coursesOf(outlook.flow!, ask.to)) {
          const points = outlook.flow!.points.map((point, h) => ({ ...point, median: along[h]! }));
          const visibleDepth = outlook.visibleDepth!.map((point) => ({
            ...point,
            median: seen === "median" ? point.median : seen === "high" ? point.low : point.high,
          }));
          const alone = { ...outlook, visibleDepth, flow: { ...outlook.flow!, points, paths: [] } };
          planOf([sampleReach("a", { ...all, outlook: alone })], ask, "median").days[0]!.hours.forEach(
            ({ score }, k) => (expected[k]! += weight * score),
          );
        }
        found.forEach(({ bar, score }, k) => expect(score).toBeCloseTo(bar ? 0 : expected[k]!, 10));
      },
    ),
    { numRuns: 25 },
  );
});

test("paths count alike, the highest third is the murkiest; too few of them, and a fall alone, are three lines", () => {
  const paths = Array.from({ length: 20 }, (_, k) => new Float64Array(STEPS).fill(20 - k));
  const courses = coursesOf(outlookOfPaths(paths).flow!, T0 + DAY);
  expect(courses.map(({ weight }) => weight)).toEqual(Array<number>(20).fill(1 / 20));
  expect(courses.map(({ flows }) => flows[0])).toEqual(Array.from({ length: 20 }, (_, k) => k + 1));
  expect(courses.map(({ seen }) => seen)).toEqual([
    ...Array<string>(6).fill("low"),
    ...Array<string>(8).fill("median"),
    ...Array<string>(6).fill("high"),
  ]);
  const few = coursesOf(outlookOfPaths(paths.slice(0, 5)).flow!, T0 + DAY);
  // Extended Swanson-Megill (Keefer & Bodily 1983; from memory).
  expect(few.map(({ weight }) => weight)).toEqual([0.3, 0.4, 0.3]);
});
