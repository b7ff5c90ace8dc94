import { quantile } from "simple-statistics";

/**
 * Flows on a scale where a change is relative, yet zero and ebb flow have their place: asinh(Q / 2s), which is ln(Q/s)
 * for flows well over s and straight below (Burbidge, Magee & Robb 1988, J. Am. Stat. Assoc. 83, 123).
 */
export interface FlowScale {
  of: (discharge: number) => number;
  back: (y: number) => number;
  /** Under this an error is no longer told as a share of the flow, m3/s. */
  least: number;
}

/** Where no flow is zero, s is this share of the least: the scale is then ln Q to a thousandth. */
const OF_LEAST = 1 / 20;
/** Of a river that dries up, s is this share of its median flow; of one that runs back, half of it. Own choice. */
const OF_DRYING = 0.02;
const OF_TIDAL = 0.5;
/** A share of the readings under zero from which a river runs back, and is not just misread. Common practice. */
const EBB = 0.005;

export function flowScale(values: Float64Array): FlowScale {
  const known = values.filter((q) => !Number.isNaN(q));
  const running = known.filter((q) => q > 0);
  if (running.length === 0) return scaleOf(1, 1);
  const usual = quantile(Array.from(known, Math.abs), 0.5);
  if (known.filter((q) => q < 0).length > EBB * known.length)
    return scaleOf(OF_TIDAL * usual, OF_TIDAL * usual, -Infinity);
  if (running.length < known.length) {
    const middle = quantile(Array.from(running), 0.5);
    return scaleOf(OF_DRYING * middle, 2 * OF_DRYING * middle);
  }
  return scaleOf(OF_LEAST * running.reduce((low, q) => Math.min(low, q)), 0);
}

const scaleOf = (s: number, least: number, lowest = 0): FlowScale => ({
  of: (discharge) => Math.asinh(discharge / (2 * s)),
  // Only a river that has run back does.
  back: (y) => Math.max(lowest, 2 * s * Math.sinh(y)),
  least,
});
