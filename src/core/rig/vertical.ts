import { errorFunction } from "simple-statistics";
import { lineShape } from "./line-shape";
import { degrees } from "./line-pull";
import { speedIn } from "./sink";
import type { Water } from "./water";

/** Most that a line leans from the vertical for each use, degrees. Common practice, no source. */
export const LEANS = { down: 30, most: 45 } as const;
/**
 * The water runs faster and slower than it is read, and a boat swings: by a quarter, so that a line that stands at 45
 * degrees touches a fifth of the time, as one at 30 does half of it. Common practice, no source.
 */
const SWINGS = 0.25;

/**
 * A line that hangs from a rod tip over its weight, in equilibrium: its angle from the vertical at the rod. The walk
 * begins at the weight as it comes off the bed, which the stones hold against its own drag; in even water of speed U
 * tan(angle) = D / W', D the drag 1/2 rho Cd d U^2 on the wetted length (closed form).
 * @param weight in water, N
 * @returns angle, degrees, and the wetted length, m; 90 where the line streams away and never reaches the surface
 */
export function hangingLine(
  water: Water,
  weight: number,
  lineDiameter: number,
  factor = 1,
  /** Of a boat that drifts, down-current, m/s. */
  boatSpeed = 0,
): { angle: number; length: number } {
  const { depth } = water;
  if (weight <= 0) return { angle: 90, length: Infinity };
  const { shape, pullAlong, pullDown } = lineShape(
    {
      passing: (z) => speedIn(water, Math.min(depth, z)) - boatSpeed,
      length: 4 * depth,
      lineDiameter: lineDiameter * factor,
      weights: [],
      end: { along: 0, down: weight },
      steps: 480,
    },
    0,
    ({ z }) => z >= depth,
  );
  const top = shape.at(-1)!;
  return top.z >= depth
    ? { angle: degrees(Math.atan2(Math.abs(pullAlong), pullDown)), length: top.s }
    : { angle: 90, length: Infinity };
}

/**
 * Share of the time that a weight under the rod is felt on the bed: that the line stands within 30 degrees while the
 * water is a quarter faster or slower (normal). In even water tan(angle) = sinh(x), x = 1/2 rho Cd d U^2 h / W' (a
 * weightless line in a uniform stream), so that x goes with the speed's square.
 */
export function hangingTouch(angle: number): number {
  if (angle >= 90) return 0;
  const x = Math.asinh(Math.tan((angle * Math.PI) / 180));
  const limit = Math.asinh(Math.tan((LEANS.down * Math.PI) / 180));
  return x <= 0 ? 1 : 0.5 * (1 + errorFunction((Math.sqrt(limit / x) - 1) / (SWINGS * Math.SQRT2)));
}
