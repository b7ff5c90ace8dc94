import { instantsAt, isZone } from "../quantity/local-time";
import { type Message, message } from "../quantity/message";
/** Reading instants: ISO 8601 with an offset, or local clock time in a stated IANA zone or fixed offset. */

export type Instant =
  { ok: true; time: number; /** It carried its own offset. */ zoned: boolean } | { ok: false; reason: Message };

const CLOCK =
  /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{1,2}):(\d{2})(?::(\d{2})(?:\.(\d{1,3})\d*)?)?)?\s*(Z|UTC|GMT|[+-]\d{2}:?\d{2}|[+-]\d{2})?$/i;

/**
 * A zone turns a clock reading (as if it were UTC, ms) into the instants at which clocks there showed it: none, one or
 * two.
 */
export type Zone = (clock: number) => number[];

const fixedZone =
  (offsetMinutes: number): Zone =>
  (clock) => [clock - offsetMinutes * 60_000];
export const UTC = fixedZone(0);

/** A zone that a file or an option names: UTC, or one of the IANA database; undefined when there is none such. */
const namedZone = (name: string): Zone | undefined => (/^(utc|gmt|z)$/i.test(name) ? UTC : ianaZone(name));

/** A zone of the IANA database by name; undefined when there is none of that name. */
export const ianaZone = (name: string): Zone | undefined =>
  isZone(name) ? (clock) => instantsAt(clock, name) : undefined;

/** Chooses between the two passes of the hour that clocks repeat. */
type Choose = (candidates: readonly number[]) => number;
const firstPass: Choose = (candidates) => candidates[0]!;

/**
 * Reads the instants of a file line by line. In the hour that clocks repeat in autumn each line is the pass that goes
 * on from the line before, whether the file runs forwards or has its newest line first.
 */
export function instantReader(zone: Zone): (text: string) => Instant {
  let first: number | undefined;
  let previous: number | undefined;
  const next: Choose = (candidates) => {
    if (first === undefined || previous === undefined) return firstPass(candidates);
    const before = previous;
    return previous < first
      ? (candidates.findLast((time) => time < before) ?? candidates.at(-1)!)
      : (candidates.find((time) => time > before) ?? candidates[0]!);
  };
  return (text) => {
    const instant = readInstant(text, zone, next);
    if (instant.ok) {
      first ??= instant.time;
      previous = instant.time;
    }
    return instant;
  };
}

/** The zone that clock times of a file are in: the one its header names, else the one that is stated, else UTC. */
export function zoneOfFile(
  named: string | undefined,
  stated: string | undefined,
): { name?: string; zone: Zone } | undefined {
  const own = named === undefined ? undefined : namedZone(named);
  if (own) return { name: named, zone: own };
  const name = stated ?? named;
  const zone = name === undefined ? UTC : namedZone(name);
  return zone && { name, zone };
}

/**
 * Reads one instant. A text with its own offset needs no zone. In the hour that clocks repeat in autumn the first
 * pass is taken unless `choose` says otherwise; an hour that clocks skip in spring is refused.
 */
export function readInstant(text: string, zone: Zone, choose = firstPass): Instant {
  const plain = plainClock(text);
  if (!Number.isNaN(plain)) return at(zone(plain), text, choose);
  const match = CLOCK.exec(text.trim());
  if (!match) return { ok: false, reason: message("not-iso", { text: text.trim().slice(0, 40) }) };
  const [, year, month, day, hour = "0", minute = "0", second = "0", fraction = "0", offset] = match;
  const parts = [year, month, day, hour, minute, second].map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const clock = Date.UTC(
    parts[0],
    parts[1] - 1,
    parts[2],
    parts[3],
    parts[4],
    parts[5],
    Number(fraction.padEnd(3, "0")),
  );
  const back = new Date(clock);
  const isTrue =
    back.getUTCMonth() === parts[1] - 1 &&
    back.getUTCDate() === parts[2] &&
    back.getUTCHours() === parts[3] &&
    back.getUTCMinutes() === parts[4];
  if (!isTrue) return { ok: false, reason: message("no-such-date", { text: text.trim() }) };
  if (offset) return { ok: true, time: clock - offsetMinutes(offset) * 60_000, zoned: true };
  return at(zone(clock), text, choose);
}

function at(candidates: readonly number[], text: string, choose: Choose): Instant {
  if (candidates.length === 0) return { ok: false, reason: message("skipped-hour", { text: text.trim() }) };
  return { ok: true, time: candidates.length === 1 ? candidates[0]! : choose(candidates), zoned: false };
}

const digitsAt = (text: string, from: number, count: number): number => {
  let value = 0;
  for (let k = from; k < from + count; k++) {
    const digit = text.charCodeAt(k) - 48;
    if (!(digit >= 0 && digit <= 9)) return NaN;
    value = value * 10 + digit;
  }
  return value;
};

/**
 * The commonest form, YYYY-MM-DD HH:MM[:SS], without a pattern match, since records hold hundreds of thousands; NaN for
 * all others.
 */
function plainClock(text: string): number {
  if (
    (text.length !== 16 && text.length !== 19) ||
    text[4] !== "-" ||
    text[7] !== "-" ||
    (text[10] !== " " && text[10] !== "T") ||
    text[13] !== ":" ||
    (text.length === 19 && text[16] !== ":")
  )
    return NaN;
  const [year, month, day, hour, minute] = [
    digitsAt(text, 0, 4),
    digitsAt(text, 5, 2),
    digitsAt(text, 8, 2),
    digitsAt(text, 11, 2),
    digitsAt(text, 14, 2),
  ];
  const second = text.length === 19 ? digitsAt(text, 17, 2) : 0;
  const whole = month >= 1 && month <= 12 && day >= 1 && day <= 28 && hour <= 23 && minute <= 59 && second <= 59;
  return whole ? Date.UTC(year, month - 1, day, hour, minute, second) : NaN;
}

function offsetMinutes(text: string): number {
  if (/^(Z|UTC|GMT)$/i.test(text)) return 0;
  const digits = text.slice(1).replace(":", "");
  const minutes = Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2) || "0");
  return text[0] === "-" ? -minutes : minutes;
}

/** Offsets of the time-zone codes that North American agencies print, minutes east (IANA tzdata, northamerica). */
const CODES: Record<string, number> = {
  UTC: 0,
  GMT: 0,
  AST: -240,
  ADT: -180,
  EST: -300,
  EDT: -240,
  CST: -360,
  CDT: -300,
  MST: -420,
  MDT: -360,
  PST: -480,
  PDT: -420,
  AKST: -540,
  AKDT: -480,
  HST: -600,
  NST: -210,
  NDT: -150,
};

export const codedZone = (code: string): Zone | undefined => {
  const minutes = CODES[code.trim().toUpperCase()];
  return minutes === undefined ? undefined : fixedZone(minutes);
};
