import { formatDate } from "./date-format";
import { showText, type UnitSystem } from "./quantity";
import { bodyMarkAt } from "../core/gauge/clarity";
import { LEAST_YEARS } from "../core/gauge/exceedance";
import { DAY } from "../core/gauge/series";
import { dayAfter, localMinute } from "../core/quantity/local-time";
import { clockZone } from "./clock-zone";
import { type GaugeNow, usualExceedance } from "../core/gauge/summary";

/** "visible to the knee" of an angler of that height, m. */
export function seenTo(visibleDepth: number, height?: number): string {
  const mark = bodyMarkAt(visibleDepth, height);
  if (mark === null) return "bottom not visible at the ankle";
  return mark === "over" ? "visible past the waist" : `visible to the ${mark}`;
}

/** Plain words for the state of the river. */
export const ARROW = { rising: "↗", falling: "↘", steady: "→" } as const;

export function trendWords(now: GaugeNow): string {
  if (!now.trend) return "trend unknown";
  if (now.trend === "steady" || now.trendHours === null) return now.trend;
  const hours = Math.round(now.trendHours);
  return hours < 1
    ? `just started ${now.trend}`
    : hours < 72
      ? `${now.trend} ${hours} h`
      : `${now.trend} ${Math.round(hours / 24)} days`;
}

/** "Green", "visible to the knee" of an angler of that height, m. */
export function clarityWords(now: GaugeNow, height?: number): { word: string; seen: string } {
  if (now.clarity === null || now.visibleDepth === null) return { word: "Unknown", seen: "no turbidity reading" };
  return { word: now.clarity.charAt(0).toUpperCase() + now.clarity.slice(1), seen: seenTo(now.visibleDepth, height) };
}

/** 16:40 */
export const clock = (time: number, zone?: string): string => formatDate(time, { ...CLOCK, timeZone: zone });
/** 09:40, or 9:40 AM where hours are counted to twelve. */
const isTwelve = new Intl.DateTimeFormat(undefined, { hour: "numeric" }).resolvedOptions().hour12 === true;
const CLOCK: Intl.DateTimeFormatOptions = { hour: isTwelve ? "numeric" : "2-digit", minute: "2-digit" };
/** "today 16:40", "Fri 04:00", "Tue 2 Dec 04:00": a moment near now, as said aloud. */
export function moment(time: number, now: number): string {
  const day = dayKey(time);
  if (day === dayKey(now)) return `today ${clock(time)}`;
  if (day === dayAfter(dayKey(now))) return `tomorrow ${clock(time)}`;
  if (Math.abs(time - now) < 6 * DAY) return `${formatDate(time, { weekday: "short" })} ${clock(time)}`;
  return dayAndTime(time, now);
}

/**
 * "Fri 14 May, 16:40"; with its year where that is not the one of `now`, and by the clock of another water, with its
 * name, where `zone` is given and is another.
 */
export function dayAndTime(time: number | string, now: number = Date.now(), zone?: string): string {
  const year = dayKey(time, zone).slice(0, 4) === dayKey(now, zone).slice(0, 4) ? {} : ({ year: "numeric" } as const);
  return formatDate(new Date(time).getTime(), {
    weekday: "short",
    day: "numeric",
    month: "short",
    ...year,
    ...CLOCK,
    ...(zone !== undefined && { timeZone: zone, ...(isOtherClock(time, zone) && { timeZoneName: "short" }) }),
  });
}

/** Does a water's clock show another time than the one that is looked at? */
const isOtherClock = (time: number | string, zone: string): boolean => {
  const at = new Date(time).getTime();
  return localMoment(at, zone) !== localMoment(at);
};

export const dayOnly = (time: number | string, zone?: string): string =>
  formatDate(new Date(time).getTime(), { day: "numeric", month: "short", year: "numeric", timeZone: zone });

/** A moment on an axis as long as `span`, ms: hours where it is days, months where it is years. */
export function axisMoment(time: number, span: number): string {
  const days = span / DAY;
  const style: Intl.DateTimeFormatOptions =
    days < 5
      ? { day: "numeric", month: "short", ...CLOCK }
      : days < 200
        ? { day: "numeric", month: "short" }
        : { month: "short", year: "2-digit" };
  return formatDate(time, style);
}

/** The day of an instant by the water's clock, to compare days: "2026-10-01". */
export const dayKey = (time: number | string, zone?: string): string =>
  localMoment(new Date(time).getTime(), zone).slice(0, 10);

/** "Thu, 14 May 2026": a day of the universal calendar. */
export const dayInUtc = (time: number): string =>
  formatDate(time, { weekday: "short", day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/** Both hydrological conventions in one plain sentence, so that nobody must know which is meant. */
function exceedanceInWords(fraction: number): string {
  const percent = Math.round(fraction * 100);
  if (percent <= 10) return `very high for the season: exceeded only ${percent} % of the time`;
  if (percent <= 30) return `high for the season: exceeded ${percent} % of the time`;
  if (percent < 70) return `usual for the season: exceeded ${percent} % of the time`;
  if (percent < 90) return `low for the season: exceeded ${percent} % of the time`;
  return `very low for the season: exceeded ${percent} % of the time`;
}

/** How the flow stands to the season's; undefined where the record has not seen enough of it. */
export function seasonWords(now: GaugeNow): string | undefined {
  const share = usualExceedance(now);
  return share === null ? undefined : exceedanceInWords(share);
}

/** Why the season's share is not given. */
export const seasonMissing = (now: GaugeNow): string =>
  now.exceedance === null
    ? "no record of discharge"
    : `${now.seasonYears} of the ${LEAST_YEARS} years of record it takes for this time of year`;

/** The river as a session or a catch keeps it. */
export const stateWords = (
  state: Pick<GaugeNow, "discharge" | "trend" | "visibleDepth" | "waterTemperature">,
  system: UnitSystem,
): string =>
  [
    showText(state.discharge, "discharge", system),
    state.trend ?? "trend unknown",
    `seen to ${showText(state.visibleDepth, "depth", system)}`,
    `water ${showText(state.waterTemperature, "temperature", system)}`,
  ].join(", ");

/** An instant as a date-and-time field holds it: by the water's clock, to the minute. */
export const localMoment = (time: number, zone = clockZone()): string => localMinute(time, zone);

/** The river now in a few words, as it is heard: flow, trend, clarity. */
export function stripWords(now: GaugeNow, stale: boolean, system: UnitSystem): string {
  const clarity = clarityWords(now);
  const flow =
    now.discharge === null ? showText(now.stage, "stage", system) : showText(now.discharge, "discharge", system);
  const since = stale && now.visibleDepthFrom === "reading" ? "read by you since: " : "";
  return `${stale ? `as last read ${dayOnly(now.at)}, ` : ""}${flow}, ${trendWords(now)}; ${
    now.clarity === null ? "clarity unknown" : `${since}${clarity.word.toLowerCase()}, ${clarity.seen}`
  }`;
}

/** The river now, in one sentence. */
export function nowWords(
  now: GaugeNow,
  { stale, system, height }: { stale: boolean; system: UnitSystem; height: number },
): string {
  const parts = [
    now.discharge === null
      ? now.stage === null
        ? "No discharge reading"
        : `${showText(now.stage, "stage", system)} on the gauge and ${trendWords(now)}; no discharge`
      : `${showText(now.discharge, "discharge", system)} and ${trendWords(now)}`,
  ];
  const season = seasonWords(now);
  if (season) parts.push(season);
  // What the angler read since the record ended is not of its last reading.
  const since: string[] = [];
  const clarity = clarityWords(now, height);
  if (now.clarity)
    (stale && now.visibleDepthFrom === "reading" ? since : parts).push(
      `${clarity.word.toLowerCase()}, ${clarity.seen}`,
    );
  if (now.waterTemperature !== null)
    (stale && now.waterTemperatureFrom === "reading" ? since : parts).push(
      `water ${showText(now.waterTemperature, "temperature", system)}`,
    );
  return [
    `${stale ? `At the last reading, ${dayAndTime(now.at)}: ` : ""}${parts.join("; ")}.`,
    ...(since.length > 0 ? [`Read by you since: ${since.join("; ")}.`] : []),
  ].join(" ");
}

/** "1 h 20", "12 min". */
export function spanWords(ms: number): string {
  const all = Math.max(0, Math.floor(ms / 60_000));
  return all >= 60 ? `${Math.floor(all / 60)} h ${String(all % 60).padStart(2, "0")}` : `${all} min`;
}
