import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import { HOUR } from "./series";

/** The air over a place: an hour of a forecast, or of what was. SI; null where nothing is said. */
export interface WeatherHour {
  /** Start of the hour, ms. */
  time: number;
  /** Mean and gusts ten metres over open ground, m/s. */
  wind: number | null;
  gust: number | null;
  /** Where the wind comes from, degrees from north by east. */
  windFrom: number | null;
  /** Share of the sky, 0..1. */
  cloud: number | null;
  /** degC */
  air: number | null;
  /** mm in the hour. */
  rain: number | null;
  thunder: boolean | null;
}

/** Hours of weather in order of time. */
export interface Weather {
  /** When it was said, ms: what comes after it is forecast. */
  issued: number;
  hours: WeatherHour[];
}

export const NO_WEATHER: Omit<WeatherHour, "time"> = {
  wind: null,
  gust: null,
  windFrom: null,
  cloud: null,
  air: null,
  rain: null,
  thunder: null,
};

/** How much of the sky is covered. */
export const CLOUDS = ["clear", "broken", "overcast"] as const;
export type Cloud = (typeof CLOUDS)[number];
/** Shares of the sky from which it is broken, and overcast: 3 and 7 oktas (WMO No. 8, terms from memory). */
const COVERED = { broken: 0.3, overcast: 0.85 };

/** The wind as it is felt: Beaufort 0-1, 2-3, 4-5, 6 and over. */
export const WINDS = ["calm", "light", "fresh", "strong"] as const;
export type Wind = (typeof WINDS)[number];
/** Least speeds of Beaufort 2, 4 and 6, m/s (WMO No. 306, code table 1100; from memory). */
export const BEAUFORT = { light: 1.6, fresh: 5.5, strong: 10.8 };

export const windClass = (speed: number): Wind =>
  speed >= BEAUFORT.strong ? "strong" : speed >= BEAUFORT.fresh ? "fresh" : speed >= BEAUFORT.light ? "light" : "calm";

export const cloudClass = (share: number): Cloud =>
  share >= COVERED.overcast ? "overcast" : share >= COVERED.broken ? "broken" : "clear";

/** What a word for the sky or the wind stands for, when an angler says it: the middle of its class. */
export const WIND_SPEED = sourced<Record<Wind, number>>(
  { calm: 0.5, light: 3.5, fresh: 8, strong: 12 },
  "m/s",
  COMMON_PRACTICE,
);
export const CLOUD_SHARE = sourced<Record<Cloud, number>>(
  { clear: 0.1, broken: 0.6, overcast: 1 },
  "share of the sky",
  COMMON_PRACTICE,
);

/** Forecasts come hourly or every three hours: an hour stands for no longer than this, ms. */
const STANDS = 3 * HOUR;

/** The weather at an instant (ms): that of the last hour which has begun; null where none stands for it. */
export function weatherAt({ hours }: Pick<Weather, "hours">, at: number): WeatherHour | null {
  let [low, high] = [0, hours.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (hours[middle]!.time <= at) low = middle + 1;
    else high = middle;
  }
  const hour = hours[low - 1];
  return hour && at - hour.time < STANDS ? hour : null;
}

/** Rain from one instant to another, mm; null where no hour of it says any. */
export function rainBetween({ hours }: Pick<Weather, "hours">, from: number, to: number): number | null {
  const said = hours.filter(({ time, rain }) => time >= from && time < to && rain !== null);
  return said.length === 0 ? null : said.reduce((sum, { rain }) => sum + rain!, 0);
}

/**
 * The mean wind vector from one instant to another, looked at every three hours, as its speed, m/s, and where it comes
 * from, degrees; null where less than three quarters of that time is told.
 */
export function meanWind(
  { hours }: Pick<Weather, "hours">,
  from: number,
  to: number,
): { speed: number; windFrom: number } | null {
  let [north, east, count, told] = [0, 0, 0, 0];
  for (let at = from; at < to; at += STANDS, count++) {
    const hour = weatherAt({ hours }, at);
    if (!hour || hour.wind === null || hour.windFrom === null) continue;
    const angle = (hour.windFrom * Math.PI) / 180;
    north += hour.wind * Math.cos(angle);
    east += hour.wind * Math.sin(angle);
    told++;
  }
  if (told === 0 || told < 0.75 * count) return null;
  return {
    speed: Math.hypot(north, east) / told,
    windFrom: ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360,
  };
}

/**
 * How much of a wind blows from the left bank towards the right over a reach whose x runs to `bearing`, degrees: 1
 * square across to the right, -1 to the left, 0 along it.
 */
export const acrossToRight = (windFrom: number, bearing: number): number =>
  // The left bank lies at bearing - 90, looking downstream.
  Math.cos(((windFrom - (bearing - 90)) * Math.PI) / 180);
