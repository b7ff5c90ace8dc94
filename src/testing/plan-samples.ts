import type { Outlook } from "../core/gauge/outlook";
import { HOUR } from "../core/gauge/series";
import type { PlanReach } from "../core/plan/plan-reach";

export const T0 = Date.UTC(2026, 4, 14, 6);
export const STEP = 6 * HOUR;
export const PLACE = { latitude: 52, longitude: 0 };

/** An outlook whose flow goes on by a factor every six hours, with a band that many times wider either way. */
export function sampleOutlook(
  change: { flow?: number; factor?: number; width?: number; seen?: number; temperature?: number } = {},
): Outlook {
  const { flow = 6, factor = 0.97, width = 1.01, seen = 0.9, temperature = 11 } = change;
  const points = Array.from({ length: 20 }, (_, k) => {
    const median = flow * factor ** (k + 1);
    return { time: T0 + (k + 1) * STEP, low: median / width ** (k + 1), median, high: median * width ** (k + 1) };
  });
  const level = (value: number) =>
    Array.from({ length: 20 }, (_, k) => ({ time: T0 + k * STEP, low: value, median: value, high: value }));
  return {
    at: T0,
    season: null,
    recession: null,
    parts: null,
    regime: null,
    flow: { from: T0, discharge: flow, method: "combined", ways: [], step: 6 * 3_600_000, points, paths: [] },
    lowest: 1,
    turbidity: null,
    turbidityFit: null,
    visibleDepth: level(seen),
    temperature: level(temperature),
    swing: null,
    barometer: null,
  };
}

/** A reach of which nothing is known but its river. */
export const sampleReach = (id: string, change: Partial<PlanReach> = {}): PlanReach => ({
  id,
  name: id,
  place: PLACE,
  outlook: sampleOutlook(),
  own: null,
  rules: [],
  bands: [],
  turns: [],
  log: [],
  usualRate: null,
  lies: [],
  travel: null,
  relief: [],
  known: null,
  risingFast: false,
  zone: null,
  damNote: "",
  weather: null,
  bearing: null,
  trees: [],
  ...change,
});
