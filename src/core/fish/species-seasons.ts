import type { Curve, SeasonalHabits } from "./species-schema";

/**
 * Times of a fish's year: how it lives while it spawns, after it, in summer, on its way to winter water, and in winter.
 * The first of a fish's that fits the temperature and the turn of the year holds (season.ts). Spawning temperatures and
 * depths after the habitat-suitability literature (from memory), the rest common practice, no source. Depth in m, speed
 * in m/s, temperature in degC.
 */
export const SHALLOWS: Curve = [
  [0.2, 0.4],
  [0.5, 1],
  [1.2, 1],
  [2.5, 0.2],
];
export const STILL: Curve = [
  [0, 1],
  [0.1, 1],
  [0.25, 0.3],
  [0.4, 0],
];
export const DEEP: Curve = [
  [0.8, 0.05],
  [1.5, 0.4],
  [2.2, 1],
  [8, 1],
];
export const REDD = {
  depth: [
    [0.1, 0.3],
    [0.25, 1],
    [0.6, 1],
    [1.1, 0.2],
  ] as Curve,
  speed: [
    [0.05, 0.1],
    [0.3, 1],
    [0.65, 1],
    [1, 0.1],
  ] as Curve,
};
/** Six to eight feet: 1.83 to 2.44 m. */
export const SIX_TO_EIGHT: Curve = [
  [0.8, 0.05],
  [1.3, 0.3],
  [1.83, 1],
  [2.44, 1],
  [3.5, 0.5],
  [5, 0.3],
];

export const spawning = (
  temperature: [number, number],
  turning: "warming" | "cooling",
  more: Partial<SeasonalHabits> = {},
): SeasonalHabits => ({
  phase: "spawn",
  temperature,
  turning,
  leaveAlone: true,
  ...more,
});
export const winter = (below: number, more: Partial<SeasonalHabits> = {}): SeasonalHabits => ({
  phase: "winter",
  temperature: [-2, below],
  ...more,
});
export const summer = (above: number, more: Partial<SeasonalHabits> = {}): SeasonalHabits => ({
  phase: "summer",
  temperature: [above, 40],
  ...more,
});
