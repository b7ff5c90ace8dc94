/**
 * Ways to say the days ahead of a river from its own record; which of them hold, and how far, is measured on the record
 * (combined.ts). Each fills the steps after the `k`th of a grid by what was known then, on the grid's scale; NaN where
 * it cannot tell.
 */
export const FLOW_WAYS = [
  "persistence",
  "yesterday",
  "daily",
  "lastWeek",
  "weekly",
  "recent",
  "neighbours",
  "sameHour",
  "recession",
  "rain",
] as const;
export type FlowWay = (typeof FLOW_WAYS)[number];
