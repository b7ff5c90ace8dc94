const { cbrt } = Math;

/** Nearness (of h y^3 to 1) at which the series below is exact to 1e-13. */
const NEAR = 1e-3;

/**
 * h^(-1/3) from a near value y, by the series of (1 - e)^(-1/3) in e = 1 - h y^3: depths change little from step to
 * step, so one
 * turn does. Farther values go the long way.
 */
export function inverseCubeRoot(value: number, near: number): number {
  const e = 1 - value * near * near * near;
  return e < NEAR && e > -NEAR ? near * (1 + e * (1 / 3 + e * (2 / 9 + (e * 14) / 81))) : 1 / cbrt(value);
}
