import { WATER_DENSITY } from "../quantity/provenance";
import { LINE_NORMAL, LINE_TANGENTIAL, sphereForce } from "./drag";
import { root } from "./solve";

/**
 * A weight on the line: its distance from the lower end along the line (m), its weight in water (N) and the sphere that
 * drags like it (m).
 */
export interface Weight {
  fromEnd: number;
  weight: number;
  diameter: number;
}

export interface Hang {
  /**
   * Points from the lower end up to the float: x down-current (m), z above the bed (m), s along the line from the lower
   * end (m).
   */
  shape: { x: number; z: number; s: number }[];
  /** Height of the lower end above the bed, m: below zero would be in the bed. */
  endHeight: number;
  /** Force of the line on the float, N: along the current (down-current positive) and down. */
  pullAlong: number;
  pullDown: number;
}

export interface HangInput {
  /** Speed of the water over the ground at height z above the bed, m/s. */
  speed: (z: number) => number;
  /** Speed of the float over the ground, m/s. */
  floatSpeed: number;
  depth: number;
  /** Length of line from float to its lower end, m. */
  length: number;
  lineDiameter: number;
  weights: readonly Weight[];
}

const STEPS = 60;

/**
 * Walks up the line from its lower end at height z0, with forces in equilibrium in the frame of the float: at every
 * element
 * dT = -(weight + drag), drag normal and tangential to it by the relative speed. (A weightless line with end load; line
 * weight
 * in water is neglected: nylon and fluorocarbon weigh under 1 % of a shot a metre.)
 */
function walk(input: HangInput, z0: number): Hang {
  const step = input.length / STEPS;
  // Force that the line below exerts on the element above: along (down-current) and down.
  let along = 0;
  let down = 0;
  let [x, z] = [0, z0];
  const shape = [{ x, z, s: 0 }];
  const ordered = [...input.weights].sort((a, b) => a.fromEnd - b.fromEnd);
  let next = 0;
  const relative = (height: number) => input.speed(Math.min(Math.max(height, 0), input.depth)) - input.floatSpeed;
  for (let k = 0; k < STEPS; k++) {
    const s = k * step;
    while (next < ordered.length && ordered[next]!.fromEnd <= s + 1e-9) {
      along += sphereForce(ordered[next]!.diameter, relative(z));
      down += ordered[next]!.weight;
      next++;
    }
    // The line above lies along the pull: up, and against the drag below.
    const pull = Math.sqrt(along * along + down * down);
    const [tx, tz] = pull > 1e-12 ? [-along / pull, down / pull] : [0, 1];
    const v = relative(z);
    const normal = v * tz;
    const tangential = v * tx;
    const fn = 0.5 * WATER_DENSITY * LINE_NORMAL * input.lineDiameter * normal * Math.abs(normal) * step;
    const ft =
      0.5 * WATER_DENSITY * LINE_TANGENTIAL * Math.PI * input.lineDiameter * tangential * Math.abs(tangential) * step;
    // Normal direction (tz, -tx), tangential (tx, tz); z is up, so a downward pull is minus z.
    along += fn * tz + ft * tx;
    down += fn * tx - ft * tz;
    x += tx * step;
    z += tz * step;
    shape.push({ x, z, s: s + step });
  }
  return { shape, endHeight: z0, pullAlong: along, pullDown: down };
}

/**
 * Shape of the line under a float at the surface: the height of its lower end is found so that its top meets the
 * surface.
 */
export function hang(input: HangInput): Hang {
  const topAt = (z0: number) => walk(input, z0).shape.at(-1)!.z - input.depth;
  const lowest = input.depth - input.length - 1e-6;
  const z0 = root(topAt, lowest, input.depth, 1e-5);
  return walk(input, z0);
}
