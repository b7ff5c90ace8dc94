/** How shot is spread on a float's line. */
export const SHOTTINGS = ["tapered", "bulk", "even"] as const;
export type Shotting = (typeof SHOTTINGS)[number];
