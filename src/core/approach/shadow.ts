import { getPosition } from "suncalc";

/** The sun over a reach: its altitude, degrees, and the way on the plan in which shadows fall (a unit vector). */
export interface Sun {
  altitude: number;
  shadows: [number, number];
}

/**
 * The sun at an instant (ms) over a reach whose x runs towards `bearing`, degrees from north; undefined while it is
 * down. By the suncalc library.
 */
export function sunOver(at: number, latitude: number, longitude: number, bearing: number): Sun | undefined {
  const { altitude, azimuth } = getPosition(new Date(at), latitude, longitude);
  if (altitude <= 0) return undefined;
  // Shadows fall away from the sun; y grows to the right of x, as bearings grow.
  const turn = ((azimuth + 180 - bearing) * Math.PI) / 180;
  return { altitude, shadows: [Math.cos(turn), Math.sin(turn)] };
}

/** Longest shadow that matters, m: farther off it is too soft. Common practice, no source. */
export const LONGEST_SHADOW = 30;

/** Length on level water of the shadow of something so high over it, m. */
export const shadowLength = (height: number, sun: Sun): number =>
  Math.min(LONGEST_SHADOW, Math.max(0, height) / Math.tan((sun.altitude * Math.PI) / 180));

/** Does the shadow of someone standing at (x, y) come within `clear` m of a fish? */
export function shadowReaches(
  sun: Sun,
  height: number,
  [x, y]: readonly [number, number],
  fish: { x: number; y: number },
  clear = 1.5,
): boolean {
  const length = shadowLength(height, sun);
  const [dx, dy] = [fish.x - x, fish.y - y];
  const along = Math.min(length, Math.max(0, dx * sun.shadows[0] + dy * sun.shadows[1]));
  return Math.hypot(dx - along * sun.shadows[0], dy - along * sun.shadows[1]) <= clear;
}
