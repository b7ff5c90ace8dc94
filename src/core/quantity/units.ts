/**
 * Units: SI inside, the angler's units at the edges.
 * Factors are exact by definition where the yard-and-pound agreement of 1959 makes them so (NIST SP 811, appendix B).
 */
export type Dimension =
  "length" | "discharge" | "speed" | "temperature" | "mass" | "turbidity" | "pressure" | "duration";
export type UnitSystem = "metric" | "us";

interface Unit {
  dimension: Dimension;
  /** SI value = factor * value + offset. */
  factor: number;
  offset?: number;
  names: readonly string[];
}

const FOOT = 0.3048;
const INCH = 0.0254;
/** Avoirdupois ounce in kg, exact. */
export const OUNCE = 0.028349523125;

const UNITS: readonly Unit[] = [
  { dimension: "length", factor: 1, names: ["m", "metre", "metres", "meter", "meters", "metre(s)"] },
  { dimension: "length", factor: 0.01, names: ["cm"] },
  { dimension: "length", factor: 0.001, names: ["mm"] },
  { dimension: "length", factor: FOOT, names: ["ft", "foot", "feet", "'", "[ft_i]"] },
  { dimension: "length", factor: INCH, names: ["in", "inch", "inches", '"'] },
  { dimension: "discharge", factor: 1, names: ["m3/s", "m³/s", "cumecs", "cumec", "cms", "m^3/s", "m3s", "m3s-1"] },
  { dimension: "discharge", factor: 0.001, names: ["l/s", "ls-1"] },
  {
    dimension: "discharge",
    factor: FOOT ** 3,
    names: ["cfs", "ft3/s", "[cft_i]/s", "[ft_i]3/s", "ft³/s", "ft^3/s", "ft3s", "cusecs"],
  },
  { dimension: "speed", factor: 1, names: ["m/s", "ms-1"] },
  { dimension: "speed", factor: FOOT, names: ["ft/s", "fps"] },
  { dimension: "temperature", factor: 1, names: ["c", "°c", "degc", "deg c", "celsius", "cel"] },
  {
    dimension: "temperature",
    factor: 5 / 9,
    offset: -160 / 9,
    names: ["f", "°f", "degf", "deg f", "fahrenheit", "[degf]"],
  },
  { dimension: "mass", factor: 1, names: ["kg"] },
  { dimension: "mass", factor: 0.001, names: ["g", "gram", "grams"] },
  { dimension: "mass", factor: OUNCE, names: ["oz", "ounce", "ounces"] },
  { dimension: "mass", factor: OUNCE * 16, names: ["lb", "lbs", "pound", "pounds"] },
  { dimension: "turbidity", factor: 1, names: ["ntu", "fnu", "{ntu}", "{fnu}", "_ntu", "_fnu", "[ntu]", "[fnu]"] },
  { dimension: "pressure", factor: 1, names: ["hpa", "mbar", "mb"] },
  { dimension: "pressure", factor: 33.863886667, names: ["inhg", "[in_i'hg]"] },
  { dimension: "pressure", factor: 1.3332236842, names: ["mmhg"] },
  { dimension: "duration", factor: 3600, names: ["h", "hour", "hours"] },
  { dimension: "duration", factor: 60, names: ["min", "minute", "minutes"] },
];

/** The unit of that name, or undefined. Case is ignored. */
export function findUnit(name: string): Unit | undefined {
  const wanted = name.trim().toLowerCase();
  return UNITS.find((unit) => unit.names.includes(wanted));
}

export const toSI = (value: number, unit: Unit): number => value * unit.factor + (unit.offset ?? 0);
export const fromSI = (value: number, unit: Unit): number => (value - (unit.offset ?? 0)) / unit.factor;

/** SI symbol of a dimension as the command line writes it. */
export const SI_SYMBOL: Record<Dimension, string> = {
  length: "m",
  discharge: "m3/s",
  speed: "m/s",
  temperature: "degC",
  mass: "kg",
  turbidity: "NTU",
  pressure: "hPa",
  duration: "s",
};

export type Parsed = { ok: true; value: number } | { ok: false; message: string };

const NUMBER = String.raw`[+-]?(?:\d+\s+\d+/\d+|\d+/\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d*[.,]?\d+)`;
const FEET_INCHES = new RegExp(
  String.raw`^(${NUMBER})\s*(?:'|ft|feet|foot)\s*(${NUMBER})\s*(?:"|in|inch|inches|'')?$`,
  "i",
);
const PLAIN = new RegExp(String.raw`^(${NUMBER})\s*(.*)$`);

/** "1 3/4" -> 1.75, "1/8" -> 0.125, "1,200" -> 1200, "1,1" -> 1.1. */
function numberOf(text: string): number {
  const mixed = /^([+-]?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text.trim());
  if (mixed) {
    const [, sign, whole, top, bottom] = mixed;
    return (sign === "-" ? -1 : 1) * (Number(whole ?? 0) + Number(top) / Number(bottom));
  }
  if (/^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/.test(text)) return Number(text.replaceAll(",", ""));
  return Number(text.replace(",", "."));
}

/**
 * Reads what an angler types: `3'6"`, `1.1 m`, `1/8 oz`, `52F`. A bare number is taken in `fallbackUnit`.
 * Returns the SI value, or says what is wrong.
 */
export function parseQuantity(text: string, dimension: Dimension, fallbackUnit: string): Parsed {
  const trimmed = text.trim();
  if (trimmed === "") return { ok: false, message: "Nothing was entered." };
  if (dimension === "length") {
    const both = FEET_INCHES.exec(trimmed);
    if (both) return finite(numberOf(both[1]!) * FOOT + numberOf(both[2]!) * INCH, trimmed);
  }
  const plain = PLAIN.exec(trimmed);
  if (!plain) return { ok: false, message: `“${trimmed}” does not start with a number.` };
  const unitName = plain[2]!.trim() || fallbackUnit;
  const unit = findUnit(unitName);
  if (!unit) return { ok: false, message: `“${unitName}” is not a unit known here.` };
  if (unit.dimension !== dimension)
    return { ok: false, message: `“${unitName}” measures ${unit.dimension}, and ${dimension} is wanted.` };
  return finite(toSI(numberOf(plain[1]!), unit), trimmed);
}

const finite = (value: number, text: string): Parsed =>
  Number.isFinite(value) ? { ok: true, value } : { ok: false, message: `“${text}” is not a number.` };
