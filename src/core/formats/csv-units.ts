import { findUnit, fromSI } from "../quantity/units";

/** Units that a CSV is written in: the names that its headers give and that its readers know. */
export interface CsvUnits {
  fish: string;
  mass: string;
  depth: string;
  discharge: string;
  temperature: string;
}

export const SI_CSV: CsvUnits = { fish: "m", mass: "kg", depth: "m", discharge: "m3/s", temperature: "degC" };

/** Figures of a value: enough to read it back, and none that only arithmetic made. */
const FIGURES = 6;

/** A value, SI, in a unit: without a tail such as 0.30479999999999996. */
export function inUnit(value: number | null | undefined, unit: string): number | null {
  if (value == null) return null;
  return Number(fromSI(value, findUnit(unit)!).toPrecision(FIGURES));
}
