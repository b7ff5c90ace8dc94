import { BODY_MARKS, MARKED_HEIGHT } from "../gauge/clarity";
import { parseQuantity } from "../quantity/units";

/** Depths by a wader's body, m, for one of 1.75 m; they scale with height. The chest: common practice, no source. */
const WADED = [...BODY_MARKS.value, { name: "chest", depth: 1.25 }] as const;

/** Deepest that is taken for a depth, m. */
const DEEPEST = 30;

/** A depth in m as a number, as text in any unit, or by the body of a wader of that height, m. */
export function waderDepth(value: unknown, height = MARKED_HEIGHT): number | undefined {
  if (typeof value === "number") return value > 0 && value < DEEPEST ? value : undefined;
  if (typeof value !== "string") return undefined;
  const text = value.trim().toLowerCase();
  const mark = WADED.find((one) => one.name === text);
  if (mark) return mark.depth * (height / MARKED_HEIGHT);
  const parsed = parseQuantity(text, "length", "m");
  return parsed.ok ? waderDepth(parsed.value) : undefined;
}
