import type { Lie } from "../../core/fish/read";

/** The picture's size and its margins, in its own units. */
export const W = 720;
export const H = 320;
const TOP = 58;
export const BOTTOM = 40;
/** Room of the profile of speed, at the left. */
export const PROFILE = 150;

/** One scale for both axes, so that angles are true: heights over the bed and distances along the current, m. */
export interface Scene {
  scale: number;
  /** Picture's y of a height over the bed, m. */
  y: (height: number) => number;
  bed: number;
  surface: number;
  depth: number;
}

export function sceneOf({ depth }: Pick<Lie, "depth">): Scene {
  const scale = (H - TOP - BOTTOM) / depth;
  const bed = H - BOTTOM;
  return { scale, y: (height) => bed - height * scale, bed, surface: TOP, depth };
}

export const pathOf = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y], k) => `${k === 0 ? "M" : "L"}${x.toFixed(1)} ${y.toFixed(1)}`).join("");
