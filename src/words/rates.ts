import type { UnitSystem } from "./quantity";
import type { LieKind } from "../core/book/bank-records";
import { type RateKind, type RateScale, SI_SCALE } from "../core/book/rate-terms";
import type { RateClass } from "../core/book/rates";
import { findUnit, FOOT, fromSI } from "../core/quantity/units";
import { CLOUD_NAMES, WIND_NAMES } from "./sky";
import { RETRIEVE_NAMES } from "./retrieves";
import { entryUnit, figureText, spanText } from "./quantity";

/** Round figures in the reader's units: Fahrenheit by tens about what fish live in. */
export const rateScale = (system: UnitSystem): RateScale =>
  system === "metric"
    ? SI_SCALE
    : {
        flow: findUnit("cfs")!.factor,
        temperature: [30, 40, 45, 50, 55, 60, 70, 90].map((value) => (value - 32) / 1.8),
        depth: [0, 1, 2, 4, 6, 8, 12, 20, 40, 200].map((value) => value * FOOT),
        pool: [-60, 0, 2, 5, 10, 15, 30, 300].map((value) => value * FOOT),
      };

/** What rates can be looked at by. */
export const RATE_KIND_NAMES: Record<RateKind, string> = {
  flow: "flow",
  exceedance: "flow for the season",
  trend: "rising or falling",
  clarity: "clarity",
  temperature: "water temperature",
  hour: "hour of the day",
  light: "light",
  barometer: "air pressure",
  wind: "wind",
  cloud: "cloud",
  tide: "tide",
  pool: "level below full pool",
  moon: "moon",
  season: "time of year",
  kind: "kind of spot",
  rank: "rank of the lie",
  lie: "place",
  lure: "lure",
  colour: "colour",
  piece: "bait piece",
  depth: "depth fished",
  method: "method",
  retrieve: "retrieve",
  weight: "weight of the rig",
  "cast-angle": "angle of the cast",
};

/** Sorts of places. */
export const LIE_KIND_NAMES: Record<LieKind, string> = {
  above: "cushion above a break",
  below: "slack below a break",
  behind: "behind a break",
  beside: "beside a break",
  "seam-off": "seam off a break",
  "seam-edge": "edge of fast water",
  "bank-edge": "soft edge by the bank",
  corner: "corner facing the current",
  slot: "slot below a riffle",
  ledge: "on a ledge",
  "bottom-edge": "hard bottom meets soft",
  head: "head of a pool",
  tail: "tail of a pool",
  deep: "deep of a pool",
  "riffle-pocket": "pocket in a riffle",
  run: "even run",
};

/** Names of classes that are not plain words by themselves. */
const CLASS_NAMES: Partial<Record<RateKind, Readonly<Record<string, string>>>> = {
  season: {
    "jan-feb": "January, February",
    "mar-apr": "March, April",
    "may-jun": "May, June",
    "jul-aug": "July, August",
    "sep-oct": "September, October",
    "nov-dec": "November, December",
  },
  kind: LIE_KIND_NAMES,
  wind: WIND_NAMES,
  cloud: CLOUD_NAMES,
  retrieve: RETRIEVE_NAMES,
  light: { day: "daylight", twilight: "twilight", night: "dark" },
  moon: { new: "new moon", waxing: "waxing", full: "full moon", waning: "waning" },
};

/** An edge of a class of flow, with no more decimals than it needs: edges are round figures. */
function round(q: number, system: UnitSystem): string {
  const value = Number(fromSI(q, findUnit(entryUnit("discharge", system))!).toPrecision(3));
  return figureText(value, (String(value).split(".")[1] ?? "").length);
}

/** Casts by their angle from straight upstream, degrees. */
const CAST_ANGLE_NAMES: readonly (readonly [number, string])[] = [
  [30, "upstream"],
  [75, "up and across"],
  [105, "across"],
  [150, "down and across"],
  [181, "downstream"],
];

/** A class of rates in the wanted units. */
export function rateLabel(one: Pick<RateClass, "key" | "low" | "high">, kind: RateKind, system: UnitSystem): string {
  if (one.low === null || one.high === null) return CLASS_NAMES[kind]?.[one.key] ?? one.key;
  const [low, high] = [one.low, one.high];
  switch (kind) {
    case "flow":
      return [low, high].map((q) => round(q, system)).join(" to ");
    case "exceedance":
      return `exceeded ${figureText(low * 100, 0)} to ${figureText(Math.min(1, high) * 100, 0)} %`;
    case "temperature":
      return spanText(Math.max(0, low), high, "temperature", system);
    case "hour":
      return `${figureText(low, 0)} to ${figureText(high, 0)} h`;
    case "rank":
      return low === 1 ? "the first lie" : low === 2 ? "lies 2 and 3" : "lies 4 and on";
    case "weight":
      return high > 1000
        ? `${figureText(low, 0)} g and more`
        : `${figureText(low, low < 2 ? 1 : 0)} to ${figureText(high, high < 2 ? 1 : 0)} g`;
    case "cast-angle":
      return CAST_ANGLE_NAMES.find(([upTo]) => high <= upTo)![1];
    case "depth":
    case "pool":
      return spanText(low, high, "depth", system);
    default:
      return one.key;
  }
}
