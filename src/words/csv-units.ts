import { type CsvUnits, SI_CSV } from "../core/formats/csv-units";
import type { UnitSystem } from "./quantity";

/** Units of a CSV in which an angler speaks of fish and rivers. */
const OWN: Record<UnitSystem, CsvUnits> = {
  metric: { fish: "cm", mass: "kg", depth: "m", discharge: "m3/s", temperature: "degC" },
  us: { fish: "in", mass: "lb", depth: "ft", discharge: "cfs", temperature: "degF" },
};

/** The angler's own units, or SI for other programs. */
export const csvUnits = (system: UnitSystem, which: "own" | "si"): CsvUnits => (which === "si" ? SI_CSV : OWN[system]);
