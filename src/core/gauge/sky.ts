import { getMoonIllumination, getMoonTimes, getTimes } from "suncalc";
import { DAY } from "./series";

/**
 * Sun and moon of a day at a place, instants in ms; null where the event does not come (polar day or night). By the
 * suncalc library.
 */
export interface Sky {
  /** First light: sun 6 degrees under (civil twilight). */
  dawn: number | null;
  sunrise: number | null;
  noon: number;
  sunset: number | null;
  dusk: number | null;
  moonrise: number | null;
  moonset: number | null;
  /** Lit share of the moon's disc, 0..1, and its part of the lunation. */
  moon: { lit: number; phase: MoonPhase };
}

/** Eight parts of the lunation, new first. */
const PHASES = [
  "new",
  "waxing-crescent",
  "first-quarter",
  "waxing-gibbous",
  "full",
  "waning-gibbous",
  "last-quarter",
  "waning-crescent",
] as const;
export type MoonPhase = (typeof PHASES)[number];

/** The sky of the local solar day that holds `at`. */
export function skyOf(at: number, latitude: number, longitude: number): Sky {
  const noonish = solarNoonOf(at, longitude);
  const times = getTimes(new Date(noonish), latitude, longitude);
  // The library counts the moon's events over a UTC day; take the two that meet the solar day.
  const start = noonish - DAY / 2;
  const moons = [start, start + DAY].map((day) => getMoonTimes(new Date(day), latitude, longitude));
  const within = (events: readonly (Date | null | undefined)[]) =>
    events.map(instantOf).find((time) => time !== null && time >= start && time < start + DAY) ?? null;
  const { fraction, phase } = getMoonIllumination(new Date(at));
  return {
    dawn: instantOf(times.dawn),
    sunrise: instantOf(times.sunrise),
    noon: instantOf(times.solarNoon) ?? noonish,
    sunset: instantOf(times.sunset),
    dusk: instantOf(times.dusk),
    moonrise: within(moons.map((moon) => moon.rise)),
    moonset: within(moons.map((moon) => moon.set)),
    moon: { lit: fraction, phase: PHASES[Math.round(phase * 8) % 8]! },
  };
}

/** Part of the lunation at an instant, 0..1, new moon at 0. */
export const lunation = (at: number): number => getMoonIllumination(new Date(at)).phase;

/** Mean solar noon of the place's day around `at`: the sun crosses 15 degrees an hour. */
function solarNoonOf(at: number, longitude: number): number {
  const offset = (longitude / 360) * DAY;
  return Math.floor((at + offset) / DAY) * DAY + DAY / 2 - offset;
}

function instantOf(date: Date | null | undefined): number | null {
  const time = date ? date.getTime() : NaN;
  return Number.isFinite(time) ? time : null;
}
