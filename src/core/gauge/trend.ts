import { median } from "simple-statistics";
import { HOUR, readingsBetween, type Series } from "./series";

export type Limb = "rising" | "falling" | "steady";
export interface Trend {
  limb: Limb;
  /** Change per hour: of a discharge relative, d(ln Q)/dt, 1/h; of a stage m/h. */
  ratePerHour: number;
  /** Hours since the last peak (falling) or trough (rising) in the record; null when steady or unknown. */
  hours: number | null;
}

/** Window of the slope, h; widened when readings are sparse. Common practice, no source. */
const WINDOWS_HOURS = [6, 24, 72] as const;
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
}
/** Of a discharge, ln Q: relative changes. */
const OF_DISCHARGE: Measure = {
  of: (q) => (q > 0 ? Math.log(q) : NaN),
  steady: STEADY_PER_HOUR,
  noise: LIMB_NOISE,
};
/** Of a stage, the level itself, m: its zero is arbitrary, and no share of it means anything. Common practice. */
const OF_STAGE: Measure = { of: (level) => level, steady: 0.004, noise: 0.04 };

/**
 * Rising, falling or steady at `at`, with a dead band from the scatter of the readings about their own line. Null
 * without enough readings.
 */
export const trendAt = (discharge: Series, at: number): Trend | null => trendOf(discharge, at, OF_DISCHARGE);

/** The same of a gauge that gives stage only; its rate is in m an hour. */
export const stageTrendAt = (stage: Series, at: number): Trend | null => trendOf(stage, at, OF_STAGE);

function trendOf(series: Series, at: number, measure: Measure): Trend | null {
  for (const window of WINDOWS_HOURS) {
    const points = measured(series, at - window * HOUR, at, measure);
    if (points.length < 4) continue;
    const thinned = thin(points, 60);
    const x = thinned.map(([time]) => (time - at) / HOUR);
    const y = thinned.map(([, value]) => value);
    const slope = theilSen(x, y);
    const band = Math.max(measure.steady, 2 * slopeError(x, y, slope));
    const limb: Limb = slope > band ? "rising" : slope < -band ? "falling" : "steady";
    return { limb, ratePerHour: slope, hours: limb === "steady" ? null : hoursOnLimb(series, at, limb, measure) };
  }
  return null;
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

/** Standard error of a slope of three instants or more, from the scatter about it (ordinary least squares formula). */
function slopeError(x: readonly number[], y: readonly number[], slope: number): number {
  const meanX = x.reduce((sum, value) => sum + value, 0) / x.length;
  const level = median(y.map((value, k) => value - slope * x[k]!));
  let residual = 0;
  let spread = 0;
  for (let k = 0; k < x.length; k++) {
    residual += (y[k]! - level - slope * x[k]!) ** 2;
    spread += (x[k]! - meanX) ** 2;
  }
  return Math.sqrt(residual / (x.length - 2) / spread);
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
