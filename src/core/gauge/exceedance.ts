import { quantileSorted } from "simple-statistics";
import { DAY, readingsBetween, type Series } from "./series";

/** Days each side of the date that count as the season (physics: +-15 days). */
export const SEASON_HALF_DAYS = 15;

/**
 * Exceedance by the Weibull plotting position m/(n+1), m the rank from the largest (Weibull 1939; USGS WSP 2207).
 * Returns the fraction 0..1 of the record that is at or above `value`, or null without a record.
 */
export function exceedance(record: ArrayLike<number>, value: number): number | null {
  let count = 0;
  let above = 0;
  for (let k = 0; k < record.length; k++) {
    const reading = record[k]!;
    if (Number.isNaN(reading)) continue;
    count++;
    if (reading >= value) above++;
  }
  return count === 0 ? null : Math.max(1, above) / (count + 1);
}

/** Day of a 365-day year, 0..364; 29 February counts with 28 February. */
export function dayOfYear(time: number): number {
  const date = new Date(time);
  const leapless = Date.UTC(2023, date.getUTCMonth(), Math.min(date.getUTCDate(), date.getUTCMonth() === 1 ? 28 : 31));
  return Math.round((leapless - Date.UTC(2023, 0, 1)) / DAY);
}

/** The true readings of a record by day of the year: one pass over the record, however many dates are asked about. */
function byDay(series: Series): number[][] {
  const days: number[][] = Array.from({ length: 365 }, () => []);
  // Readings come many to a day: the calendar is asked once a day, not once a reading.
  let [dayStart, day] = [NaN, 0];
  for (let k = 0; k < series.times.length; k++) {
    const value = series.values[k]!;
    if (Number.isNaN(value)) continue;
    const start = Math.floor(series.times[k]! / DAY) * DAY;
    if (start !== dayStart) [dayStart, day] = [start, dayOfYear(start)];
    days[day]!.push(value);
  }
  return days;
}

/** The true readings within +-15 days of the date, in any year: one slice of the record a year. */
export function seasonRecord(series: Series, at: number): Float64Array {
  const { times } = series;
  if (times.length === 0) return new Float64Array(0);
  const year = (time: number) => new Date(time).getUTCFullYear();
  const date = new Date(at);
  const slices: number[] = [];
  for (let y = year(times[0]!) - 1; y <= year(times.at(-1)!) + 1; y++) {
    const middle = Date.UTC(
      y,
      date.getUTCMonth(),
      date.getUTCMonth() === 1 ? Math.min(28, date.getUTCDate()) : date.getUTCDate(),
    );
    for (const [, value] of readingsBetween(
      series,
      middle - SEASON_HALF_DAYS * DAY,
      middle + (SEASON_HALF_DAYS + 1) * DAY - 1,
    ))
      slices.push(value);
  }
  return Float64Array.from(slices);
}

export const BAND_QUANTILES = [0.1, 0.25, 0.5, 0.75, 0.9] as const;
/** A season with fewer readings than this has no usual range. */
const LEAST_READINGS = 48;
const levelsOf = (record: Float64Array): readonly number[] | null =>
  record.length < LEAST_READINGS
    ? null
    : BAND_QUANTILES.map((q) => quantileSorted(record.sort() as unknown as number[], q));

/**
 * Discharges at the non-exceedance fractions of BAND_QUANTILES for the season of a date; null where the record is too
 * thin.
 */
export const seasonLevels = (series: Series, at: number): readonly number[] | null =>
  levelsOf(seasonRecord(series, at));

/**
 * For each day of a 365-day year, discharges at the non-exceedance fractions of BAND_QUANTILES; null where the record
 * is too thin (under LEAST_READINGS).
 */
export type SeasonTable = readonly (readonly number[] | null)[];

/** Most readings of one day of the year that are sorted into its usual range; a denser record is thinned evenly. */
const MOST_A_DAY = 120;

/** The usual range of every day of the year. Heavy on a long record: for a worker. */
export function seasonTable(series: Series): SeasonTable {
  const days = byDay(series).map((day) => {
    const step = Math.ceil(day.length / MOST_A_DAY);
    return step > 1 ? day.filter((_, k) => k % step === 0) : day;
  });
  const around = (day: number) =>
    Array.from({ length: 2 * SEASON_HALF_DAYS + 1 }, (_, k) => days[(day + k - SEASON_HALF_DAYS + 365) % 365]!).flat();
  return days.map((_, day) => levelsOf(Float64Array.from(around(day))));
}

export interface SeasonBand {
  time: number;
  levels: readonly number[] | null;
}

/** The usual range for every `every`-th day from `from` to `to`. */
export function seasonBand(table: SeasonTable, from: number, to: number, every = 1): SeasonBand[] {
  const band: SeasonBand[] = [];
  for (let time = Math.floor(from / DAY) * DAY; time <= to; time += every * DAY)
    band.push({ time, levels: table[dayOfYear(time)]! });
  return band;
}
