import { probit } from "simple-statistics";
import { HORIZON } from "../forecast";
import { summerAt, evaporationBy } from "../rain/evaporation";
import { type Rain, rainIn } from "../rain/rain";
import { copyState, firstState, runoffOf, runoffStep, type RunoffState } from "../rain/rainfall-runoff";
import { type Catchment, errorsOfRunoff, fitRunoff, leftAfter, type RunoffFit } from "../rain/runoff-fit";
import { DAY } from "../series";
import { betweenLeads, leadsOf } from "./leads";
import type { Fill, FlowGrid } from "./flow-grid";

/** The river by its rain: what fell runs off by a model of its catchment, and what it erred by now dies away. */
export interface RainWay {
  fill: Fill;
  /** The same as if no more rain fell: what lies between the two is the rain's doing. */
  dry: Fill;
  /** First step that it can tell from. */
  first: number;
}

/** Least share of the hours, from the first that is known, whose rain is. Common practice, no source. */
const KNOWN = 0.8;
/** Days before the stores have found their level. */
const SETTLES = 60 * DAY;
/** The model's state is kept so many steps apart, and run on from there. */
const KEPT = 48;
/**
 * Spread of ln(fallen / forecast) on the first day ahead, and what each day adds: common practice, no source. Past rain
 * is tried as it could have been forecast, so that a forecast is not trusted as what fell.
 */
const RAIN_SPREAD = { first: 0.3, perDay: 0.12 };

/**
 * Null where too little rain is known.
 * @param learnt ms: the model is fitted by what was read until then
 */
export function rainWay(grid: FlowGrid, rain: Rain, learnt: number): RainWay | null {
  const step = runoffStep(grid.step);
  const every = Math.round(grid.step / step);
  const count = (grid.y.length - 1) * every + 1;
  const timeOf = (m: number) => grid.start + m * step;
  const fallen = Float64Array.from({ length: count + Math.round(HORIZON / step) }, (_, m) =>
    rainIn(rain, timeOf(m - 1), timeOf(m)),
  );
  const begins = fallen.findIndex((mm) => !Number.isNaN(mm));
  const known = fallen.subarray(begins, count).filter((mm) => !Number.isNaN(mm)).length;
  if (begins < 0 || begins >= count || known < KNOWN * (count - begins)) return null;
  for (let m = 0; m < fallen.length; m++) if (Number.isNaN(fallen[m]!)) fallen[m] = 0;
  const y = Float64Array.from({ length: count - begins }, (_, m) =>
    (m + begins) % every === 0 ? grid.y[(m + begins) / every]! : NaN,
  );
  const { of, back } = grid;
  const whole: Catchment = { start: timeOf(begins), step, of, back, y, rain: fallen.subarray(begins) };
  const learntSteps = Math.max(0, Math.floor((learnt - whole.start) / step) + 1);
  const fit = fitRunoff({ ...whole, y: y.subarray(0, learntSteps) });
  if (!fit) return null;
  const run = runner(fit, whole);
  const errors = errorsOfRunoff(whole, run.runoff, fit.area);
  const settles = SETTLES / step;
  const leads = leadsOf(grid);
  const learntBy = errors.subarray(0, learntSteps);
  const left = leads.map((lead) => leftAfter(learntBy, lead * every, settles));
  const last = grid.y.length - 1;
  const told = Math.round(rain.ahead / step);
  const filling =
    (shareOf: (k: number, n: number) => number): Fill =>
    (k, out) => {
      const m = k * every - begins;
      if (m < 0 || Number.isNaN(errors[m]!)) {
        out.fill(NaN);
        return;
      }
      const go = run.from(m);
      for (let n = 1; n <= out.length * every; n++) {
        const runoff = go(shareOf(k, n) * (whole.rain[m + n] ?? 0));
        if (n % every > 0) continue;
        const h = n / every;
        out[h - 1] = of(fit.area * runoff) + betweenLeads(leads, h, (lead) => left[lead]!) * errors[m]!;
      }
    };
  return {
    first: Math.ceil((begins + settles) / every),
    fill: filling((k, n) => (n > told ? 0 : k === last ? 1 : asForecast(k, (n * step) / DAY))),
    dry: filling(() => 0),
  };
}

/** What share of the rain so many days ahead a forecast would have told: lognormal, its mean 1; the same each time. */
function asForecast(k: number, days: number): number {
  const day = Math.floor(days);
  // Even numbers over 0..1 (Weyl): each trial has luck of its own on each day.
  const luck = (((k * 0.754_877_666 + day * 0.569_840_291) % 1) + 0.5 / 600) / (1 + 1 / 600);
  const spread = RAIN_SPREAD.first + RAIN_SPREAD.perDay * day;
  return Math.exp(spread * probit(luck) - spread ** 2 / 2);
}

/** Runs the model over what is known, and on from any step of it. */
function runner({ model, mean, swing }: RunoffFit, { start, step, rain, y }: Catchment) {
  const share = step / DAY;
  const summer = Float64Array.from(rain, (_, m) => share * evaporationBy(summerAt(start + m * step), { mean, swing }));
  const runoff = new Float64Array(y.length);
  const states: RunoffState[] = [];
  const state = firstState(model);
  for (let m = 0; m < y.length; m++) {
    if (m % KEPT === 0) states.push(copyState(state));
    runoff[m] = runoffOf(model, state, rain[m]!, summer[m]!);
  }
  return {
    runoff,
    /** Runoff of the steps after the `m`th, one by one, each by its rain, mm. */
    from: (m: number): ((mm: number) => number) => {
      let at = Math.floor(m / KEPT) * KEPT;
      const own = copyState(states[at / KEPT]!);
      for (; at <= m; at++) runoffOf(model, own, rain[at]!, summer[at]!);
      return (mm) => runoffOf(model, own, mm, summer[at++] ?? 0);
    },
  };
}
