import { type Forecast, type ForecastPoint, HORIZON } from "../forecast";
import { boxed } from "../recession";
import { recededFlow, recessionLaw } from "../recession-law";
import { DAY, HOUR, knownBy, lastReading, type Series } from "../series";
import { leadsOf, mixed, weightsAhead, type Weights, weightsOf } from "./combined";
import { bandAt, errorsOf, knownAt, LEAST_ERRORS, likeTrials, NO_BAND, stretchesOf } from "./dressed";
import { type Fill, type FlowGrid, flowGrid } from "./flow-grid";
import { type States, statesOf } from "./neighbours";
import { type Trials, trialsOf } from "./trials";
import { FLOW_WAYS, type FlowWay } from "./way-names";
import { flowWays } from "./ways";

/** What a record has taught of its river's flow; an instant's forecast is read off it. */
export interface FlowModel {
  grid: FlowGrid;
  ways: Partial<Record<FlowWay, Fill>>;
  trials: Trials;
  states: States;
}

/** The model of a record that ends with a reading at `end`. */
export function flowModel(discharge: Series, end: number): FlowModel {
  const grid = flowGrid(discharge, end);
  const states = statesOf(grid);
  const ways = flowWays(grid, states);
  return { grid, ways, states, trials: trialsOf(grid, ways, states) };
}

/**
 * Forecast from the last reading at or before `at`. Null without a reading, or where the record holds neither enough
 * trials nor falls.
 */
export function forecastFlow(record: Series, at: number): Forecast | null {
  // What came after is not known then, to none of the ways.
  const discharge = knownBy(record, at);
  // From the reading's own time: behind it the gauge may have sent hours of codes.
  const last = lastReading(discharge, at);
  if (!last) return null;
  const model = flowModel(discharge, last.time);
  return forecastFrom(model, model.grid.y.length - 1, last.value) ?? recedingFrom(discharge, at);
}

/**
 * The forecast from a step of a model's grid, at which the river was at `discharge`; null with too few trials. `leads`:
 * steps ahead that it is weighed and stretched at.
 */
export function forecastFrom(
  { grid, ways, states, trials }: FlowModel,
  k: number,
  discharge: number,
  leads = leadsOf(grid),
): Forecast | null {
  const known = knownAt(trials, k);
  const weights = weightsOf(trials, leads, known);
  if (!weights) return null;
  const errors = errorsOf(trials, weights, known);
  const state = { k, figures: states.figures.subarray(k * states.size, (k + 1) * states.size) };
  const like = likeTrials(trials, state, known, DAY / grid.step);
  // Of so few errors no band is told, and no forecast without one.
  if (like.length < LEAST_ERRORS) return null;
  const stretches = stretchesOf(trials, errors, leads, known, DAY / grid.step);
  const said = trials.names.map((name) => {
    const out = new Float64Array(trials.ahead);
    ways[name]!(k, out);
    return out;
  });
  // Where none of those that hold can tell, it stays as it was; likewise its band.
  const middle = carried(Array.from(mixed(said, weights, trials.ahead)), grid.of(discharge), Number.isNaN);
  const bands = carried(
    middle.map((_, h) => bandAt(errors, like, trials.ahead, h)),
    NO_BAND,
    (band) => Number.isNaN(band.middle),
  );
  const at = (h: number, off: number) => grid.back(middle[h]! + (Number.isNaN(off) ? 0 : stretches(h + 1) * off));
  const from = grid.start + k * grid.step;
  return {
    from,
    discharge,
    method: "combined",
    ways: sharesOf(trials.names, weights, DAY / grid.step),
    step: grid.step,
    points: bands.map((band, h) => ({
      time: from + (h + 1) * grid.step,
      low: at(h, band.low - band.middle),
      median: at(h, 0),
      high: at(h, band.high - band.middle),
    })),
    paths: like.map((n) => Float64Array.from(bands, (band, h) => at(h, errors[n * trials.ahead + h]! - band.middle))),
  };
}

/** Each value, or the last one before it that was told. */
function carried<T>(values: readonly T[], first: T, isSilent: (value: T) => boolean): T[] {
  let last = first;
  return values.map((value) => (last = isSilent(value) ? last : value));
}

function sharesOf(names: readonly FlowWay[], weights: Weights, steps: number): Forecast["ways"] {
  const shares = weightsAhead(weights, steps);
  return names
    .map((way, n) => ({ way, share: shares[n]! }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share || FLOW_WAYS.indexOf(a.way) - FLOW_WAYS.indexOf(b.way));
}

/**
 * The fall alone from the last reading at or before `at`, hour by hour; its three paths are its quantiles. Null without
 * a reading, or where the record holds too few falls.
 */
export function recedingFrom(record: Series, at: number): Forecast | null {
  const discharge = knownBy(record, at);
  const { time: from, value: now } = lastReading(discharge, at) ?? { time: at, value: 0 };
  if (!(now > 0)) return null;
  const law = recessionLaw(boxed(discharge));
  if (!law) return null;
  const paths = law.a
    .toReversed()
    .map((a) =>
      Float64Array.from({ length: HORIZON / HOUR }, (_, h) => recededFlow(now, ((h + 1) * HOUR) / DAY, a, law.b)),
    );
  const points = Array.from(paths[0]!, (low, h): ForecastPoint => {
    return { time: from + (h + 1) * HOUR, low, median: paths[1]![h]!, high: paths[2]![h]! };
  });
  return { from, discharge: now, method: "recession", ways: [], step: HOUR, points, paths };
}

/** The step of a model's grid that an instant falls on or after, and its reading; null where none was read. */
export function stepAt({ grid }: FlowModel, at: number): { k: number; discharge: number } | null {
  const k = Math.floor((at - grid.start) / grid.step);
  const y = grid.y[k];
  return y === undefined || Number.isNaN(y) ? null : { k, discharge: grid.back(y) };
}
