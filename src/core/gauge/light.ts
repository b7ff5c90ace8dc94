import { getPosition } from "suncalc";

/** Light as a fish has it: full by day, less at dusk, little by night. */
export type Light = "day" | "twilight" | "night";

/** Sun's altitude, degrees above the horizon, by the suncalc library. */
export function sunAltitude(at: number, latitude: number, longitude: number): number {
  return getPosition(new Date(at), latitude, longitude).altitude;
}

/**
 * Day while the upper rim is up (apparent altitude of the middle -0.27 degrees), twilight to 6 degrees under it
 * (civil), night below.
 */
export const lightAt = (at: number, latitude: number, longitude: number): Light =>
  lightUnder(sunAltitude(at, latitude, longitude));

/** The same of an altitude that is known, degrees. */
export const lightUnder = (altitude: number): Light =>
  altitude > -0.27 ? "day" : altitude > -6 ? "twilight" : "night";
