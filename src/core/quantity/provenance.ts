/**
 * A constant with its unit and where it came from: a published source, "common practice, no source", or "from memory".
 */
export interface Sourced<T = number> {
  readonly value: T;
  readonly unit: string;
  readonly source: string;
}

export const sourced = <T>(value: T, unit: string, source: string): Sourced<T> => ({ value, unit, source });

export const COMMON_PRACTICE = "common practice, no source";
export const FROM_MEMORY = "from memory";

/** Standard acceleration of free fall, m/s2 (BIPM, 3rd CGPM 1901: 9.80665; rounded as hydraulics does). */
export const GRAVITY = 9.81;
/** Density of fresh water near 10 C, kg/m3 (CRC Handbook: 999.7). */
export const WATER_DENSITY = 999.7;
