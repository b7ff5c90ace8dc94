import type { SeriesRecord } from "./records";
import { laterVersion, MOST_STAMPS } from "./versions";

/**
 * A series whose readings know when they came into the book: readings of several devices, and of files taken in one
 * after another, join without losing any. Of two values at one instant the later to come stands. What was cleared out
 * comes back only with what has come since.
 */
export interface DatedReadings {
  /** ms since 1970 UTC, ascending. */
  times: Float64Array;
  /** NaN where the gauge gave none. */
  values: Float64Array;
  /** Instants at which readings came in, ISO 8601 UTC, ascending; and for each reading which of them. */
  stamps: readonly string[];
  marks: Uint16Array;
  /** All that came until then was cleared out. */
  cleared?: string;
}

/** Readings that all came in at one instant. */
export const datedAt = (stamp: string, times: Float64Array, values: Float64Array): DatedReadings => ({
  times,
  values,
  stamps: times.length > 0 ? [stamp] : [],
  marks: new Uint16Array(times.length),
});

const utc = (instant: string): string => new Date(instant).toISOString();
const later = (a: string | undefined, b: string | undefined): string | undefined =>
  a === undefined ? b : b === undefined || a > b ? a : b;

/** Two states of a series' readings as one, in one pass: the same whichever is given first. */
export function joinReadings(a: DatedReadings, b: DatedReadings): DatedReadings {
  const cleared = later(a.cleared && utc(a.cleared), b.cleared && utc(b.cleared));
  const stamps = [...new Set([...a.stamps, ...b.stamps].map(utc))].sort();
  const place = new Map(stamps.map((stamp, index) => [stamp, index]));
  const gone = cleared === undefined ? 0 : stamps.filter((stamp) => stamp <= cleared).length;
  const [ofA, ofB] = [a, b].map((one) => one.stamps.map((stamp) => place.get(utc(stamp))!)) as [number[], number[]];
  const most = a.times.length + b.times.length;
  const [times, values, marks] = [new Float64Array(most), new Float64Array(most), new Uint32Array(most)];
  let [i, j, count] = [0, 0, 0];
  while (i < a.times.length || j < b.times.length) {
    const [s, t] = [a.times[i] ?? Infinity, b.times[j] ?? Infinity];
    const [x, y] = [ofA[a.marks[i]!]!, ofB[b.marks[j]!]!];
    const first = s < t || (s === t && outlasts(x, a.values[i]!, y, b.values[j]!));
    const [time, value, mark] = first ? [s, a.values[i]!, x] : [t, b.values[j]!, y];
    if (s <= t) i++;
    if (t <= s) j++;
    if (mark < gone) continue;
    times[count] = time;
    values[count] = value;
    marks[count++] = mark;
  }
  return packed(times.slice(0, count), values.slice(0, count), marks.subarray(0, count), stamps, cleared);
}

/** Does a reading that came at stamp x stand against another at y? At one stamp a value stands against a gap. */
function outlasts(x: number, a: number, y: number, b: number): boolean {
  if (x !== y) return x > y;
  return Number.isNaN(b) || a >= b;
}

/** With the stamps that are still used. */
function packed(
  times: Float64Array,
  values: Float64Array,
  marks: Uint32Array,
  stamps: readonly string[],
  cleared: string | undefined,
): DatedReadings {
  const used = new Uint8Array(stamps.length);
  for (const mark of marks) used[mark] = 1;
  const kept = stamps.filter((_, index) => used[index]);
  // Beyond the most, the oldest are told apart no more: they count as the last of themselves.
  const over = Math.max(0, kept.length - MOST_STAMPS);
  const place = new Uint16Array(stamps.length);
  let next = 0;
  used.forEach((yes, index) => {
    if (yes) place[index] = Math.max(0, next++ - over);
  });
  return {
    times,
    values,
    stamps: kept.slice(over),
    marks: Uint16Array.from(marks, (mark) => place[mark]!),
    ...(cleared === undefined ? {} : { cleared }),
  };
}

/** The readings of a record. */
export const readingsOf = (record: SeriesRecord): DatedReadings => ({
  times: Float64Array.from(record.times),
  values: Float64Array.from(record.values, (value) => value ?? NaN),
  stamps: record.stamps,
  marks: Uint16Array.from(record.marks),
  ...(record.cleared === undefined ? {} : { cleared: record.cleared }),
});

/** Readings as a record holds them. */
export const asRecorded = (
  readings: DatedReadings,
): Pick<SeriesRecord, "times" | "values" | "stamps" | "marks" | "cleared"> => ({
  times: Array.from(readings.times),
  values: Array.from(readings.values, (value) => (Number.isNaN(value) ? null : value)),
  stamps: [...readings.stamps],
  marks: Array.from(readings.marks),
  ...(readings.cleared === undefined ? {} : { cleared: readings.cleared }),
});

/** What is wrong with readings, if anything is: the same rules as the record's own. */
export function unsoundReadings({
  times,
  values,
  marks,
  stamps,
}: DatedReadings): { field: string; rule: string } | null {
  if (values.length !== times.length) return { field: "values", rule: "times-and-values" };
  if (marks.length !== times.length) return { field: "marks", rule: "times-and-values" };
  for (let k = 0; k < times.length; k++) {
    if (!Number.isFinite(times[k]) || (k > 0 && times[k]! <= times[k - 1]!))
      return { field: "times", rule: "must-ascend" };
    if (Math.abs(values[k]!) === Infinity) return { field: "values", rule: "not-valid" };
    if (marks[k]! >= stamps.length) return { field: "marks", rule: "no-such-stamp" };
  }
  return null;
}

/** Are both the same readings, come in at the same instants? */
export function sameReadings(a: DatedReadings, b: DatedReadings): boolean {
  if (a.times.length !== b.times.length || (a.cleared && utc(a.cleared)) !== (b.cleared && utc(b.cleared)))
    return false;
  const [ofA, ofB] = [a.stamps.map(utc), b.stamps.map(utc)];
  return a.times.every(
    (time, k) => time === b.times[k] && Object.is(a.values[k], b.values[k]) && ofA[a.marks[k]!] === ofB[b.marks[k]!],
  );
}

/** What a series is besides its readings. */
type Head = Pick<SeriesRecord, "id" | "updatedAt" | "deleted" | "demo" | "unit">;

const headOf = ({ id, updatedAt, unit, demo }: Head): Head => ({
  id,
  updatedAt: utc(updatedAt),
  unit,
  ...(demo === undefined ? {} : { demo }),
});

/** The head of two states of a series as one; it is gone when nothing is left that came after it was cleared. */
export const joinHeads = (a: Head, b: Head, { times, cleared }: DatedReadings): Head => ({
  ...laterVersion(headOf(a), headOf(b)),
  ...(times.length === 0 && cleared !== undefined ? { deleted: true } : {}),
});

/** Two states of a series as one. */
export function joinSeries(a: SeriesRecord, b: SeriesRecord): SeriesRecord {
  const readings = joinReadings(readingsOf(a), readingsOf(b));
  const { schema, station, parameter } = a;
  return { schema, station, parameter, ...joinHeads(a, b, readings), ...asRecorded(readings) };
}
