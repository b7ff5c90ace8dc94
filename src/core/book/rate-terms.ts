/** What fishing can be told apart by: the river, the sky, the time, the place, the tackle. */
export const RATE_KINDS = [
  "flow",
  "exceedance",
  "trend",
  "clarity",
  "temperature",
  "hour",
  "light",
  "barometer",
  "wind",
  "cloud",
  "tide",
  "pool",
  "moon",
  "season",
  "kind",
  "rank",
  "lie",
  "lure",
  "colour",
  "piece",
  "depth",
  "method",
  "retrieve",
  "weight",
  "cast-angle",
] as const;
export type RateKind = (typeof RATE_KINDS)[number];

/** Round figures of the reader's own units: so many m3/s to one of flow, and the edges of temperature, degC. */
export interface RateScale {
  flow: number;
  temperature: readonly number[];
  /** Edges of depth, and of what lies dry under full pool, m. */
  depth: readonly number[];
  pool: readonly number[];
}

export const SI_SCALE: RateScale = {
  flow: 1,
  temperature: [-1, 4, 8, 12, 16, 20, 30],
  depth: [0, 0.5, 1, 1.5, 2, 3, 5, 10, 60],
  pool: [-20, 0, 0.5, 1, 2, 4, 8, 100],
};

/** Hours of fishing that the prior is worth: weak, so that two outings outweigh it. Common practice, no source. */
export const PRIOR_HOURS = 2;
export const LEVEL = 0.8;
