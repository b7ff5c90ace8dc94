import { standardDeviation } from "simple-statistics";
import { HORIZON } from "../forecast";
import { bendAt } from "../recession-law";
import { DAY, HOUR } from "../series";
import type { LawAt } from "./falls";
import type { Fill, FlowGrid } from "./flow-grid";
import { trimmedMeanOf } from "./middle";
import { nearestApart } from "./nearest";

/** Lags whose changes tell a state, ms. */
const LAGS = [2 * HOUR, 6 * HOUR, DAY];
/** Weight of the level and of each change in the distance, once scaled by its spread. Common practice, no source. */
const WEIGHTS = [1, 1.5, 1.5, 1];
/** Neighbours taken; at most so many within a day of each other, since those of one event are not independent. */
const NEIGHBOURS = 24;
const TOGETHER = 2;
/** Near base flow: with fewer of the neighbours than this share below it. Common practice, no source. */
const LOWEST = 0.1;
/** Fewest known states: a tenth of a year of days apart. Common practice, no source. */
const LEAST_DAYS = 90;

/** Figures of the state at each step of a grid, one behind another. */
export interface States {
  figures: Float64Array;
  /** Of one step. */
  size: number;
}

/** A state: its step and its figures. */
export interface State {
  k: number;
  figures: ArrayLike<number>;
}

/** Level and changes, scaled by their spread over the record's first half; NaN where one is missing. */
export function statesOf({ y, step }: FlowGrid): States {
  const lags = [...new Set(LAGS.map((lag) => Math.max(1, Math.round(lag / step))))];
  const size = 1 + lags.length;
  const figures = new Float64Array(y.length * size);
  for (let k = 0; k < y.length; k++) {
    figures[k * size] = y[k]!;
    lags.forEach((lag, f) => (figures[k * size + f + 1] = k >= lag ? y[k]! - y[k - lag]! : NaN));
  }
  for (let f = 0; f < size; f++) {
    const known: number[] = [];
    for (let k = 0; k < y.length / 2; k++) {
      const value = figures[k * size + f]!;
      if (!Number.isNaN(value)) known.push(value);
    }
    const spread = (known.length > 1 && standardDeviation(known)) || 1;
    for (let k = 0; k < y.length; k++) figures[k * size + f]! *= Math.sqrt(WEIGHTS[f]!) / spread;
  }
  return { figures, size };
}

/**
 * The middle of what followed the states most like this one (nearest neighbours: Karlsson & Yakowitz 1987, Water
 * Resour. Res. 23, 1300): `stride` steps between those looked at, or only those at this hour of the day, one step
 * before it and after it (`around` 1).
 */
export function neighboursOf(
  grid: FlowGrid,
  { figures, size }: States,
  lawAt: LawAt,
): (stride: number, around: number) => Fill {
  const { y, step } = grid;
  const ahead = Math.round(HORIZON / step);
  const day = Math.round(DAY / step);
  const apart = (k: number, n: number) => {
    let sum = 0;
    for (let f = 0; f < size; f++) sum += (figures[k * size + f]! - figures[n * size + f]!) ** 2;
    return sum;
  };
  return (stride, around) => (k, out) => {
    const sameHour = around < day;
    const each = sameHour ? 2 * around + 1 : 1;
    const count = Math.max(0, Math.floor((k - ahead - around) / (sameHour ? day : stride)) + 1) * each;
    const at = new Int32Array(count);
    const far = new Float64Array(count);
    for (let n = 0; n < count; n++) {
      at[n] = sameHour ? k - ahead - Math.floor(n / each) * day + (n % each) - around : k - ahead - n * stride;
      far[n] = apart(k, at[n]!);
    }
    const days = sameHour ? count / each : (count * stride) / day;
    const taken = days < LEAST_DAYS ? [] : nearestApart(at, far, { most: NEIGHBOURS, together: TOGETHER, apart: day });
    const steps = taken.map((n) => at[n]!);
    const lower = steps.filter((n) => y[n]! < y[k]!).length;
    const b = lower < LOWEST * steps.length ? (lawAt(k)?.b ?? 1) : 1;
    middlePath(y, k, b === 1 ? plainChanges(y, steps) : bentChanges(grid, k, steps, b), out);
  };
}

/** How far each neighbour was from its own start at the `h`th step after. */
type Changes = { count: number; at: (n: number, h: number) => number };

const plainChanges = (y: Float64Array, steps: readonly number[]): Changes => ({
  count: steps.length,
  at: (n, h) => y[steps[n]! + h + 1]! - y[steps[n]!]!,
});

/** Near base flow hardly a neighbour was lower: their falls bend as the river's do at this flow (recession-law.ts). */
function bentChanges({ y, back, step }: FlowGrid, k: number, steps: readonly number[], b: number): Changes {
  const ahead = Math.round(HORIZON / step);
  const paths = steps.map((n) => {
    let change = 0;
    return Float64Array.from({ length: ahead }, (_, h) => {
      const moved = y[n + h + 1]! - y[n + h]!;
      change += moved < 0 ? moved * bendAt(back(y[k]! + change), back(y[n + h]!), b) : moved;
      return change;
    });
  });
  return { count: steps.length, at: (n, h) => paths[n]![h]! };
}

function middlePath(y: Float64Array, k: number, changes: Changes, out: Float64Array): void {
  const known = new Float64Array(NEIGHBOURS);
  for (let h = 0; h < out.length; h++) {
    let count = 0;
    for (let n = 0; n < changes.count; n++) {
      const change = changes.at(n, h);
      if (!Number.isNaN(change)) known[count++] = change;
    }
    out[h] = y[k]! + trimmedMeanOf(known, count, NEIGHBOURS / 2);
  }
}
