import { isOpen } from "../book/local-rules";
import { rulesFor } from "../book/rules-for";
import type { Species } from "../fish/species-schema";
import { type Caution, hourCautions, VERY_HIGH } from "../gauge/cautions";
import { BAND_QUANTILES, dayOfYear } from "../gauge/exceedance";
import type { Light } from "../gauge/light";
import type { Outlook } from "../gauge/outlook";
import { HOUR } from "../gauge/series";
import { tideBetween } from "../gauge/tide-state";
import { localDay } from "../quantity/local-time";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import { CONDITIONS, logAt, type ReachHourRated, sizeFactor, STEADY_CONDITIONS } from "./conditions";
import type { ConditionKind, Factor } from "./factor";
import { type ForecastLimb, isPrime, limbOf } from "../gauge/limb";
import { type Bar, barOf } from "./factors";
import { clarityClass } from "../gauge/clarity";
import { rainBetween, type WeatherHour } from "../gauge/weather";
import { coursesOf } from "./courses";
import { hoursAlong, type HoursBy, type Path, PLAN_STEP, type PlanHour, planHours, sunOf } from "./hours";
import type { LogRate, PlanReach } from "./plan-reach";
import type { ExpectedSky } from "./weather-factors";

export interface PlanAsk {
  species: Species;
  /** ms */
  from: number;
  to: number;
  /** Farthest that is driven, minutes; null: no limit. */
  farthest: number | null;
  /** Zone of clocks where a reach has none of its own. */
  zone: string;
  /** Sky and wind as the angler expects them. */
  sky?: ExpectedSky;
}

export interface RatedHour extends PlanHour {
  /** 0 where nobody is sent there then. */
  score: number;
  factors: Factor[];
  bar: Bar | undefined;
}

export interface PlanWindow {
  reach: string;
  from: number;
  to: number;
  /** Mean over the window: of one plan against another, no chance of a fish. */
  score: number;
  /** The level comes down with colour in. */
  prime: boolean;
  /** The hour in its middle, which the figures below are of. */
  at: number;
  limb: ForecastLimb;
  discharge: number;
  low: number;
  high: number;
  visibleDepth: number | null;
  temperature: number | null;
  light: Light | null;
  weather: WeatherHour | null;
  /** Forecast to fall before its middle, mm; null where nothing is said of it. */
  rain: number | null;
  /** Of its middle, those that move it most first. */
  factors: Factor[];
  /** The log at such flows. */
  log: LogRate | null;
  /** Where on it fish are known to be, for one who is new to them. */
  known: string | null;
  /** What is to be heeded there then: the same rules as for now. */
  cautions: Caution[];
}

export type RemovedReason = Bar | "too-far" | "no-gauge" | "no-forecast" | "past";
interface Removed {
  reach: string;
  reason: RemovedReason;
}

/** What of the span that was asked about a plan leaves open for a reach that is in it. */
export type PlanNote = { reach: string } & (
  | { what: "forecast-ends"; at: number }
  /** Days of the water's own on which it is closed, "2026-10-01". */
  | { what: "closed"; days: string[] }
);

/** A reach through the hours that are asked about. */
interface ReachDay {
  reach: string;
  hours: RatedHour[];
}

export interface Plan {
  /** Best first; so are the reaches of the days. */
  windows: PlanWindow[];
  removed: Removed[];
  notes: PlanNote[];
  days: ReachDay[];
}

/**
 * An hour belongs to a window while it is worth so much of the best of its day; windows are no shorter and no longer.
 */
const WINDOW = sourced({ share: 0.85, least: HOUR, most: 5 * HOUR }, "share, ms", COMMON_PRACTICE);
/**
 * Ranks reaches and windows over a span of time.
 * @param path one path of the forecast alone; undefined: what is expected over all of it, so that a river which may yet
 *   come up is worth less than one that is sure to come down
 */
export function planOf(reaches: readonly PlanReach[], ask: PlanAsk, path?: Path): Plan {
  const removed: Removed[] = [];
  const days: ReachDay[] = [];
  const best = Math.max(0, ...reaches.flatMap((one) => one.lies.map(({ score }) => score)));
  for (const reach of reaches) {
    const out = (reason: RemovedReason) => removed.push({ reach: reach.id, reason });
    if (reach.travel !== null && ask.farthest !== null && reach.travel > ask.farthest) out("too-far");
    else if (!reach.outlook) out("no-gauge");
    else if (!reach.outlook.flow) out("no-forecast");
    else {
      const hours = path
        ? ratedHours(reach, ask, frameOf(reach, reaches, ask, best), { path })
        : expectedHours(reach, reaches, ask, best);
      if (hours.length === 0) out(ask.to < reach.outlook.flow.from ? "past" : "no-forecast");
      else {
        days.push({ reach: reach.id, hours });
        if (hours.every(({ bar }) => bar)) out(mostOf(hours.map(({ bar }) => bar!)));
      }
    }
  }
  const windows = days.flatMap(({ reach, hours }) =>
    windowsOf(
      reaches.find((one) => one.id === reach)!,
      hours,
      ask,
    ),
  );
  windows.sort((a, b) => b.score - a.score || a.from - b.from);
  const rank = ({ reach }: ReachDay) => {
    const first = windows.findIndex((one) => one.reach === reach);
    return first < 0 ? windows.length : first;
  };
  const isIn = ({ reach }: ReachDay) => removed.every((one) => one.reach !== reach);
  const notes = days.filter(isIn).flatMap((day) =>
    notesOf(
      reaches.find(({ id }) => id === day.reach)!,
      day,
      ask,
    ),
  );
  return { windows, removed, notes, days: days.sort((a, b) => rank(a) - rank(b)) };
}

/** A forecast that ends so much before what was asked about is told. */
const ENDS = HOUR;

function notesOf(reach: PlanReach, { hours }: ReachDay, ask: PlanAsk): PlanNote[] {
  const end = hours.at(-1)!.at + PLAN_STEP;
  const closed = hours.filter(({ bar }) => bar === "closed").map(({ at }) => dayOfReach(reach, ask)(at));
  return [
    ...(closed.length > 0 ? [{ reach: reach.id, what: "closed" as const, days: [...new Set(closed)] }] : []),
    ...(end < ask.to - ENDS ? [{ reach: reach.id, what: "forecast-ends" as const, at: end }] : []),
  ];
}

/** The hours of the forecast's middle, with the score that is expected over its courses. */
function expectedHours(reach: PlanReach, all: readonly PlanReach[], ask: PlanAsk, best: number): RatedHour[] {
  const sunAt = sunOf(reach.place);
  const frame = frameOf(reach, all, ask, best);
  const { outlook } = reach;
  const middle = ratedHours(reach, ask, frame, { sunAt });
  const hoursSeen = onceEach((seen: Path) => planHours(outlook!, placeOf(reach, ask), ask, { seen, sunAt }));
  // What no flow moves is rated once.
  const steady = middle.map(({ factors }) => productOf(factors.filter(({ what }) => STEADY.has(what))));
  const expected = new Float64Array(middle.length);
  for (const { weight, flows, seen } of coursesOf(outlook!.flow!, ask.to))
    hoursAlong(hoursSeen(seen), outlook!.flow!, flows).forEach((hour, k) => {
      if (!middle[k]!.bar && !barAt(frame, hour)) expected[k]! += weight * steady[k]! * movedBy(frame.rated(hour));
    });
  return middle.map((hour, k) => ({ ...hour, score: expected[k]! }));
}

const STEADY: ReadonlySet<ConditionKind> = new Set(STEADY_CONDITIONS);
const ALL = Object.keys(CONDITIONS) as ConditionKind[];
const MOVED = ALL.filter((what) => !STEADY.has(what));

/** Product of the factors that a flow moves; asked for each path of each hour, so nothing is gathered. */
function movedBy(rated: ReachHourRated): number {
  let product = 1;
  for (const kind of MOVED) for (const { factor } of CONDITIONS[kind](rated)) product *= factor;
  return product;
}

const factorsOf = (kinds: readonly ConditionKind[], rated: ReachHourRated): Factor[] =>
  kinds.flatMap((kind): readonly Factor[] => CONDITIONS[kind](rated));
const productOf = (factors: readonly Factor[]): number => factors.reduce((product, { factor }) => product * factor, 1);

/** What of a reach's hours is the same on every course of its river; each hour's is worked out once. */
interface Frame {
  reach: PlanReach;
  species: Species;
  isClosed: (at: number) => boolean;
  rated: (hour: PlanHour) => ReachHourRated;
}

function frameOf(reach: PlanReach, all: readonly PlanReach[], { species, ...ask }: PlanAsk, best: number): Frame {
  const size = sizeFactor(reach, all);
  const seasonHigh = onceEach((at: number) => veryHighFlow(reach.outlook!, at));
  const tideAt = onceEach((at: number) => tideBetween(reach.turns, at)?.flow ?? null);
  return {
    reach,
    species,
    isClosed: onceEach(closedDays(reach, { species, ...ask })),
    rated: (hour) => ({
      hour,
      species,
      tide: tideAt(hour.at),
      veryHigh: hour.discharge >= seasonHigh(hour.at),
      reach,
      best,
      size,
    }),
  };
}

function onceEach<K, T>(of: (key: K) => T): (key: K) => T {
  const known = new Map<K, T>();
  return (key) => {
    if (!known.has(key)) known.set(key, of(key));
    return known.get(key)!;
  };
}

const placeOf = ({ place, weather, own }: PlanReach, { sky }: PlanAsk) => ({ place, weather, sky, own });

function ratedHours(reach: PlanReach, ask: PlanAsk, frame: Frame, by: HoursBy): RatedHour[] {
  return planHours(reach.outlook!, placeOf(reach, ask), ask, by).map((hour): RatedHour => {
    const bar = barAt(frame, hour);
    const factors = factorsOf(ALL, frame.rated(hour));
    return { ...hour, bar, factors, score: bar ? 0 : productOf(factors) };
  });
}

const barAt = ({ reach, isClosed, species }: Frame, hour: PlanHour): Bar | undefined =>
  isClosed(hour.at) ? "closed" : isStillRising(reach, hour) ? "rising-fast" : barOf(hour, species);

/**
 * Closed by any rule that was entered for the fish: a closed season removes a water, it does not merely lower it. Each
 * day is asked about once.
 */
function closedDays(reach: PlanReach, ask: PlanAsk): (at: number) => boolean {
  const where = { reach: reach.id, bank: "both", species: ask.species.id } as const;
  const seasons = rulesFor(reach.rules, where).flatMap(({ open }) => open ?? []);
  const dayOf = dayOfReach(reach, ask);
  return (at) => seasons.some((open) => !isOpen(open, dayOf(at)));
}

/** The water's own day of an instant, "2026-10-01": seasons open and close by it. */
const dayOfReach =
  (reach: PlanReach, ask: PlanAsk) =>
  (at: number): string =>
    localDay(at, reach.zone ?? ask.zone);

/** A river that rises fast now is left for so long after its last reading, whatever its forecast says. */
const STILL_RISING = sourced(3 * HOUR, "ms", COMMON_PRACTICE);

const isStillRising = ({ risingFast, outlook }: PlanReach, { at }: PlanHour): boolean =>
  risingFast && at < outlook!.flow!.from + STILL_RISING.value;

/** Flow that the season hardly ever passes, m3/s; Infinity where none is known. */
function veryHighFlow({ season }: Outlook, at: number): number {
  const top = BAND_QUANTILES.findIndex((share) => share >= 1 - VERY_HIGH.value);
  return season?.[dayOfYear(at)]?.[top] ?? Infinity;
}

/** The best window of each of the angler's days. */
function windowsOf(reach: PlanReach, hours: readonly RatedHour[], ask: PlanAsk): PlanWindow[] {
  const days = hours.map(({ at }) => dayOfReach(reach, ask)(at));
  return [...new Set(days)].flatMap((day) => {
    const own = hours.filter((_, k) => days[k] === day);
    const window = windowIn(own);
    return window ? [told(reach, window, ask.species)] : [];
  });
}

/** From the best hour outwards, as long as it is nearly as good; undefined where no hour is any good. */
function windowIn(hours: readonly RatedHour[]): RatedHour[] | undefined {
  const peak = hours.reduce((best, hour, k) => (hour.score > hours[best]!.score ? k : best), 0);
  const most = hours[peak]!.score;
  if (most <= 0) return undefined;
  const { share, least, most: longest } = WINDOW.value;
  let [first, last] = [peak, peak];
  const worth = (k: number) => hours[k]?.score ?? 0;
  while ((last - first + 1) * PLAN_STEP < longest) {
    const [before, after] = [worth(first - 1), worth(last + 1)];
    const next = Math.max(before, after);
    if (next <= 0 || (next < share * most && (last - first) * PLAN_STEP >= least)) break;
    if (after >= before) last++;
    else first--;
  }
  return hours.slice(first, last + 1);
}

function told(reach: PlanReach, hours: readonly RatedHour[], species: Species): PlanWindow {
  const middle = hours[Math.floor(hours.length / 2)]!;
  const { discharge, low, high, visibleDepth, temperature, light, weather, factors } = middle;
  return {
    reach: reach.id,
    from: hours[0]!.at,
    to: hours.at(-1)!.at + PLAN_STEP,
    score: hours.reduce((sum, hour) => sum + hour.score, 0) / hours.length,
    at: middle.at,
    limb: limbOf(middle),
    prime: isPrime(limbOf(middle), visibleDepth === null ? null : clarityClass(visibleDepth)),
    discharge,
    low,
    high,
    visibleDepth,
    temperature,
    light,
    weather,
    rain: reach.weather && rainBetween(reach.weather, reach.weather.issued, middle.at),
    factors: [...factors].sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
    log: logAt(reach.log, discharge),
    known: reach.known,
    cautions: hourCautions({
      damNote: reach.damNote,
      tide: tideBetween(reach.turns, middle.at)?.flow ?? null,
      light,
      temperature,
      fish: species,
      weather,
    }),
  };
}

function mostOf<T>(values: readonly T[]): T {
  const count = (one: T) => values.filter((value) => value === one).length;
  return [...new Set(values)].sort((a, b) => count(b) - count(a))[0]!;
}
