/**
 * Harmonic slope (van Leer 1974, J. Comput. Phys. 14) from two differences: zero at an extremum, so a lake stays a
 * lake.
 */
export function limited(a: number, b: number): number {
  const product = a * b;
  return product > 0 ? (2 * product) / (a + b) : 0;
}
