import { type Forecast, type ForecastPoint, HORIZON } from "../forecast";
import { boxed } from "../recession";
import { recededFlow, recessionLaw } from "../recession-law";
import { DAY, HOUR, knownBy, lastReading, type Series } from "../series";
import { mixed, weightsAhead, type Weights, weighingOf } from "./combined";
import { leadsOf } from "./leads";
import { bandAt, errorsOf, knownAt, LEAST_ERRORS, likeTrials, NO_BAND, stretchesOf } from "./dressed";
import { type Fill, type FlowGrid, flowGrid } from "./flow-grid";
import { type States, statesOf } from "./neighbours";
import { stateAt, type Trials, trialsOf } from "./trials";
import { isSameRain, type Rain } from "../rain/rain";
import { rainWay } from "./rain-way";
import { FLOW_WAYS, type FlowWay } from "./way-names";
import { flowWays } from "./ways";

/** What a record has taught of its river's flow; an instant's forecast is read off it. */
export interface FlowModel {
  grid: FlowGrid;
  ways: Partial<Record<FlowWay, Fill>>;
  trials: Trials;
  states: States;
}

/**
 * The model of a record that ends with a reading at `end`.
 * @param rain what fell, and is forecast, over its catchment
 * @param learnt ms: the catchment's model is fitted by what was read until then
 */
export function flowModel(discharge: Series, end: number, rain: Rain | null = null, learnt = end): FlowModel {
  const { buffer, length } = discharge.values;
  const asked = { buffer, length, end, learnt };
  const isSame =
    lastModel?.asked.buffer === buffer &&
    lastModel.asked.length === length &&
    lastModel.asked.end === end &&
    lastModel.asked.learnt === learnt &&
    isSameRain(lastModel.rain, rain);
  if (!isSame) lastModel = { asked, rain, model: learnModel(discharge, end, rain, learnt) };
  return lastModel!.model;
}

/** The model learnt last: several reaches have one gauge. */
let lastModel: { asked: object & ModelAsked; rain: Rain | null; model: FlowModel } | undefined;
interface ModelAsked {
  buffer: ArrayBufferLike;
  length: number;
  end: number;
  learnt: number;
}

function learnModel(discharge: Series, end: number, rain: Rain | null, learnt: number): FlowModel {
  const grid = flowGrid(discharge, end);
  const states = statesOf(grid);
  const byRain = rain && rainWay(grid, rain, learnt);
  const ways = { ...flowWays(grid, states), ...(byRain && { rain: byRain.fill }) };
  return { grid, ways, states, trials: trialsOf(grid, ways, states, byRain) };
}

/**
 * Forecast from the last reading at or before `at`. Null without a reading, or where the record holds neither enough
 * trials nor falls.
 */
export function forecastFlow(record: Series, at: number, rain: Rain | null = null): Forecast | null {
  // What came after is not known then, to none of the ways.
  const discharge = knownBy(record, at);
  // From the reading's own time: behind it the gauge may have sent hours of codes.
  const last = lastReading(discharge, at);
  if (!last) return null;
  // Behind the last reading rain is known too.
  const model = flowModel(discharge, last.time, rain && { ...rain, ahead: rain.ahead + (at - last.time) });
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
  const weighing = weighingOf(trials, leads, known);
  if (!weighing) return null;
  const errors = errorsOf(trials, weighing, known);
  const said = trials.names.map((name) => {
    const out = new Float64Array(trials.ahead);
    ways[name]!(k, out);
    return out;
  });
  const state = stateAt(trials, states, k, said);
  const like = likeTrials(trials, state, known, DAY / grid.step);
  // Of so few errors no band is told, and no forecast without one.
  if (like.length < LEAST_ERRORS) return null;
  const stretches = stretchesOf(trials, errors, leads, known, DAY / grid.step);
  // Where none of those that hold can tell, it stays as it was; likewise its band.
  const [dry, wet] = [weighing.dry, weighing.wet].map((weights) => mixed(said, weights, trials.ahead));
  const middle = carried(
    Array.from(dry!, (own, h) => (h >= state.rainFrom ? wet![h]! : own)),
    grid.of(discharge),
    Number.isNaN,
  );
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
    ways: sharesOf(trials.names, DAY / grid.step > state.rainFrom ? weighing.wet : weighing.dry, DAY / grid.step),
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
