import { forecastFlow, type ForecastPoint } from "./forecast";
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
  return instants.flatMap((at): Hindcast[] => {
    const came = interpolated(discharge, at);
    const forecast = forecastFlow(discharge, at - LEAD);
    if (Number.isNaN(came) || !forecast) return [];
    const after = forecast.points.findIndex((point) => point.time >= at);
    const next = forecast.points[after];
    if (!next) return [];
    const { from, discharge: q } = forecast;
    const before = forecast.points[after - 1] ?? { time: from, low: q, median: q, high: q };
    const share = (at - before.time) / (next.time - before.time);
    const of = (level: "low" | "median" | "high") => before[level] + share * (next[level] - before[level]);
    return [{ at, came, low: of("low"), median: of("median"), high: of("high") }];
  });
}
