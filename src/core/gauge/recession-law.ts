import { linearRegression, quantile } from "simple-statistics";
import { recessionSegments, type FlowPoint, LEAST_SEGMENTS } from "./recession";
import { DAY } from "./series";

/**
 * The law of a river's falls, dQ/dt = -a Q^b, Q in m3/s, t in days (Brutsaert & Nieber 1977, Water Resour. Res. 13,
 * 637). With b over 1 the fall bends: the lower the river, the slower it falls.
 */
export interface RecessionLaw {
  /** 10, 50 and 90 percentiles of a over the falls. */
  a: readonly [number, number, number];
  b: number;
  falls: number;
}

/** Exponents that rivers have; falls that span less than this factor of flow tell none: then it is exponential. */
const EXPONENT = { least: 1, most: 3 };
const LEAST_SPAN = 1.5;

/** Fitted on logs over all falls of points a step apart, a then for each fall by itself; null with fewer than three. */
export function recessionLaw(points: readonly FlowPoint[], step?: number): RecessionLaw | null {
  const falls = recessionSegments(points, step).map(ratesOf);
  if (falls.length < LEAST_SEGMENTS) return null;
  const all = falls.flat();
  const xs = all.map(([x]) => x);
  const span = xs.reduce((x, y) => Math.max(x, y)) - xs.reduce((x, y) => Math.min(x, y));
  const slope = span < Math.log(LEAST_SPAN) ? 1 : linearRegression(all.map(([x, y]) => [x, y])).m;
  const b = Math.min(EXPONENT.most, Math.max(EXPONENT.least, slope));
  const own = falls.map((fall) => Math.exp(fall.reduce((sum, [x, y]) => sum + y - b * x, 0) / fall.length));
  return { a: [0.1, 0.5, 0.9].map((q) => quantile(own, q)) as [number, number, number], b, falls: falls.length };
}

/** ln of the mean flow and of the rate of fall, m3/s a day, between neighbouring points of a fall. */
function ratesOf(fall: readonly FlowPoint[]): [number, number][] {
  return fall.slice(1).map(({ time, lnQ }, k) => {
    const [before, after] = [Math.exp(fall[k]!.lnQ), Math.exp(lnQ)];
    return [Math.log((before + after) / 2), Math.log(((before - after) / (time - fall[k]!.time)) * DAY)];
  });
}

/** Discharge after some days of fall by the law (its integral; exponential for b = 1). */
export function recededFlow(from: number, days: number, a: number, b: number): number {
  if (Math.abs(b - 1) < 1e-6) return from * Math.exp(-a * days);
  return (from ** (1 - b) + (b - 1) * a * days) ** (1 / (1 - b));
}

/** By how much slower ln Q falls from a lower flow than from another, by the law; 1 where it is not lower. */
export const bendAt = (flow: number, other: number, b: number): number => Math.min(1, (flow / other) ** (b - 1));
