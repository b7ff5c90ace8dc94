import type { GaugeNow } from "../core/gauge/summary";
import { rgb } from "../widgets/colours";
import {
  clarityWords,
  clock,
  moment,
  nowWords,
  seasonMissing,
  seasonWords,
  seenTo,
  stripWords,
  trendWords,
} from "./river";

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
  seasonYears: 4,
  trend: "falling",
  ratePerHour: -0.01,
  trendHours: 31,
};

test("trend and clarity in plain words, and what is not known says so", () => {
  expect(trendWords(now)).toBe("falling 31 h");
  expect(trendWords({ ...now, trendHours: 0.3 })).toBe("just started falling");
  expect(trendWords({ ...now, trendHours: 100 })).toBe("falling 4 days");
  expect(trendWords({ ...now, trend: "steady", trendHours: null })).toBe("steady");
  expect(trendWords({ ...now, trend: null })).toBe("trend unknown");
  expect(clarityWords(now)).toEqual({ word: "Clear", seen: "visible to the waist" });
  expect(clarityWords({ ...now, clarity: null, visibleDepth: null }).word).toBe("Unknown");
});

test("what was read since a record ended is not told as of its last reading", () => {
  const told = { stale: true, system: "metric", height: 1.75 } as const;
  expect(nowWords(now, told)).toMatch(/^At the last reading, .*: 5\.0 m³\/s .*; clear, .*; water 10\.0 °C\.$/);
  const own = { ...now, visibleDepthFrom: "reading", waterTemperatureFrom: "reading" } as const;
  expect(nowWords(own, told)).toMatch(
    /^At the last reading, [^.]*: 5\.0 m³\/s [^.]*\. Read by you since: clear, visible to the waist; water 10\.0 °C\.$/,
  );
  expect(nowWords(own, { ...told, stale: false })).not.toMatch(/since/);
  expect(stripWords(own, true, "metric")).toMatch(/; read by you since: clear, /);
  expect(stripWords(own, false, "metric")).not.toMatch(/since/);
});

test("colours long and short", () => {
  expect(rgb("#f4f0e6")).toEqual([244, 240, 230]);
  expect(rgb("#fff")).toEqual([255, 255, 255]);
});

test("a moment near now, as said aloud: today, tomorrow, a weekday, then a date", () => {
  const now = new Date(2026, 10, 25, 9, 0).getTime();
  const at = (days: number, hours: number) => new Date(2026, 10, 25 + days, hours, 30).getTime();
  expect(clock(at(0, 16))).toMatch(/^(16:30|0?4:30\sPM)$/);
  expect(moment(at(0, 16), now)).toBe(`today ${clock(at(0, 16))}`);
  expect(moment(at(1, 4), now)).toBe(`tomorrow ${clock(at(1, 4))}`);
  expect(moment(at(3, 4), now)).toBe(`Sat ${clock(at(3, 4))}`);
  expect(moment(at(9, 4), now)).toMatch(/^Fri,? (4 Dec|Dec 4),? /);
  // A year stands where it is not this one.
  expect(moment(at(9, 4), now)).not.toMatch(/2026/);
  expect(moment(at(60, 4), now)).toMatch(/2027/);
});

const of = (exceedance: number, seasonYears = 3) => seasonWords({ ...now, exceedance, seasonYears });

test("both conventions in one sentence: exceeded 5 % of the time is very high, 95 % very low", () => {
  expect(of(0.05)).toBe("very high for the season: exceeded only 5 % of the time");
  expect(of(0.2)).toMatch(/^high/);
  expect(of(0.5)).toMatch(/^usual/);
  expect(of(0.8)).toMatch(/^low/);
  expect(of(0.95)).toMatch(/^very low/);
  // Of two years nobody can say what is usual: it says how much it takes.
  expect(of(0.05, 2)).toBeUndefined();
  expect(seasonMissing({ ...now, exceedance: 0.05, seasonYears: 2 })).toMatch(/^2 of the 3 years/);
});

test("how deep the bed is seen, by the marks of the angler's own body (common practice, no source)", () => {
  expect([0.05, 0.5, 0.75, 2].map((depth) => seenTo(depth))).toEqual([
    "bottom not visible at the ankle",
    "visible to the knee",
    "visible to the thigh",
    "visible past the waist",
  ]);
  expect(seenTo(0.75, 1.5)).toBe("visible to the thigh");
});
