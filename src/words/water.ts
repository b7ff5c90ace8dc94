import type { Barometer } from "../core/gauge/barometer";
import type { Forecast } from "../core/gauge/forecast";
import type { FlowWay } from "../core/gauge/forecast/way-names";
import type { Regime } from "../core/gauge/regime";
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

const REGIME_NAMES: Record<Regime, string> = {
  "rain-fed": "fed by rain",
  "groundwater-fed": "fed by springs",
  "snow-fed": "fed by snow melt",
  released: "released from a dam",
  tidal: "tidal",
  lowland: "slow to rise, as in lowland or below a lake",
  intermittent: "dry at times",
};

const FLOW_WAY_NAMES: Record<FlowWay, string> = {
  persistence: "no change",
  yesterday: "yesterday at the same hour",
  daily: "the daily rise and fall of the last days",
  lastWeek: "last week at the same hour",
  weekly: "the last weeks at that hour of that weekday",
  recent: "the middle of the last two weeks",
  neighbours: "what followed past states most like today",
  sameHour: "what followed past states like today at this hour",
  recession: "its fall without rain",
  rain: "the rain that fell and is forecast, by a model of the catchment (GR4, Perrin 2003)",
};

/** Where a forecast of flow comes from, and what kind of river it is for. */
export function forecastSource({ method, ways, paths }: Forecast, regime: Regime | null): string {
  if (method === "recession")
    return "The fall without rain, from this river’s recessions (Brutsaert & Nieber 1977). The record is too short to test other ways. The band is 10 to 90 %.";
  const named = ways.map(({ way }) => FLOW_WAY_NAMES[way]).join(", and ");
  const rainWords = ways.some(({ way }) => way === "rain")
    ? "A rain forecast is tried as if it were off by a third on the first day."
    : "Future rain counts only as in the past.";
  const river = regime ? `By its record this river is ${REGIME_NAMES[regime]}. ` : "";
  return `${river}A day ahead the forecast goes by ${named}: that was nearest on this record. The band holds 80 % of its errors at the ${paths.length} times most like now. ${rainWords}`;
}

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
