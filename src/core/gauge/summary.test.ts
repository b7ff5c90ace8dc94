import { clarityClass } from "./clarity";
import { seasonBand, seasonLevels, seasonTable } from "./exceedance";
import { DAY, HOUR, type Parameter, seriesFrom } from "./series";
import {
  gaugeNow,
  gaugeNowOrLast,
  type GaugeRecord,
  joinRecords,
  lastInstant,
  seriesOf,
  summariseGauge,
  summariseSeries,
  usualExceedance,
} from "./summary";

const start = Date.UTC(2024, 0, 1);
const series = (parameter: Parameter, of: (hour: number) => number, hours = 24 * 800) =>
  seriesFrom(
    parameter,
    Array.from({ length: hours }, (_, k) => [start + k * HOUR, of(k)] as const),
  );
const record: GaugeRecord = {
  station: { id: "1", name: "Test" },
  series: [
    series("discharge", (k) => 5 + 3 * Math.sin((2 * Math.PI * k) / (24 * 365))),
    series("stage", () => 0.8),
    series("turbidity", () => 8),
    series("waterTemperature", (k) => (k < 24 * 799 ? 11 : NaN)),
  ],
};
const end = start + (24 * 800 - 1) * HOUR;

test("now is what the gauge says now, each parameter by itself; what has gone stale is null", () => {
  const now = gaugeNow(record, end);
  expect(now.at).toBe(new Date(end).toISOString());
  expect(now.stage).toBe(0.8);
  expect(now.turbidity).toBe(8);
  expect(now.visibleDepth).toBeCloseTo(3.4 * 8 ** -0.71, 10);
  expect(now.clarity).toBe("green");
  expect(now.waterTemperature).toBeNull();
  expect(now.exceedance).toBeGreaterThan(0);
  expect(now.exceedance).toBeLessThan(1);
  const long = gaugeNow(record, end + 2 * DAY);
  expect([long.discharge, long.stage, long.exceedance, long.trend, long.clarity]).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
});

test("a station without discharge still tells the rest", () => {
  const now = gaugeNow({ ...record, series: record.series.slice(1) }, end);
  expect([now.discharge, now.ratePerHour, now.exceedance]).toEqual([null, null, null]);
  // Its trend is that of its stage, which stands still here.
  expect(now).toMatchObject({ stage: 0.8, trend: "steady", stageRatePerHour: 0 });
});

test("the summary counts readings and gaps, with their ends", () => {
  expect(summariseSeries(seriesOf(record, "waterTemperature")!)).toMatchObject({
    parameter: "waterTemperature",
    unit: "degC",
    count: 24 * 799,
    missing: 24,
    gaps: { count: 1, longest: 24 },
    min: 11,
    max: 11,
    first: "2024-01-01T00:00:00.000Z",
  });
  expect(summariseSeries(seriesFrom("stage", []))).toEqual({
    parameter: "stage",
    unit: "m",
    count: 0,
    missing: 0,
    gaps: { count: 0, longest: 0 },
    min: null,
    max: null,
    first: null,
    last: null,
  });
  // Rows that were never written are gaps as well.
  const holed = seriesFrom(
    "stage",
    [0, 1, 2, 3, 10, 11, 12].map((k) => [k * HOUR, 1] as const),
  );
  expect(summariseSeries(holed)).toMatchObject({ missing: 0, gaps: { count: 1, longest: 7 } });
  expect(lastInstant(record)).toBe(end);
  expect(lastInstant({ ...record, series: [] })).toBeNull();
  expect(summariseGauge({ ...record, series: [] }).now).toBeNull();
});

test("files of one station join into one record, the later winning", () => {
  const part = (hours: number, value: number): GaugeRecord => ({
    station: record.station,
    series: [series("stage", () => value, hours)],
  });
  const joined = joinRecords([
    part(10, 1),
    part(5, 2),
    { station: record.station, series: [series("turbidity", () => 4, 3)] },
  ]);
  expect(joined.series.map((one) => one.parameter)).toEqual(["stage", "turbidity"]);
  expect(Array.from(joined.series[0]!.values)).toEqual([2, 2, 2, 2, 2, 1, 1, 1, 1, 1]);
});

/** Three years and a little, so that every day of the year has been seen three times. */
const long = series("discharge", (k) => 5 + 3 * Math.sin((2 * Math.PI * k) / (24 * 365)), 24 * 1130);

test("the season's band follows the year: high in spring and low in autumn of a made sine, quantiles in order", () => {
  const band = seasonBand(seasonTable(long), Date.UTC(2025, 0, 1), Date.UTC(2025, 11, 31));
  expect(band).toHaveLength(365);
  const median = (month: number) => band.find((day) => day.time === Date.UTC(2025, month, 1))!.levels![2]!;
  expect(median(3)).toBeCloseTo(8, 0);
  expect(median(9)).toBeCloseTo(2, 0);
  for (const { levels } of band)
    levels!.forEach((level, k) => k > 0 && expect(level).toBeGreaterThanOrEqual(levels![k - 1]!));
});

test("a season with hardly a reading has no usual range", () => {
  const thin = seriesFrom(
    "discharge",
    Array.from({ length: 40 }, (_, k) => [start + k * HOUR, 5] as const),
  );
  expect(seasonBand(seasonTable(thin), start, start + DAY)[0]!.levels).toBeNull();
  expect(seasonLevels(thin, start)).toBeNull();
  expect(seasonLevels(long, Date.UTC(2025, 3, 1))![2]).toBeCloseTo(8, 0);
  // Two years of a season are not enough to say what is usual in it.
  expect(seasonLevels(record.series[0]!, Date.UTC(2025, 3, 1))).toBeNull();
  expect(seasonTable(record.series[0]!)[90]).toBeNull();
  expect(gaugeNow(record, end).seasonYears).toBe(3);
  expect(usualExceedance({ exceedance: 0.3, seasonYears: 2 })).toBeNull();
  expect(usualExceedance({ exceedance: 0.3, seasonYears: 3 })).toBe(0.3);
});

test("the angler's own thermometer tells of six hours, where the gauge has none", () => {
  const bare = { ...record, series: record.series.filter(({ parameter }) => parameter !== "waterTemperature") };
  const felt = (hours: number) => gaugeNow({ ...bare, felt: [{ at: end - hours * HOUR, temperature: 11.4 }] }, end);
  // A minute ahead: the clock of a screen ticks by the minute.
  for (const hours of [-0.016, 0, 6])
    expect(felt(hours)).toMatchObject({ waterTemperature: 11.4, waterTemperatureFrom: "reading" });
  for (const hours of [6.01, -0.02]) {
    expect(felt(hours).waterTemperature).toBeNull();
    expect(felt(hours)).not.toHaveProperty("waterTemperatureFrom");
  }
  const read = { parameter: "waterTemperature", unit: "degC", times: Float64Array.of(end), values: Float64Array.of(9) };
  const both = { ...bare, series: [...bare.series, read as (typeof bare.series)[number]] };
  const now = gaugeNow({ ...both, felt: [{ at: end, temperature: 11.4 }] }, end);
  expect(now.waterTemperature).toBe(9);
  expect(now).not.toHaveProperty("waterTemperatureFrom");
});

test("the angler's own look at the water tells of twelve hours, where the gauge reads no turbidity", () => {
  const clear = { ...record, series: record.series.filter(({ parameter }) => parameter !== "turbidity") };
  const seen = (hours: number) =>
    gaugeNow({ ...clear, seen: [{ at: end - hours * HOUR, visibleDepth: 1.3 }] }, end).visibleDepth;
  expect([-0.016, 0, 11, 12].map(seen)).toEqual([1.3, 1.3, 1.3, 1.3]);
  expect(seen(12.01)).toBeNull();
  expect(seen(-0.02)).toBeNull();
  const several = [30, 9, 2, -1].map((hours) => ({ at: end - hours * HOUR, visibleDepth: hours }));
  expect(gaugeNow({ ...clear, seen: several }, end)).toMatchObject({ visibleDepth: 2, visibleDepthFrom: "reading" });
  // What was read of the gauge goes first, by the fit of the river's own.
  expect(gaugeNow({ ...record, seen: several }, end).visibleDepthFrom).toBe("turbidity");
  const fitted = { ...record, clarityFit: { a: 5, b: -1, pairs: 4, scatter: 0 } };
  expect(gaugeNow(fitted, end).visibleDepth).toBeCloseTo(5 / 8, 12);
});

test("a record that has ended is told as it ended, but for what the angler read since", () => {
  const later = end + 30 * HOUR;
  const ended = gaugeNowOrLast(record, later)!;
  expect(ended.stale).toBe(true);
  expect(ended.now).toEqual(gaugeNow(record, lastInstant(record)!));
  const read = {
    ...record,
    felt: [{ at: later - HOUR, temperature: 7.5 }],
    seen: [{ at: later - 20 * HOUR, visibleDepth: 0.2 }],
  };
  const own = gaugeNowOrLast(read, later)!;
  // The look of twenty hours ago tells no more; the flow is that of the record's end.
  expect(own).toEqual({
    stale: true,
    now: { ...ended.now, waterTemperature: 7.5, waterTemperatureFrom: "reading" },
  });
  const seen = gaugeNowOrLast({ ...read, seen: [{ at: later, visibleDepth: 0.2 }] }, later)!;
  expect(seen.now).toMatchObject({ visibleDepth: 0.2, visibleDepthFrom: "reading", clarity: clarityClass(0.2) });
  // A look before the record's end says nothing that it does not.
  const before = {
    ...record,
    seen: [{ at: end - HOUR, visibleDepth: 0.2 }],
    felt: [{ at: end - HOUR, temperature: 3 }],
  };
  expect(gaugeNowOrLast(before, end + 7 * HOUR)!.now).toEqual(gaugeNow(record, end));
  expect(gaugeNowOrLast(record, end)).toEqual({ stale: false, now: gaugeNow(record, end) });
  expect(gaugeNowOrLast({ ...record, series: [] }, end)).toBeUndefined();
});

test("the last instant is that of the last true reading of any, gaps at the end passed over", () => {
  const of = (parameter: Parameter, ...values: number[]) =>
    seriesFrom(
      parameter,
      values.map((value, k) => [k * HOUR, value] as const),
    );
  const station = { id: "1", name: "Test" };
  expect(lastInstant({ station, series: [of("stage", 1, 2, NaN), of("discharge", 3, NaN, NaN)] })).toBe(HOUR);
  expect(lastInstant({ station, series: [of("stage", 1, NaN)] })).toBe(0);
  expect(lastInstant({ station, series: [of("stage", NaN)] })).toBeNull();
  expect(() => joinRecords([])).toThrow("no-record");
});
