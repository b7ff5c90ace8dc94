import { COMMON_PRACTICE, sourced } from "../quantity/provenance";

/**
 * Water temperatures, degC, by kind of fish: below `slow` it hardly feeds, `good` is where it feeds freely, above
 * `stop` it suffers.
 */
export interface WarmthRange {
  slow: number;
  good: readonly [number, number];
  stop: number;
}

/**
 * Markers of the trade (trout and salmon stop at 20 C / 68 F; smallmouth group up at about 50 F). They are the angler's
 * to change.
 */
export const WARMTH = sourced<Record<"trout-and-salmon" | "smallmouth" | "walleye" | "catfish", WarmthRange>>(
  {
    "trout-and-salmon": { slow: 6, good: [8, 16], stop: 20 },
    smallmouth: { slow: 10, good: [15, 25], stop: 30 },
    walleye: { slow: 5, good: [10, 21], stop: 27 },
    catfish: { slow: 10, good: [18, 29], stop: 34 },
  },
  "degC",
  COMMON_PRACTICE,
);
export type WarmthKind = keyof typeof WARMTH.value;

/** From when on a fish is left alone: the usual caution, trout and salmon at about 20 C; local rules stand. */
export const isTooWarm = (fish: { restAbove: number }, temperature: number): boolean => temperature >= fish.restAbove;

export type WarmthClass = "very-cold" | "slow" | "cool" | "good" | "warm" | "too-warm";

/** What a temperature means to a kind of fish, by its class. */
export const warmthClass = (temperature: number, kind: WarmthKind): WarmthClass =>
  warmthIn(temperature, WARMTH.value[kind]);

/** The same by a range of one's own. */
export function warmthIn(temperature: number, { slow, good, stop }: WarmthRange): WarmthClass {
  if (temperature < slow / 2) return "very-cold";
  if (temperature < slow) return "slow";
  if (temperature < good[0]) return "cool";
  if (temperature <= good[1]) return "good";
  return temperature < stop ? "warm" : "too-warm";
}
