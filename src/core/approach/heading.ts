/** A line to a spot that is no wider than a boat is long, and how far one is off it. */

/** Where something lies, degrees. */
export interface Position {
  latitude: number;
  longitude: number;
}

/** Mean radius of the earth, m (IUGG 1980). */
const EARTH = 6_371_008.8;
/** A spot that is hit: six feet wide, m. Common practice, no source. */
export const SPOT_WIDTH = 1.83;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

export interface Heading {
  /** m */
  distance: number;
  /** Degrees from north, 0 to 360. */
  bearing: number;
}

/**
 * The way from one position to another: haversine distance, and the bearing at its start, on a sphere (Sinnott 1984,
 * Sky & Telescope 68).
 */
export function headingTo(from: Position, to: Position): Heading {
  const [a, b] = [radians(from.latitude), radians(to.latitude)];
  const [dLat, dLon] = [b - a, radians(to.longitude - from.longitude)];
  const h = Math.sin(dLat / 2) ** 2 + Math.cos(a) * Math.cos(b) * Math.sin(dLon / 2) ** 2;
  const y = Math.sin(dLon) * Math.cos(b);
  const x = Math.cos(a) * Math.sin(b) - Math.sin(a) * Math.cos(b) * Math.cos(dLon);
  return {
    distance: 2 * EARTH * Math.asin(Math.min(1, Math.sqrt(h))),
    bearing: ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360,
  };
}

export interface OnLine extends Heading {
  /** Off the line that was laid, m: above 0 to the right of it, looking to the spot. */
  off: number;
  /** Within the spot. */
  there: boolean;
}

/** Where one is on a line that was laid from `from` to a spot: cross-track distance on the sphere. */
export function onLine(from: Position, spot: Position, now: Position): OnLine {
  const line = headingTo(from, spot);
  const gone = headingTo(from, now);
  const off = Math.asin(Math.sin(gone.distance / EARTH) * Math.sin(radians(gone.bearing - line.bearing))) * EARTH;
  const left = headingTo(now, spot);
  return { ...left, off, there: left.distance <= SPOT_WIDTH / 2 };
}
