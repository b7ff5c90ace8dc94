import { backtest, type ForecastSkill } from "./backtest";
import { type FlowParts, flowParts } from "./baseflow";
import { type Barometer, barometerAt } from "./barometer";
import { forecastTurbidity, isRisingAt, type TurbidityRating, turbidityRating } from "./clearing";
import { DEFAULT_CLARITY_FIT } from "./clarity-fit";
import { visibleDepthFromTurbidity } from "./clarity";
import { type SeasonTable, seasonTable } from "./exceedance";
import type { Forecast, ForecastPoint } from "./forecast";
import { forecastFlow } from "./forecast/flow-forecast";
import { type Recession, recession } from "./recession";
import { type Regime, regimeOf } from "./regime";
import { readingAt, knownBy } from "./series";
import { type Rain, rainOf } from "./rain/rain";
import { type GaugeRecord, lastInstant, seriesOf } from "./summary";
import { forecastTemperature, type Swing, swingAt, type WarmthPoint } from "./temperature";

/**
 * All that is worked out of a record beyond its readings, at one instant. Heavy on a long record: for a worker. Each
 * part is null where the record does not bear it.
 */
export interface Outlook {
  at: number;
  season: SeasonTable | null;
  recession: Recession | null;
  parts: FlowParts | null;
  flow: Forecast | null;
  /** What makes the river rise and fall. */
  regime: Regime | null;
  /** Lowest discharge on record, m3/s. */
  lowest: number | null;
  /** NTU. */
  turbidity: ForecastPoint[] | null;
  turbidityFit: Pick<TurbidityRating, "scatter" | "count"> | null;
  /** m, from the turbidity by the clarity fit; low is the murky end. */
  visibleDepth: ForecastPoint[] | null;
  temperature: WarmthPoint[] | null;
  swing: Swing | null;
  barometer: Barometer | null;
}

/** `rain`: over the catchment; that of the record and of its weather where nothing else is said. */
export function outlookOf(
  record: GaugeRecord,
  at: number,
  rain: Rain | null = rainOf(seriesOf(record, "rain"), record.weather ?? null, at),
): Outlook {
  const [discharge, turbidity, temperature, pressure] = (
    ["discharge", "turbidity", "waterTemperature", "airPressure"] as const
  ).map((one) => {
    const series = seriesOf(record, one);
    return series && knownBy(series, at);
  });
  // The season is that of the whole record, in any year of it.
  const whole = seriesOf(record, "discharge");
  const flow = discharge ? forecastFlow(discharge, at, rain) : null;
  const rating = discharge && turbidity ? turbidityRating(discharge, turbidity) : null;
  const clearing =
    flow && flow.discharge > 0 && rating
      ? forecastTurbidity(rating, flow, readingAt(turbidity, at), isRisingAt(discharge!, flow.from))
      : null;
  const depth = (reading: number) => visibleDepthFromTurbidity(reading, record.clarityFit ?? DEFAULT_CLARITY_FIT);
  return {
    at,
    season: whole ? seasonTable(whole) : null,
    recession: discharge ? recession(discharge) : null,
    parts: discharge ? flowParts(discharge, at) : null,
    flow,
    regime: whole ? regimeOf(whole) : null,
    lowest: whole ? lowestOf(whole.values) : null,
    turbidity: clearing,
    turbidityFit: rating && { scatter: rating.scatter, count: rating.count },
    visibleDepth:
      clearing &&
      clearing.map(({ time, low, median, high }) => ({
        time,
        low: depth(high),
        median: depth(median),
        high: depth(low),
      })),
    temperature: temperature ? forecastTemperature(temperature, at) : null,
    swing: temperature ? swingAt(temperature, at) : null,
    barometer: pressure ? barometerAt(pressure, at) : null,
  };
}

/** The least true value; null without any. */
function lowestOf(values: Float64Array): number | null {
  const least = values.reduce((low, value) => (value < low ? value : low), Infinity);
  return least === Infinity ? null : least;
}

/**
 * The forecast's track record on the held-out end of the record; empty where it is too short. Slower than all the rest.
 */
export function forecastSkill(record: GaugeRecord): ForecastSkill[] {
  const discharge = seriesOf(record, "discharge");
  const last = lastInstant(record);
  if (!discharge || last === null) return [];
  // Past rain is tried as far ahead as rain is forecast now.
  return backtest(discharge, rainOf(seriesOf(record, "rain"), record.weather ?? null, last));
}
