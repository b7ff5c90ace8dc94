/** Refractive index of water (CRC Handbook). */
const REFRACTION = 1.333;

/**
 * Half angle of the fish's window, radians: arcsin(1/n), 48.6 degrees; the whole cone is 97.2 degrees wide (Snell's
 * law).
 */
export const WINDOW = Math.asin(1 / REFRACTION);

/** Radius at the surface of the window of a fish at a depth, m. */
export const windowRadius = (depth: number): number => depth * Math.tan(WINDOW);

/**
 * What stands lower than this over the water, seen from the edge of the window, is squeezed into its dim rim and hardly
 * seen, degrees. Common practice, no source.
 */
const RIM = 10;
/**
 * Against a bank or trees behind, instead of the sky, the outline is lost to about twice that height, degrees. Common
 * practice, no source.
 */
const RIM_BEFORE_BANK = 20;

/** Farther than this many visible depths nothing is made out. Common practice, no source. */
const MURK = 2;

/**
 * Can a fish whose eye lies `depth` m under the surface see something that stands `height` m over it, `distance` m off?
 * Only what is above the water is
 * seen through the window; clouded water hides it beyond the visible depth. `backed`: it stands before a bank or trees,
 * not before the sky.
 */
export function seesOver(
  depth: number,
  height: number,
  distance: number,
  visibleDepth: number,
  backed = false,
): boolean {
  if (height <= 0) return false;
  const edge = windowRadius(depth);
  // The sight line through the window's edge is the longest under water.
  if (depth / Math.cos(WINDOW) > MURK * visibleDepth) return false;
  if (distance <= edge) return true;
  return (Math.atan2(height, distance - edge) * 180) / Math.PI > rim(backed);
}

/** Least distance at which something of that height is not seen, m. */
export const hiddenFrom = (depth: number, height: number, backed = false): number =>
  windowRadius(depth) + height / Math.tan((rim(backed) * Math.PI) / 180);

const rim = (backed: boolean): number => (backed ? RIM_BEFORE_BANK : RIM);

/** Height of someone who crouches, as a share of their own. Common practice, no source. */
export const CROUCHED = 0.6;
