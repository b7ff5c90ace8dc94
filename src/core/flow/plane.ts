/** Semi-major axis, m, and first eccentricity squared of the WGS 84 ellipsoid (NIMA TR8350.2). */
const WGS84 = { a: 6378137, e2: 0.00669437999014 };

type Place = [number, number];

/** Metres for a degree of latitude and of longitude at a latitude (radii of curvature of the ellipsoid). */
export function metresPerDegree(latitude: number): { latitude: number; longitude: number } {
  const phi = (latitude * Math.PI) / 180;
  const w = 1 - WGS84.e2 * Math.sin(phi) ** 2;
  const degree = Math.PI / 180;
  return {
    latitude: (degree * WGS84.a * (1 - WGS84.e2)) / w ** 1.5,
    longitude: (degree * WGS84.a * Math.cos(phi)) / Math.sqrt(w),
  };
}

/**
 * Places as metres east and north of their middle: degrees flattened about it, which is exact to millimetres over a
 * reach.
 */
export function toPlane(
  frame: "geographic" | "projected" | "reach",
  places: readonly { a: number; b: number }[],
): Place[] {
  if (frame !== "geographic") return places.map(({ a, b }) => [a, b]);
  const middle = (axis: "a" | "b") => places.reduce((sum, place) => sum + place[axis], 0) / places.length;
  const [a0, b0] = [middle("a"), middle("b")];
  const metres = metresPerDegree(b0);
  return places.map(({ a, b }) => [(a - a0) * metres.longitude, (b - b0) * metres.latitude]);
}

/**
 * Heading of the longest axis of places (that of greatest variance), degrees from north, pointing from the first of
 * them towards the last.
 */
export function headingBetween(plane: readonly Place[]): number {
  const mean = (axis: 0 | 1) => plane.reduce((sum, place) => sum + place[axis], 0) / plane.length;
  const [e0, n0] = [mean(0), mean(1)];
  let [ee, en, nn] = [0, 0, 0];
  for (const [e, n] of plane) {
    ee += (e - e0) ** 2;
    en += (e - e0) * (n - n0);
    nn += (n - n0) ** 2;
  }
  const fromEast = 0.5 * Math.atan2(2 * en, ee - nn);
  const [east, north] = [Math.cos(fromEast), Math.sin(fromEast)];
  const [first, last] = [plane[0]!, plane.at(-1)!];
  const along = (last[0] - first[0]) * east + (last[1] - first[1]) * north;
  const heading = 90 - (fromEast * 180) / Math.PI + (along < 0 ? 180 : 0);
  return ((heading % 360) + 360) % 360;
}
