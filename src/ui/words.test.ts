import type { GaugeNow } from "../core/gauge/summary";
import { rgb } from "./colours";
import { clarityWords, clock, moment, trendWords } from "./words";

const now: GaugeNow = {
  at: "2026-05-01T00:00:00Z",
  discharge: 5,
  stage: 1,
  waterTemperature: 10,
  turbidity: 4,
  visibleDepthFrom: "turbidity",
  visibleDepth: 1.3,
  clarity: "clear",
  exceedance: 0.4,
  trend: "falling",
  ratePerHour: -0.01,
  trendHours: 31,
};

test("trend and clarity in plain words, and what is not known says so", () => {
  expect(trendWords(now)).toBe("falling 31 h");
  expect(trendWords({ ...now, trendHours: 0.3 })).toBe("just turned to falling");
  expect(trendWords({ ...now, trendHours: 100 })).toBe("falling 4 days");
  expect(trendWords({ ...now, trend: "steady", trendHours: null })).toBe("steady");
  expect(trendWords({ ...now, trend: null })).toBe("trend not known");
  expect(clarityWords(now)).toEqual({ word: "Clear", seen: "seen to the waist" });
  expect(clarityWords({ ...now, clarity: null, visibleDepth: null }).word).toBe("Not known");
});

test("colours long and short", () => {
  expect(rgb("#f4f0e6")).toEqual([244, 240, 230]);
  expect(rgb("#fff")).toEqual([255, 255, 255]);
});

test("a moment near now, as said aloud: today, tomorrow, a weekday, then a date", () => {
  const now = new Date(2026, 10, 25, 9, 0).getTime();
  const at = (days: number, hours: number) => new Date(2026, 10, 25 + days, hours, 30).getTime();
  expect(clock(at(0, 16))).toBe("16:30");
  expect(moment(at(0, 16), now)).toBe("today 16:30");
  expect(moment(at(1, 4), now)).toBe("tomorrow 04:30");
  expect(moment(at(3, 4), now)).toBe("Sat 04:30");
  expect(moment(at(9, 4), now)).toMatch(/^Fri,? 4 Dec 04:30$/);
});
