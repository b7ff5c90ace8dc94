import { DAY, HOUR } from "./series";
import {
  acrossToRight,
  BEAUFORT,
  cloudClass,
  meanWind,
  NO_WEATHER,
  rainBetween,
  weatherAt,
  type WeatherHour,
  windClass,
} from "./weather";

const T0 = Date.UTC(2026, 4, 14);
const hour = (k: number, change: Partial<WeatherHour> = {}): WeatherHour => ({
  time: T0 + k * HOUR,
  ...NO_WEATHER,
  ...change,
});

test("Beaufort's numbers from mean speeds: v = 0.836 B^(3/2) m/s (WMO No. 8, the scale's own law)", () => {
  // A number begins half way between its own and the one before.
  const least = (b: number) => 0.836 * (b - 0.5) ** 1.5;
  expect(Math.abs(BEAUFORT.light - least(2))).toBeLessThan(0.1);
  expect(Math.abs(BEAUFORT.fresh - least(4))).toBeLessThan(0.1);
  expect(Math.abs(BEAUFORT.strong - least(6))).toBeLessThan(0.1);
  expect([0, 1.5, 1.6, 5.4, 5.5, 10.7, 10.8, 40].map(windClass)).toEqual([
    "calm",
    "calm",
    "light",
    "light",
    "fresh",
    "fresh",
    "strong",
    "strong",
  ]);
});

test("the sky in oktas: two are clear, three broken, seven overcast (WMO terms, from memory)", () => {
  expect([2, 3, 6, 7, 8].map((oktas) => cloudClass(oktas / 8))).toEqual([
    "clear",
    "broken",
    "broken",
    "overcast",
    "overcast",
  ]);
});

test("an hour stands until the next begins, three at most; before the first there is none", () => {
  const hours = [hour(0, { wind: 1 }), hour(1, { wind: 2 }), hour(9, { wind: 3 })];
  const wind = (k: number) => weatherAt({ hours }, T0 + k * HOUR)?.wind ?? null;
  expect([-0.01, 0, 0.99, 1, 3.99, 4, 9, 11.99, 12].map(wind)).toEqual([null, 1, 1, 2, 2, null, 3, 3, null]);
  expect(weatherAt({ hours: [] }, T0)).toBeNull();
});

test("rain is summed over its hours from the first to before the last; nothing said is not no rain", () => {
  const hours = [0, 1, 2, 3].map((k) => hour(k, { rain: k }));
  expect(rainBetween({ hours }, T0 + HOUR, T0 + 3 * HOUR)).toBe(3);
  expect(rainBetween({ hours: [hour(0)] }, T0, T0 + HOUR)).toBeNull();
  expect(rainBetween({ hours }, T0 + 5 * HOUR, T0 + 9 * HOUR)).toBeNull();
});

test("the mean wind is that of vectors: across north from both sides it is a north wind, turned about it is none", () => {
  const steady = (from: (k: number) => number) => ({
    hours: Array.from({ length: 48 }, (_, k) => hour(k, { wind: 4, windFrom: from(k) })),
  });
  const north = meanWind(
    steady((k) => (k % 2 ? 350 : 10)),
    T0,
    T0 + 2 * DAY,
  )!;
  expect(Math.min(north.windFrom, 360 - north.windFrom)).toBeLessThan(1e-6);
  expect(north.speed).toBeCloseTo(4 * Math.cos(Math.PI / 18), 9);
  expect(
    meanWind(
      steady((k) => (k % 2 ? 90 : 270)),
      T0,
      T0 + 2 * DAY,
    )!.speed,
  ).toBeCloseTo(0, 9);
  const west = meanWind(
    steady(() => 270),
    T0,
    T0 + 2 * DAY,
  )!;
  expect(west.windFrom).toBeCloseTo(270, 9);
  // Told for less than three quarters of the time it is not said.
  const some = { hours: steady(() => 270).hours.slice(0, 30) };
  expect(meanWind(some, T0, T0 + 2 * DAY)).toBeNull();
  expect(meanWind(some, T0, T0 + 1.5 * DAY)).not.toBeNull();
});

test("a river that runs north has its left bank in the west: a west wind comes over that bank", () => {
  expect(acrossToRight(270, 0)).toBeCloseTo(1, 9);
  expect(acrossToRight(90, 0)).toBeCloseTo(-1, 9);
  expect(acrossToRight(180, 0)).toBeCloseTo(0, 9);
  // Running east its left bank lies north.
  expect(acrossToRight(0, 90)).toBeCloseTo(1, 9);
  expect(acrossToRight(315, 90)).toBeCloseTo(Math.SQRT1_2, 9);
});
