import { InputError } from "../quantity/fault";
import { CLARITY_CLASSES, clarityClass } from "../gauge/clarity";
import { type Effort } from "./effort";
import { bandsBetween, flowBands, type Rates, ratesBy, ratesByLabel } from "./rates";

export const RATE_KINDS = ["flow", "exceedance", "trend", "clarity", "temperature"] as const;
export type RateKind = (typeof RATE_KINDS)[number];

/** Round figures of the reader's own units: so many m3/s to one of flow, and the edges of temperature, degC. */
export interface RateScale {
  flow: number;
  temperature: readonly number[];
}

export const SI_SCALE: RateScale = { flow: 1, temperature: [-1, 4, 8, 12, 16, 20, 30] };

/** Catch rates in classes of one property of the river. */
export function ratesIn(kind: RateKind, efforts: readonly Effort[], scale: RateScale = SI_SCALE): Rates {
  switch (kind) {
    case "flow":
      return ratesBy(efforts, flowBands(efforts, scale.flow), (effort) => effort.river?.discharge ?? null);
    case "exceedance":
      return ratesBy(
        efforts,
        bandsBetween([0, 0.1, 0.3, 0.7, 0.9, 1.0001]),
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
      return ratesBy(efforts, bandsBetween(scale.temperature), (effort) => effort.river?.waterTemperature ?? null);
  }
}

export function rateKind(name: string): RateKind {
  if ((RATE_KINDS as readonly string[]).includes(name)) return name as RateKind;
  throw new InputError(
    "unknown-class",
    { known: RATE_KINDS, name },
    {
      path: "by",
    },
  );
}
