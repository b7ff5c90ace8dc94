import { InputError } from "../quantity/fault";
import { CLARITY_CLASSES, clarityClass } from "../gauge/clarity";
import { type Effort } from "./effort";
import { type Band, flowBands, type Rates, ratesBy, ratesByLabel } from "./rates";

export const RATE_KINDS = ["flow", "exceedance", "trend", "clarity", "temperature"] as const;
export type RateKind = (typeof RATE_KINDS)[number];

const steps = (edges: readonly number[], label: (low: number, high: number) => string): Band[] =>
  edges.slice(1).map((high, k) => ({ label: label(edges[k]!, high), low: edges[k]!, high }));

/** Catch rates in classes of one property of the river. */
export function ratesIn(kind: RateKind, efforts: readonly Effort[]): Rates {
  switch (kind) {
    case "flow":
      return ratesBy(efforts, flowBands(efforts), (effort) => effort.river?.discharge ?? null);
    case "exceedance":
      return ratesBy(
        efforts,
        steps([0, 0.1, 0.3, 0.7, 0.9, 1.0001], (low, high) => `exceeded ${low * 100} to ${Math.round(high * 100)} %`),
        (effort) => effort.river?.exceedance ?? null,
      );
    case "trend":
      return ratesByLabel(efforts, ["rising", "steady", "falling"], (effort) => effort.river?.trend ?? null);
    case "clarity":
      return ratesByLabel(
        efforts,
        CLARITY_CLASSES.value.map((entry) => entry.name),
        (effort) => (effort.river?.visibleDepth == null ? null : clarityClass(effort.river.visibleDepth)),
      );
    case "temperature":
      return ratesBy(
        efforts,
        steps([-1, 4, 8, 12, 16, 20, 30], (low, high) => `${Math.max(0, low)} to ${high} °C`),
        (effort) => effort.river?.waterTemperature ?? null,
      );
  }
}

export function rateKind(name: string): RateKind {
  if ((RATE_KINDS as readonly string[]).includes(name)) return name as RateKind;
  throw new InputError("unknown-class", `Rates can be had by ${RATE_KINDS.join(", ")}; not yet by “${name}”.`, {
    path: "by",
  });
}
