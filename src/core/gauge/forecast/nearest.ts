import { quickselect } from "simple-statistics";

/** Looked through for `most`: many lie within a day of a nearer one and are left out. */
const SHORT_LIST = 4;

/**
 * Which of some steps are nearest, nearest first: `most` of them, at most `together` within `apart` steps of each
 * other, since those of one event are not independent. `far`: the distance of each, NaN for none.
 */
export function nearestApart(
  at: ArrayLike<number>,
  far: Float64Array,
  { most, together, apart }: { most: number; together: number; apart: number },
): number[] {
  const known = new Float64Array(far.length);
  let count = 0;
  for (const distance of far) if (!Number.isNaN(distance)) known[count++] = distance;
  if (count === 0) return [];
  const short = Math.min(count - 1, SHORT_LIST * most);
  // It orders a typed array in place as well as a plain one.
  if (count > 1) quickselect(known as unknown as number[], short, 0, count - 1);
  const limit = known[short]!;
  const order: number[] = [];
  for (let n = 0; n < far.length; n++) if (far[n]! <= limit) order.push(n);
  order.sort((one, other) => far[one]! - far[other]!);
  const taken: number[] = [];
  for (const n of order) {
    if (taken.length >= most) break;
    let near = 0;
    for (const other of taken) if (Math.abs(at[other]! - at[n]!) < apart) near++;
    if (near < together) taken.push(n);
  }
  return taken;
}
