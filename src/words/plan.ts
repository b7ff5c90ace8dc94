import { countedWords } from "./learn";
import { clarityClass } from "../core/gauge/clarity";
import type { ConditionCode, ConditionKind, FactorOf } from "../core/plan/factor";
import type { Change } from "../core/plan/changes";
import type { PlanNote, PlanWindow, RemovedReason } from "../core/plan/plan";
import type { LogRate } from "../core/plan/plan-reach";
import { figureText, showText, type UnitSystem } from "./quantity";
import { dayOnly, moment, seenTo } from "./river";
import { windWords } from "./sky";
import { capital } from "./text";

type Told = Pick<PlanWindow, "discharge" | "visibleDepth" | "temperature" | "log" | "known" | "weather">;

const RIVER: Record<ConditionCode<"river">, string> = {
  prime: "coming down with colour still in",
  falling: "coming down",
  steady: "steady",
  rising: "rising slowly",
};

const WARMTH: Record<ConditionCode<"warmth">, string> = {
  "very-cold": "very cold: they hardly feed",
  slow: "cold: they feed slowly",
  cool: "on the cool side",
  good: "ideal for feeding",
  warm: "warm: look for current, oxygen and shade",
};

const LIGHT: Record<ConditionCode<"light">, string> = {
  "cold-sun": "cold water, but sun is on it and they bite",
  "cold-day": "cold water without sun",
  "cold-twilight": "cold water and low light: slow",
  "cold-night": "cold water in the dark: slow",
  edge: "low light, when they feed",
  day: "full daylight",
  dull: "overcast over clear water: they come up and in",
  bright: "high sun on clear water: fish the shade, if at all",
  night: "dark",
  "shy-night": "dark, when they feed",
};

const WIND: Record<ConditionCode<"wind">, string> = {
  "lee-left": "the left-bank trees give shelter",
  "lee-right": "the right-bank trees give shelter",
  open: "you can hardly feel light heads, and a boat drifts off",
};

const SIZE: Record<ConditionCode<"size">, string> = {
  "large-cooling": "it is cooling; big water stays steadier",
  "small-cooling": "it is cooling; small water cools first",
  "large-warming": "it is warming; big water warms last",
  "small-warming": "it is warming; small water warms first",
};

/** "Your log: 0.9 fish an hour at such flows (9 h; 0.5 to 1.4)". */
export const logWords = ({ rate, hours, events, interval }: LogRate): string =>
  `Your log at this flow: ${countedWords({ events, hours })}; 80 % range ${figureText(interval[0], 2)} to ${figureText(interval[1], 2)} (likely ${figureText(rate, 2)})`;

/** One reason, with the figure that it follows from. */
export const factorWords = <K extends ConditionKind>(
  { what, is }: FactorOf<K>,
  told: Told,
  system: UnitSystem,
  height?: number,
): string => capital(CONDITION_WORDS[what](is, told, system, height));

/** What is said of each condition of the plan. */
const CONDITION_WORDS: {
  [K in ConditionKind]: (is: ConditionCode<K>, told: Told, system: UnitSystem, height?: number) => string;
} = {
  river: (is, told, system) => `${showText(told.discharge, "discharge", system)}, ${RIVER[is]}`,
  clarity: (is, told, _, height) => `${is}, bottom ${seenTo(told.visibleDepth!, height)}`,
  warmth: (is, told, system) => `Water ${showText(told.temperature!, "temperature", system)}, ${WARMTH[is]}`,
  light: (is) => LIGHT[is],
  tide: (is) => (is === "slack" ? "Slack tide, which is slow" : `Tide ${is}`),
  season: () => "Very high for the season: fish only the edges and slack",
  log: (_, told) => (told.log ? logWords(told.log) : ""),
  lies: (is) => (is === "good" ? "Its lies fish well at this flow" : "Fewer or poorer lies at this flow"),
  band: (is) => (is === "in" ? "Within your flow band" : "Outside your flow bands"),
  size: (is) => SIZE[is],
  relief: (is) =>
    is === "inflow" ? "Warm water, but cooler water comes in here" : "Warm water, but there is shade here",
  wind: (is, told, system) => `${windWords(told.weather, system)}: ${WIND[is]}`,
  bait: (is) => `The wind has blown on the ${is} bank for two days: bait gathers there`,
  known: (_, told) =>
    `You’re new to this fish: learn the bite at ${told.known!.toLowerCase()}, where you know there are fish`,
};

/** The state of the river in a window in one breath: "6.8 m³/s and falling, green, seen to the knee". */
export function stateWords(window: PlanWindow, system: UnitSystem, height?: number): string {
  const clarity =
    window.visibleDepth === null
      ? ""
      : `, ${clarityClass(window.visibleDepth)}, ${seenTo(window.visibleDepth, height)}`;
  return `${showText(window.discharge, "discharge", system)} and ${window.limb}${clarity}`;
}

const REMOVED: Record<RemovedReason, string> = {
  closed: "closed season by your rules",
  "rising-fast": "the river is rising fast",
  "too-warm": "the water is too warm for these fish",
  thunder: "thunder is forecast",
  "white-caps": "wind strong enough for white caps",
  "too-far": "farther than you want to drive",
  "no-gauge": "it has no gauge",
  "no-forecast": "its gauge record is too short or too old for a forecast",
  past: "those hours have passed",
};
export const removedWords = (reason: RemovedReason): string => REMOVED[reason];

/** "Its forecast ends Tue 14:40. Nothing is planned after that." */
export const planNoteWords = (note: PlanNote, now: number): string =>
  note.what === "forecast-ends"
    ? `Its forecast ends ${moment(note.at, now)}. Nothing is planned after that.`
    : `Closed by your rules on ${note.days.map((day) => dayOnly(`${day}T12:00:00Z`, "UTC")).join(", ")}.`;

/** What would change the answer: "If it stays up at 9.1 m³/s: Alder Bend, from 09:00." */
export function changeWords(
  change: Change,
  nameOf: (reach: string) => string,
  system: UnitSystem,
  now: number,
): string {
  const { then } = change;
  const cause =
    change.path === "wind"
      ? `If the wind gets up to ${showText(change.wind, "wind", system)}`
      : `${change.path === "high" ? "If it stays higher" : "If it drops faster"}, at ${showText(change.discharge, "discharge", system)}`;
  return then ? `${cause}: ${nameOf(then.reach)}, ${moment(then.from, now)}.` : `${cause}: nowhere.`;
}

/** What rain before a window means for it. */
export const rainWords = (rain: number, system: UnitSystem): string =>
  `${showText(rain, "rain", system)} of rain is forecast before then. Check the gauge again before you leave.`;
