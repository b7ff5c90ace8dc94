import { InputError } from "../quantity/fault";

export const PARAMETERS = [
  "discharge",
  "stage",
  "waterTemperature",
  "turbidity",
  "airPressure",
  "rain",
  "other",
] as const;
export type Parameter = (typeof PARAMETERS)[number];

/**
 * One parameter of one station. `times` are milliseconds since 1970 UTC, strictly ascending;
 * `values` are SI (m3/s, m, degC, NTU, hPa) and NaN where the gauge gave none: a gap is a gap. Rain is what fell since
 * the reading before, mm.
 */
export interface Series {
  parameter: Parameter;
  unit: string;
  times: Float64Array;
  values: Float64Array;
}

export const UNIT_OF: Record<Parameter, string> = {
  discharge: "m3/s",
  stage: "m",
  waterTemperature: "degC",
  turbidity: "NTU",
  airPressure: "hPa",
  rain: "mm",
  other: "",
};

export const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;

/** Builds a series from readings in any order; of two readings at one instant the later one given wins. */
export function seriesFrom(parameter: Parameter, readings: readonly (readonly [number, number])[]): Series {
  return seriesFromColumns(
    parameter,
    readings.map(([time]) => time),
    readings.map(([, value]) => value),
  );
}

/** The same from a column of times, ms, and one of values. Records mostly come in order: then nothing is sorted. */
export function seriesFromColumns(parameter: Parameter, times: readonly number[], values: readonly number[]): Series {
  let ascending = true;
  for (let k = 0; k < times.length; k++) {
    if (!Number.isFinite(times[k]!)) throw new InputError("bad-time", {});
    if (k > 0 && times[k]! <= times[k - 1]!) ascending = false;
  }
  if (ascending)
    return { parameter, unit: UNIT_OF[parameter], times: Float64Array.from(times), values: Float64Array.from(values) };
  const last = new Map<number, number>();
  times.forEach((time, k) => last.set(time, values[k]!));
  const ordered = Float64Array.from(last.keys()).sort();
  return { parameter, unit: UNIT_OF[parameter], times: ordered, values: ordered.map((time) => last.get(time)!) };
}

/** Index of the last reading at or before `at`, or -1. */
export function indexAtOrBefore(series: Pick<Series, "times">, at: number): number {
  let low = 0;
  let high = series.times.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (series.times[middle]! <= at) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** A reading older than this says nothing about now, nor one older than so many of its record's steps. */
const STALE_AFTER = 6 * HOUR;
const STALE_STEPS = 1.5;

/** Time between the readings of a record about an instant, ms: the least of its last three steps, a day at most. */
export function ownStep({ times }: Pick<Series, "times">, at: number): number {
  const last = indexAtOrBefore({ times }, at);
  let step = DAY;
  for (let k = last; k > Math.max(0, last - 3); k--) step = Math.min(step, times[k]! - times[k - 1]!);
  return step;
}

/** How old a reading may be to speak of an instant: six hours, or of daily means a day and a half. Common practice. */
const staleAfter = (series: Pick<Series, "times">, at: number): number =>
  indexAtOrBefore(series, at) < 1 ? STALE_AFTER : Math.max(STALE_AFTER, STALE_STEPS * ownStep(series, at));

/** The last true reading at or before `at` that is not stale, with its own time, or null. */
export function lastReading(
  series: Series | undefined,
  at: number,
  oldest?: number,
): { time: number; value: number } | null {
  if (!series) return null;
  const limit = oldest ?? staleAfter(series, at);
  for (let k = indexAtOrBefore(series, at); k >= 0 && at - series.times[k]! <= limit; k--) {
    if (!Number.isNaN(series.values[k]!)) return { time: series.times[k]!, value: series.values[k]! };
  }
  return null;
}

/** Its value alone. */
export const readingAt = (series: Series | undefined, at: number, oldest?: number): number | null =>
  lastReading(series, at, oldest)?.value ?? null;

/** A series as it was known at an instant: without the readings that came after. Shares the readings' memory. */
export function knownBy(series: Series, at: number): Series {
  const count = indexAtOrBefore(series, at) + 1;
  if (count === series.times.length) return series;
  return { ...series, times: series.times.subarray(0, count), values: series.values.subarray(0, count) };
}

/** The value at an instant between two true readings, none of them farther off than a stale one; NaN otherwise. */
export function interpolated(series: Series, at: number): number {
  const before = lastReading(series, at);
  if (!before || before.time === at) return before?.value ?? NaN;
  for (let k = indexAtOrBefore(series, at) + 1; k < series.times.length && series.times[k]! - at <= STALE_AFTER; k++) {
    if (!Number.isNaN(series.values[k]!))
      return (
        before.value + ((at - before.time) / (series.times[k]! - before.time)) * (series.values[k]! - before.value)
      );
  }
  return NaN;
}

/**
 * Two records of one parameter as one, without duplicates: `newer` wins at equal instants. Both are in order: one pass.
 */
export function mergeSeries(older: Series, newer: Series): Series {
  const times = new Float64Array(older.times.length + newer.times.length);
  const values = new Float64Array(times.length);
  let [a, b, count] = [0, 0, 0];
  while (a < older.times.length || b < newer.times.length) {
    const timeA = a < older.times.length ? older.times[a]! : Infinity;
    const timeB = b < newer.times.length ? newer.times[b]! : Infinity;
    times[count] = Math.min(timeA, timeB);
    values[count++] = timeB <= timeA ? newer.values[b]! : older.values[a]!;
    if (timeA <= timeB) a++;
    if (timeB <= timeA) b++;
  }
  return { ...newer, times: times.slice(0, count), values: values.slice(0, count) };
}

/** The true readings with from <= time <= to. */
export function* readingsBetween(series: Series, from: number, to: number): Generator<[number, number]> {
  for (
    let k = Math.max(0, indexAtOrBefore(series, from - 1) + 1);
    k < series.times.length && series.times[k]! <= to;
    k++
  ) {
    if (!Number.isNaN(series.values[k]!)) yield [series.times[k]!, series.values[k]!];
  }
}
