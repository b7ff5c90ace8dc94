import { DAY, HOUR } from "../core/gauge/series";
import type { Weather, WeatherHour } from "../core/gauge/weather";
import { hash01, smoothNoise } from "../core/quantity/seeded";
import { rainAt, yearFraction } from "./gauge";

/**
 * A made-up weather service over the demo river: its rain is the rain that its gauge answers to. Seeded; a forecast
 * is the truth with errors that grow with how far ahead it looks, as forecasts are.
 */
const SEED = 211;
/** Days told before the hour that it is asked at, and after it. */
const SPAN = { before: 3, after: 6 };
/** Errors by hours ahead: logarithm of the wind, share of the sky, degC, degrees of direction, hours of the rain. */
const ERRORS = { wind: 0.004, cloud: 0.003, air: 0.02, windFrom: 0.35, rain: 0.06 };

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));
const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** What the air did, or will do. */
function trueHour(time: number) {
  const hour = time / HOUR;
  const season = yearFraction(time);
  const winter = 0.5 + 0.5 * Math.cos(2 * Math.PI * (season - 0.04));
  const rain = rainAt(time);
  const cloud = clamp(0.5 + 0.75 * smoothNoise(SEED, hour, 38) + (rain > 0 ? 0.45 : 0), 0, 1);
  // Wind gets up with the day, most under a clear sky.
  const day = Math.sin((2 * Math.PI * (hour - 9)) / 24);
  const wind =
    (3 + 1.4 * winter) * Math.exp(0.9 * smoothNoise(SEED + 1, hour, 27)) * (1 + (0.35 - 0.15 * cloud) * day) +
    1.2 * Math.min(2, rain);
  const swing = (1.5 + 3 * Math.max(0, Math.sin(Math.PI * season))) * (1 - 0.6 * cloud);
  return {
    wind,
    windFrom: (240 + 75 * smoothNoise(SEED + 2, hour, 60) + 360) % 360,
    cloud,
    air: 9.6 - 7.4 * Math.cos(2 * Math.PI * (season - 0.05)) + 3 * smoothNoise(SEED + 3, hour, 90) + swing * day,
  };
}

/** Rain so heavy, mm/h, in air so warm, degC, comes with thunder here. */
const THUNDER = { rain: 1.2, air: 12.5 };

/** The hours as they are told at an instant, ms: those before it as they were. */
export function simulateWeather(issued: number): Weather {
  const start = Math.floor(issued / HOUR) * HOUR;
  const seed = SEED + 10 + (start / HOUR) * 7;
  const hours: WeatherHour[] = [];
  for (let time = start - SPAN.before * DAY; time < start + SPAN.after * DAY; time += HOUR) {
    const ahead = Math.max(0, (time - start) / HOUR);
    const off = (salt: number) => ahead * smoothNoise(seed + salt, time / HOUR, 18);
    const { wind, windFrom, cloud, air } = trueHour(time);
    const rain = rainAt(time + Math.round(ERRORS.rain * off(4)) * HOUR);
    const told = round(wind * Math.exp(ERRORS.wind * off(0)), 1);
    const warmth = round(air + ERRORS.air * off(2), 1);
    hours.push({
      time,
      wind: told,
      gust: round(told * (1.45 + 0.2 * hash01(SEED + 5, time / HOUR)), 1),
      windFrom: Math.round(windFrom + ERRORS.windFrom * off(3) + 360) % 360,
      cloud: round(clamp(cloud + ERRORS.cloud * off(1), 0, 1), 2),
      air: warmth,
      rain: round(rain, 1),
      thunder: rain >= THUNDER.rain && warmth >= THUNDER.air,
    });
  }
  return { issued: start, hours };
}

/** The hours as the CSV that the stand-in serves. */
export function weatherCsv(issued: number): string {
  const lines = ["time,wind (m/s),gust (m/s),wind from (deg),cloud (%),air temperature (C),rain (mm),thunder"];
  for (const { time, wind, gust, windFrom, cloud, air, rain, thunder } of simulateWeather(issued).hours)
    lines.push(
      [
        new Date(time).toISOString(),
        wind,
        gust,
        windFrom,
        Math.round(100 * cloud!),
        air,
        rain,
        thunder ? "yes" : "no",
      ].join(","),
    );
  return `${lines.join("\n")}\n`;
}
