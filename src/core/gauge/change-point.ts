import { medianSorted } from "simple-statistics";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";

/**
 * Where a record last changed its course: cumulative sums of the departures from the line through the readings since
 * the change before (Page 1954, Biometrika 41, 100), run over the record's own steps, up and down apart.
 */

/** A reading by its time, h, and its value: ln Q, or a level in m. */
export type Reading = readonly [number, number];

/**
 * Allowance and threshold, in standard deviations of one reading. The mean run to a false alarm of one side is
 * (exp(2k(h + 1.166)) - 2k(h + 1.166) - 1) / 2k^2 readings (Siegmund 1985, Sequential Analysis): 836,000.
 */
export const CUSUM = sourced({ allowance: 1, threshold: 6 }, "standard deviations", "Page 1954; Siegmund 1985");
/** A slope smaller than so many of its standard errors is none: chance alone makes one in 1.7 million such. */
export const SIGNIFICANT = sourced(5, "standard errors", COMMON_PRACTICE);
/** A slope of more than so many standard errors is reckoned with in what is expected next. */
const LIKELY = 2;
/** A reading so near to the earlier line says that the one before it was an outlier. */
const BACK = 4;

/**
 * Standard deviation of one reading about a smooth course: from second differences of even steps, whose variance is six
 * times it, by their median so that floods do not count. NaN with fewer than three readings.
 */
export function readingNoise(points: readonly Reading[]): number {
  const differences: number[] = [];
  for (let k = 2; k < points.length; k++) {
    const [a, b, c] = [points[k - 2]!, points[k - 1]!, points[k]!];
    const [before, after] = [b[0] - a[0], c[0] - b[0]];
    if (after < 1.5 * before && before < 1.5 * after) differences.push(Math.abs(a[1] - 2 * b[1] + c[1]));
  }
  if (differences.length === 0) return NaN;
  // The median of |z| of a standard normal is 0.6745.
  return medianSorted(differences.sort((a, b) => a - b)) / 0.6745 / Math.sqrt(6);
}

/** Sums of a straight line through readings that come one by one. */
interface Line {
  /** Index of its first reading. */
  first: number;
  count: number;
  t: number;
  y: number;
  tt: number;
  ty: number;
}

const lineFrom = (first: number): Line => ({ first, count: 0, t: 0, y: 0, tt: 0, ty: 0 });

/** Welford's update: means and sums about them. */
function add(line: Line, [t, y]: Reading): void {
  line.count++;
  const dt = t - line.t;
  line.t += dt / line.count;
  const dy = y - line.y;
  line.y += dy / line.count;
  line.tt += dt * (t - line.t);
  line.ty += dt * (y - line.y);
}

/** What a line expects at an instant, and the variance of a reading about that in units of one reading's variance. */
function expected(line: Line, t: number, noise: number): { y: number; variance: number } {
  const slope = line.tt > 0 ? line.ty / line.tt : 0;
  const level = { y: line.y, variance: 1 + 1 / line.count };
  if (Math.abs(slope) * Math.sqrt(line.tt) <= LIKELY * noise) return level;
  const ahead = t - line.t;
  return { y: line.y + slope * ahead, variance: level.variance + ahead ** 2 / line.tt };
}

/**
 * Index of the first reading of the present course: the last one of the course before, or 0 where nothing changed.
 * A single reading that leaps out and is back at the next one changes nothing.
 * @param points in order of time
 * @param noise standard deviation of one reading
 */
export function lastChange(points: readonly Reading[], noise: number): { start: number; skipped: ReadonlySet<number> } {
  const skipped = new Set<number>();
  const { allowance, threshold } = CUSUM.value;
  let line = lineFrom(0);
  // Sums upwards and downwards, and the last reading at which each was zero.
  let sums: [number, number] = [0, 0];
  let zeros: [number, number] = [0, 0];
  let before: { line: Line; at: number } | undefined;
  for (let k = 0; k < points.length; k++) {
    const point = points[k]!;
    if (line.count === 0) {
      add(line, point);
      continue;
    }
    if (before && before.at === k - 1 && before.line.count > 2) {
      const back = expected(before.line, point[0], noise);
      if (Math.abs(point[1] - back.y) <= BACK * noise * Math.sqrt(back.variance)) {
        skipped.add(k - 1);
        line = before.line;
        add(line, point);
        [sums, zeros, before] = [[0, 0], [k, k], undefined];
        continue;
      }
    }
    const { y, variance } = expected(line, point[0], noise);
    const departure = (point[1] - y) / (noise * Math.sqrt(variance));
    let changed: number | undefined;
    for (const side of [0, 1] as const) {
      sums[side] = Math.max(0, sums[side] + (side === 0 ? departure : -departure) - allowance);
      if (sums[side] === 0) zeros[side] = k;
      else if (sums[side] > threshold) changed = zeros[side];
    }
    // A step that is plain by itself is no older than the reading before it.
    if (Math.abs(departure) - allowance > threshold) changed = k - 1;
    if (changed === undefined) {
      add(line, point);
      continue;
    }
    before = changed === k - 1 ? { line, at: k } : undefined;
    line = lineFrom(changed);
    for (let n = changed; n <= k; n++) if (!skipped.has(n)) add(line, points[n]!);
    [sums, zeros] = [
      [0, 0],
      [k, k],
    ];
  }
  return { start: line.first, skipped };
}
