import { median } from "simple-statistics";
import { baseFlow } from "./baseflow";
import { type FlowGrid, flowGrid } from "./forecast/flow-grid";
import { DAY, HOUR, lastReading, type Series } from "./series";

/** What makes a river rise and fall, as its own record shows. */
export type Regime = "rain-fed" | "groundwater-fed" | "snow-fed" | "released" | "tidal" | "lowland" | "intermittent";

/** Least record, days, that a regime is told from. Common practice, no source. */
const LEAST_DAYS = 60;
/** Share of readings without flow from which a river is intermittent; and of ebb flow, tidal. Common practice. */
const DRY = 0.02;
const EBB = 0.005;
/** Correlation of the departures from a day's mean with those half a tide, or a day, before. Own choice. */
const TIDE = 0.7;
const DAILY = 0.5;
/** In its best tenth of months a melt repeats itself from day to day as well as this. Own choice. */
const MELT = 0.6;
/** Base flow index and daily flashiness of a river fed by springs. Common practice, no source. */
const SPRINGS = { base: 0.88, flashiness: 0.06 };
/** Hours from low to peak of the middle rise, from which floods are slow. Common practice, no source. */
const SLOW_RISE = 30;
/** A rise counts from so much of ln Q, and is over once so much is lost again. Common practice, no source. */
const RISE = 0.25;
const TURN = 0.15;
/** Principal lunar semidiurnal tide, h. */
const M2 = 12.4206;
const MONTH_DAYS = 30;
/** Under this a reading is no flow, m3/s: what gauges round to nothing. */
const NO_FLOW = 0.0005;

/** Null where the record is too short to tell, or too coarse. */
export function regimeOf(discharge: Series): Regime | null {
  const last = discharge.times.at(-1);
  const end = last === undefined ? null : lastReading(discharge, last, Infinity);
  if (!end) return null;
  const grid = flowGrid(discharge, end.time);
  const known = Array.from(
    grid.y.filter((y) => !Number.isNaN(y)),
    grid.back,
  );
  if (known.length * grid.step < LEAST_DAYS * DAY) return null;
  const share = (is: (q: number) => boolean) => known.filter(is).length / known.length;
  if (share((q) => q < -NO_FLOW) > EBB) return "tidal";
  if (share((q) => q <= NO_FLOW) > DRY) return "intermittent";
  // By its days alone a melt or a dam looks like slow rain.
  const regime = grid.step === HOUR ? (byCycle(grid) ?? byRunoff(grid)) : byRunoff(grid);
  return grid.step === HOUR || regime === "groundwater-fed" ? regime : null;
}

/** What repeats itself by the tide, by day or by week. */
function byCycle({ y }: FlowGrid): Regime | null {
  const off = departures(y);
  const tide = (correlation(off, Math.floor(M2)) + correlation(off, Math.ceil(M2))) / 2;
  if (tide > TIDE) return "tidal";
  if (Math.max(correlation(off, 24), correlation(off, 7 * 24)) > DAILY) return "released";
  const month = MONTH_DAYS * 24;
  const months = Array.from({ length: Math.floor(off.length / month) }, (_, m) =>
    correlation(off.subarray(m * month, (m + 1) * month), 24),
  ).sort((a, b) => b - a);
  return months[Math.floor(months.length / 10)]! > MELT ? "snow-fed" : null;
}

/** Departures from the mean of the day about each hour. */
function departures(y: Float64Array): Float64Array {
  const off = new Float64Array(y.length).fill(NaN);
  for (let k = 12; k + 12 < y.length; k++) {
    let [sum, count] = [0, 0];
    for (let n = k - 12; n < k + 12; n++) {
      if (Number.isNaN(y[n]!)) continue;
      sum += y[n]!;
      count++;
    }
    if (count > 20) off[k] = y[k]! - sum / count;
  }
  return off;
}

function correlation(values: Float64Array, lag: number): number {
  let [ab, aa, bb] = [0, 0, 0];
  for (let k = lag; k < values.length; k++) {
    const [a, b] = [values[k]!, values[k - lag]!];
    if (Number.isNaN(a) || Number.isNaN(b)) continue;
    ab += a * b;
    aa += a * a;
    bb += b * b;
  }
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
}

/**
 * How much is base flow, how flashy it is (Baker et al. 2004, J. Am. Water Resour. Assoc. 40, 503), how slow its rises.
 */
function byRunoff(grid: FlowGrid): Regime {
  const days = daysOf(grid);
  const total = days.reduce((sum, q) => sum + q, 0);
  const change = days.slice(1).reduce((sum, q, k) => sum + Math.abs(q - days[k]!), 0);
  const base = baseFlow(days).reduce((sum, q) => sum + q, 0);
  if (base / total > SPRINGS.base && change / total < SPRINGS.flashiness) return "groundwater-fed";
  const rises = risesOf(grid);
  return rises.length > 0 && median(rises) > SLOW_RISE ? "lowland" : "rain-fed";
}

function daysOf({ y, step, back }: FlowGrid): number[] {
  const day = Math.round(DAY / step);
  const days: number[] = [];
  for (let k = 0; k + day <= y.length; k += day) {
    const read = Array.from(y.subarray(k, k + day), back).filter((q) => !Number.isNaN(q));
    if (read.length > 0) days.push(read.reduce((sum, q) => sum + q, 0) / read.length);
  }
  return days;
}

/** Hours from low to peak of each rise. */
function risesOf({ y, step }: FlowGrid): number[] {
  const rises: number[] = [];
  let [low, lowAt, high, highAt] = [Infinity, 0, -Infinity, 0];
  y.forEach((value, k) => {
    if (Number.isNaN(value)) return;
    if (value > high) [high, highAt] = [value, k];
    const turned = value < high - TURN;
    if (turned && high - low > RISE) rises.push(((highAt - lowAt) * step) / HOUR);
    if (turned || value < low) [low, lowAt, high, highAt] = [value, k, value, k];
  });
  return rises;
}
