import { stream } from "../core/quantity/seeded";
import { STEP } from "../core/gauge/forecast";
import { bendAt } from "../core/gauge/recession-law";
import { type Series, seriesFrom } from "../core/gauge/series";

/** For tests: the forecast told anew, step by step and without its short cuts, and records drawn at random. */

export const start = Date.UTC(2024, 0, 1);
export const STEPS = 20;

/** ln Q that wanders about 2 and jumps up now and then, so that there are falls to learn from. */
export function wandering(count: number, seed: number): Float64Array {
  const random = stream(seed);
  let x = 2;
  return Float64Array.from({ length: count }, () => {
    x += random() < 0.06 ? 0.5 + random() : -0.06 * (x - 0.4) * (0.6 + random());
    return x;
  });
}

export const recordOf = (lnQ: Float64Array): Series =>
  seriesFrom(
    "discharge",
    Array.from(lnQ, (x, k) => [start + k * STEP, Math.exp(x)] as const),
  );

const deviationOf = (values: readonly number[]) => {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
};

/** Level, change of six hours, change of a day: NaN where one of them is not known. */
export const figures = (lnQ: Float64Array, k: number) => [lnQ[k]!, lnQ[k]! - lnQ[k - 1]!, lnQ[k]! - lnQ[k - 4]!];

/** Steps whose day before and five days after are all known. */
export const wholeOnes = (lnQ: Float64Array) =>
  [...lnQ.keys()].filter(
    (k) =>
      k >= 4 &&
      k + STEPS < lnQ.length &&
      [k - 4, k - 1, ...Array.from({ length: STEPS + 1 }, (_, h) => k + h)].every((n) => !Number.isNaN(lnQ[n]!)),
  );

/** The sixty nearest, each figure by its spread (the change of six hours by 1.5 of it), two of a day at most. */
export function nearestOf(lnQ: Float64Array, state: readonly number[], known: readonly number[], scaledBy = known) {
  const weights = [1, 1.5, 1];
  const spread = [0, 1, 2].map((f) => deviationOf(scaledBy.map((k) => figures(lnQ, k)[f]!)));
  const far = (k: number) =>
    figures(lnQ, k).reduce((sum, value, f) => sum + weights[f]! * ((value - state[f]!) / spread[f]!) ** 2, 0);
  const taken: number[] = [];
  for (const k of [...known].sort((a, b) => far(a) - far(b)))
    if (taken.length < 60 && taken.filter((other) => Math.abs(other - k) < 4).length < 2) taken.push(k);
  return taken;
}

/** What a neighbour did from then on, its falls bent to the flow that it starts from. */
export function pathOf(lnQ: Float64Array, k: number, from: number, b: number) {
  let x = from;
  return Array.from({ length: STEPS }, (_, h) => {
    const step = lnQ[k + h + 1]! - lnQ[k + h]!;
    x += step < 0 ? step * bendAt(Math.exp(x), Math.exp(lnQ[k + h]!), b) : step;
    return x - from;
  });
}
