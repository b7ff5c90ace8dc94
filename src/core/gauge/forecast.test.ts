import { backtest } from "./backtest";
import { baseFlow, dailyMeans, flowParts } from "./baseflow";
import { forecastFlow, HORIZON, analoguesOf, nearestNeighbours, stateAt, STEP, stepsOf, timeUnder } from "./forecast";
import { forecastTurbidity, turbidityRating } from "./clearing";
import { DAY, HOUR, seriesFrom } from "./series";

const start = Date.UTC(2024, 0, 1);
const hourly = (of: (hour: number) => number, hours: number, parameter: "discharge" | "turbidity" = "discharge") =>
  seriesFrom(
    parameter,
    Array.from({ length: hours }, (_, k) => [start + k * HOUR, of(k)] as const),
  );
/** A flood every eight days that falls by k = 0.8 a day, its height varying. */
const floods = (hour: number) => {
  const [event, since] = [Math.floor(hour / 192), hour % 192];
  const peak = 12 + 10 * Math.abs(Math.sin(event * 2.4));
  return since < 12 ? 4 + ((peak - 4) * since) / 12 : peak * 0.8 ** ((since - 12) / 24);
};

test("on a river that always does the same, the fall is known: k = 0.8 a day, and the time under a level is ln(Q0/Q1)/lambda", () => {
  const hours = 192 * 60 + 12 + 24;
  const record = hourly(floods, hours);
  const forecast = forecastFlow(record, start + (hours - 1) * HOUR)!;
  expect(forecast.method).toBe("neighbours");
  for (const point of forecast.points.filter((one) => one.time - forecast.from <= 4 * DAY)) {
    expect(point.median / (forecast.discharge * 0.8 ** ((point.time - forecast.from) / DAY))).toBeCloseTo(1, 1);
    expect(point.low).toBeLessThanOrEqual(point.median);
    expect(point.high).toBeGreaterThanOrEqual(point.median);
  }
  const passing = timeUnder(forecast, forecast.discharge * 0.64);
  expect((passing.median! - forecast.from) / DAY).toBeCloseTo(2, 1);
  expect(passing.early!).toBeLessThanOrEqual(passing.median!);
  expect(passing.share).toBe(1);
  expect(timeUnder(forecast, forecast.discharge * 1.01)).toMatchObject({ early: forecast.from, median: forecast.from });
  expect(timeUnder(forecast, 1e-6)).toEqual({ early: null, median: null, late: null, share: 0 });
});

test("a short record falls by its recession alone, and says so; a record without falls says nothing", () => {
  const record = hourly(floods, 192 * 5 + 60);
  const at = start + (192 * 5 + 59) * HOUR;
  const forecast = forecastFlow(record, at)!;
  expect(forecast.method).toBe("recession");
  expect(forecast.points).toHaveLength(HORIZON / STEP);
  expect(forecast.points[3]!.median / forecast.discharge).toBeCloseTo(0.8, 2);
  // 20 to 10 m3/s at k = 0.90 a day takes 6.58 days: here k = 0.8, ln 2 / -ln 0.8 = 3.106 days.
  expect((timeUnder(forecast, forecast.discharge / 2).median! - forecast.from) / DAY).toBeCloseTo(3.106, 1);
  expect(
    forecastFlow(
      hourly(() => 5, 24 * 30),
      start + 24 * 30 * HOUR,
    ),
  ).toBeNull();
  expect(forecastFlow(hourly(floods, 100), start - HOUR)).toBeNull();
});

test("gaps stay gaps: a forecast is not made from a stale reading, and missing readings lend no paths", () => {
  const record = hourly((hour) => (hour % 960 > 100 && hour % 960 < 110 ? NaN : floods(hour)), 192 * 60);
  expect(forecastFlow(record, start + 192 * 60 * HOUR + DAY)).toBeNull();
  const whole = backtest(hourly(floods, 192 * 60))[0]!.cases;
  expect(backtest(record)[0]!.cases).toBeLessThan(whole);
});

test("a forecast starts from the last true reading's own time, not from the codes that came after it", () => {
  const whole = hourly(floods, 192 * 60);
  const end = whole.times.at(-1)!;
  const coded = { ...whole, values: whole.values.map((q, k) => (whole.times[k]! > end - 4 * HOUR ? NaN : q)) };
  const forecast = forecastFlow(coded, end)!;
  expect(forecast.from).toBe(end - 4 * HOUR);
  expect(forecast.discharge).toBe(whole.values[whole.times.indexOf(end - 4 * HOUR)]);
  expect(forecast.points[0]!.time).toBe(end - 4 * HOUR + STEP);
});

test("a trial does not look ahead: what comes after its case changes nothing in it", () => {
  const hours = 192 * 60;
  const record = hourly(floods, hours);
  // Only the last day, which no case's truth at 12 h but the last ones' can see, is made wild.
  const wild = { ...record, values: record.values.map((q, k) => (k >= hours - 24 ? 40 * q : q)) };
  const knownBy = record.times[hours - 24 * 200]!;
  const library = (series: typeof record) => analoguesOf(stepsOf(series), knownBy);
  expect(library(wild).scale).toEqual(library(record).scale);
  // Nor in whom it takes for its like, nor in what they did, nor in the forecast itself.
  const steps = stepsOf(record);
  const k = Math.floor((knownBy - steps.start) / STEP);
  const paths = (series: typeof record, before?: number) =>
    nearestNeighbours(analoguesOf(stepsOf(series), before), stateAt(stepsOf(series), k), before);
  const own = paths(record, knownBy);
  expect(own.length).toBeGreaterThan(20);
  expect(paths(wild, knownBy)).toEqual(own);
  const ruined = { ...record, values: record.values.map((q, n) => (record.times[n]! > knownBy ? 40 / q : q)) };
  expect(paths(ruined, knownBy)).toEqual(own);
  expect(forecastFlow(ruined, knownBy)).toEqual(forecastFlow(record, knownBy));
  // The future does differ, and a forecast that may know of it does too.
  expect(paths(ruined)).not.toEqual(paths(record));
});

test("the track record: near perfect where the river repeats itself, no better than stillness where nothing moves, empty when short", () => {
  const [, day] = backtest(hourly(floods, 192 * 60));
  expect(day!.hours).toBe(24);
  expect(day!.medianError).toBeLessThan(0.2 * day!.persistenceError);
  const still = backtest(hourly(() => 5, 24 * 500));
  expect(
    still.map(({ medianError, persistenceError, coverage80 }) => [medianError, persistenceError, coverage80]),
  ).toEqual([
    [0, 0, 1],
    [0, 0, 1],
    [0, 0, 1],
  ]);
  expect(backtest(hourly(floods, 200))).toEqual([]);
});

test("base flow (Lyne & Hollick 1979): even flow is all base; one pass with alpha 0 halves a step; never over the flow, and summing under it", () => {
  expect(baseFlow(new Array<number>(60).fill(4))).toEqual(new Array(60).fill(4));
  expect(baseFlow([2, 2, 4, 4, 4], 0, 1)).toEqual([2, 2, 3, 4, 4]);
  const daily = Array.from({ length: 120 }, (_, day) => floods(day * 24));
  const base = baseFlow(daily);
  base.forEach((q, k) => {
    expect(q).toBeGreaterThanOrEqual(0);
    expect(q).toBeLessThanOrEqual(daily[k]! + 1e-12);
  });
  const index = base.reduce((sum, q) => sum + q) / daily.reduce((sum, q) => sum + q);
  expect(index).toBeGreaterThan(0.2);
  expect(index).toBeLessThan(0.8);
});

test("flood and base: at the peak most is runoff, at the end of a long fall hardly any; a gap shortens the run", () => {
  const at = (hour: number) => flowParts(hourly(floods, 24 * 120), start + hour * HOUR);
  expect(at(192 * 10 + 14)!.flood).toBe(true);
  expect(at(192 * 10 + 190)!.quickShare).toBeLessThan(0.2);
  expect(at(192 * 10 + 190)!.flood).toBe(false);
  expect(
    flowParts(
      hourly((hour) => (hour < 24 * 110 ? NaN : 5), 24 * 120),
      start + 24 * 119 * HOUR,
    ),
  ).toBeNull();
  expect(
    dailyMeans(
      hourly((hour) => (hour < 24 ? NaN : 5), 96),
      start + 71 * HOUR,
      3,
    ),
  ).toEqual([NaN, 5, 5]);
});

test("clearing: the fit finds both limbs of a river that is twice as dirty when rising; a departure fades; forecast follows the flow", () => {
  const limb = (hour: number) => (floods(hour) > floods(hour - 6) * 1.05 ? 2 : 1);
  const hours = 192 * 60 + 12 + 48;
  const discharge = hourly(floods, hours);
  const turbidity = hourly((hour) => 0.8 * floods(hour) ** 1.2 * limb(hour), hours, "turbidity");
  const rating = turbidityRating(discharge, turbidity)!;
  expect(rating.falling.b).toBeCloseTo(1.2, 2);
  expect(Math.exp(rating.falling.a)).toBeCloseTo(0.8, 1);
  expect(rating.rising.a - rating.falling.a + (rating.rising.b - rating.falling.b) * Math.log(10)).toBeCloseTo(
    Math.LN2,
    1,
  );
  const forecast = forecastFlow(discharge, start + (hours - 1) * HOUR)!;
  const clean = forecastTurbidity(rating, forecast, 0.8 * forecast.discharge ** 1.2, false);
  expect(clean[7]!.median / (0.8 * forecast.points[7]!.median ** 1.2)).toBeCloseTo(1, 1);
  const dirty = forecastTurbidity(
    { ...rating, memory: 0.5, scatter: 0.2 },
    forecast,
    3 * 0.8 * forecast.discharge ** 1.2,
    false,
  );
  expect(dirty[0]!.median / clean[0]!.median).toBeCloseTo(3 ** 0.5, 1);
  expect(dirty[3]!.median / clean[3]!.median).toBeCloseTo(3 ** 0.0625, 1);
  expect(dirty[3]!.high / dirty[3]!.low).toBeGreaterThan(clean[3]!.high / clean[3]!.low);
  expect(
    turbidityRating(
      discharge,
      hourly(() => 3, 40, "turbidity"),
    ),
  ).toBeNull();
});
