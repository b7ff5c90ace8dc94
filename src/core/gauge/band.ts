/** "Fishes well between … and …": a band of one measure of the river for one spot, as the angler found it. */
export const BAND_MEASURES = ["discharge", "stage", "belowFull"] as const;
export type BandMeasure = (typeof BAND_MEASURES)[number];

export interface FishesWell {
  spot: string;
  measure: BandMeasure;
  /** SI; null: no bound that way. */
  low: number | null;
  high: number | null;
}

export type BandState = "in" | "under" | "over" | "unknown";

/** Where the river stands against a spot's band. */
export function bandState(band: FishesWell, value: number | null): BandState {
  if (value === null) return "unknown";
  if (band.low !== null && value < band.low) return "under";
  if (band.high !== null && value > band.high) return "over";
  return "in";
}
