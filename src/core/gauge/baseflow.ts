import { mean } from "simple-statistics";
import { DAY, readingAt, readingsBetween, type Series } from "./series";

/**
 * Filter parameter and passes for daily flow (Lyne & Hollick 1979; Nathan & McMahon 1990, Water Resour. Res. 26: 0.925,
 * three passes). From memory.
 */
const ALPHA = 0.925;
const PASSES = 3;

/**
 * Days mirrored at either end, so that the filter starts and ends on a limb and not on a step (Ladson et al. 2013,
 * Aust. J. Water Resour. 17). From memory.
 */
const REFLECTED = 30;

/**
 * Base flow under a run of daily discharges by the Lyne-Hollick filter, forward, backward, forward.
 * Quick flow f[k] = alpha f[k-1] + (1 + alpha)/2 (q[k] - q[k-1]); base = q - f, held within 0..q.
 */
export function baseFlow(daily: readonly number[], alpha = ALPHA, passes = PASSES): number[] {
  const margin = Math.min(REFLECTED, daily.length - 1);
  let base = [...daily.slice(1, margin + 1).reverse(), ...daily, ...daily.slice(-margin - 1, -1).reverse()];
  for (let pass = 0; pass < passes; pass++) {
    const total = pass % 2 === 0 ? base : [...base].reverse();
    const out: number[] = [];
    let quick = 0;
    total.forEach((q, k) => {
      quick = k === 0 ? 0 : alpha * quick + ((1 + alpha) / 2) * (q - total[k - 1]!);
      out.push(quick > 0 ? Math.max(0, q - quick) : q);
    });
    base = pass % 2 === 0 ? out : out.reverse();
  }
  return base.slice(margin, margin + daily.length);
}

/** Mean discharge of each of the `count` days that end at `at`, oldest first; a day without readings is NaN. */
export function dailyMeans(discharge: Series, at: number, count: number): number[] {
  return Array.from({ length: count }, (_, k) => {
    const end = at - (count - 1 - k) * DAY;
    const readings = [...readingsBetween(discharge, end - DAY + 1, end)].map(([, q]) => q);
    return readings.length ? mean(readings) : NaN;
  });
}

export interface FlowParts {
  /** m3/s, today's base flow. */
  base: number;
  /** Share of today's flow that is quick runoff, 0..1. */
  quickShare: number;
  flood: boolean;
}

/** Days looked at. */
const LOOK_BACK = 120;
const LEAST_DAYS = 20;
/** A river is in flood when more than this share of its flow is runoff. Common practice, no source. */
const FLOOD_SHARE = 1 / 3;

/** How much of the flow at `at` is flood: over the unbroken days before it. Null with fewer than 20 of them. */
export function flowParts(discharge: Series, at: number): FlowParts | null {
  const days = dailyMeans(discharge, at, LOOK_BACK);
  const run = days.slice(days.findLastIndex(Number.isNaN) + 1);
  const total = readingAt(discharge, at);
  if (run.length < LEAST_DAYS || total === null || total <= 0) return null;
  const base = Math.min(baseFlow(run).at(-1)!, total);
  const quickShare = (total - base) / total;
  return { base, quickShare, flood: quickShare > FLOOD_SHARE };
}
