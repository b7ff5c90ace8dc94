import { linearRegression } from "simple-statistics";
import { InputError } from "../quantity/fault";

/** A measured pair: stage, m, and discharge, m3/s. */
export interface Gauging {
  stage: number;
  discharge: number;
}

/** Stage-discharge relation Q = C (h - h0)^b, one segment of a power law (ISO 18320; WMO-No. 1044, II, ch. 1). */
export interface Rating {
  C: number;
  /** Stage of no flow, m. */
  h0: number;
  b: number;
  /**
   * Standard error of ln Q about the curve, n - 3 degrees of freedom: about the relative error of one gauging. Null
   * with three pairs, which leave none.
   */
  standardError: number | null;
  count: number;
  /** Largest discharge measured, m3/s. */
  maxGauged: number;
}

/**
 * Beyond this multiple of the highest gauging a rating is only a guess. Common practice (ISO 18320 asks for caution
 * beyond the gaugings).
 */
export const EXTRAPOLATION = 1.5;
/** Width of the band in standard errors that holds 80 % of a normal spread. */
const Z80 = 1.2816;
/** Search for h0 below the lowest stage, as multiples of the range of stages. */
const NEAREST = 1e-4;
const FURTHEST = 10;

interface Line {
  C: number;
  b: number;
  squares: number;
}

function lineAt(gaugings: readonly Gauging[], h0: number): Line {
  const points = gaugings.map(({ stage, discharge }) => [Math.log(stage - h0), Math.log(discharge)]);
  const { m, b } = linearRegression(points);
  return { C: Math.exp(b), b: m, squares: points.reduce((sum, [x, y]) => sum + (y! - b - m * x!) ** 2, 0) };
}

/**
 * Least squares on ln Q, with a bounded search in h0 under the lowest stage: a scan of the whole bracket, then golden
 * section.
 * Needs three pairs at three different stages and rising flow; refuses others with an InputError.
 */
export function fitRating(gaugings: readonly Gauging[]): Rating {
  gaugings.forEach(({ stage, discharge }, k) => {
    if (!Number.isFinite(stage) || !Number.isFinite(discharge))
      throw new InputError("not-a-number", { number: k + 1 }, { path: `pairs[${k}]` });
    if (discharge <= 0)
      throw new InputError("discharge-not-positive", { number: k + 1, discharge }, { path: `pairs[${k}].discharge` });
  });
  const stages = gaugings.map((one) => one.stage);
  if (new Set(stages).size < 3) throw new InputError("too-few-pairs", { size: new Set(stages).size });
  const lowest = Math.min(...stages);
  const range = Math.max(...stages) - lowest;
  const squares = (gap: number) => lineAt(gaugings, lowest - range * Math.exp(gap)).squares;
  const [from, to] = [Math.log(NEAREST), Math.log(FURTHEST)];
  const step = (to - from) / 240;
  let best = from;
  for (let gap = from; gap <= to; gap += step) if (squares(gap) < squares(best)) best = gap;
  const gap = goldenSection(squares, Math.max(from, best - step), Math.min(to, best + step));
  const h0 = lowest - range * Math.exp(gap);
  const line = lineAt(gaugings, h0);
  if (!(line.b > 0)) throw new InputError("not-a-rating", {});
  return {
    C: line.C,
    h0,
    b: line.b,
    standardError: gaugings.length > 3 ? Math.sqrt(line.squares / (gaugings.length - 3)) : null,
    count: gaugings.length,
    maxGauged: Math.max(...gaugings.map((one) => one.discharge)),
  };
}

/** Minimum of a function of one peakless bracket (Kiefer 1953). */
function goldenSection(f: (x: number) => number, low: number, high: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [low, high];
  for (let k = 0; k < 60; k++) {
    const [left, right] = [b - ratio * (b - a), a + ratio * (b - a)];
    if (f(left) < f(right)) b = right;
    else a = left;
  }
  return (a + b) / 2;
}

export interface Rated {
  value: number;
  /** 80 % band from the scatter of the gaugings; null where the fit has no scatter to tell it from. */
  low: number | null;
  high: number | null;
  /** Beyond 1.5 times the highest gauging: not to be trusted. */
  extrapolated: boolean;
}

/** Discharge, m3/s, at a stage, m; 0 at or under the stage of no flow. */
export function dischargeAt(rating: Rating, stage: number): Rated {
  const value = stage <= rating.h0 ? 0 : rating.C * (stage - rating.h0) ** rating.b;
  const spread = rating.standardError === null ? null : Math.exp(Z80 * rating.standardError);
  return {
    value,
    low: spread && value / spread,
    high: spread && value * spread,
    extrapolated: value > EXTRAPOLATION * rating.maxGauged,
  };
}

/** Stage, m, at a discharge, m3/s. */
export function stageAt(rating: Rating, discharge: number): Rated {
  const at = (q: number) => rating.h0 + (Math.max(0, q) / rating.C) ** (1 / rating.b);
  const spread = rating.standardError === null ? null : Math.exp(Z80 * rating.standardError);
  return {
    value: at(discharge),
    low: spread && at(discharge / spread),
    high: spread && at(discharge * spread),
    extrapolated: discharge > EXTRAPOLATION * rating.maxGauged,
  };
}
