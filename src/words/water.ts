import type { Barometer } from "../core/gauge/barometer";
import type { MoonPhase } from "../core/gauge/sky";
import type { Derived } from "../core/gauge/summary";
import type { WarmthClass, WarmthKind } from "../core/gauge/warmth";
import { count } from "./text";

export const WARMTH_NAMES: Record<WarmthClass, string> = {
  "very-cold": "very cold",
  slow: "slow",
  cool: "cool",
  good: "good",
  warm: "warm",
  "too-warm": "too warm",
};

/** Kinds of fish that water is warm or cold for. */
export const WARMTH_KIND_NAMES: Record<WarmthKind, string> = {
  "trout-and-salmon": "trout and salmon",
  smallmouth: "smallmouth",
  walleye: "walleye",
  catfish: "catfish",
};

export const MOON_NAMES: Record<MoonPhase, string> = {
  new: "new",
  "waxing-crescent": "waxing crescent",
  "first-quarter": "first quarter",
  "waxing-gibbous": "waxing gibbous",
  full: "full",
  "waning-gibbous": "waning gibbous",
  "last-quarter": "last quarter",
  "waning-crescent": "waning crescent",
};

const PACE = { slow: " slowly", plain: "", quick: " quickly", "very-rapid": " very rapidly" } as const;

/** "falling slowly": barometric tendency in the words of the shipping forecast. */
export const barometerWords = ({ tendency, change }: Pick<Barometer, "tendency" | "change">): string =>
  change === "steady" ? "steady" : `${tendency > 0 ? "rising" : "falling"}${PACE[change]}`;

/** How a series was worked out, to follow a figure. */
export function derivedWords(derived: Derived, discharge: number | null): string {
  if (derived.by === "transfer")
    return derived.pairs > 0
      ? `moved from the gauge to the reach by ${count(derived.pairs, "reading")} of yours`
      : "moved from the gauge to the reach by catchment area";
  const error = derived.standardError === null ? "" : `, ±${Math.round(derived.standardError * 100)} %`;
  const words = `from ${derived.from} by your rating (${count(derived.pairs, "pair")}${error})`;
  return discharge !== null && discharge > derived.guessAbove ? `a guess: far beyond the pairs it is ${words}` : words;
}
