import { middleOf } from "../forecast/middle";
import { DAY, HOUR } from "../series";
import { evaporationBy, summerAt } from "./evaporation";
import { firstState, runoffModel, type RunoffModel, runoffOf } from "./rainfall-runoff";

/** A catchment whose rain and flow are known at even steps. */
export interface Catchment {
  /** Instant of the first step, ms, and between two, ms: an hour or a day. */
  start: number;
  step: number;
  /** mm in each step. */
  rain: Float64Array;
  /** Flow on a scale (forecast/flow-scale.ts) at each step; NaN where nothing was read. */
  y: Float64Array;
  of: (discharge: number) => number;
  back: (y: number) => number;
}

/** A catchment's model: the runoff's own figures, its evaporation, and m3/s for each mm of a step. */
export interface RunoffFit extends Evaporation {
  model: RunoffModel;
  /** m3/s for a runoff of 1 mm in a step: the area of the catchment. */
  area: number;
}
interface Evaporation {
  /** mm a day, and the share that it swings by. */
  mean: number;
  swing: number;
}

/** Steps are left for the stores to find their level, ms; so much is fitted on at least, and at most. Own choice. */
const SETTLES = 60 * DAY;
const LEAST = 90 * DAY;
const MOST = 420 * DAY;
/** Leads that the model is fitted for, ms: what it errs by there beyond what it erred by at the start. Own choice. */
const LEADS = [12 * HOUR, DAY, 3 * DAY];
/** Weight of the plain error, which keeps the level of the river. Own choice. */
const LEVEL = 0.2;

/** How the search is told a model: logarithms, and the exchange by an inverse hyperbolic sine. */
type Point = readonly [x1: number, x2: number, x3: number, x4: number, evaporation: number];
/** Where the search begins, within the ranges of Perrin et al. 2003 (table 1; from memory) and beyond. */
const COARSE = { x1: [120, 500], x3: [10, 50, 200], x4: [2, 8, 26], mean: [2] };
const SWINGS = [0.9, -0.9];
/** Bounds of the logarithms, hours and mm. */
const BOUNDS: readonly (readonly [number, number])[] = [
  [Math.log(5), Math.log(5000)],
  [-6, 6],
  [Math.log(1), Math.log(2000)],
  [Math.log(0.5), Math.log(120)],
  [Math.log(0.2), Math.log(8)],
];
/** Exchange, mm an hour, of which the search's figure is the inverse sine. */
const EXCHANGE = 0.005;
/** The search's first step and last one. */
const SEARCH = { first: 0.64, last: 0.1, most: 120 };

/** Null where too little of both is known. */
export function fitRunoff(whole: Catchment): RunoffFit | null {
  const settles = SETTLES / whole.step;
  const from = Math.max(0, whole.y.length - (MOST + SETTLES) / whole.step);
  const part = {
    ...whole,
    start: whole.start + from * whole.step,
    rain: whole.rain.subarray(from, whole.y.length),
    y: whole.y.subarray(from),
  };
  if ((part.y.length - settles) * whole.step < LEAST) return null;
  if (!part.rain.some((mm) => mm > 0)) return null;
  const cost = costOf(part, settles);
  let best = { point: [0, 0, 0, 0, 0] as Point, swing: SWINGS[0]!, cost: Infinity };
  const tryAt = (point: Point, swing: number): boolean => {
    if (point.some((value, k) => value < BOUNDS[k]![0] || value > BOUNDS[k]![1])) return false;
    const found = cost(fitAt(point, swing, whole.step));
    if (!(found < best.cost)) return false;
    best = { point, swing, cost: found };
    return true;
  };
  for (const x1 of COARSE.x1)
    for (const x3 of COARSE.x3)
      for (const x4 of COARSE.x4)
        for (const mean of COARSE.mean)
          tryAt([Math.log(x1), 0, Math.log(x3), Math.log(x4), Math.log(mean)], SWINGS[0]!);
  tryAt(best.point, SWINGS[1]!);
  if (best.cost === Infinity) return null;
  searched(tryAt, () => best);
  const fit = fitAt(best.point, best.swing, whole.step);
  return { ...fit, area: areaOf(flowsOf(part), settles, runoffIn(fit, part, summersOf(part))) };
}

/**
 * Step by step (Michel 1991, as GR models are fitted; from memory): each figure a step up or down, halved where none is
 * better.
 */
function searched(tryAt: (point: Point, swing: number) => boolean, best: () => { point: Point; swing: number }): void {
  let tries = 0;
  for (let by = SEARCH.first; by > SEARCH.last && tries < SEARCH.most;) {
    const { point, swing } = best();
    let better = false;
    for (let k = 0; k < point.length; k++)
      for (const sign of [1, -1]) {
        tries++;
        const moved = point.map((value, n) => (n === k ? value + sign * by : value)) as unknown as Point;
        if (tryAt(moved, swing)) better = true;
      }
    // Once more the same way: steps that go together are longer.
    if (better) tryAt(best().point.map((value, n) => 2 * value - point[n]!) as unknown as Point, swing);
    else by /= 2;
  }
}

function fitAt([x1, x2, x3, x4, mean]: Point, swing: number, step: number): Omit<RunoffFit, "area"> {
  const hours = step / HOUR;
  const parameters = {
    x1: Math.exp(x1),
    x2: EXCHANGE * hours * Math.sinh(x2),
    x3: Math.exp(x3),
    x4: Math.exp(x4) / hours,
  };
  return { model: runoffModel({ ...parameters, x4: Math.max(0.5, parameters.x4) }, step), mean: Math.exp(mean), swing };
}

/** Runoff of each step, mm. `summer`: of each step (evaporation.ts). */
export function runoffIn(
  { model, ...evaporation }: Omit<RunoffFit, "area">,
  { step, rain }: Pick<Catchment, "step" | "rain">,
  summer: Float64Array,
): Float64Array {
  const state = firstState(model);
  const share = step / DAY;
  const runoff = new Float64Array(rain.length);
  for (let k = 0; k < rain.length; k++)
    runoff[k] = runoffOf(model, state, rain[k]!, share * evaporationBy(summer[k]!, evaporation));
  return runoff;
}

export const summersOf = ({ start, step, rain }: Pick<Catchment, "start" | "step" | "rain">): Float64Array =>
  rain.map((_, k) => summerAt(start + k * step));

/** m3/s for each mm: by the middle of what was read over what ran off. */
function areaOf(read: Float64Array, settles: number, runoff: Float64Array, every = 1): number {
  const ratios: number[] = [];
  for (let k = settles; k < read.length; k += every) if (runoff[k]! > 0) ratios.push(read[k]! / runoff[k]!);
  const known = Float64Array.from(ratios.filter((ratio) => ratio > 0));
  return middleOf(known, known.length, 1);
}

const flowsOf = ({ y, back }: Pick<Catchment, "y" | "back">): Float64Array => y.map(back);

/** What a model errs by at every `every`th step, on the scale. */
export function errorsOfRunoff(
  { y, of }: Pick<Catchment, "y" | "of">,
  runoff: Float64Array,
  area: number,
  every = 1,
): Float64Array {
  return Float64Array.from(
    { length: Math.ceil(y.length / every) },
    (_, k) => y[k * every]! - of(area * runoff[k * every]!),
  );
}

/** How much of an error is left after so many steps, 0..1. */
export function leftAfter(errors: Float64Array, steps: number, from = 0): number {
  let [with0, own] = [0, 0];
  for (let k = from; k + steps < errors.length; k++) {
    const [now, then] = [errors[k]!, errors[k + steps]!];
    if (Number.isNaN(now) || Number.isNaN(then)) continue;
    with0 += now * then;
    own += now * now;
  }
  return own > 0 ? Math.min(1, Math.max(0, with0 / own)) : 0;
}

/** Mean square of what is left of errors beyond what was left of those so many steps before. */
function squares(errors: Float64Array, steps: number, left: number, from: number): number {
  let [sum, count] = [0, 0];
  for (let k = from; k + steps < errors.length; k++) {
    const off = errors[k + steps]! - left * errors[k]!;
    if (Number.isNaN(off)) continue;
    sum += off * off;
    count++;
  }
  return count > 0 ? sum / count : Infinity;
}

/** What a model costs: its errors at some leads beyond those at the start, and a little its own. */
function costOf(part: Catchment, settles: number): (fit: Omit<RunoffFit, "area">) => number {
  const summer = summersOf(part);
  const read = flowsOf(part);
  // Every third hour tells as much.
  const every = part.step === HOUR ? 3 : 1;
  const from = Math.ceil(settles / every);
  const leads = [...new Set(LEADS.map((lead) => Math.max(1, Math.round(lead / part.step / every))))];
  return (fit) => {
    const runoff = runoffIn(fit, part, summer);
    const area = areaOf(read, settles, runoff, 2 * every);
    if (Number.isNaN(area)) return Infinity;
    const errors = errorsOfRunoff(part, runoff, area, every);
    return leads.reduce(
      (sum, lead) => sum + squares(errors, lead, leftAfter(errors, lead, from), from),
      LEVEL * squares(errors, 0, 0, from),
    );
  };
}
