import { quickselect } from "simple-statistics";

/** The (upper) median of the first `count` of some values; NaN for fewer than `least`. It reorders what it is given. */
export function middleOf(values: Float64Array, count: number, least: number): number {
  if (count === 0 || count < least) return NaN;
  const half = count >> 1;
  // Alone it is taken for "no bound" there.
  if (count > 1) quickselect(values as unknown as number[], half, 0, count - 1);
  return values[half]!;
}

/**
 * The mean of the middle quarter of the first `count` of some values (a trimmed mean: Tukey 1977, Exploratory Data
 * Analysis): robust nearly as a median, and it does not jump from one value to another. NaN for fewer than `least`; it
 * reorders them.
 */
export function trimmedMeanOf(values: Float64Array, count: number, least: number): number {
  if (count === 0 || count < least) return NaN;
  const [from, to] = [Math.floor((3 * count) / 8), Math.ceil((5 * count) / 8)];
  if (count > 1) {
    quickselect(values as unknown as number[], from, 0, count - 1);
    if (to < count && from + 1 < to) quickselect(values as unknown as number[], to - 1, from + 1, count - 1);
  }
  let sum = 0;
  for (let n = from; n < to; n++) sum += values[n]!;
  return sum / (to - from);
}
