import type { GaugeNow } from "../core/gauge/summary";
import { rgb } from "./colours";
import { clarityWords, trendWords } from "./words";

const now: GaugeNow = { at: "2026-05-01T00:00:00Z", discharge: 5, stage: 1, waterTemperature: 10, turbidity: 4, visibleDepthFrom: "turbidity", visibleDepth: 1.3, clarity: "clear", exceedance: 0.4, trend: "falling", ratePerHour: -0.01, trendHours: 31 };

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
