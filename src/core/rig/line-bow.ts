import { type Field } from "../flow/grid";
import { surfaceSpeed } from "../flow/profile";
import { placeWater } from "./place";

/**
 * How the line from the rod lies on the water: it bows where the water under it runs faster or slower than the float.
 */
export interface LineBow {
  /** Lets the water work for a while, s. True: the float is pulled, and a mend is due. */
  drift: (x: number, y: number, u: number, v: number, dt: number) => boolean;
  mends: () => number;
}

/** Points along the line. */
const POINTS = 5;
/** Slack that is left on the water, m: past it the bow pulls the float. Common practice, no source. */
const SLACK = 0.6;

/**
 * A bow of depth b over a chord L takes 8/3 b^2/L more line than the chord (arc of a parabola, to second order). What
 * lies on the water is what the rod does not hold off it.
 * @param reach of the rod: line within it is held off the water, m
 */
export function lineBow(field: Field, from: readonly [number, number], reach: number, pace: number): LineBow {
  const bow = new Float64Array(POINTS);
  let mended = 0;
  return {
    mends: () => mended,
    drift: (x, y, u, v, dt) => {
      const length = Math.hypot(x - from[0], y - from[1]);
      const lying = length - reach;
      if (lying < 1) return false;
      const speed = Math.max(Math.hypot(u, v), 1e-6);
      let deepest = 0;
      for (let k = 0; k < POINTS; k++) {
        const share = (reach + ((k + 0.5) / POINTS) * lying) / length;
        const water = placeWater(field, from[0] + (x - from[0]) * share, from[1] + (y - from[1]) * share, pace);
        if (water.depth < 0.02) continue;
        const top = surfaceSpeed(1, water.depth, water.bedRoughness);
        bow[k]! += dt * ((top * (water.u * u + water.v * v)) / speed - speed);
        deepest = Math.max(deepest, Math.abs(bow[k]!));
      }
      if ((8 / 3) * (deepest ** 2 / lying) <= SLACK) return false;
      bow.fill(0);
      mended++;
      return true;
    },
  };
}

/**
 * Water under the line that runs faster than where it ends: where, m from the angler, and how fast; undefined: none.
 */
export function fasterUnder(
  field: Field,
  from: readonly [number, number],
  to: readonly [number, number],
  reach: number,
): { at: number; speed: number } | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const end = placeWater(field, to[0], to[1]).meanSpeed;
  let fastest: { at: number; speed: number } | undefined;
  for (let at = Math.max(0.5, reach); at < length - 0.5; at += 0.5) {
    const share = at / length;
    const { meanSpeed, depth } = placeWater(
      field,
      from[0] + (to[0] - from[0]) * share,
      from[1] + (to[1] - from[1]) * share,
    );
    if (depth > 0.05 && meanSpeed > 1.3 * end + 0.05 && meanSpeed > (fastest?.speed ?? 0))
      fastest = { at, speed: meanSpeed };
  }
  return fastest;
}
