import { message } from "./message";
import { parseNumber, type ParsedNumber } from "./number";
/**
 * Units: SI inside, the angler's units at the edges.
 * Factors are exact by definition where the yard-and-pound agreement of 1959 makes them so (NIST SP 811, appendix B).
 */
export type Dimension =
  "length" | "discharge" | "speed" | "temperature" | "mass" | "turbidity" | "pressure" | "duration";

interface Unit {
  dimension: Dimension;
  /** SI value = factor * value + offset. */
  factor: number;
  offset?: number;
  names: readonly string[];
}

export const FOOT = 0.3048;
export const INCH = 0.0254;
/** International mile, m, exact. */
const MILE = 1609.344;
/** Avoirdupois ounce in kg, exact. */
export const OUNCE = 0.028349523125;
export const POUND = 16 * OUNCE;

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
  { dimension: "speed", factor: 1 / 3.6, names: ["km/h", "kmh", "kph"] },
  { dimension: "speed", factor: MILE / 3600, names: ["mph", "mi/h"] },
  // The international nautical mile an hour, 1852 m, exact.
  { dimension: "speed", factor: 1852 / 3600, names: ["kn", "kt", "kts", "knot", "knots"] },
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

/** A quantity read from text, SI, or why it is none. */
export type Parsed = ParsedNumber;

/** A number as parseNumber takes it, at the head of a text. */
const NUMBER = String.raw`[+\-\u2212]?\s*(?:\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d[\d.,]*(?:[\s\u00a0\u202f'’]\d{3}(?!\d))*[\d.,]*(?:e[+-]?\d+)?|[.,]\d+)`;
const PLAIN = new RegExp(String.raw`^(${NUMBER})\s*(.*)$`, "i");
/** Two parts, the second of the smaller unit: 3'6", 5 ft 3 in, 2 lb 5 oz. */
const TWO_PARTS = new RegExp(String.raw`^(${NUMBER})\s*([^\d\s.,]+)\s*(${NUMBER})\s*([^\d]*)$`, "i");
/** What the second part is in where it does not say. */
const SMALLER: Readonly<Record<string, string>> = { "'": "in", ft: "in", foot: "in", feet: "in", lb: "oz", lbs: "oz" };

/**
 * Reads what an angler types: `3'6"`, `1.1 m`, `1/8 oz`, `52F`. A bare number is taken in `fallbackUnit`.
 * Returns the SI value, or says what is wrong.
 */
export function parseQuantity(text: string, dimension: Dimension, fallbackUnit: string): Parsed {
  const trimmed = text.trim();
  if (trimmed === "") return { ok: false, message: message("nothing-entered") };
  const two = TWO_PARTS.exec(trimmed);
  if (two && findUnit(two[2]!)) {
    const [, large, unit, small, smaller] = two as unknown as [string, string, string, string, string];
    const least = smaller.trim().replace("''", '"') || SMALLER[unit.toLowerCase()] || "";
    // "9000 m3/s" has no second unit: it is one quantity.
    if (findUnit(least)) {
      const [a, b] = [one(large, unit, dimension), one(small, least, dimension)];
      // The sign is that of the whole: -2'6" is two and a half feet under.
      const sign = /^[-\u2212]/.test(large.trim()) ? -1 : 1;
      return a.ok && b.ok ? { ok: true, value: a.value + sign * b.value } : a.ok ? b : a;
    }
  }
  const plain = PLAIN.exec(trimmed);
  if (!plain) return { ok: false, message: message("no-number", { text: trimmed.slice(0, 40) }) };
  return one(plain[1]!, plain[2]!.trim() || fallbackUnit, dimension);
}

function one(figure: string, unitName: string, dimension: Dimension): Parsed {
  const unit = findUnit(unitName);
  if (!unit) return { ok: false, message: message("unknown-unit-name", { unitName: unitName.slice(0, 40) }) };
  if (unit.dimension !== dimension)
    return {
      ok: false,
      message: message("wrong-dimension", { unitName, measures: unit.dimension, wanted: dimension }),
    };
  const number = parseNumber(figure);
  return number.ok ? { ok: true, value: toSI(number.value, unit) } : number;
}
