import fc from "fast-check";
import { getPosition } from "suncalc";
import { Body, Equator, Horizon, Observer } from "astronomy-engine";
import { visibleDepthFromTurbidity, clarityClass, bodyMarkAt, turbidityFromVisibleDepth } from "./clarity";
import { envelope } from "./envelope";
import { exceedance, seasonRecord } from "./exceedance";
import { daysToFall, recession } from "./recession";
import { HOUR, mergeSeries, readingAt, seriesFrom } from "./series";
import { theilSen, trendAt } from "./trend";

const start = Date.UTC(2025, 0, 1);
const hourly = (values: readonly number[]) =>
  seriesFrom(
    "discharge",
    values.map((value, k) => [start + k * HOUR, value] as const),
  );

test("exceedance is the Weibull plotting position m/(n+1) (USGS WSP 2207: the largest of 9 readings is exceeded 10 % of the time)", () => {
  const record = [1, 2, 3, 4, 5, 6, 7, 8, 9];
  expect(exceedance(record, 9)).toBeCloseTo(0.1, 12);
  expect(exceedance(record, 5)).toBeCloseTo(0.5, 12);
  expect(exceedance(record, 1)).toBeCloseTo(0.9, 12);
  expect(exceedance([...record, NaN], 5)).toBeCloseTo(0.5, 12);
  expect(exceedance([], 5)).toBeNull();
});

/** A published series of a hundred annual flows, 1e8 m3 (Cobb 1978, Biometrika 65; as in R's datasets package). */
const ANNUAL = [
  1120, 1160, 963, 1210, 1160, 1160, 813, 1230, 1370, 1140, 995, 935, 1110, 994, 1020, 960, 1180, 799, 958, 1140, 1100,
  1210, 1150, 1250, 1260, 1220, 1030, 1100, 774, 840, 874, 694, 940, 833, 701, 916, 692, 1020, 1050, 969, 831, 726, 456,
  824, 702, 1120, 1100, 832, 764, 821, 768, 845, 864, 862, 698, 845, 744, 796, 1040, 759, 781, 865, 845, 944, 984, 897,
  822, 1010, 771, 676, 649, 846, 812, 742, 801, 1040, 860, 874, 848, 890, 744, 749, 838, 1050, 918, 986, 797, 923, 975,
  815, 1020, 906, 901, 1170, 912, 746, 919, 718, 714, 740,
];

test("exact percentiles of a published annual-flow series: its summary in R (456, 798.5, 893.5, 919.35, 1032.5, 1370), and Weibull's m/101", () => {
  expect(ANNUAL.reduce((sum, q) => sum + q) / 100).toBeCloseTo(919.35, 9);
  const sorted = [...ANNUAL].sort((a, b) => a - b);
  expect([sorted[0], sorted[99], (sorted[24]! + 3 * sorted[24 + 1]!) / 4, (sorted[49]! + sorted[50]!) / 2]).toEqual([
    456, 1370, 798.5, 893.5,
  ]);
  expect(exceedance(ANNUAL, 1370)).toBeCloseTo(1 / 101, 12);
  expect(exceedance(ANNUAL, 456)).toBeCloseTo(100 / 101, 12);
  expect(exceedance(ANNUAL, 893.5)).toBeCloseTo(50 / 101, 12);
});

test("the season's record holds the days within 15 of the date, across the year's end", () => {
  const days = seriesFrom(
    "discharge",
    Array.from({ length: 730 }, (_, k) => [start + k * 24 * HOUR, k] as const),
  );
  const season = seasonRecord(days, Date.UTC(2026, 0, 5));
  expect(season.values).toHaveLength(62);
  // The record runs over three New Years' seasons, and is of one year where it is of one.
  expect(season.years).toBe(3);
  expect(seasonRecord(days, Date.UTC(2026, 5, 5)).years).toBe(2);
});

test("Theil-Sen takes the middle slope and is not moved by one wild reading (Sen 1968)", () => {
  const x = [0, 1, 2, 3, 4, 5];
  expect(
    theilSen(
      x,
      x.map((t) => 3 + 2 * t),
    ),
  ).toBeCloseTo(2, 12);
  expect(theilSen(x, [3, 5, 7, 90, 11, 13])).toBeCloseTo(2, 12);
});

test("a recession of k = 0.90 a day: the trend, and 6.58 days from 20 to 10 m3/s (Q = Q0 k^t)", () => {
  const lambda = -Math.log(0.9);
  expect(daysToFall(20, 10, lambda)).toBeCloseTo(6.58, 2);
  const trend = trendAt(hourly(Array.from({ length: 100 }, (_, k) => 20 * 0.9 ** (k / 24))), start + 99 * HOUR)!;
  expect(trend.limb).toBe("falling");
  expect(trend.ratePerHour).toBeCloseTo(-lambda / 24, 6);
  expect(trend.hours).toBeCloseTo(99, 0);
});

test("steady water with the gauge's own noise is steady, and time since the peak is found", () => {
  const noise = Array.from({ length: 60 }, (_, k) => 8 * (1 + 0.004 * Math.sin(k * 12.9)));
  expect(trendAt(hourly(noise), start + 59 * HOUR)!.limb).toBe("steady");
  const flood = Array.from({ length: 80 }, (_, k) =>
    k < 40 ? 4 * Math.exp(k * 0.04) : 4 * Math.exp(1.6 - (k - 40) * 0.02),
  );
  const trend = trendAt(hourly(flood), start + 79 * HOUR)!;
  expect([trend.limb, Math.round(trend.hours!)]).toEqual(["falling", 39]);
  expect(trendAt(hourly([3]), start)).toBeNull();
  expect(trendAt(hourly([3, 4]), start + HOUR)!.limb).toBe("rising");
});

test("the recession constant of a made record is found again (closed form)", () => {
  const values: number[] = [];
  for (let flood = 0; flood < 5; flood++)
    for (let k = 0; k < 24 * 8; k++) values.push(k < 12 ? 5 + k * 2 : 29 * Math.exp((-0.25 * (k - 12)) / 24));
  const found = recession(hourly(values))!;
  expect(found.lambdaPerDay).toBeCloseTo(0.25, 2);
  expect(found.events).toBe(5);
  expect(recession(hourly(values.slice(0, 100)))).toBeNull();
});

test("clarity classes and words (common practice, no source), and the fit goes both ways", () => {
  expect([0.2, 0.5, 1, 2, 3].map(clarityClass)).toEqual(["muddy", "coloured", "green", "clear", "gin-clear"]);
  expect([0.05, 0.5, 0.75, 2].map((depth) => bodyMarkAt(depth))).toEqual([null, "knee", "thigh", "over"]);
  expect(bodyMarkAt(0.75, 1.5)).toBe("thigh");
  expect(bodyMarkAt(0.45, 1.5)).toBe("knee");
  expect(visibleDepthFromTurbidity(1)).toBeCloseTo(3.4, 10);
  for (const ntu of [2, 10, 50]) expect(turbidityFromVisibleDepth(visibleDepthFromTurbidity(ntu))).toBeCloseTo(ntu, 8);
});

test("a stale or missing reading is null, never an old number", () => {
  const series = hourly([5, 6, NaN, NaN]);
  expect(readingAt(series, start + 3 * HOUR)).toBe(6);
  expect(readingAt(series, start + 9 * HOUR)).toBeNull();
  expect(readingAt(undefined, start)).toBeNull();
});

test("two records of one gauge join without duplicates, the newer winning", () => {
  const joined = mergeSeries(
    hourly([1, 2, 3]),
    seriesFrom("discharge", [
      [start + 2 * HOUR, 9],
      [start + 3 * HOUR, 4],
    ]),
  );
  expect(Array.from(joined.values)).toEqual([1, 2, 9, 4]);
});

test("thinning for the screen keeps every extreme, every gap, and the order (property)", () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.double({ min: 0, max: 1e4, noNaN: true }), fc.constant(NaN)), {
        minLength: 1,
        maxLength: 400,
      }),
      fc.integer({ min: 8, max: 100 }),
      (values, most) => {
        const series = hourly(values);
        const thinned = envelope(series, start, start + values.length * HOUR, most);
        const real = values.filter((value) => !Number.isNaN(value));
        const kept = thinned.map(([, value]) => value).filter((value) => !Number.isNaN(value));
        expect(Math.max(...kept, -1)).toBe(Math.max(...real, -1));
        expect(Math.min(...kept, 1e9)).toBe(Math.min(...real, 1e9));
        expect(thinned.filter(([, value]) => Number.isNaN(value)).length).toBe(values.length - real.length);
        for (let k = 1; k < thinned.length; k++) expect(thinned[k]![0]).toBeGreaterThan(thinned[k - 1]![0]);
      },
    ),
  );
});

test("the sun's altitude agrees with a second, independent astronomy library within 0.2 degrees", () => {
  const [latitude, longitude] = [53.2, -7.4];
  for (let hour = 0; hour < 24; hour += 3) {
    const at = new Date(Date.UTC(2026, 5, 10, hour));
    const observer = new Observer(latitude, longitude, 0);
    const sun = Equator(Body.Sun, at, observer, true, true);
    const other = Horizon(at, observer, sun.ra, sun.dec, "normal").altitude;
    if (other > 2) expect(Math.abs(getPosition(at, latitude, longitude).altitude - other)).toBeLessThan(0.2);
  }
});
