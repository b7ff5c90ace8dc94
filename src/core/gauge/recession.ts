import { linearRegression, quantile } from "simple-statistics";
import { DAY, HOUR, type Series } from "./series";

export interface Recession {
  /**
   * Master recession constant, 1/day: Q(t) = Q0 exp(-lambda t). Median, and 10 and 90 percentiles, over the falls of
   * the record.
   */
  lambdaPerDay: number;
  low: number;
  high: number;
  events: number;
}

/**
 * Length of a usable fall, and what is left out after its peak while runoff still drains. Common practice, no source.
 */
const SHORTEST_FALL = 2 * DAY;
const AFTER_PEAK = 12 * HOUR;
const STEP = 6 * HOUR;

/** ln Q at an instant, ms. */
export interface FlowPoint {
  time: number;
  lnQ: number;
}

/** Mean of ln Q in 6-hour boxes; boxes without a reading are gaps. */
export function boxed(discharge: Series): FlowPoint[] {
  const boxes = new Map<number, { sum: number; count: number }>();
  for (let k = 0; k < discharge.times.length; k++) {
    const q = discharge.values[k]!;
    if (!(q > 0)) continue;
    const index = Math.floor(discharge.times[k]! / STEP);
    const box = boxes.get(index) ?? { sum: 0, count: 0 };
    box.sum += Math.log(q);
    box.count++;
    boxes.set(index, box);
  }
  return [...boxes]
    .sort((a, b) => a[0] - b[0])
    .map(([index, box]) => ({ time: (index + 0.5) * STEP, lnQ: box.sum / box.count }));
}

/** The unbroken falls of points a step (ms) apart, from when the peak's runoff is through, that last long enough. */
export function recessionSegments(points: readonly FlowPoint[], step = STEP): FlowPoint[][] {
  const falls: FlowPoint[][] = [];
  let start = 0;
  for (let k = 1; k <= points.length; k++) {
    const goesOn =
      k < points.length && points[k]!.lnQ < points[k - 1]!.lnQ && points[k]!.time - points[k - 1]!.time < 1.5 * step;
    if (goesOn) continue;
    const fall = points.slice(start, k).filter((point) => point.time - points[start]!.time >= AFTER_PEAK);
    if (fall.length >= 4 && fall.at(-1)!.time - fall[0]!.time >= SHORTEST_FALL) falls.push(fall);
    start = k;
  }
  return falls;
}

/** Fewest falls that anything is learnt from. */
export const LEAST_SEGMENTS = 3;

/**
 * Recession from the falling limbs: the slope of ln Q against time of each unbroken fall (Tallaksen 1995, J. Hydrol.
 * 165).
 * Null with fewer than three falls.
 */
export function recession(discharge: Series): Recession | null {
  const slopes = recessionSegments(boxed(discharge)).map(
    (fall) => -linearRegression(fall.map((point) => [point.time / DAY, point.lnQ])).m,
  );
  if (slopes.length < LEAST_SEGMENTS) return null;
  return {
    lambdaPerDay: quantile(slopes, 0.5),
    low: quantile(slopes, 0.1),
    high: quantile(slopes, 0.9),
    events: slopes.length,
  };
}

/** Days for the discharge to fall from one value to another: ln(Q0/Q1)/lambda. */
export const daysToFall = (from: number, to: number, lambdaPerDay: number): number =>
  Math.log(from / to) / lambdaPerDay;
