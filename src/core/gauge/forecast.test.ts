import { baseFlow, dailyMeans, flowParts } from "./baseflow";
import { forecastFlow } from "./forecast/flow-forecast";
import { levelAt } from "./forecast";
import { forecastTurbidity, turbidityRating } from "./clearing";
import { HOUR, seriesFrom } from "./series";

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
  expect(clean[7]!.median / (0.8 * forecast.points[47]!.median ** 1.2)).toBeCloseTo(1, 1);
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

test("levels: at a point its own, between two straight, before the first as at it, past the last none", () => {
  const points = [
    { time: 10, low: 1, median: 2, high: 3 },
    { time: 20, low: 2, median: 4, high: 7 },
  ];
  expect(levelAt(points, 10, "low")).toBe(1);
  expect(levelAt(points, 20, "high")).toBe(7);
  expect(levelAt(points, 12.5, "median")).toBe(2.5);
  expect(levelAt(points, 0, "high")).toBe(3);
  expect(levelAt(points, 21, "low")).toBeNull();
});
