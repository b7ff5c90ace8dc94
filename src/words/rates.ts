import type { UnitSystem } from "./quantity";
import { type RateKind, type RateScale, SI_SCALE } from "../core/book/classes";
import type { RateClass } from "../core/book/rates";
import { findUnit, fromSI } from "../core/quantity/units";
import { entryUnit, figureText, show, showText } from "./quantity";

/** Round figures in the reader's units: Fahrenheit by tens about what fish live in. */
export const rateScale = (system: UnitSystem): RateScale =>
  system === "metric"
    ? SI_SCALE
    : {
        flow: findUnit("cfs")!.factor,
        temperature: [30, 40, 45, 50, 55, 60, 70, 90].map((value) => (value - 32) / 1.8),
      };

/** What rates can be looked at by. */
export const RATE_KIND_NAMES: Record<RateKind, string> = {
  flow: "flow",
  exceedance: "flow for the season",
  trend: "rising or falling",
  clarity: "clarity",
  temperature: "water temperature",
};

/** An edge of a class of flow, with no more decimals than it needs: edges are round figures. */
function round(q: number, system: UnitSystem): string {
  const value = Number(fromSI(q, findUnit(entryUnit("discharge", system))!).toPrecision(3));
  return figureText(value, (String(value).split(".")[1] ?? "").length);
}

/** A class of rates in the wanted units. */
export function rateLabel(one: Pick<RateClass, "key" | "low" | "high">, kind: RateKind, system: UnitSystem): string {
  if (one.low === null || one.high === null) return one.key;
  const [low, high] = [one.low, one.high];
  switch (kind) {
    case "flow":
      return [low, high].map((q) => round(q, system)).join(" to ");
    case "exceedance":
      return `exceeded ${figureText(low * 100, 0)} to ${figureText(Math.min(1, high) * 100, 0)} %`;
    case "temperature":
      return `${show(Math.max(0, low), "temperature", system).figure} to ${showText(high, "temperature", system)}`;
    default:
      return one.key;
  }
}
