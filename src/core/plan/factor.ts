/**
 * What makes an hour better or worse, each a factor about 1 with the code of its reason: the rules of the trade as
 * visible weights, which the angler's own log confirms or overrules. The registry of the plan's conditions: their words
 * (words/plan.ts) are a record over it, so that a condition or a code without words does not compile.
 */
export const CONDITION_CODES = {
  river: ["prime", "falling", "steady", "rising"],
  clarity: ["muddy", "coloured", "green", "clear", "gin-clear"],
  warmth: ["very-cold", "slow", "cool", "good", "warm"],
  light: ["cold-sun", "cold-day", "cold-twilight", "cold-night", "edge", "day", "dull", "bright", "night", "shy-night"],
  tide: ["flooding", "slack", "ebbing"],
  season: ["very-high"],
  log: ["more", "less"],
  lies: ["good", "poor"],
  band: ["in", "out"],
  size: ["large-cooling", "small-cooling", "large-warming", "small-warming"],
  relief: ["inflow", "shade"],
  wind: ["lee-left", "lee-right", "open"],
  bait: ["left", "right"],
  known: ["known"],
} as const;
export type ConditionKind = keyof typeof CONDITION_CODES;
/** What a condition can be. */
export type ConditionCode<K extends ConditionKind> = (typeof CONDITION_CODES)[K][number];

export type FactorOf<K extends ConditionKind> = { what: K; is: ConditionCode<K>; factor: number };
export type Factor = { [K in ConditionKind]: FactorOf<K> }[ConditionKind];
