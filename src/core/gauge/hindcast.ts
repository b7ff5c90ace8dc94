import { type ForecastPoint, levelAt, withStart } from "./forecast";
import { flowModel, forecastFrom, recedingFrom, stepAt } from "./forecast/flow-forecast";
import { DAY, interpolated, type Series } from "./series";

/** What was said of an hour a day before, by what was known then, and what came. */
export interface Hindcast extends Pick<ForecastPoint, "low" | "median" | "high"> {
  at: number;
  /** m3/s */
  came: number;
}

/** Lead, ms. */
export const LEAD = DAY;

/** The forecast of a day before for each of some instants; those that it or the record cannot say of are left out. */
export function hindcasts(discharge: Series, instants: readonly number[]): Hindcast[] {
  const end = discharge.times.at(-1);
  if (end === undefined || instants.length === 0) return [];
  const model = flowModel(discharge, end);
  return instants.flatMap((at): Hindcast[] => {
    const came = interpolated(discharge, at);
    const then = stepAt(model, at - LEAD);
    const forecast =
      (then && forecastFrom(model, then.k, then.discharge, [LEAD / model.grid.step])) ??
      recedingFrom(discharge, at - LEAD);
    if (Number.isNaN(came) || !forecast) return [];
    const points = withStart(forecast);
    const [low, median, high] = (["low", "median", "high"] as const).map((level) => levelAt(points, at, level));
    return low == null || median == null || high == null ? [] : [{ at, came, low, median, high }];
  });
}
