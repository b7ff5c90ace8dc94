import { median } from "simple-statistics";
import { FOOT } from "../quantity/units";
import { lastChange, type Reading, readingNoise, SIGNIFICANT } from "./change-point";
import { HOUR, indexAtOrBefore, lastReading, ownStep, readingsBetween, type Series } from "./series";

export type Limb = "rising" | "falling" | "steady";
export interface Trend {
  limb: Limb;
  /** Change per hour: of a discharge relative, d(ln Q)/dt, 1/h; of a stage m/h. */
  ratePerHour: number;
  /** Hours since the last peak (falling) or trough (rising) in the record; null when steady or unknown. */
  hours: number | null;
}

/** Windows of the slope, h, narrowest first: the first that shows one is told. Common practice, no source. */
const WINDOWS_HOURS = [6, 24, 72] as const;
/** A window holds so many of the record's own steps at least: four days of daily means. */
const LEAST_STEPS = 4;
/** Readings looked at for the course of the river and for the noise of one reading. */
const MOST_READINGS = 300;
/** Under this relative change per hour (about 5 % a day) a river is called steady. Common practice, no source. */
const STEADY_PER_HOUR = 0.002;

/** Theil-Sen slope: the median of the slopes of all pairs (Sen 1968, J. Am. Stat. Assoc. 63). */
export function theilSen(x: readonly number[], y: readonly number[]): number {
  const slopes: number[] = [];
  for (let a = 0; a < x.length; a++) {
    for (let b = a + 1; b < x.length; b++) if (x[b] !== x[a]) slopes.push((y[b]! - y[a]!) / (x[b]! - x[a]!));
  }
  return slopes.length ? median(slopes) : NaN;
}

/** Furthest back that a limb is followed, h. */
const LIMB_REACH = 21 * 24;
/** A counter-move smaller than this fraction does not end a limb. Common practice, no source. */
const LIMB_NOISE = 0.05;

/** How a parameter's trend is told: what is taken of a reading, and what is too little to be one. */
interface Measure {
  /** NaN for a reading that cannot count. */
  of: (value: number) => number;
  /** Less an hour is steady. */
  steady: number;
  /** A counter-move smaller than this does not end a limb. */
  noise: number;
  /** Least and most that one reading is off a smooth course (standard deviation). */
  reading: readonly [number, number];
  /** The units that gauges write it in, SI; the coarsest digit that they write at a value, SI; and what it is worth. */
  units: readonly number[];
  coarsest: (value: number) => number;
  worth: (digit: number, value: number) => number;
}
/** Of a discharge, ln Q: relative changes. A reading is good to 0.3 to 3 %. Common practice, no source. */
const OF_DISCHARGE: Measure = {
  of: (q) => (q > 0 ? Math.log(q) : NaN),
  steady: STEADY_PER_HOUR,
  noise: LIMB_NOISE,
  reading: [0.003, 0.03],
  units: [1, FOOT ** 3],
  coarsest: (q) => Math.max(0.05 * q, FOOT ** 3),
  worth: (digit, q) => digit / q,
};
/** Of a stage, the level itself, m: its zero is arbitrary, and no share of it means anything. Common practice. */
const OF_STAGE: Measure = {
  of: (level) => level,
  steady: 0.004,
  noise: 0.04,
  reading: [0.003, 0.02],
  units: [1, FOOT],
  coarsest: () => FOOT / 10,
  worth: (digit) => digit,
};

/**
 * Rising, falling or steady at `at`: the slope since the record last changed its course (change-point.ts), with a dead
 * band from the noise of its readings. Null without two readings, or where the last one is stale.
 */
export const trendAt = (discharge: Series, at: number): Trend | null => trendOf(discharge, at, OF_DISCHARGE);

/** The same of a gauge that gives stage only; its rate is in m an hour. */
export const stageTrendAt = (stage: Series, at: number): Trend | null => trendOf(stage, at, OF_STAGE);

function trendOf(series: Series, at: number, measure: Measure): Trend | null {
  const last = lastReading(series, at);
  if (!last) return null;
  const points = lastMeasured(series, at, measure);
  if (points.length < 2) return null;
  const hours = points.map(([time, value]): Reading => [(time - last.time) / HOUR, value]);
  const noise = noiseOf(series, hours, last, measure);
  const { start, skipped } = lastChange(hours, noise);
  const course = hours.filter((_, k) => k >= start && !skipped.has(k));
  const { limb, slope } = limbOf(course, noise, measure, ownStep(series, at));
  return {
    limb,
    ratePerHour: slope,
    hours: limb === "steady" ? null : hoursOnLimb(series, at, limb, measure),
  };
}

/** The limb of the present course, by its narrowest window with a slope that is more than chance. */
function limbOf(
  course: readonly Reading[],
  noise: number,
  { steady }: Measure,
  step: number,
): { limb: Limb; slope: number } {
  let slope = 0;
  for (const window of WINDOWS_HOURS) {
    const from = -Math.max(window, (LEAST_STEPS * step) / HOUR);
    const thinned = thin(
      course.filter(([time]) => time >= from),
      60,
    );
    if (thinned.length < 2) continue;
    const [x, y] = [thinned.map(([time]) => time), thinned.map(([, value]) => value)];
    slope = theilSen(x, y);
    if (Math.abs(slope) > Math.max(steady, SIGNIFICANT.value * slopeError(x, noise)))
      return { limb: slope > 0 ? "rising" : "falling", slope };
  }
  return { limb: "steady", slope };
}

/** Standard deviation of one reading: by the record's own scatter, and no finer than the digits it is written in. */
function noiseOf(
  { values, times }: Series,
  points: readonly Reading[],
  last: { time: number; value: number },
  { reading: [least, most], units, coarsest, worth }: Measure,
): number {
  const own = readingNoise(points);
  const scatter = Math.min(most, Math.max(least, Number.isNaN(own) ? least : own));
  const end = indexAtOrBefore({ times }, last.time) + 1;
  const read = values.subarray(Math.max(0, end - points.length), end);
  const digit = lastDigit(read, units, coarsest(last.value));
  // A flip of the last digit is no change of the river.
  return Math.max(scatter, worth(digit, last.value) / 2);
}

/** The last digit that readings are written to, in units that they may be in; 0 where they follow none. */
function lastDigit(values: Float64Array, units: readonly number[], coarsest: number): number {
  const isWhole = (share: number) => Math.abs(share - Math.round(share)) < 1e-6 * Math.max(1, Math.abs(share));
  for (let exponent = 2; exponent >= -4; exponent--)
    for (const unit of units) {
      const digit = unit * 10 ** exponent;
      if (digit <= coarsest && values.every((value) => Number.isNaN(value) || isWhole(value / digit))) return digit;
    }
  return 0;
}

/** The newest readings up to an instant by a measure. */
function lastMeasured({ times, values }: Series, at: number, { of }: Measure): [number, number][] {
  const points: [number, number][] = [];
  for (let k = indexAtOrBefore({ times }, at); k >= 0 && points.length < MOST_READINGS; k--) {
    const value = of(values[k]!);
    if (!Number.isNaN(value)) points.push([times[k]!, value]);
  }
  return points.reverse();
}

/** Readings between two instants by a measure: those that can count. */
const measured = (series: Series, from: number, to: number, { of }: Measure): [number, number][] =>
  [...readingsBetween(series, from, to)]
    .map(([time, value]): [number, number] => [time, of(value)])
    .filter(([, value]) => !Number.isNaN(value));

const thin = <T>(points: readonly T[], most: number): T[] => {
  const step = Math.ceil(points.length / most);
  return points.filter((_, k) => (points.length - 1 - k) % step === 0);
};

/** Standard error of the slope of readings that each scatter by `noise` (ordinary least squares formula). */
function slopeError(x: readonly number[], noise: number): number {
  const mean = x.reduce((sum, value) => sum + value, 0) / x.length;
  return noise / Math.sqrt(x.reduce((sum, value) => sum + (value - mean) ** 2, 0));
}

/** Hours since the turn that began the present limb: walk back until the river has turned by more than the noise. */
function hoursOnLimb(series: Series, at: number, limb: "rising" | "falling", measure: Measure): number {
  const sign = limb === "falling" ? 1 : -1;
  const points = measured(series, at - LIMB_REACH * HOUR, at, measure).reverse();
  let turn = points[0]!;
  for (const point of points) {
    const step = sign * (point[1] - turn[1]);
    if (step > 0) turn = point;
    else if (step < -measure.noise) break;
  }
  return (at - turn[0]) / HOUR;
}
