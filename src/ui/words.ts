import { seenTo } from "../core/gauge/clarity";
import type { GaugeNow } from "../core/gauge/summary";

/** Plain words for the state of the river. */
export const ARROW = { rising: "↗", falling: "↘", steady: "→" } as const;

export function trendWords(now: GaugeNow): string {
  if (!now.trend) return "trend not known";
  if (now.trend === "steady" || now.trendHours === null) return now.trend;
  const hours = Math.round(now.trendHours);
  return hours < 1
    ? `just turned to ${now.trend}`
    : hours < 72
      ? `${now.trend} ${hours} h`
      : `${now.trend} ${Math.round(hours / 24)} days`;
}

/** "Green", "seen to the knee" of an angler of that height, m. */
export function clarityWords(now: GaugeNow, height?: number): { word: string; seen: string } {
  if (now.clarity === null || now.visibleDepth === null) return { word: "Not known", seen: "no turbidity reading" };
  return { word: now.clarity.charAt(0).toUpperCase() + now.clarity.slice(1), seen: seenTo(now.visibleDepth, height) };
}

/** 16:40 */
export const clock = (time: number): string =>
  new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }).format(new Date(time));
/** "today 16:40", "Fri 04:00", "Tue 2 Dec 04:00": a moment near now, as said aloud. */
export function moment(time: number, now: number): string {
  const day = (t: number) => new Date(t).toDateString();
  if (day(time) === day(now)) return `today ${clock(time)}`;
  if (day(time) === day(now + 86_400_000)) return `tomorrow ${clock(time)}`;
  const near = Math.abs(time - now) < 6 * 86_400_000;
  return `${new Intl.DateTimeFormat("en-GB", near ? { weekday: "short" } : { weekday: "short", day: "numeric", month: "short" }).format(new Date(time))} ${clock(time)}`;
}

export const dayAndTime = (time: number | string): string =>
  new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  }).format(new Date(time));

export const dayOnly = (time: number | string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" }).format(new Date(time));
