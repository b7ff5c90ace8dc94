import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";

/** Fishing line by what it is made of. */
export const LINE_MATERIALS = ["mono", "fluorocarbon", "braid"] as const;
export type LineMaterial = (typeof LINE_MATERIALS)[number];

/** How a leader is chosen: fine and unseen, or strong enough for the fish and the snags. */
export const LEADER_SCHOOLS = ["fine", "strong"] as const;
export type LeaderSchool = (typeof LEADER_SCHOOLS)[number];

/** Density, kg/m3: nylon 1,140, polyvinylidene fluoride 1,780, polyethylene 970 (polymer handbooks; from memory). */
const LINE_DENSITY: Record<LineMaterial, number> = { mono: 1140, fluorocarbon: 1780, braid: 970 };

/**
 * Diameter by the test of a line, m: nylon of 0.20 mm holds about 2.9 kg and strength goes with the section, that is
 * the diameter with its root; fluorocarbon a little thicker; braid of the same test is half as thick. From memory,
 * order of a fifth: the angler's own label outranks it.
 */
const AT_A_KILOGRAM: Record<LineMaterial, number> = { mono: 0.000118, fluorocarbon: 0.000124, braid: 0.00006 };

/** Diameter of a line of a material, m, for its test, kg. */
export const lineDiameter = (material: LineMaterial, test: number): number => AT_A_KILOGRAM[material] * Math.sqrt(test);

/** Test, kg, of a line by its diameter, m. */
export const lineTest = (material: LineMaterial, diameter: number): number => (diameter / AT_A_KILOGRAM[material]) ** 2;

/** Weight of a line in water, N/m; negative where it floats. */
export const lineWeight = (material: LineMaterial, diameter: number): number =>
  ((Math.PI * diameter ** 2) / 4) * (LINE_DENSITY[material] - WATER_DENSITY) * GRAVITY;

/** Tests that are sold, kg: 2, 3, 4, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 80 lb. Common practice, no source. */
export const TESTS = [0.91, 1.36, 1.81, 2.72, 3.63, 4.54, 5.44, 6.8, 9.07, 11.3, 13.6, 18.1, 22.7, 36.3] as const;

/** The lightest line sold that holds so much, kg; the strongest where none does. */
export const testFor = (kg: number): number => TESTS.find((test) => test >= kg) ?? TESTS.at(-1)!;
