import fc from "fast-check";
import { HOUR, seriesFromColumns } from "../series";
import { NO_WEATHER } from "../weather";
import { isSameRain, rainIn, rainOf } from "./rain";

const T0 = Date.UTC(2026, 2, 3);
const series = (step: number, values: readonly number[], first = T0 + step) =>
  seriesFromColumns(
    "rain",
    values.map((_, k) => first + k * step),
    values,
  );
const weather = (step: number, values: readonly (number | null)[], first = T0) => ({
  issued: first,
  hours: values.map((rain, k) => ({ ...NO_WEATHER, time: first + k * step, rain })),
});

test("a reading is what fell since the one before: quarters of an hour are added, a day's total is spread", () => {
  const quarters = rainOf(series(HOUR / 4, [1, 2, 0, 3, 0.5, 0, 0, 0.5]), null, T0 + 2 * HOUR)!;
  expect(rainIn(quarters, T0, T0 + HOUR)).toBeCloseTo(6, 12);
  expect(rainIn(quarters, T0 + HOUR, T0 + 2 * HOUR)).toBeCloseTo(1, 12);
  const daily = rainOf(series(24 * HOUR, [0, 12]), null, T0 + 48 * HOUR)!;
  expect(rainIn(daily, T0 + 24 * HOUR, T0 + 30 * HOUR)).toBeCloseTo(3, 12);
  expect(daily.ahead).toBe(0);
});

test("what the gauge says goes before the forecast, whose rows of three hours are spread over them", () => {
  const rain = rainOf(series(HOUR, [2, 0]), weather(3 * HOUR, [9, 6, null, 3], T0 + HOUR), T0 + 2 * HOUR)!;
  expect(Array.from(rain.hours.subarray(-11))).toEqual([2, 0, 3, 3, 2, 2, 2, NaN, NaN, NaN, 3].slice(-11));
  expect(rain.ahead).toBe(9 * HOUR);
});

test("what was read later is not known; without rain there is none", () => {
  const rain = rainOf(series(HOUR, [1, 1, 50]), null, T0 + 2 * HOUR)!;
  expect(rainIn(rain, T0, T0 + 9 * HOUR)).toBe(2);
  expect(rainOf(undefined, null, T0)).toBeNull();
  expect(rainOf(undefined, weather(HOUR, [null, null]), T0)).toBeNull();
  expect(isSameRain(rain, { ...rain, hours: rain.hours.slice() })).toBe(true);
  expect(isSameRain(rain, { ...rain, hours: rain.hours.map((mm) => mm + 1) })).toBe(false);
});

test("all that was read is in the hours, whatever the steps", () => {
  const steps = fc.array(fc.tuple(fc.integer({ min: 1, max: 24 * 60 }), fc.double({ min: 0, max: 50, noNaN: true })), {
    minLength: 1,
    maxLength: 60,
  });
  fc.assert(
    fc.property(steps, (readings) => {
      let at = T0;
      const times = readings.map(([minutes]) => (at += minutes * 60_000));
      const values = readings.map(([, mm]) => mm);
      const rain = rainOf(seriesFromColumns("rain", times, values), null, at)!;
      expect(rainIn(rain, T0 - 48 * HOUR, at + HOUR)).toBeCloseTo(
        values.reduce((sum, mm) => sum + mm, 0),
        6,
      );
    }),
  );
});
