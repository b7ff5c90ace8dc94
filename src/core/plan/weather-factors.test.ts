import { speciesById } from "../fish/species";
import { DAY, HOUR } from "../gauge/series";
import { NO_WEATHER, type Weather, type WeatherHour } from "../gauge/weather";
import { baitFactor, type Exposure, weatherBar, weatherThen, windFactor } from "./weather-factors";

const T0 = Date.UTC(2026, 4, 14, 6);
const air = (change: Partial<WeatherHour> = {}): WeatherHour => ({ time: T0, ...NO_WEATHER, ...change });
const blown = (wind: number, windFrom: number, hours = 60): Weather => ({
  issued: T0,
  hours: Array.from({ length: hours }, (_, k) => air({ time: T0 - 50 * HOUR + k * HOUR, wind, windFrom })),
});
/** It runs north: the left bank is in the west. */
const open: Exposure = { weather: null, bearing: 0, trees: [] };
const wooded: Exposure = { ...open, trees: ["left"] };

test("from a fresh wind on it counts, the more the stronger (craft: light heads cannot be felt; common practice)", () => {
  expect(windFactor(air({ wind: 5.4 }), open)).toEqual([]);
  expect(windFactor(null, open)).toEqual([]);
  const at = (wind: number) => windFactor(air({ wind, windFrom: 270 }), open)[0]!.factor;
  expect(at(5.5)).toBe(1);
  expect(at(8.15)).toBeCloseTo(0.8, 9);
  expect(at(10.8)).toBeCloseTo(0.6, 9);
  expect(at(30)).toBeCloseTo(0.6, 9);
});

test("trees on the bank that the wind comes over give lee, those of the other bank or along the reach do not", () => {
  const from = (windFrom: number | null, of = wooded) => windFactor(air({ wind: 9, windFrom }), of)[0]!;
  expect(from(270)).toEqual({ what: "wind", is: "lee-left", factor: 1 });
  expect(from(90)).toMatchObject({ is: "open" });
  expect(from(180)).toMatchObject({ is: "open" });
  expect(from(null)).toMatchObject({ is: "open" });
  expect(from(270, { ...wooded, bearing: null })).toMatchObject({ is: "open" });
  expect(from(90, { ...open, trees: ["right"] })).toMatchObject({ is: "lee-right" });
  // Turned about, its left bank is in the east.
  expect(from(90, { ...wooded, bearing: 180 })).toMatchObject({ is: "lee-left" });
});

test("a wind that has stood on a bank for two days gathers bait there, for what eats it (craft, common practice)", () => {
  const bass = speciesById("smallmouth-bass");
  const of = (weather: Weather, species = bass) => baitFactor(T0, { ...open, weather }, species);
  expect(of(blown(4, 270))).toEqual([{ what: "bait", is: "right", factor: 1.05 }]);
  expect(of(blown(4, 90))).toMatchObject([{ is: "left" }]);
  expect(of(blown(4, 180))).toEqual([]);
  expect(of(blown(2.9, 270))).toEqual([]);
  expect(of(blown(4, 270, 30))).toEqual([]);
  expect(of(blown(4, 270), speciesById("brown-trout"))).toEqual([]);
  expect(baitFactor(T0, { ...open, weather: blown(4, 270), bearing: null }, bass)).toEqual([]);
});

test("nobody is sent into thunder or white caps; what the angler expects goes before the forecast", () => {
  expect(weatherBar(air({ thunder: true }))).toBe("thunder");
  expect(weatherBar(air({ wind: 10.8 }))).toBe("white-caps");
  expect(weatherBar(air({ wind: 10.7, thunder: false }))).toBeUndefined();
  expect(weatherBar(null)).toBeUndefined();
  const weather = { issued: T0, hours: [air({ wind: 9, windFrom: 270, gust: 14, cloud: 0 })] };
  expect(weatherThen(weather, undefined, T0)).toMatchObject({ wind: 9, cloud: 0 });
  expect(weatherThen(weather, { cloud: null, wind: "calm" }, T0)).toMatchObject({
    wind: 0.5,
    windFrom: 270,
    gust: null,
    cloud: 0,
  });
  expect(weatherThen(null, { cloud: "overcast", wind: null }, T0)).toMatchObject({ cloud: 1, wind: null });
  expect(weatherThen(null, { cloud: null, wind: null }, T0)).toBeNull();
  expect(weatherThen(weather, undefined, T0 + DAY)).toBeNull();
});
