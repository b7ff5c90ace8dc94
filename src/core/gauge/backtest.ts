import { median, quantileSorted } from "simple-statistics";
import { BAND, analoguesOf, nearestNeighbours, stateAt, STEP, stepsOf } from "./forecast";
import { DAY, HOUR, type Series } from "./series";

export interface ForecastSkill {
  hours: number;
  /** Median of |forecast - truth| / truth. */
  medianError: number;
  /** The same for "it stays as it is". */
  persistenceError: number;
  /** Share of the truths within the 80 % band. */
  coverage80: number;
  cases: number;
  /** How many truths lay in each tenth of the paths, lowest first: level where the band is honest throughout. */
  tenths: number[];
}

export const BACKTEST_HOURS = [12, 24, 48] as const;
/** The last year is held out; of a shorter record, its last third. */
const HELD_OUT = 365 * DAY;
/** Fewest cases that make a track record. */
const LEAST_CASES = 30;

/**
 * The forecast tried on the held-out end of the record, every six hours, with only what was known at each time:
 * a neighbour counts only when its whole outcome lay before. Empty where the record is too short.
 */
export function backtest(discharge: Series): ForecastSkill[] {
  const steps = stepsOf(discharge);
  const count = steps.lnQ.length;
  const heldOut = Math.min(HELD_OUT, (count * STEP) / 3);
  const firstCase = Math.max(4, Math.ceil(count - heldOut / STEP));
  const library = analoguesOf(steps, steps.start + firstCase * STEP);
  const cases = BACKTEST_HOURS.map(() => ({
    errors: [] as number[],
    still: [] as number[],
    held: 0,
    tenths: new Array<number>(10).fill(0),
  }));
  for (let k = firstCase; k < count; k++) {
    const { lnQ } = steps;
    const state = stateAt(steps, k);
    if (state.some(Number.isNaN)) continue;
    const paths = nearestNeighbours(library, state, steps.start + k * STEP);
    if (paths.length === 0) continue;
    BACKTEST_HOURS.forEach((hours, c) => {
      const h = (hours * HOUR) / STEP;
      const truth = lnQ[k + h];
      if (truth === undefined || Number.isNaN(truth)) return;
      const change = truth - lnQ[k]!;
      const sorted = paths.map((path) => path[h - 1]!).sort((a, b) => a - b);
      const [low, middle, high] = BAND.map((q) => quantileSorted(sorted, q)) as [number, number, number];
      cases[c]!.errors.push(Math.abs(Math.exp(middle - change) - 1));
      cases[c]!.still.push(Math.abs(Math.exp(-change) - 1));
      if (change >= low && change <= high) cases[c]!.held++;
      const under = sorted.filter((path) => path < change).length;
      cases[c]!.tenths[Math.min(9, Math.floor((10 * under) / sorted.length))]!++;
    });
  }
  return cases.flatMap(({ errors, still, held, tenths }, c): ForecastSkill[] =>
    errors.length < LEAST_CASES
      ? []
      : [
          {
            hours: BACKTEST_HOURS[c]!,
            medianError: median(errors),
            persistenceError: median(still),
            coverage80: held / errors.length,
            cases: errors.length,
            tenths,
          },
        ],
  );
}
