import { CONDITION_CODES, type ConditionCode, type ConditionKind } from "../core/plan/factor";
import { NO_WEATHER, type WeatherHour } from "../core/gauge/weather";
import type { PlanWindow } from "../core/plan/plan";
import { changeWords, factorWords, logWords, rainWords, removedWords, stateWords } from "./plan";
import { airWords } from "./sky";

const window: PlanWindow = {
  reach: "r",
  from: Date.UTC(2026, 4, 14, 14),
  to: Date.UTC(2026, 4, 14, 17),
  score: 2,
  at: Date.UTC(2026, 4, 14, 15),
  limb: "falling",
  prime: true,
  discharge: 6.8,
  low: 6,
  high: 9,
  visibleDepth: 0.9,
  temperature: 11.8,
  light: "day",
  factors: [],
  log: { low: 5, high: 7, hours: 9, events: 9, rate: 0.94, interval: [0.5, 1.4] },
  known: "Deep of the pool",
  weather: null,
  rain: null,
  cautions: [],
};
const west: WeatherHour = { time: 0, ...NO_WEATHER, wind: 8.2, windFrom: 268, cloud: 1 };
const told = <K extends ConditionKind>(what: K, is: ConditionCode<K>, system: "metric" | "us" = "metric") =>
  factorWords({ what, is, factor: 1 }, window, system);

test("every code of every condition has words of its own", () => {
  for (const what of Object.keys(CONDITION_CODES) as ConditionKind[]) {
    const said = CONDITION_CODES[what].map((is) =>
      factorWords({ what, is, factor: 1 }, { ...window, weather: west }, "us"),
    );
    for (const words of said) expect(words).toMatch(/^(?!.*(undefined|null|NaN))[A-Z0-9].{3,}/);
    expect(new Set(said).size).toBe(what === "log" ? 1 : said.length);
  }
});

test("each reason has its sentence, with the figure that it follows from, in either system", () => {
  expect(told("river", "prime")).toBe("6.8 m³/s, coming down with colour still in");
  expect(told("river", "rising", "us")).toBe("240 cfs, rising slowly");
  expect(told("clarity", "green")).toBe("Green, bottom visible to the thigh");
  expect(told("warmth", "good")).toBe("Water 11.8 °C, ideal for feeding");
  expect(told("warmth", "good", "us")).toBe("Water 53 °F, ideal for feeding");
  expect(told("light", "cold-sun")).toBe("Cold water, but sun is on it and they bite");
  expect(told("tide", "slack")).toBe("Slack tide, which is slow");
  expect(told("tide", "flooding")).toBe("Tide flooding");
  expect(told("log", "more")).toBe(
    "Your log at this flow: 9 fish in 9.0 h, 1.00 an hour counted; 80 % range 0.50 to 1.40 (likely 0.94)",
  );
  expect(told("known", "known")).toMatch(/learn the bite at deep of the pool/);
  expect(told("relief", "shade")).toBe("Warm water, but there is shade here");
  expect(told("band", "out")).toBe("Outside your flow bands");
});

test("the state in one breath; without a clarity it is not spoken of", () => {
  expect(stateWords(window, "metric")).toBe("6.8 m³/s and falling, green, visible to the thigh");
  expect(stateWords({ ...window, visibleDepth: null, limb: "steady" }, "metric")).toBe("6.8 m³/s and steady");
});

test("what would change it names the other water, or that there is none; why one is left out", () => {
  const now = window.from - 3_600_000;
  const change = { path: "high" as const, discharge: 12.4, then: { ...window, reach: "b" } };
  expect(changeWords(change, () => "Alder Bend", "metric", now)).toMatch(
    /^If it stays higher, at 12\.4 m³\/s: Alder Bend, today \d?\d:\d\d( [AP]M)?\.$/,
  );
  expect(changeWords({ ...change, path: "low", then: null }, () => "", "metric", now)).toBe(
    "If it drops faster, at 12.4 m³/s: nowhere.",
  );
  expect(removedWords("too-warm")).toMatch(/too warm for these fish/);
  expect(logWords({ low: 1, high: 2, hours: 12, events: 3, rate: 0.25, interval: [0.1, 0.5] })).toBe(
    "Your log at this flow: 3 fish in 12 h, 0.25 an hour counted; 80 % range 0.10 to 0.50 (likely 0.25)",
  );
});

test("wind and sky: from where, how strong, in lee of which trees; what rain and a wind would change", () => {
  const air = { ...window, weather: west };
  const factor = (is: ConditionCode<"wind">) => factorWords({ what: "wind", is, factor: 1 }, air, "metric");
  expect(factor("open")).toBe(
    "Fresh breeze, 8.2 m/s from the west: you can hardly feel light heads, and a boat drifts off",
  );
  expect(factor("lee-right")).toBe("Fresh breeze, 8.2 m/s from the west: the right-bank trees give shelter");
  expect(airWords(west, "us")).toBe("fresh breeze, 18 mph from the west, overcast");
  expect(airWords({ ...west, windFrom: null, cloud: 0 }, "metric")).toBe("fresh breeze, 8.2 m/s, clear sky");
  expect(airWords(null, "us")).toBe("");
  expect(factorWords({ what: "bait", is: "left", factor: 1 }, air, "metric")).toMatch(/blown on the left bank/);
  expect(rainWords(14.2, "metric")).toMatch(/^14 mm of rain is forecast before then/);
  expect(rainWords(25.4, "us")).toMatch(/^1\.0 in of rain/);
  expect(changeWords({ path: "wind", wind: 8, then: null }, () => "", "us", 0)).toBe(
    "If the wind gets up to 18 mph: nowhere.",
  );
  expect(removedWords("white-caps")).toMatch(/white caps/);
});
