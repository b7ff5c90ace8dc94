import { weatherCsv, simulateWeather } from "../../standins/weather";
import { InputError } from "../quantity/fault";
import { readWeatherCsv } from "./weather-csv";

const read = (text: string, zone?: string) => readWeatherCsv(text, { issued: 0, file: "w.csv", zone });
const refusal = (text: string) => {
  try {
    read(text);
  } catch (error) {
    if (error instanceof InputError) return { code: error.fault.code, line: error.fault.line };
  }
  return undefined;
};

test("columns by name and unit: knots, miles an hour, oktas, points of the compass, Fahrenheit, inches, yes and no", () => {
  const { weather, lines } = read(
    [
      "time,Wind speed (kn),gusts (mph),wind direction,cloud cover (oktas),air temp (F),precipitation (in),thunderstorms",
      "2026-05-14T12:00Z,10,20,SW,4,50,0.1,yes",
      "2026-05-14T13:00Z,12,,225,8,,,no",
    ].join("\n"),
  );
  const [first, second] = weather.hours;
  // A knot is 1852 m an hour and a mile 1609.344 m, both exact.
  expect(first!.wind).toBeCloseTo(5.144444, 5);
  expect(first!.gust).toBeCloseTo(8.9408, 9);
  expect(first).toMatchObject({ windFrom: 225, cloud: 0.5, thunder: true, time: Date.UTC(2026, 4, 14, 12) });
  expect(first!.air).toBeCloseTo(10, 9);
  expect(first!.rain).toBeCloseTo(2.54, 9);
  expect(second).toMatchObject({ windFrom: 225, cloud: 1, gust: null, air: null, rain: null, thunder: false });
  expect(lines).toEqual({ read: 2, gaps: 0, rejected: 0 });
});

test("a line that cannot be is refused by its number, its good cells are kept, and the lines add up", () => {
  const { weather, rejected, lines } = read(
    [
      "time,wind (km/h),cloud (%)",
      "2026-05-14T14:00Z,36,50",
      "2026-05-14T12:00Z,-3,50",
      "2026-05-14T13:00Z,,",
      "yesterday,3,50",
      "2026-05-14T14:00Z,9,0",
      "2026-05-14T15:00Z,9,130",
    ].join("\n"),
  );
  expect(weather.hours.map(({ wind, cloud }) => [wind, cloud])).toEqual([
    [null, 0.5],
    [10, 0.5],
    [2.5, null],
  ]);
  expect(rejected.map(({ line, reason }) => [line, reason.code])).toEqual([
    [3, "not-weather"],
    [5, "not-iso"],
    [6, "hour-twice"],
    [7, "not-weather"],
  ]);
  expect(lines).toEqual({ read: 1, gaps: 1, rejected: 4 });
});

test("clock times are read in the zone that is stated, and that none was is told", () => {
  const text = "time,rain\n2026-07-01 12:00,1\n";
  expect(read(text, "Europe/Berlin").weather.hours[0]!.time).toBe(Date.UTC(2026, 6, 1, 10));
  expect(read(text, "Europe/Berlin").notes).toEqual([]);
  expect(read(text).notes.map(({ code }) => code)).toEqual(["no-offset"]);
});

test.each([
  ["", "empty-file"],
  ["a,b\n1,2\n", "no-time-column"],
  ["time,humidity\n2026-05-14T12:00Z,80\n", "no-weather-column"],
  ["time,wind\n2026-05-14T12:00Z,8\n", "unit-not-said"],
  ["time,wind (ft)\n2026-05-14T12:00Z,8\n", "wrong-unit"],
  ["time,wind (furlongs)\n2026-05-14T12:00Z,8\n", "unknown-unit"],
  ["time,cloud (tenths)\n2026-05-14T12:00Z,8\n", "unknown-unit"],
  ["time (Nowhere/Here),rain\n2026-05-14T12:00Z,8\n", "unknown-zone"],
  ["time,rain\n2026-05-14T12:00Z,wet\n", "no-weather"],
  [
    `time,rain\n${Array.from({ length: 2300 }, (_, k) => `${new Date(k * 3.6e6).toISOString()},1`).join("\n")}\n`,
    "too-many-hours",
  ],
])("a file that is none is refused: %#", (text, code) => {
  expect(refusal(text)?.code).toBe(code);
});

test("the stand-in serves what it makes up: read back, the hours are the same, rising errors and all", () => {
  const at = Date.UTC(2026, 6, 14, 9, 20);
  const { weather, rejected } = readWeatherCsv(weatherCsv(at), { issued: simulateWeather(at).issued });
  expect(rejected).toEqual([]);
  expect(weather).toEqual(simulateWeather(at));
  // What was is the truth whoever asks; what comes is not quite what was said of it.
  const later = simulateWeather(at + 5 * 86_400_000);
  const same = (time: number) => {
    const [a, b] = [weather, later].map(({ hours }) => hours.find((one) => one.time === time)!);
    return Math.abs(a!.wind! - b!.wind!) + Math.abs(a!.air! - b!.air!);
  };
  const ahead = (days: number) =>
    Array.from({ length: 24 }, (_, k) => same(weather.issued + (days * 24 + k) * 3.6e6)).reduce((a, b) => a + b, 0);
  expect(ahead(4)).toBeGreaterThan(ahead(2));
  expect(ahead(4)).toBeLessThan(24 * 6);
});
