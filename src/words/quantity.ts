import { findUnit, fromSI } from "../core/quantity/units";

/** Units that an angler thinks in. */
export type UnitSystem = "metric" | "us";

/** What is being shown; each has a customary unit and rounding in both systems. */
export type Shown =
  | "depth"
  | "stage"
  | "distance"
  | "altitude"
  | "discharge"
  | "speed"
  | "wind"
  | "temperature"
  | "temperatureDifference"
  | "shotMass"
  | "lureMass"
  | "fishMass"
  | "fishLength"
  | "lineTest"
  | "smallLength"
  | "turbidity"
  | "rain"
  | "area"
  | "unitDischarge";

interface Style {
  /** The unit as it is read; of what nobody enters, how many of it make one of SI. */
  unit: string | number;
  label: string;
  digits: number;
  /** Decimals that are noughts are left out: 12 in, not 12.0 in. */
  trim?: true;
}

/** What is only shown; the rest can be typed into a field too. */
type ShownOnly = "temperatureDifference" | "rain" | "area" | "unitDischarge";
export type Entered = Exclude<Shown, ShownOnly>;

const FEET_SQUARED = 1 / 0.3048 ** 2;
const STYLES: Record<Entered, Record<UnitSystem, Style & { unit: string }>> &
  Record<ShownOnly, Record<UnitSystem, Style>> = {
  depth: { metric: { unit: "m", label: "m", digits: 2 }, us: { unit: "ft", label: "ft", digits: 1, trim: true } },
  stage: { metric: { unit: "m", label: "m", digits: 2 }, us: { unit: "ft", label: "ft", digits: 2 } },
  distance: { metric: { unit: "m", label: "m", digits: 1 }, us: { unit: "ft", label: "ft", digits: 0 } },
  altitude: { metric: { unit: "m", label: "m", digits: 0 }, us: { unit: "ft", label: "ft", digits: 0 } },
  discharge: { metric: { unit: "m3/s", label: "m³/s", digits: 1 }, us: { unit: "cfs", label: "cfs", digits: 0 } },
  speed: { metric: { unit: "m/s", label: "m/s", digits: 2 }, us: { unit: "ft/s", label: "ft/s", digits: 1 } },
  wind: { metric: { unit: "m/s", label: "m/s", digits: 1 }, us: { unit: "mph", label: "mph", digits: 0 } },
  rain: { metric: { unit: 1, label: "mm", digits: 0 }, us: { unit: 1 / 25.4, label: "in", digits: 1 } },
  temperature: { metric: { unit: "C", label: "°C", digits: 1 }, us: { unit: "F", label: "°F", digits: 0 } },
  shotMass: { metric: { unit: "g", label: "g", digits: 2 }, us: { unit: "g", label: "g", digits: 2 } },
  lureMass: { metric: { unit: "g", label: "g", digits: 1 }, us: { unit: "oz", label: "oz", digits: 3 } },
  lineTest: { metric: { unit: "kg", label: "kg", digits: 1 }, us: { unit: "lb", label: "lb", digits: 0 } },
  fishMass: { metric: { unit: "kg", label: "kg", digits: 2 }, us: { unit: "lb", label: "lb", digits: 1 } },
  fishLength: {
    metric: { unit: "cm", label: "cm", digits: 0 },
    us: { unit: "in", label: "in", digits: 1, trim: true },
  },
  smallLength: {
    metric: { unit: "cm", label: "cm", digits: 0 },
    us: { unit: "in", label: "in", digits: 1, trim: true },
  },
  turbidity: { metric: { unit: "NTU", label: "NTU", digits: 1 }, us: { unit: "NTU", label: "NTU", digits: 1 } },
  temperatureDifference: { metric: { unit: 1, label: "°C", digits: 1 }, us: { unit: 1.8, label: "°F", digits: 0 } },
  unitDischarge: {
    metric: { unit: 1, label: "m²/s", digits: 2 },
    us: { unit: FEET_SQUARED, label: "ft²/s", digits: 1 },
  },
  area: { metric: { unit: 1, label: "m²", digits: 0 }, us: { unit: FEET_SQUARED, label: "ft²", digits: 0 } },
};

/** Small flows need more figures than large ones: 0.84, 6.5, 42. */
function dischargeDigits(value: number, system: UnitSystem): number {
  if (system === "us") return value < 10 ? 1 : 0;
  if (value < 1) return 2;
  return value < 100 ? 1 : 0;
}

/** Figure and unit label of an SI value in the wanted system. Missing values show as a dash. */
export function show(
  value: number | null | undefined,
  kind: Shown,
  system: UnitSystem,
): { figure: string; unit: string; text: string } {
  const { unit, label, digits, trim } = STYLES[kind][system];
  if (value == null || Number.isNaN(value)) return join(null, digits, label);
  const converted = typeof unit === "number" ? value * unit : fromSI(value, findUnit(unit)!);
  // Areas are told to two figures: they are sums of cells.
  if (kind === "area") return join(Number(converted.toPrecision(2)), digits, label);
  if (trim) return join(converted, trimmed(converted, digits), label);
  return join(converted, kind === "discharge" ? dischargeDigits(converted, system) : digits, label);
}

/** A figure with so many decimals, as it is written where the reader lives (Intl); a true minus, a dash for none. */
export function figureText(value: number | null | undefined, digits: number, grouping = true): string {
  if (value == null || !Number.isFinite(value)) return "–";
  return formatOf(digits, grouping).format(value).replace("-", "−");
}

const formats = new Map<string, Intl.NumberFormat>();
function formatOf(digits: number, grouping: boolean): Intl.NumberFormat {
  const key = `${digits}${grouping ? "g" : ""}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(undefined, {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      useGrouping: grouping,
    });
    formats.set(key, format);
  }
  return format;
}

/** Decimals that a figure needs of those that it may have. */
const trimmed = (value: number, digits: number): number =>
  (String(Number(value.toFixed(digits))).split(".")[1] ?? "").length;

function join(value: number | null | undefined, digits: number, unit: string) {
  const figure = figureText(value, digits);
  return { figure, unit, text: `${figure} ${unit}` };
}

/** A quantity as it goes back into a field: without groups, so that it is read as it was written. */
export function entryText(value: number, kind: Entered, system: UnitSystem): string {
  const { unit, label, digits, trim } = STYLES[kind][system];
  const converted = fromSI(value, findUnit(unit)!);
  return `${figureText(converted, trim ? trimmed(converted, digits) : digits, false)} ${label}`;
}

export const showText = (value: number | null | undefined, kind: Shown, system: UnitSystem): string =>
  show(value, kind, system).text;

/** Two ends of a span, once where both are told alike: "38 °F", "36 to 41 °F". */
export function spanText(low: number, high: number, kind: Shown, system: UnitSystem): string {
  const [least, most] = [show(low, kind, system), show(high, kind, system)];
  return least.text === most.text ? most.text : `${least.figure} to ${most.text}`;
}

/** The unit alone, as it is written after a figure. */
export const unitOf = (kind: Shown, system: UnitSystem): string => STYLES[kind][system].label;

/** What a field takes at least and at most, in the reader's units: "From 0.3 to 9.8 ft." */
export function rangeText(low: number, high: number, kind: Entered, system: UnitSystem): string {
  const [least, most] = [show(low, kind, system), show(high, kind, system)];
  return `From ${least.figure} to ${most.text}.`;
}

/** The unit a bare number is read in, for each kind and system. */
export const entryUnit = (kind: Entered, system: UnitSystem): string => STYLES[kind][system].unit;
