import type { HeightGrid } from "./flat-water";

/** Light from the north-west, 45 degrees high, as maps have it; common practice, no source. */
const LIGHT = { azimuth: 315, altitude: 45 };

/**
 * Shaded relief of heights, 0 dark to 1 light by cell, from gradients over three by three cells (Horn 1981, Proc. IEEE
 * 69, 14-47); where nothing is known, NaN.
 */
export function hillshade({ nx, ny, cell, z }: HeightGrid): Float32Array {
  const [azimuth, altitude] = [(LIGHT.azimuth * Math.PI) / 180, (LIGHT.altitude * Math.PI) / 180];
  const out = new Float32Array(nx * ny).fill(NaN);
  const at = (i: number, j: number) => z[Math.min(ny - 1, Math.max(0, j)) * nx + Math.min(nx - 1, Math.max(0, i))]!;
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const east =
        (at(i + 1, j - 1) +
          2 * at(i + 1, j) +
          at(i + 1, j + 1) -
          at(i - 1, j - 1) -
          2 * at(i - 1, j) -
          at(i - 1, j + 1)) /
        (8 * cell);
      const north =
        (at(i - 1, j - 1) +
          2 * at(i, j - 1) +
          at(i + 1, j - 1) -
          at(i - 1, j + 1) -
          2 * at(i, j + 1) -
          at(i + 1, j + 1)) /
        (8 * cell);
      // The normal of the ground against the way to the light.
      const up = Math.sin(altitude) - Math.cos(altitude) * (east * Math.sin(azimuth) + north * Math.cos(azimuth));
      out[j * nx + i] = Math.max(0, up / Math.hypot(east, north, 1));
    }
  return out;
}
