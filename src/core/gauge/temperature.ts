import { Matrix, solve } from "ml-matrix";
import { quantile } from "simple-statistics";
import { DAY, HOUR, lastReading, readingAt, readingsBetween, type Series } from "./series";

/**
 * Daily swing and drift of the water's temperature over the last days: T = mean + drift t + A cos wt + B sin wt, by
 * least squares.
 */
export interface Swing {
  /** degC at the fit's end, without the swing. */
  level: number;
  /** degC a day. */
  driftPerDay: number;
  /** Half the daily range, degC. */
  amplitude: number;
  /** Instant of a warmest hour, ms. */
  warmest: number;
  at: number;
}

const WINDOW = 4 * DAY;
const LEAST_READINGS = 24;
/** Readings used at most; a quarter-hour record is thinned to them. */
const MOST_READINGS = 400;

/** The fit over the four days before `at`; null with under a day and a half of readings. */
export function swingAt(temperature: Series, at: number): Swing | null {
  const all = [...readingsBetween(temperature, at - WINDOW, at)];
  const step = Math.ceil(all.length / MOST_READINGS);
  const readings = all.filter((_, k) => k % step === 0);
  if (readings.length < LEAST_READINGS || at - readings[0]![0] < 1.5 * DAY) return null;
  const rows = readings.map(([time]) => {
    const days = (time - at) / DAY;
    return [1, days, Math.cos(2 * Math.PI * days), Math.sin(2 * Math.PI * days)];
  });
  const [level, driftPerDay, cosine, sine] = solve(
    new Matrix(rows),
    Matrix.columnVector(readings.map(([, value]) => value)),
  ).to1DArray() as [number, number, number, number];
  // cos(2 pi d - phase) is at its greatest at d = phase / 2 pi.
  const phase = Math.atan2(sine, cosine) / (2 * Math.PI);
  return {
    level,
    driftPerDay,
    amplitude: Math.hypot(cosine, sine),
    warmest: at + (phase - (phase > 0 ? 1 : 0)) * DAY,
    at,
  };
}

/** A drift does not go on for ever: it dies away with this time. Common practice, no source. */
const DRIFT_LIFE = 1.5;

/** The swing carried forward, the last reading's offset from it kept and its drift dying away, degC. */
function ahead(swing: Swing, offset: number, time: number): number {
  const days = (time - swing.at) / DAY;
  const drift = swing.driftPerDay * DRIFT_LIFE * (1 - Math.exp(-days / DRIFT_LIFE));
  return (
    swing.level +
    drift +
    swing.amplitude * Math.cos((2 * Math.PI * (time - swing.warmest)) / DAY) +
    offset * Math.exp(-days)
  );
}

export interface WarmthPoint {
  time: number;
  low: number;
  median: number;
  high: number;
}

/** Hours forecast, and the days of the record on which the forecast's own errors are learnt. */
const HOURS = 48;
const TRIED_DAYS = 60;
/** Fewest tries that give a band. */
const LEAST_TRIES = 12;
const EVERY = 3;

function offsetOf(swing: Swing, reading: number): number {
  return reading - ahead(swing, 0, swing.at);
}

/**
 * Next two days every three hours; the band is 10 to 90 % of the errors the same forecast made at that lead on the last
 * sixty days. Null without a swing.
 */
export function forecastTemperature(temperature: Series, at: number): WarmthPoint[] | null {
  const last = lastReading(temperature, at);
  if (!last) return null;
  const { time: from, value: now } = last;
  const swing = swingAt(temperature, from);
  if (!swing) return null;
  const leads = Array.from({ length: HOURS / EVERY }, (_, k) => (k + 1) * EVERY);
  const errors = leads.map(() => [] as number[]);
  for (let day = 2; day <= TRIED_DAYS; day++) {
    const then = from - day * DAY;
    const reading = readingAt(temperature, then, HOUR);
    const past = reading === null ? null : swingAt(temperature, then);
    if (!past) continue;
    leads.forEach((hours, k) => {
      const truth = readingAt(temperature, then + hours * HOUR, HOUR);
      if (truth !== null) errors[k]!.push(truth - ahead(past, offsetOf(past, reading!), then + hours * HOUR));
    });
  }
  return leads.map((hours, k): WarmthPoint => {
    const time = from + hours * HOUR;
    const value = ahead(swing, offsetOf(swing, now), time);
    const own = errors[k]!;
    const [low, high] = own.length < LEAST_TRIES ? [NaN, NaN] : [quantile(own, 0.1), quantile(own, 0.9)];
    return {
      time,
      low: Math.max(0, value + Math.min(0, low)),
      median: Math.max(0, value),
      high: value + Math.max(0, high),
    };
  });
}
