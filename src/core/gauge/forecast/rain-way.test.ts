import { madeRiver } from "../../../testing/rivers";
import { backtest } from "../backtest";
import { DAY, HOUR } from "../series";
import { forecastFlow } from "./flow-forecast";
import { flowGrid } from "./flow-grid";
import { rainWay } from "./rain-way";

const river = (regime: Parameters<typeof madeRiver>[0], seed: number, years = 2) => {
  const { discharge, rain } = madeRiver(regime, seed, years);
  return { discharge, rain: { start: discharge.times[0]! - HOUR, hours: rain, ahead: 5 * DAY } };
};

test("rain known ahead cuts the error a day ahead on rises by a third or more; on a fall little changes", () => {
  for (const regime of ["rain", "flashy"] as const) {
    const { discharge, rain } = river(regime, 301, 3);
    const day = backtest(discharge, rain).find(({ hours }) => hours === 24)!;
    expect(day.rain!.rising!.error).toBeLessThan((2 / 3) * day.rain!.rising!.withoutError);
    expect(day.medianError).toBeLessThan(1.1 * day.rain!.withoutError);
    expect(day.coverage80).toBeGreaterThan(0.7);
    expect(day.coverage80).toBeLessThan(0.9);
  }
}, 60_000);

test("rain of elsewhere tells nothing, and takes next to nothing away", () => {
  const { discharge } = river("rain", 302);
  const { rain } = river("rain", 399);
  for (const skill of backtest(discharge, rain))
    expect(skill.medianError).toBeLessThan(1.25 * skill.rain!.withoutError);
}, 30_000);

test("nothing later is known to it: neither flow, nor rain past what is forecast", () => {
  const { discharge, rain } = river("flashy", 303);
  const cut = discharge.times.length - 400;
  const grid = flowGrid(discharge, discharge.times.at(-1)!);
  const learnt = discharge.times[cut]!;
  const say = (y: Float64Array, hours: Float64Array) => {
    const out = new Float64Array(120);
    rainWay({ ...grid, y }, { ...rain, hours, ahead: 48 * HOUR }, learnt)!.fill(cut, out);
    return Array.from(out);
  };
  const known = say(grid.y, rain.hours);
  expect(known.every(Number.isFinite)).toBe(true);
  const other = grid.y.map((y, k) => (k > cut ? y + 3 : y));
  expect(say(other, rain.hours)).toEqual(known);
  expect(
    say(
      grid.y,
      rain.hours.map((mm, k) => (k > cut + 48 ? mm + 9 : mm)),
    ),
  ).toEqual(known);
  // The hour after `cut` is the one that ends with the next reading.
  expect(
    say(
      grid.y,
      rain.hours.map((mm, k) => (k === cut + 5 ? mm + 30 : mm)),
    ),
  ).not.toEqual(known);
}, 30_000);

test("the more rain is forecast, the higher the river is said to come, and its band and paths with it", () => {
  const { discharge, rain } = river("flashy", 304);
  const at = discharge.times.at(-1)!;
  const past = rain.hours.length;
  const heights = [0, 8, 40].map((mm) => {
    const hours = new Float64Array(past + 48);
    hours.set(rain.hours);
    hours.fill(mm / 6, past + 6, past + 12);
    const forecast = forecastFlow(discharge, at, { ...rain, hours, ahead: 48 * HOUR })!;
    const { low, median, high } = forecast.points[11]!;
    expect(low).toBeLessThanOrEqual(median);
    expect(high).toBeGreaterThanOrEqual(median);
    return { median, high };
  });
  expect(heights[1]!.median).toBeGreaterThan(1.05 * heights[0]!.median);
  expect(heights[2]!.median).toBeGreaterThan(1.5 * heights[1]!.median);
  expect(heights[2]!.high).toBeGreaterThan(heights[1]!.high);
}, 30_000);
