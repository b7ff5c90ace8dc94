import { type Fill, type FlowGrid, stepsIn } from "./flow-grid";
import { HORIZON } from "../forecast";
import { DAY } from "../series";
import type { States } from "./neighbours";
import type { FlowWay } from "./way-names";

/** A way, or more than one, tried at many instants of the record, each by what was known then. */
export interface Trials {
  /** Steps of the grid that were forecast from, in order. */
  at: Int32Array;
  /** Steps ahead. */
  ahead: number;
  names: readonly FlowWay[];
  /** Of each way, the forecasts of all trials behind one another, on the grid's scale. */
  said: readonly Float32Array[];
  /** What came, likewise; NaN where nothing was read. */
  came: Float32Array;
  /** Figures of the state of each trial. */
  states: Float64Array;
  size: number;
}

/** So many trials tell enough, and a phone has them in a second. Own choice. */
const MOST_TRIALS = 600;
/** Days before the first. Common practice, no source. */
const FIRST_DAYS = 8;
/**
 * Hours of a week: trials a number of steps apart that shares no factor with it fall on every hour of every weekday.
 */
const WEEK_FACTORS = [2, 3, 7];

function strideFor(count: number): number {
  let stride = Math.max(1, Math.ceil(count / MOST_TRIALS));
  while (WEEK_FACTORS.some((factor) => stride > 1 && stride % factor === 0)) stride++;
  return stride;
}

export function trialsOf(grid: FlowGrid, ways: Partial<Record<FlowWay, Fill>>, { figures, size }: States): Trials {
  const ahead = stepsIn(grid, HORIZON);
  const last = grid.y.length - 1;
  const first = stepsIn(grid, FIRST_DAYS * DAY);
  const stride = strideFor(last - first);
  const at: number[] = [];
  for (let k = last - stride; k >= first; k -= stride) if (!Number.isNaN(grid.y[k]!)) at.push(k);
  at.reverse();
  const names = Object.keys(ways) as FlowWay[];
  const out = new Float64Array(ahead);
  const said = names.map((name) => {
    const all = new Float32Array(at.length * ahead);
    at.forEach((k, n) => {
      ways[name]!(k, out);
      all.set(out, n * ahead);
    });
    return all;
  });
  const came = new Float32Array(at.length * ahead);
  const states = new Float64Array(at.length * size);
  at.forEach((k, n) => {
    for (let h = 0; h < ahead; h++) came[n * ahead + h] = grid.y[k + h + 1] ?? NaN;
    states.set(figures.subarray(k * size, (k + 1) * size), n * size);
  });
  return { at: Int32Array.from(at), ahead, names, said, came, states, size };
}
