import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { DENSITY, type Metal, sphereDiameter, sphereForce, submergedWeight } from "./drag";
import { root } from "./solve";

/** What falls through water: a ball of its metal, what dresses it, and what that weighs in water. */
export interface Falling {
  /** g of the head or weight. */
  grams: number;
  metal: Metal;
  /** Cd times area of the dressing, m2. */
  dragArea?: number;
  /** Weight of the dressing in water, N; negative where it floats. */
  dressing?: number;
}

/** Weight in water, N. */
export const weightInWater = ({ grams, metal, dressing = 0 }: Falling): number =>
  submergedWeight(grams / 1000, DENSITY[metal]) + dressing;

/** Drag at a speed, N: the ball's own, and that of its dressing. */
export const dragOf = ({ grams, metal, dragArea = 0 }: Falling, speed: number): number =>
  sphereForce(sphereDiameter(grams / 1000, DENSITY[metal]), speed) +
  0.5 * WATER_DENSITY * dragArea * speed * Math.abs(speed);

/** Terminal speed in still water, m/s: nought of what floats. */
export function fallSpeed(falling: Falling): number {
  const weight = weightInWater(falling);
  if (weight <= 0) return 0;
  return root((speed) => dragOf(falling, speed) - weight, 1e-9, 20, 1e-9, 200);
}

/**
 * Cd times area of a dressing, m2, from one timed drop of a head with it: what its weight leaves after the ball's own
 * drag at the speed of the drop. Undefined where it fell faster than its bare head would.
 */
export function dragAreaFromDrop(
  falling: Omit<Falling, "dragArea">,
  drop: { depth: number; seconds: number },
): number | undefined {
  const speed = drop.depth / drop.seconds;
  const left = weightInWater(falling) - dragOf({ ...falling, dragArea: 0 }, speed);
  return left > 0 ? left / (0.5 * WATER_DENSITY * speed ** 2) : undefined;
}

/** Weight in water of a soft body, N, from its mass, g, and density, kg/m3. */
export const bodyWeight = (grams: number, density: number): number =>
  (grams / 1000) * GRAVITY * (1 - WATER_DENSITY / density);

/** Terminal speed, m/s, of a weight in water, N, with a Cd times area, m2. */
export const terminalOf = (weight: number, area: number): number =>
  weight > 0 ? Math.sqrt((2 * weight) / (WATER_DENSITY * area)) : 0;
