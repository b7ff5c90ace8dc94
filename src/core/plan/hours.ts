import { type Forecast, type ForecastLevel, levelAt, withStart } from "../gauge/forecast";
import { type Light, lightUnder, sunAltitude } from "../gauge/light";
import type { Outlook } from "../gauge/outlook";
import { DAY, HOUR, MINUTE } from "../gauge/series";
import type { OwnValue, OwnWater } from "../gauge/summary";
import type { WarmthPoint } from "../gauge/temperature";
import type { WeatherHour } from "../gauge/weather";
import { type ExpectedSky, type Exposure, weatherThen } from "./weather-factors";

/** The river at one half hour that has not come yet, SI. */
export interface PlanHour {
  at: number;
  /** m3/s: median, and 10 and 90 %. */
  discharge: number;
  low: number;
  high: number;
  /** d ln Q / dt of the path that is looked at, 1/h. */
  ratePerHour: number;
  /** m; null where the record has no turbidity. */
  visibleDepth: number | null;
  /** degC; null where the record has none. */
  temperature: number | null;
  /** Null where nobody said where the reach lies. */
  light: Light | null;
  /** Degrees; null likewise. */
  sun: number | null;
  /** As forecast, or as the angler expects it; null where nothing is said of it. */
  weather: WeatherHour | null;
}

/** Where a reach lies, degrees (undefined where nobody said), the air over it, and what is expected of that. */
export interface PlanPlace extends Pick<Exposure, "weather"> {
  place: { latitude: number; longitude: number } | undefined;
  sky?: ExpectedSky;
  /** What the angler read there stands in where the forecast is silent. */
  own?: OwnWater | null;
}

/** Which of the forecast's paths is taken: the middle one, or one that was higher or lower nine times in ten. */
export type Path = ForecastLevel;

export const PLAN_STEP = 30 * MINUTE;
/** The flow's rate of change is told over so long, ms. */
const RATE_OVER = 3 * HOUR;

/** Past the end of its forecast water is taken as warm as at the same hour of the last forecast day. */
function temperatureAt(points: readonly WarmthPoint[], at: number): number | null {
  const end = points.at(-1)?.time;
  if (end === undefined) return null;
  const days = Math.max(0, Math.ceil((at - end) / DAY));
  return levelAt(points, Math.max(at - days * DAY, points[0]!.time), "median");
}

/** What the angler read, as long as it tells of the water. */
const ownAt = (read: OwnValue | null | undefined, at: number): number | null =>
  read && at <= read.until ? read.value : null;

/** The sun's height over a place by instant, degrees, each worked out once; null where nobody said where it lies. */
export function sunOf(place: { latitude: number; longitude: number } | undefined): (at: number) => number | null {
  const known = new Map<number, number>();
  return (at) => {
    if (!place) return null;
    const altitude = known.get(at) ?? sunAltitude(at, place.latitude, place.longitude);
    known.set(at, altitude);
    return altitude;
  };
}

/** d ln Q / dt up to an instant, 1/h; at the start of a forecast over the first hours after it. */
function rateAt(flowAt: (at: number) => number | null, from: number, at: number): number {
  const start = Math.max(from, at - RATE_OVER);
  const [q0, q1] = [flowAt(start), flowAt(start + RATE_OVER)];
  return q0 && q1 && q0 > 0 && q1 > 0 ? (Math.log(q1 / q0) / RATE_OVER) * HOUR : 0;
}

/** By which lines of a forecast hours are told, and the sun over the place. */
export interface HoursBy {
  path?: Path;
  /** That of the flow, to which how far one sees belongs: a higher river is a dirtier one. */
  seen?: Path;
  sunAt?: (at: number) => number | null;
}

/** The half hours from one instant to another as the forecast has them; none before it starts or past its end. */
export function planHours(
  { flow, visibleDepth, temperature }: Pick<Outlook, "flow" | "visibleDepth" | "temperature">,
  { place, weather, sky, own }: PlanPlace,
  { from, to }: { from: number; to: number },
  { path = "median", seen = path, sunAt = sunOf(place) }: HoursBy = {},
): PlanHour[] {
  if (!flow) return [];
  const points = withStart(flow);
  const hours: PlanHour[] = [];
  for (let at = Math.max(from, Math.ceil(flow.from / PLAN_STEP) * PLAN_STEP); at < to; at += PLAN_STEP) {
    const discharge = levelAt(points, at, path);
    if (discharge === null) break;
    const sun = sunAt(at);
    hours.push({
      at,
      discharge,
      low: levelAt(points, at, "low")!,
      high: levelAt(points, at, "high")!,
      ratePerHour: rateAt((then) => levelAt(points, then, path), flow.from, at),
      visibleDepth:
        (visibleDepth && levelAt(visibleDepth, at, seen === "median" ? seen : seen === "high" ? "low" : "high")) ??
        ownAt(own?.visibleDepth, at),
      temperature: (temperature && temperatureAt(temperature, at)) ?? ownAt(own?.temperature, at),
      light: sun === null ? null : lightUnder(sun),
      sun,
      weather: weatherThen(weather, sky, at),
    });
  }
  return hours;
}

/**
 * The same hours on another course of the river.
 * @param hours those of a line of the forecast, with how far one sees on this course
 * @param flows m3/s at each step of the forecast
 */
export function hoursAlong(hours: readonly PlanHour[], flow: Forecast, flows: ArrayLike<number>): PlanHour[] {
  const flowAt = (at: number): number | null => {
    const step = (at - flow.from) / flow.step;
    const before = Math.min(flows.length - 1, Math.floor(step));
    const [q0, q1] = [before < 1 ? flow.discharge : flows[before - 1]!, flows[before]!];
    return step > flows.length ? null : q0 + (step - before) * (q1 - q0);
  };
  return hours.map((hour) => ({
    ...hour,
    discharge: flowAt(hour.at)!,
    ratePerHour: rateAt(flowAt, flow.from, hour.at),
  }));
}
