import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { root } from "./solve";

/** Kinematic viscosity of water at 10 C, m2/s (CRC Handbook: 1.307e-6). */
export const VISCOSITY = 1.307e-6;

/**
 * Drag coefficient of a sphere: Cd = 24/Re (1 + 0.150 Re^0.681) + 0.407/(1 + 8710/Re) (Brown & Lawler 2003, J. Environ.
 * Eng. 129).
 */
export const sphereDrag = (reynolds: number): number =>
  (24 / reynolds) * (1 + 0.15 * reynolds ** 0.681) + 0.407 / (1 + 8710 / reynolds);

/** Drag force on a sphere of diameter d (m) in water passing at speed V (m/s), N; signed like V. */
export function sphereForce(diameter: number, speed: number): number {
  const size = Math.abs(speed);
  if (size < 1e-9) return 0;
  const area = (Math.PI * diameter ** 2) / 4;
  return 0.5 * WATER_DENSITY * sphereDrag((size * diameter) / VISCOSITY) * area * speed * size;
}

/**
 * Drag coefficient of a thin line held across the water (cylinder, 1e2 < Re < 1e5: about 1.2; Hoerner 1965), and along
 * it.
 */
export const LINE_NORMAL = 1.2;
export const LINE_TANGENTIAL = 0.015;

/** Densities, kg/m3 (CRC Handbook; tungsten as the compounds that shot is made of, from memory). */
export const DENSITY = {
  lead: 11_340,
  tungsten: 17_500,
  tin: 7_290,
  bismuth: 9_780,
  brass: 8_500,
  steel: 7_850,
} as const;
export type Metal = keyof typeof DENSITY;

export const sphereDiameter = (massKg: number, density: number): number =>
  Math.cbrt((6 * massKg) / (Math.PI * density));

/** Weight in water, N. */
export const submergedWeight = (massKg: number, density: number): number =>
  massKg * GRAVITY * (1 - WATER_DENSITY / density);

/** Terminal speed of a sphere in still water, m/s. */
export function terminalSpeed(massKg: number, density: number): number {
  const weight = submergedWeight(massKg, density);
  if (weight <= 0) return 0;
  const diameter = sphereDiameter(massKg, density);
  return root((speed) => sphereForce(diameter, speed) - weight, 1e-9, 20, 1e-9, 200);
}
