import { HOUR, type Series } from "../series";
import type { Weather } from "../weather";

/** Rain over a catchment, hour by hour: what fell, and after the last reading what is forecast. */
export interface Rain {
  /** Start of the first hour, ms. */
  start: number;
  /** mm in each hour; NaN where nothing is said. */
  hours: Float64Array;
  /** How far ahead it is known whenever a forecast is made, ms. */
  ahead: number;
}

export const isSameRain = (a: Rain | null, b: Rain | null): boolean =>
  a === b ||
  (a !== null &&
    b !== null &&
    a.start === b.start &&
    a.ahead === b.ahead &&
    a.hours.length === b.hours.length &&
    a.hours.every((mm, k) => Object.is(mm, b.hours[k])));

/** Longest that one reading's rain is spread over, ms: days of daily totals. */
const SPREAD = 25 * HOUR;
/** The newest fifteen years of hours, as of the flow. */
const MOST_HOURS = 131_072;

/**
 * What a gauge read (each reading is what fell since the one before) and, where it says nothing, what a weather record
 * and forecast say. Null without any.
 * @param at what the gauge read later is not known
 */
export function rainOf(gauge: Series | undefined, weather: Weather | null, at: number): Rain | null {
  const said = (weather?.hours ?? []).filter(({ rain }) => rain !== null);
  const first = Math.min(gauge?.times[0] ?? Infinity, said[0]?.time ?? Infinity);
  const last = Math.max(Math.min(gauge?.times.at(-1) ?? -Infinity, at), (said.at(-1)?.time ?? -Infinity) + HOUR);
  if (!(last >= first)) return null;
  const end = Math.ceil(last / HOUR);
  const start = Math.max(Math.floor(first / HOUR) - SPREAD / HOUR, end - MOST_HOURS);
  const hours = new Float64Array(end - start).fill(NaN);
  if (gauge) readInto(hours, start, gauge, at);
  // A row every three hours, or six, says what falls until the next one.
  weather?.hours.forEach(({ time, rain }, k) => {
    if (rain === null) return;
    const next = weather.hours[k + 1]?.time ?? time + HOUR;
    const count = next - time <= 6 * HOUR ? Math.max(1, Math.round((next - time) / HOUR)) : 1;
    for (let h = 0; h < count; h++) {
      const hour = Math.floor(time / HOUR) + h - start;
      if (Number.isNaN(hours[hour] ?? 0)) hours[hour] = rain / count;
    }
  });
  return { start: start * HOUR, hours, ahead: Math.max(0, lastKnown(hours, start) * HOUR - at) };
}

/** The hour after the last that is known. */
function lastKnown(hours: Float64Array, start: number): number {
  let count = hours.length;
  while (count > 0 && Number.isNaN(hours[count - 1]!)) count--;
  return start + count;
}

function readInto(hours: Float64Array, start: number, { times, values }: Series, at: number): void {
  const usual = Math.min(SPREAD, times.length > 1 ? times[1]! - times[0]! : HOUR);
  for (let k = 0; k < times.length && times[k]! <= at; k++) {
    if (Number.isNaN(values[k]!)) continue;
    const end = times[k]!;
    const before = Math.max(end - SPREAD, times[k - 1] ?? end - usual);
    for (let hour = Math.floor(before / HOUR); hour * HOUR < end; hour++) {
      const share = (Math.min(end, (hour + 1) * HOUR) - Math.max(before, hour * HOUR)) / (end - before);
      const index = hour - start;
      if (index < 0 || index >= hours.length) continue;
      hours[index] = (Number.isNaN(hours[index]!) ? 0 : hours[index]!) + share * values[k]!;
    }
  }
}

/** mm between two instants; NaN where no hour of it says any. */
export function rainIn({ start, hours }: Rain, from: number, to: number): number {
  let [sum, known] = [0, 0];
  const first = Math.max(0, Math.round((from - start) / HOUR));
  for (let h = first; h < Math.min(hours.length, Math.round((to - start) / HOUR)); h++) {
    if (Number.isNaN(hours[h]!)) continue;
    sum += hours[h]!;
    known++;
  }
  return known > 0 ? sum : NaN;
}
