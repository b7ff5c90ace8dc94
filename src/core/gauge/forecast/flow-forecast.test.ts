import { madeRiver, REGIMES_MADE } from "../../../testing/rivers";
import { backtest } from "../backtest";
import { timeUnder } from "../forecast";
import { type Regime, regimeOf } from "../regime";
import { DAY, HOUR, knownBy, seriesFrom, seriesFromColumns } from "../series";
import { forecastFlow, flowModel, forecastFrom } from "./flow-forecast";

const start = Date.UTC(2024, 0, 1);
const hourly = (of: (hour: number) => number, hours: number) =>
  seriesFrom(
    "discharge",
    Array.from({ length: hours }, (_, k) => [start + k * HOUR, of(k)] as const),
  );
/** A flood every eight days that falls by k = 0.8 a day, its height varying. */
const floods = (hour: number) => {
  const [event, since] = [Math.floor(hour / 192), hour % 192];
  const peak = 12 + 10 * Math.abs(Math.sin(event * 2.4));
  return since < 12 ? 4 + ((peak - 4) * since) / 12 : peak * 0.8 ** ((since - 12) / 24);
};

describe("a river that always does the same", () => {
  const hours = 192 * 60 + 12 + 24;
  const record = hourly(floods, hours);
  const forecast = forecastFlow(record, start + (hours - 1) * HOUR)!;

  test("its fall is known: k = 0.8 a day, and the time under a level is ln(Q0/Q1)/lambda", () => {
    expect(forecast).toMatchObject({ method: "combined", step: HOUR });
    expect(forecast.points).toHaveLength(120);
    for (const { time, low, median, high } of forecast.points.filter((one) => one.time - forecast.from <= 4 * DAY)) {
      expect(median / (forecast.discharge * 0.8 ** ((time - forecast.from) / DAY))).toBeCloseTo(1, 1);
      expect(low).toBeLessThanOrEqual(median);
      expect(high).toBeGreaterThanOrEqual(median);
    }
    const passing = timeUnder(forecast, forecast.discharge * 0.64);
    expect((passing.median! - forecast.from) / DAY).toBeCloseTo(2, 1);
    expect(passing.early!).toBeLessThanOrEqual(passing.median!);
    expect(passing.share).toBe(1);
    expect(timeUnder(forecast, forecast.discharge * 1.01)).toMatchObject({ early: forecast.from });
    expect(timeUnder(forecast, 1e-6)).toEqual({ early: null, median: null, late: null, share: 0 });
  });

  test("its shares sum to one, its band starts with a width no wider than the readings' own", () => {
    expect(forecast.ways.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    const first = forecast.points[0]!;
    expect(first.high / first.low).toBeLessThan(1.05);
  });

  test("its track record is near perfect; that of still water has no error, and its band has no width", () => {
    const day = backtest(record).find((one) => one.hours === 24)!;
    expect(day.medianError).toBeLessThan(0.2 * day.persistenceError);
    for (const still of backtest(hourly(() => 5, 24 * 120)))
      for (const error of [still.medianError, still.persistenceError, still.lastWeekError])
        expect(error).toBeCloseTo(0, 5);
    expect(backtest(hourly(floods, 200))).toEqual([]);
  });
});

test("a short record falls by its recession alone, and says so; a record without falls says nothing", () => {
  const hours = 72 * 3 + 20;
  const three = (hour: number) => floods((hour % 72) + 12);
  const at = start + (hours - 1) * HOUR;
  const forecast = forecastFlow(hourly(three, hours), at)!;
  expect(forecast.method).toBe("recession");
  expect(forecast.points).toHaveLength(120);
  expect(forecast.points[23]!.median / forecast.discharge).toBeCloseTo(0.8, 1);
  forecast.points.forEach(({ low, median, high }, h) => {
    expect([low, median, high]).toEqual(forecast.paths.map((path) => path[h]!));
  });
  expect(
    forecastFlow(
      hourly(() => 5, 24 * 10),
      start + 24 * 10 * HOUR,
    ),
  ).toBeNull();
  expect(forecastFlow(hourly(floods, 100), start - HOUR)).toBeNull();
});

test("no band is claimed without errors to tell it from: by the fall alone until there are, then with a width at once", () => {
  const { discharge } = madeRiver("rain", 9, 0.2);
  const widths = [17, 19, 21, 26, 33].flatMap((days) => {
    const forecast = forecastFlow(discharge, discharge.times[24 * days]!);
    return forecast?.method === "combined" ? [{ days, points: forecast.points }] : [];
  });
  expect(widths.map(({ days }) => days)).toEqual([21, 26, 33]);
  for (const { points } of widths) for (const { low, high } of points) expect(high / low).toBeGreaterThan(1.002);
});

test("from the last true reading's own time, not from the codes that came after it; never from a stale one", () => {
  const whole = hourly(floods, 192 * 60);
  const end = whole.times.at(-1)!;
  const coded = { ...whole, values: whole.values.map((q, k) => (whole.times[k]! > end - 4 * HOUR ? NaN : q)) };
  const forecast = forecastFlow(coded, end)!;
  expect(forecast.from).toBe(end - 4 * HOUR);
  expect(forecast.discharge).toBe(whole.values[whole.times.indexOf(end - 4 * HOUR)]);
  expect(forecast.points[0]!.time).toBe(end - 3 * HOUR);
  expect(forecastFlow(whole, end + DAY)).toBeNull();
});

test("it does not look ahead: what came after changes nothing in it, nor in a forecast looked back at", () => {
  const { discharge } = madeRiver("rain", 21, 1);
  const at = discharge.times[6500]!;
  const ruined = { ...discharge, values: discharge.values.map((q, n) => (discharge.times[n]! > at ? 40 / q : q)) };
  expect(forecastFlow(ruined, at)).toEqual(forecastFlow(discharge, at));
  // Read off a model of the whole record: the same, but for the end that its trials are counted from.
  const model = flowModel(discharge, discharge.times.at(-1)!);
  const then = forecastFrom(model, 6500, discharge.values[6500]!)!;
  const own = forecastFlow(knownBy(discharge, at), at)!;
  for (const h of [5, 23]) expect(then.points[h]!.median / own.points[h]!.median).toBeCloseTo(1, 1);
});

test("no flow is a state: a dry river stays dry unless rain has come; one that dries is forecast to", () => {
  const { discharge } = madeRiver("drying", 2, 2);
  const dry = discharge.values.findLastIndex((q, k) => q === 0 && discharge.values[k - 48] === 0 && k % 24 === 5);
  const forecast = forecastFlow(discharge, discharge.times[dry]!)!;
  expect(forecast.discharge).toBe(0);
  expect(forecast.points[23]!.median).toBeCloseTo(0, 4);
  expect(forecast.points.every(({ low }) => low >= 0)).toBe(true);
  expect(forecast.paths.every((path) => path.every((q) => q >= 0))).toBe(true);
});

const NAMED: Record<(typeof REGIMES_MADE)[number], Regime> = {
  rain: "rain-fed",
  flashy: "rain-fed",
  groundwater: "groundwater-fed",
  snow: "snow-fed",
  released: "released",
  tidal: "tidal",
  lake: "lowland",
  lowland: "lowland",
  drying: "intermittent",
};

/** By the made-up rivers that share no code with the demo's. Bounds: those that the forecast was asked to hold. */
describe.each(REGIMES_MADE)("on a made-up river of the regime %s", (regime) => {
  const { discharge } = madeRiver(regime, 1);

  test("it is named; no plain saying is nearer at 6, 24 and 72 h; the 80 % band holds 70 to 90 %", () => {
    expect(regimeOf(discharge)).toBe(NAMED[regime]);
    const skills = backtest(discharge).filter(({ hours }) => [6, 24, 72].includes(hours));
    expect(skills).toHaveLength(3);
    for (const { medianError, persistenceError, yesterdayError, lastWeekError, coverage80 } of skills) {
      // A thousandth, which gauges round away: where a river stands dry, "no change" errs by nothing at all.
      expect(medianError).toBeLessThanOrEqual(Math.min(persistenceError, yesterdayError, lastWeekError) * 1.05 + 1e-3);
      // 0.03: one standard error of 180 cases.
      expect(coverage80).toBeGreaterThan(0.7 - 0.03);
      expect(coverage80).toBeLessThan(0.9 + 0.03);
    }
  });
});

test("daily means get a forecast and a track record too", () => {
  const { discharge } = madeRiver("lowland", 3, 6);
  const days = Array.from({ length: Math.floor(discharge.times.length / 24) }, (_, day) => {
    const read = discharge.values.subarray(24 * day, 24 * (day + 1)).filter((q) => !Number.isNaN(q));
    return [discharge.times[24 * day]!, read.reduce((sum, q) => sum + q, 0) / read.length] as const;
  });
  const daily = seriesFromColumns("discharge", days.map(([time]) => time), days.map(([, q]) => q)); // prettier-ignore
  expect(forecastFlow(daily, daily.times.at(-1)!)).toMatchObject({ method: "combined", step: DAY });
  const skills = backtest(daily);
  expect(skills.map(({ hours }) => hours)).toEqual([24, 48, 72, 120]);
  for (const { medianError, persistenceError } of skills.slice(0, 3))
    expect(medianError).toBeLessThan(persistenceError);
  // By its days alone it could as well be a melt.
  expect(regimeOf(daily)).toBeNull();
});

test("a record of less than two months names no regime", () => {
  expect(regimeOf(madeRiver("snow", 1, 0.1).discharge)).toBeNull();
  expect(regimeOf(seriesFrom("discharge", []))).toBeNull();
});
