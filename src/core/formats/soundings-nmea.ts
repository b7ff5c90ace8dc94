import { message } from "../quantity/message";
import { linesOf } from "./lines";
import { SoundingsGathering, type SoundingsFile } from "./soundings-text";

export const looksLikeNmea = (text: string): boolean =>
  /^\s*(?:\S+\s+)?[$!][A-Z]{2}[A-Z]{3},/m.test(text.slice(0, 4000));

/** A sentence has 82 characters (NMEA 0183); some devices write longer ones, and a clock before them. */
const LONGEST_SENTENCE = 400;
const FOOT = 0.3048;
const FATHOM = 1.8288;
const DAY = 86_400_000;

interface Fix {
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

/**
 * Soundings of an NMEA 0183 log: positions of GGA, RMC or GLL, depths of DPT, DBS or DBT. A depth between two positions
 * lies between them
 * by its share of the sentences. Depths are below the surface where the sentence says so (DBS, or DPT with its offset
 * to the waterline),
 * otherwise below the transducer, which the notes then say. Sentences with a wrong sum are refused.
 */
export function readSoundingsNmea(text: string, file?: string): SoundingsFile {
  const gathering = new SoundingsGathering("geographic", "depth", file);
  let last: Fix | undefined;
  let waiting: { line: number; depth: number }[] = [];
  let day: number | undefined;
  let [lost, belowTransducer, unsummed] = [0, 0, 0];
  const place = (next: Fix | undefined) => {
    waiting.forEach(({ line, depth }, k) => {
      if (!last && !next) return gathering.reject(line, message("no-position"));
      const [a, b] = [last ?? next!, next ?? last!];
      const t = (k + 1) / (waiting.length + 1);
      const time = a.time !== undefined && b.time !== undefined ? a.time + t * (b.time - a.time) : undefined;
      gathering.take(
        line,
        a.longitude + t * (b.longitude - a.longitude),
        a.latitude + t * (b.latitude - a.latitude),
        depth,
        time,
      );
    });
    waiting = [];
  };
  linesOf(text, file).forEach((whole, k) => {
    const line = k + 1;
    const raw = whole.trimEnd();
    if (raw.length > LONGEST_SENTENCE) return gathering.reject(line, message("not-nmea"));
    const match = /[$!]([A-Z]{2}([A-Z]{3}),[^*\r\n]*)(?:\*([0-9A-Fa-f]{2}))?$/.exec(raw);
    if (!match) {
      if (raw !== "" && !raw.startsWith("#")) gathering.reject(line, message("not-nmea"));
      return;
    }
    const [, body, kind, sum] = match as unknown as [string, string, string, string | undefined];
    // Sentences that say nothing of place or depth are read as what they are.
    if (!/^(GGA|RMC|GLL|ZDA|DPT|DBS|DBT)$/.test(kind)) return gathering.tally.read();
    if (sum === undefined) unsummed++;
    else if (nmeaSum(body) !== sum.toUpperCase())
      return gathering.reject(line, message("bad-checksum", { sum, right: nmeaSum(body) }));
    const parts = body.split(",");
    const depth = depthOf(kind, parts);
    if (depth) {
      if (depth.value === 0 || Number.isNaN(depth.value)) {
        lost++;
        gathering.tally.gap();
      } else {
        if (depth.below === "transducer") belowTransducer++;
        waiting.push({ line, depth: depth.value });
      }
      return;
    }
    if (kind === "ZDA" || kind === "RMC") day = dayOf(kind, parts) ?? day;
    if (kind === "ZDA") return gathering.tally.read();
    const fix = fixOf(kind, parts, day, last?.time);
    if (fix === "none") return gathering.reject(line, message("no-fix"));
    if (fix === "bad") return gathering.reject(line, message("bad-position"));
    gathering.tally.read();
    place(fix);
    last = fix;
  });
  place(undefined);
  if (lost > 0) gathering.notes.push(message("lost-bottom", { lost }));
  if (belowTransducer > 0) gathering.notes.push(message("below-transducer", { belowTransducer }));
  if (unsummed > 0) gathering.notes.push(message("no-checksum", { unsummed }));
  return gathering.finish();
}

function depthOf(
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

function dayOf(kind: string, parts: readonly string[]): number | undefined {
  if (kind === "ZDA") return parts[4] ? Date.UTC(Number(parts[4]), Number(parts[3]) - 1, Number(parts[2])) : undefined;
  const date = /^(\d{2})(\d{2})(\d{2})$/.exec(parts[9] ?? "");
  return date ? Date.UTC(2000 + Number(date[3]), Number(date[2]) - 1, Number(date[1])) : undefined;
}

function fixOf(
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
