import type { MarkName, Measure } from "./marks";
import { waderDepth } from "./wader-depth";

/** What a place marked on a walk is, by the name that it was given; undefined where that says nothing of the river. */
export interface MarkedPlace {
  kind: MarkName;
  measures?: Partial<Record<Measure, number>>;
}

/** Words that tell a kind, the more telling first. */
const WORDS: readonly (readonly [RegExp, MarkName])[] = [
  [/\b(stone|rock|boulder)\b/i, "boulder"],
  [/\bhead\b/i, "pool-head"],
  [/\btail\b/i, "pool-tail"],
  [/\b(riffle|crest|ford)\b/i, "riffle"],
  [/\b(pool|deepest)\b/i, "pool"],
  [/\bdeep side\b/i, "deep-side"],
  [/\b(inflow|brook|ditch|mouth)\b/i, "inflow"],
];

export function markedPlace(name: string, height?: number): MarkedPlace | undefined {
  const depth = waderDepth(name.replace(/\bdepth\b:?/i, "").trim(), height);
  if (depth !== undefined) return { kind: "depth", measures: { depth } };
  const kind = WORDS.find(([words]) => words.test(name))?.[1];
  return kind && { kind };
}
