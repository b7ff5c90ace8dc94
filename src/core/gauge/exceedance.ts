import { quantileSorted } from "simple-statistics";
import { DAY, readingsBetween, type Series } from "./series";

/** Days each side of the date that count as the season (physics: +-15 days). */
const SEASON_HALF_DAYS = 15;

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

/** What a record holds of a day of the year: its true readings, and in how many years there are any. */
interface DayRecord {
  values: number[];
  years: Set<number>;
}

/** The true readings of a record by day of the year: one pass over the record, however many dates are asked about. */
function byDay(series: Series): DayRecord[] {
  const days: DayRecord[] = Array.from({ length: 365 }, () => ({ values: [], years: new Set() }));
  // Readings come many to a day: the calendar is asked once a day, not once a reading.
  let [dayStart, day, year] = [NaN, 0, 0];
  for (let k = 0; k < series.times.length; k++) {
    const value = series.values[k]!;
    if (Number.isNaN(value)) continue;
    const start = Math.floor(series.times[k]! / DAY) * DAY;
    if (start !== dayStart) [dayStart, day, year] = [start, dayOfYear(start), new Date(start).getUTCFullYear()];
    days[day]!.values.push(value);
    days[day]!.years.add(year);
  }
  return days;
}

/** A season of a record: its true readings, and of how many years they are. */
export interface SeasonRecord {
  values: Float64Array;
  years: number;
}

/** Is a day of the year within the season of another, round New Year too? The one definition of a season. */
const isInSeason = (day: number, middle: number): boolean => {
  const apart = Math.abs(day - middle);
  return Math.min(apart, 365 - apart) <= SEASON_HALF_DAYS;
};

/** The true readings within +-15 days of the date, in any year: one slice of the record a year. */
export function seasonRecord(series: Series, at: number): SeasonRecord {
  const { times } = series;
  if (times.length === 0) return { values: new Float64Array(0), years: 0 };
  const year = (time: number) => new Date(time).getUTCFullYear();
  const date = new Date(at);
  const values: number[] = [];
  let years = 0;
  for (let y = year(times[0]!) - 1; y <= year(times.at(-1)!) + 1; y++) {
    const middle = Date.UTC(
      y,
      date.getUTCMonth(),
      date.getUTCMonth() === 1 ? Math.min(28, date.getUTCDate()) : date.getUTCDate(),
    );
    // A day more on each side: 29 February is no day of its own.
    const [from, to] = [middle - (SEASON_HALF_DAYS + 1) * DAY, middle + (SEASON_HALF_DAYS + 2) * DAY - 1];
    const days = new Set<number>();
    let [day, belongs] = [NaN, false];
    for (const [time, value] of readingsBetween(series, from, to)) {
      const own = Math.floor(time / DAY);
      if (own !== day) [day, belongs] = [own, isInSeason(dayOfYear(own * DAY), dayOfYear(at))];
      if (!belongs) continue;
      values.push(value);
      days.add(dayOfYear(own * DAY));
    }
    if (days.size >= LEAST_DAYS) years++;
  }
  return { values: Float64Array.from(values), years };
}

export const BAND_QUANTILES = [0.1, 0.25, 0.5, 0.75, 0.9] as const;
/**
 * What is usual takes a season of so many years, each with so many days of it, and so many readings; of one year alone
 * it would only say what that year was. Common practice, no source.
 */
export const LEAST_YEARS = 3;
const LEAST_DAYS = 10;
const LEAST_READINGS = 48;
function levelsOf({ values, years }: SeasonRecord): readonly number[] | null {
  if (values.length < LEAST_READINGS || years < LEAST_YEARS) return null;
  const sorted = values.sort() as unknown as number[];
  return BAND_QUANTILES.map((q) => quantileSorted(sorted, q));
}

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
  const days = byDay(series).map(({ values, years }) => {
    const step = Math.ceil(values.length / MOST_A_DAY);
    return { years, values: step > 1 ? values.filter((_, k) => k % step === 0) : values };
  });
  return days.map((_, day) => {
    const values: number[] = [];
    const years = new Map<number, number>();
    for (let off = -SEASON_HALF_DAYS; off <= SEASON_HALF_DAYS; off++) {
      const other = days[(day + off + 365) % 365]!;
      for (const value of other.values) values.push(value);
      // Across New Year a season is that of its middle.
      const turned = day + off < 0 ? 1 : day + off >= 365 ? -1 : 0;
      for (const year of other.years) years.set(year + turned, (years.get(year + turned) ?? 0) + 1);
    }
    const seen = [...years.values()].filter((count) => count >= LEAST_DAYS).length;
    return levelsOf({ values: Float64Array.from(values), years: seen });
  });
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
