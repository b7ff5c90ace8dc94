import { linearRegression, quantileSorted, standardDeviation } from "simple-statistics";
import normalQuantile from "@stdlib/stats-base-dists-normal-quantile";
import { BAND, type Forecast, type ForecastPoint } from "./forecast";
import { HOUR, readingAt, type Series } from "./series";

/**
 * Turbidity against flow by limb: ln T = a + b ln Q on the rise and on the fall apart, since a rising river is dirtier
 * than a falling one at the same flow (hysteresis; Williams 1989, J. Hydrol. 111). Fitted on the station's own record.
 */
export interface TurbidityRating {
  rising: { a: number; b: number };
  falling: { a: number; b: number };
  /** Scatter of ln T about it. */
  scatter: number;
  /** How much of a departure from it is left after six hours. */
  memory: number;
  count: number;
}

/** Turbidity is looked at every six hours. Common practice, no source. */
const STEP = 6 * HOUR;

/** ln Q every six hours of a record, from the last true reading of the six hours before: NaN where there is none. */
interface Steps {
  start: number;
  lnQ: Float64Array;
}

function stepsOf(discharge: Series): Steps {
  const first = discharge.times[0];
  if (first === undefined) return { start: 0, lnQ: new Float64Array(0) };
  const start = Math.ceil(first / STEP) * STEP;
  const count = Math.max(0, Math.floor((discharge.times.at(-1)! - start) / STEP) + 1);
  const lnQ = new Float64Array(count);
  for (let k = 0; k < count; k++) {
    const q = readingAt(discharge, start + k * STEP, STEP / 2);
    lnQ[k] = q !== null && q > 0 ? Math.log(q) : NaN;
  }
  return { start, lnQ };
}

/** A six-hour rise in ln Q over this counts as rising. Common practice, no source. */
const RISE = 0.05;
/** Does the river rise from one step to the next? One rule for the fit, for now, and for the hours ahead. */
const isRise = (before: number, lnQ: number): boolean => lnQ - before > RISE;

/** The same of the last step before an instant. */
export function isRisingAt(discharge: Series, at: number): boolean {
  const [before, now] = [readingAt(discharge, at - STEP, STEP / 2), readingAt(discharge, at)];
  return before !== null && now !== null && before > 0 && now > 0 && isRise(Math.log(before), Math.log(now));
}
const LEAST_EACH = 30;

interface Point {
  k: number;
  x: number;
  y: number;
  rising: boolean;
}

function pointsOf(steps: Steps, turbidity: Series): Point[] {
  const points: Point[] = [];
  for (let k = 1; k < steps.lnQ.length; k++) {
    const reading = readingAt(turbidity, steps.start + k * STEP, STEP / 2);
    const [x, before] = [steps.lnQ[k]!, steps.lnQ[k - 1]!];
    if (reading === null || !(reading > 0) || Number.isNaN(x) || Number.isNaN(before)) continue;
    points.push({ k, x, y: Math.log(reading), rising: isRise(before, x) });
  }
  return points;
}

/** Null without enough readings on either limb. */
export function turbidityRating(discharge: Series, turbidity: Series): TurbidityRating | null {
  const points = pointsOf(stepsOf(discharge), turbidity);
  const [up, down] = [points.filter((point) => point.rising), points.filter((point) => !point.rising)];
  if (up.length < LEAST_EACH || down.length < LEAST_EACH) return null;
  const line = (some: readonly Point[]) => {
    const { m, b } = linearRegression(some.map(({ x, y }) => [x, y]));
    return { a: b, b: m };
  };
  const rating = { rising: line(up), falling: line(down) };
  const residuals = points.map((point) => point.y - expected(rating, point.x, point.rising));
  const scatter = standardDeviation(residuals);
  let [product, count] = [0, 0];
  for (let n = 1; n < points.length; n++) {
    if (points[n]!.k !== points[n - 1]!.k + 1) continue;
    product += residuals[n]! * residuals[n - 1]!;
    count++;
  }
  const memory = count && scatter > 0 ? Math.min(0.98, Math.max(0, product / count / scatter ** 2)) : 0;
  return { ...rating, scatter, memory, count: points.length };
}

const expected = (rating: Pick<TurbidityRating, "rising" | "falling">, lnQ: number, rising: boolean): number => {
  const { a, b } = rising ? rating.rising : rating.falling;
  return a + b * lnQ;
};

/**
 * Turbidity, NTU, along the paths of a flow forecast. Today's departure from the rating fades as its memory says, and
 * the scatter
 * grows back; each path is spread over five slices of the scatter, so that the band holds both. `now`: the last
 * reading, NTU, or null.
 */
export function forecastTurbidity(
  rating: TurbidityRating,
  forecast: Forecast,
  now: number | null,
  risingNow: boolean,
): ForecastPoint[] {
  const known = now !== null && now > 0;
  const start = known ? Math.log(now) - expected(rating, Math.log(forecast.discharge), risingNow) : 0;
  const each = Math.max(1, Math.round(STEP / forecast.step));
  return forecast.points
    .filter((_, h) => (h + 1) % each === 0)
    .map(({ time }, n): ForecastPoint => {
      const h = (n + 1) * each - 1;
      const left = rating.memory ** (((h + 1) * forecast.step) / STEP);
      const fresh = rating.scatter * Math.sqrt(1 - (known ? left ** 2 : 0));
      const values = forecast.paths
        .flatMap((path) => {
          const [q, before] = [path[h]!, n === 0 ? forecast.discharge : path[h - each]!];
          // Of a bed without water nothing is seen.
          if (!(q > 0) || !(before > 0)) return [];
          const middle = expected(rating, Math.log(q), isRise(Math.log(before), Math.log(q))) + start * left;
          return SPREAD.map((z) => Math.exp(middle + z * fresh));
        })
        .sort((a, b) => a - b);
      if (values.length === 0) return { time, low: NaN, median: NaN, high: NaN };
      const [low, median, high] = BAND.map((q) => quantileSorted(values, q)) as [number, number, number];
      return { time, low, median, high };
    });
}

/** Five even slices of a normal spread, by their middles. */
const SPREAD = [0.1, 0.3, 0.5, 0.7, 0.9].map((q) => normalQuantile(q, 0, 1));
