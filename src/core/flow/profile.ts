import { GRAVITY } from "../quantity/provenance";

/**
 * Speed through the water column by the log law: u(z) = (u_star/kappa) ln(z/z0), z0 = ks/30 (Nikuradse 1933; Keulegan
 * 1938).
 */

/** von Karman's constant. */
const KAPPA = 0.41;

/**
 * Roughness height ks, m, that goes with Manning's n: n = ks^(1/6) / (8.1 sqrt g) (Chow 1959, Strickler's form).
 * Capped at half the depth: a log law does not reach among stones that stand half as high as the water.
 */
export function roughnessHeight(n: number, depth: number): number {
  return Math.max(1e-4, Math.min((8.1 * Math.sqrt(GRAVITY) * n) ** 6, 0.5 * depth));
}

/** Speed at height z above the bed for a depth-mean speed: U (ln(z/z0)) / (ln(h/z0) - 1). Zero at and below z0. */
export function speedAtHeight(mean: number, depth: number, ks: number, z: number): number {
  const z0 = ks / 30;
  if (z <= z0 || depth <= Math.E * z0) return 0;
  return (mean * Math.log(Math.min(z, depth) / z0)) / (Math.log(depth / z0) - 1);
}

export const surfaceSpeed = (mean: number, depth: number, ks: number): number => speedAtHeight(mean, depth, ks, depth);

/** Shear velocity u_star = kappa U / (ln(h/z0) - 1), m/s. */
export const shearVelocity = (mean: number, depth: number, ks: number): number =>
  (KAPPA * mean) / (Math.log((30 * depth) / ks) - 1);
