import { seenTo } from "../core/gauge/clarity";
import type { GaugeNow } from "../core/gauge/summary";

/** Plain words for the state of the river. */
export const ARROW = { rising: "↗", falling: "↘", steady: "→" } as const;

export function trendWords(now: GaugeNow): string {
  if (!now.trend) return "trend not known";
  if (now.trend === "steady" || now.trendHours === null) return now.trend;
  const hours = Math.round(now.trendHours);
  return hours < 1 ? `just turned to ${now.trend}` : hours < 72 ? `${now.trend} ${hours} h` : `${now.trend} ${Math.round(hours / 24)} days`;
}

/** "Green", "seen to the knee". */
export function clarityWords(now: GaugeNow): { word: string; seen: string } {
  if (now.clarity === null || now.visibleDepth === null) return { word: "Not known", seen: "no turbidity reading" };
  return { word: now.clarity.charAt(0).toUpperCase() + now.clarity.slice(1), seen: seenTo(now.visibleDepth) };
}

export const dayAndTime = (time: number | string): string =>
  new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" }).format(new Date(time));

export const dayOnly = (time: number | string): string => new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" }).format(new Date(time));
