import { quantileSorted } from "simple-statistics";
import { DAY, type Series } from "./series";

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

const seasonOf = (days: readonly number[][], day: number): Float64Array =>
  Float64Array.from(Array.from({ length: 2 * SEASON_HALF_DAYS + 1 }, (_, k) => days[(day + k - SEASON_HALF_DAYS + 365) % 365]!).flat());

/** The true readings within +-15 days of the date, in any year. */
export const seasonRecord = (series: Series, at: number): Float64Array => seasonOf(byDay(series), dayOfYear(at));

export const BAND_QUANTILES = [0.1, 0.25, 0.5, 0.75, 0.9] as const;
/** A season with fewer readings than this has no usual range. */
const LEAST_READINGS = 48;
export interface SeasonBand {
  time: number;
  /** Discharges at the non-exceedance fractions of BAND_QUANTILES; null where the record is too thin (under LEAST_READINGS). */
  levels: readonly number[] | null;
}

/** The usual range for each day from `from` to `to`. */
export function seasonBand(series: Series, from: number, to: number): SeasonBand[] {
  const days = byDay(series);
  const known = new Map<number, readonly number[] | null>();
  const levelsOn = (day: number): readonly number[] | null => {
    if (!known.has(day)) {
      const record = seasonOf(days, day).sort();
      known.set(day, record.length < LEAST_READINGS ? null : BAND_QUANTILES.map((q) => quantileSorted(record as unknown as number[], q)));
    }
    return known.get(day)!;
  };
  const band: SeasonBand[] = [];
  for (let time = Math.floor(from / DAY) * DAY; time <= to; time += DAY) band.push({ time, levels: levelsOn(dayOfYear(time)) });
  return band;
}

/** Both hydrological conventions in one plain sentence, so that nobody must know which is meant. */
export function exceedanceInWords(fraction: number): string {
  const percent = Math.round(fraction * 100);
  if (percent <= 10) return `very high for the season: exceeded only ${percent} % of the time`;
  if (percent <= 30) return `high for the season: exceeded ${percent} % of the time`;
  if (percent < 70) return `usual for the season: exceeded ${percent} % of the time`;
  if (percent < 90) return `low for the season: exceeded ${percent} % of the time`;
  return `very low for the season: exceeded ${percent} % of the time`;
}
