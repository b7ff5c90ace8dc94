import { changeBetween, driftOf, type AveragingWindow } from "./averaging";
import type { Unsettled, Verdict } from "./grid";

/** Windows over which water that pulses is averaged: 80 s are several periods of a wake. */
const FEWEST_WINDOWS = 4;
export const MOST_WINDOWS = 6;
/** Limits of the convergence test on window means. */
const LIMITS = { outflow: 0.005, unitDischarge: 0.01, depth: 0.002 };
/** Share of the limit on outflow that pulsing water is held to: the mean of a few pulses is not yet that of many. */
const PULSING = 0.8;

/**
 * Settled, and by which windows: still water by its last two; water that pulses, whose windows differ for ever, by the
 * fewest last ones whose mean passes what comes in and whose halves stand at the same depth.
 */
export function judge(
  windows: readonly AveragingWindow[],
  discharge: number,
  slack: number,
): { verdict: Verdict; windows: AveragingWindow[] } | undefined {
  const [before, now] = windows.slice(-2);
  if (!before || !now) return undefined;
  const most = LIMITS.outflow * slack;
  const change = changeBetween(before, now);
  if (
    Math.max(before.massError(discharge), now.massError(discharge)) < most &&
    change.depth < LIMITS.depth * slack &&
    change.unitDischarge < LIMITS.unitDischarge * slack
  )
    return { verdict: "converged", windows: [now, before] };
  for (let count = FEWEST_WINDOWS; count <= windows.length; count += 2) {
    const [first, second] = [windows.slice(-count, -count / 2), windows.slice(-count / 2)];
    const both = [...first, ...second];
    const mean = (of: (window: AveragingWindow) => number) => both.reduce((sum, one) => sum + of(one), 0) / count;
    const error =
      Math.abs(mean((one) => one.imbalance(discharge))) + mean((one) => one.clipped / (one.seconds * discharge));
    if (error < PULSING * most && driftOf(first, second) < LIMITS.depth * slack)
      return { verdict: "shedding", windows: both };
  }
  return undefined;
}

/** What keeps water that has not settled in its time from doing so. */
export function whyUnsettled(windows: readonly AveragingWindow[], discharge: number): Unsettled {
  const imbalance = windows.reduce((sum, one) => sum + one.imbalance(discharge), 0) / windows.length;
  if (Math.abs(imbalance) < LIMITS.outflow) return "pulsing";
  return imbalance < 0 ? "filling" : "emptying";
}
