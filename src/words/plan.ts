import { countedWords } from "./learn";
import { clarityClass } from "../core/gauge/clarity";
import type { Factor } from "../core/plan/factor";
import type { Limb } from "../core/plan/factors";
import type { Change } from "../core/plan/changes";
import type { LogRate, PlanWindow, RemovedReason } from "../core/plan/plan";
import { figureText, showText, type UnitSystem } from "./quantity";
import { moment, seenTo } from "./river";
import { windWords } from "./sky";
import { capital } from "./text";

type Told = Pick<PlanWindow, "discharge" | "visibleDepth" | "temperature" | "log" | "known" | "weather">;

const RIVER: Readonly<Record<string, string>> = {
  prime: "coming down with colour still in",
  falling: "coming down",
  steady: "steady",
  rising: "rising slowly",
};

const WARMTH: Readonly<Record<string, string>> = {
  "very-cold": "so cold that they hardly feed",
  slow: "cold: they feed slowly",
  cool: "on the cool side",
  good: "where they feed freely",
  warm: "warm: current, oxygen and shade",
};

const LIGHT: Readonly<Record<string, string>> = {
  "cold-sun": "in cold water they bite when the sun is on it",
  "cold-day": "cold water without the sun on it",
  "cold-twilight": "cold water in low light is slow",
  "cold-night": "cold water in the dark is slow",
  edge: "low light, when they move",
  day: "full daylight",
  dull: "an overcast sky over clear water: they come up and in",
  bright: "high sun on clear water: under shade, if at all",
  night: "dark",
  "shy-night": "dark, when these feed",
};

const LEE: Readonly<Record<string, string>> = {
  "lee-left": "the trees on the left bank give lee",
  "lee-right": "the trees on the right bank give lee",
};

const SIZE: Readonly<Record<string, string>> = {
  "large-cooling": "it is cooling: the larger water holds steadier",
  "small-cooling": "it is cooling, and small water cools first",
  "large-warming": "it is warming, and large water warms last",
  "small-warming": "it is warming: small water warms first",
};

/** "Your log: 0.9 fish an hour at such flows (9 h; 0.5 to 1.4)". */
export const logWords = ({ rate, hours, events, interval }: LogRate): string =>
  `Your log at such flows: ${countedWords({ events, hours })}; 80 % range ${figureText(interval[0], 2)} to ${figureText(interval[1], 2)} (likely ${figureText(rate, 2)})`;

/** One reason, with the figure that it follows from. */
export const factorWords = (factor: Factor, told: Told, system: UnitSystem, height?: number): string =>
  capital(wordsOf(factor, told, system, height));

function wordsOf({ what, is }: Factor, told: Told, system: UnitSystem, height?: number): string {
  switch (what) {
    case "river":
      return `${showText(told.discharge, "discharge", system)}, ${RIVER[is]}`;
    case "clarity":
      return `${is}, the bed ${seenTo(told.visibleDepth!, height)}`;
    case "warmth":
      return `Water ${showText(told.temperature!, "temperature", system)}, ${WARMTH[is]}`;
    case "light":
      return LIGHT[is]!;
    case "tide":
      return is === "slack" ? "Slack of the tide, which is slow" : `Tide ${is}`;
    case "season":
      return "Very high for the season: edges and slack alone";
    case "log":
      return told.log ? logWords(told.log) : "";
    case "lies":
      return is === "good" ? "Its lies fish well at such a flow" : "Fewer or poorer lies at such a flow";
    case "band":
      return is === "in" ? "Within the band that you noted for it" : "Outside every band that you noted for it";
    case "size":
      return SIZE[is]!;
    case "relief":
      return is === "inflow" ? "Warm water, and cooler comes in here" : "Warm water, and there is shade here";
    case "wind":
      return `${capital(windWords(told.weather, system))}: ${LEE[is] ?? "light heads are hardly felt, and a boat drifts off"}`;
    case "bait":
      return `The wind has stood on the ${is} bank for two days: bait gathers there`;
    case "known":
      return `You are new to these now: learn the bite at ${told.known!.toLowerCase()}, where fish are known to be`;
  }
}

/** The state of the river in a window in one breath: "6.8 m³/s and falling, green, seen to the knee". */
export function stateWords(window: PlanWindow, limb: Limb, system: UnitSystem, height?: number): string {
  const clarity =
    window.visibleDepth === null
      ? ""
      : `, ${clarityClass(window.visibleDepth)}, ${seenTo(window.visibleDepth, height)}`;
  return `${showText(window.discharge, "discharge", system)} and ${limb}${clarity}`;
}

const REMOVED: Record<RemovedReason, string> = {
  closed: "closed season by the rules that you entered",
  "rising-fast": "the river rises fast",
  "too-warm": "the water is too warm: leave these fish alone",
  thunder: "thunder is forecast",
  "white-caps": "a wind of white caps",
  "too-far": "farther than you will drive",
  "no-gauge": "no gauge says what it does",
  "no-forecast": "its record is too short, or ended too long ago, for a forecast",
  past: "those hours are over",
};
export const removedWords = (reason: RemovedReason): string => REMOVED[reason];

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
  `${showText(rain, "rain", system)} of rain is forecast before then: look at the gauge once more before you leave.`;
