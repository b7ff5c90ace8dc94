import { lineShape, type LinePoint, type LineShape, type Weight } from "./line-shape";
import { root } from "./solve";

export interface Hang extends LineShape {
  /** Height of the lower end above the bed, m: below zero would be in the bed. */
  endHeight: number;
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

/**
 * Shape of the line under a float at the surface, in the frame of the float: the height of its lower end is found so
 * that its top meets the surface. The line's own weight is neglected: nylon and fluorocarbon weigh under 1 % of a shot
 * a metre.
 */
export function hang(input: HangInput): Hang {
  const { length, lineDiameter, weights, depth } = input;
  const passing = (z: number) => input.speed(Math.min(Math.max(z, 0), depth)) - input.floatSpeed;
  const walk = (z0: number): LineShape => lineShape({ passing, length, lineDiameter, weights }, z0);
  const topAt = (z0: number) => (walk(z0).shape.at(-1) as LinePoint).z - depth;
  const lowest = depth - length - 1e-6;
  const endHeight = root(topAt, lowest, depth, 1e-5);
  return { ...walk(endHeight), endHeight };
}
