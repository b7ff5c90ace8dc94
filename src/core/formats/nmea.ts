/** Sentences of NMEA 0183: what logged files and live devices say, read once for both. */

/** A sentence has 82 characters (NMEA 0183); some devices write longer ones, and a clock before them. */
const LONGEST_SENTENCE = 400;
const FOOT = 0.3048;
const FATHOM = 1.8288;
const DAY = 86_400_000;

export interface Fix {
  latitude: number;
  longitude: number;
  time: number | undefined;
}

/** Sum of a sentence: the exclusive or of all characters between "$" and "*" (NMEA 0183). */
export const nmeaSum = (body: string): string =>
  [...body]
    .reduce((sum, char) => sum ^ char.charCodeAt(0), 0)
    .toString(16)
    .toUpperCase()
    .padStart(2, "0");

export interface Sentence {
  /** What is between "$" and "*". */
  body: string;
  /** "DPT" */
  kind: string;
  parts: string[];
  /** The sum that it states, if any. */
  sum: string | undefined;
}

/** A line as a sentence; undefined where it is none. Its sum is not yet held against it. */
export function sentenceOf(raw: string): Sentence | undefined {
  if (raw.length > LONGEST_SENTENCE) return undefined;
  const match = /[$!]([A-Z]{2}([A-Z]{3}),[^*\r\n]*)(?:\*([0-9A-Fa-f]{2}))?$/.exec(raw);
  if (!match) return undefined;
  const [, body, kind, sum] = match as unknown as [string, string, string, string | undefined];
  return { body, kind, sum, parts: body.split(",") };
}

export function depthOf(
  kind: string,
  parts: readonly string[],
): { value: number; below: "surface" | "transducer" } | undefined {
  const number = (k: number) => (parts[k]?.trim() ? Number(parts[k]) : NaN);
  if (kind === "DPT") {
    // The offset is above zero to the waterline, below zero to the keel.
    const offset = number(2);
    return offset > 0
      ? { value: number(1) > 0 ? number(1) + offset : NaN, below: "surface" }
      : { value: number(1), below: "transducer" };
  }
  if (kind !== "DBS" && kind !== "DBT") return undefined;
  const value = [number(3), number(1) * FOOT, number(5) * FATHOM].find((one) => !Number.isNaN(one)) ?? NaN;
  return { value, below: kind === "DBS" ? "surface" : "transducer" };
}

export function dayOf(kind: string, parts: readonly string[]): number | undefined {
  if (kind === "ZDA") return parts[4] ? Date.UTC(Number(parts[4]), Number(parts[3]) - 1, Number(parts[2])) : undefined;
  const date = /^(\d{2})(\d{2})(\d{2})$/.exec(parts[9] ?? "");
  return date ? Date.UTC(2000 + Number(date[3]), Number(date[2]) - 1, Number(date[1])) : undefined;
}

export function fixOf(
  kind: string,
  parts: readonly string[],
  day: number | undefined,
  before: number | undefined,
): Fix | "none" | "bad" {
  const [from, clock, valid] =
    kind === "GGA"
      ? [2, parts[1], parts[6] !== "0" && parts[6] !== ""]
      : kind === "RMC"
        ? [3, parts[1], parts[2] === "A"]
        : [1, parts[5], parts[6] === undefined || parts[6] === "" || parts[6] === "A"];
  if (!valid) return "none";
  const [latitude, longitude] = [
    degrees(parts[from], parts[from + 1], 2),
    degrees(parts[from + 2], parts[from + 3], 3),
  ];
  if (latitude === undefined || longitude === undefined) return "bad";
  const time = /^(\d{2})(\d{2})(\d{2}(?:\.\d+)?)$/.exec(clock ?? "");
  if (!time || day === undefined) return { latitude, longitude, time: undefined };
  const at = day + ((Number(time[1]) * 60 + Number(time[2])) * 60 + Number(time[3])) * 1000;
  // Past midnight, before a sentence with the new date has come.
  return { latitude, longitude, time: before !== undefined && at < before - DAY / 2 ? at + DAY : at };
}

/** "5312.3456", "N" -> degrees. */
function degrees(text: string | undefined, side: string | undefined, whole: number): number | undefined {
  const match = new RegExp(`^(\\d{${whole}})(\\d{2}(?:\\.\\d+)?)$`).exec(text ?? "");
  if (!match || !side || !/^[NSEW]$/.test(side)) return undefined;
  return (Number(match[1]) + Number(match[2]) / 60) * (side === "S" || side === "W" ? -1 : 1);
}

/** Water temperature of a sentence, degC (MTW); undefined where it says none. */
export const waterTemperatureOf = ({ kind, parts }: Sentence): number | undefined => {
  if (kind !== "MTW" || !parts[1]?.trim()) return undefined;
  const value = Number(parts[1]);
  if (!Number.isFinite(value)) return undefined;
  return parts[2] === "F" ? ((value - 32) * 5) / 9 : value;
};
