import { standardDeviation } from "simple-statistics";
import { type Fill, type FlowGrid, stepsIn } from "./flow-grid";
import { HORIZON } from "../forecast";
import { DAY } from "../series";
import type { State, States } from "./neighbours";
import type { RainWay } from "./rain-way";
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
  /** What the rain to come does by the model of the catchment; null where no rain is known. */
  rain: RainAhead | null;
}

/** What the rain to come does to each trial. */
interface RainAhead {
  way: RainWay;
  /** First step at which it counts: other ways hold from there; past the last where it does not. */
  from: Int32Array;
  /** By what its effect at some steps ahead is scaled to tell one state from another. */
  effects: readonly { ahead: number; scale: number }[];
}

/** Leads whose rain tells a state, ms, and its weight, as of a change that was (neighbours.ts). */
const EFFECTS = [DAY / 4, DAY / 2, DAY, 3 * DAY];
const EFFECT_WEIGHT = 1;
/** The rain counts from where it is said to lift the river by so much of ln Q. Own choice. */
const COUNTS = 0.1;

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

export function trialsOf(
  grid: FlowGrid,
  ways: Partial<Record<FlowWay, Fill>>,
  { figures, size }: States,
  byRain: RainWay | null = null,
): Trials {
  const ahead = stepsIn(grid, HORIZON);
  const last = grid.y.length - 1;
  const first = Math.max(byRain?.first ?? 0, stepsIn(grid, FIRST_DAYS * DAY));
  const stride = strideFor(last - first);
  const at: number[] = [];
  for (let k = last - stride; k >= first; k -= stride) if (!Number.isNaN(grid.y[k]!)) at.push(k);
  at.reverse();
  const names = Object.keys(ways) as FlowWay[];
  const filled = (fill: Fill): Float32Array => {
    const out = new Float64Array(ahead);
    const all = new Float32Array(at.length * ahead);
    at.forEach((k, n) => {
      fill(k, out);
      all.set(out, n * ahead);
    });
    return all;
  };
  const said = names.map((name) => filled(ways[name]!));
  const rain = byRain && rainAhead(grid, byRain, filled(byRain.dry), said[names.indexOf("rain")]!);
  const whole = size + (rain?.effects.length ?? 0);
  const came = new Float32Array(at.length * ahead);
  const states = new Float64Array(at.length * whole);
  at.forEach((k, n) => {
    for (let h = 0; h < ahead; h++) came[n * ahead + h] = grid.y[k + h + 1] ?? NaN;
    states.set(figures.subarray(k * size, (k + 1) * size), n * whole);
    rain?.effects.forEach(({ scale, of }, r) => (states[n * whole + size + r] = scale * of[n]!));
  });
  return { at: Int32Array.from(at), ahead, names, said, came, states, size: whole, rain };
}

/** What rain does to each trial: `dry` and `wet` are what is said without it and with it, trials behind one another. */
function rainAhead(grid: FlowGrid, way: RainWay, dry: Float32Array, wet: Float32Array) {
  const ahead = stepsIn(grid, HORIZON);
  const count = dry.length / ahead;
  const effects = EFFECTS.filter((lead) => lead >= grid.step).map((lead) => {
    const steps = stepsIn(grid, lead);
    const of = Float64Array.from(
      { length: count },
      (_, n) => wet[n * ahead + steps - 1]! - dry[n * ahead + steps - 1]!,
    );
    const known = Array.from(of).filter((one) => !Number.isNaN(one));
    const spread = (known.length > 1 && standardDeviation(known)) || 1;
    return { ahead: steps, scale: Math.sqrt(EFFECT_WEIGHT) / spread, of };
  });
  const from = Int32Array.from({ length: count }, (_, n) =>
    countsFrom(dry.subarray(n * ahead, (n + 1) * ahead), wet.subarray(n * ahead, (n + 1) * ahead)),
  );
  return { way, from, effects };
}

function countsFrom(dry: ArrayLike<number>, wet: ArrayLike<number>): number {
  for (let h = 0; h < wet.length; h++) if (wet[h]! - dry[h]! > COUNTS) return h;
  return wet.length;
}

/** A state that is forecast from: its figures, and from which step ahead the rain counts. */
export interface StateAhead extends State {
  rainFrom: number;
}

/** The state at a step, by what each way says from there. */
export function stateAt(
  { names, rain, ahead }: Trials,
  { figures, size }: States,
  k: number,
  said: readonly Float64Array[],
): StateAhead {
  const own = Array.from(figures.subarray(k * size, (k + 1) * size));
  if (!rain) return { k, figures: own, rainFrom: ahead };
  const [wet, dry] = [said[names.indexOf("rain")]!, new Float64Array(ahead)];
  rain.way.dry(k, dry);
  const effects = rain.effects.map((one) => one.scale * (wet[one.ahead - 1]! - dry[one.ahead - 1]!));
  return { k, figures: [...own, ...effects], rainFrom: countsFrom(dry, wet) };
}

/** The trials as they are without knowing of rain. */
export const trialsWithoutRain = (trials: Trials): Trials => ({
  ...trials,
  names: trials.names.filter((name) => name !== "rain"),
  said: trials.said.filter((_, n) => trials.names[n] !== "rain"),
  rain: null,
});
