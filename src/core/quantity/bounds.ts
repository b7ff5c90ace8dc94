/** Physical bounds: wide, so that they catch wrong units, broken files and malice, never a river. */

/** No water on earth lies farther from its datum than this, m. */
export const HIGHEST = 10_000;
/** The greatest rivers in flood carry about 350,000 m3/s (from memory). */
export const MOST_DISCHARGE = 400_000;
/** Soundings of one reach lie within this of each other, m. */
export const LONGEST_REACH = 50_000;
/** Places are within half the earth's girth of where they are counted from, m. */
export const FARTHEST = 2.1e7;
