import { COMMON_PRACTICE, FROM_MEMORY, sourced } from "../quantity/provenance";

export type ClarityClass = "muddy" | "coloured" | "green" | "clear" | "gin-clear";

/** Upper limits of visible depth, m. */
export const CLARITY_CLASSES = sourced(
  [
    { name: "muddy", below: 0.3 },
    { name: "coloured", below: 0.6 },
    { name: "green", below: 1.2 },
    { name: "clear", below: 2.5 },
    { name: "gin-clear", below: Infinity },
  ] as const,
  "m",
  COMMON_PRACTICE,
);

/** Visible depth = a NTU^b, m: an order of magnitude until the angler's own pairs refit it. */
export const VISIBLE_DEPTH_FIT = sourced({ a: 3.4, b: -0.71 }, "m from NTU", FROM_MEMORY);

/** No river shows its bed deeper than this, m; keeps the fit finite at zero turbidity. Common practice, no source. */
const CLEAREST = 6;

/** Visible depth, m, from turbidity, NTU or FNU. */
export function visibleDepthFromTurbidity(
  turbidity: number,
  { a, b }: { a: number; b: number } = VISIBLE_DEPTH_FIT.value,
): number {
  return Math.min(CLEAREST, a * Math.max(turbidity, 1e-3) ** b);
}

/** The inverse of the fit: NTU at a visible depth, m. */
export function turbidityFromVisibleDepth(visibleDepth: number): number {
  const { a, b } = VISIBLE_DEPTH_FIT.value;
  return (visibleDepth / a) ** (1 / b);
}

export const clarityClass = (visibleDepth: number): ClarityClass =>
  CLARITY_CLASSES.value.find((entry) => visibleDepth < entry.below)!.name;

/** Is water clear enough that fish see a line, and whoever stands over them? */
export const isClear = (visibleDepth: number): boolean => ["clear", "gin-clear"].includes(clarityClass(visibleDepth));

/** Depths of a wader's body marks, m, for an angler of 1.75 m; they scale with height. */
export const BODY_MARKS = sourced(
  [
    { name: "ankle", depth: 0.1 },
    { name: "shin", depth: 0.3 },
    { name: "knee", depth: 0.5 },
    { name: "thigh", depth: 0.75 },
    { name: "waist", depth: 1.0 },
  ] as const,
  "m",
  COMMON_PRACTICE,
);

/** Height that BODY_MARKS are for, m. */
export const MARKED_HEIGHT = 1.75;

export type BodyMark = (typeof BODY_MARKS.value)[number]["name"];

/**
 * The deepest mark of an angler of that height, m, at which the bed can still be seen; "over" past the waist, null
 * where not even the ankle is.
 */
export function bodyMarkAt(visibleDepth: number, height = MARKED_HEIGHT): BodyMark | "over" | null {
  const scaled = visibleDepth * (MARKED_HEIGHT / height);
  if (scaled > 1.3) return "over";
  return BODY_MARKS.value.filter((entry) => entry.depth <= scaled * 1.1).at(-1)?.name ?? null;
}
