/**
 * Dissolved oxygen at saturation in fresh water: Benson & Krause 1980, as in Standard Methods for the Examination of
 * Water and Wastewater, 4500-O (table 4500-O:I).
 */

/** mg/L at one atmosphere; temperature in degC, 0 to 40. */
function saturationAtOneAtmosphere(temperature: number): number {
  const T = temperature + 273.15;
  return Math.exp(-139.34411 + 1.575701e5 / T - 6.642308e7 / T ** 2 + 1.2438e10 / T ** 3 - 8.621949e11 / T ** 4);
}

const ATMOSPHERE = 1013.25;

/** Air pressure, hPa, at an altitude, m: ICAO standard atmosphere (ISO 2533), troposphere. */
export const pressureAtAltitude = (altitude: number): number => ATMOSPHERE * (1 - 2.25577e-5 * altitude) ** 5.25588;

/**
 * Oxygen at saturation, mg/L, at a temperature, degC, and pressure, hPa (of the place, not reduced to sea level).
 * C = C* P (1 - Pwv/P)(1 - theta P) / ((1 - Pwv)(1 - theta)), P in atmospheres (Standard Methods 4500-O, pressure
 * correction).
 */
export function oxygenSaturation(temperature: number, pressure = ATMOSPHERE): number {
  const P = pressure / ATMOSPHERE;
  const T = temperature + 273.15;
  const vapour = Math.exp(11.8571 - 3840.7 / T - 216961 / T ** 2);
  const theta = 0.000975 - 1.426e-5 * temperature + 6.436e-8 * temperature ** 2;
  return (
    (saturationAtOneAtmosphere(temperature) * P * (1 - vapour / P) * (1 - theta * P)) / ((1 - vapour) * (1 - theta))
  );
}
