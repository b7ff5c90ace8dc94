import type { RateClass, Comparison } from "../core/book/rates";
import type { Signal } from "../core/book/signals";
import type { LieKind } from "../core/book/bank-records";
import { DEPTH_EDGES, SPEED_EDGES, type Trial } from "../core/book/preference";
import { figureText, show, showText, type UnitSystem } from "./quantity";
import { LIE_KIND_NAMES } from "./rates";
import { count } from "./text";

const hoursText = (hours: number): string => `${figureText(hours, hours < 10 ? 1 : 0)} h`;

interface Told {
  hours: number;
  events: number;
  rate: number;
  interval: readonly [number, number];
}

/** Shorter fishing has no rate that anyone would say, h. */
const LEAST_COUNTED = 0.05;

/** Fish an hour as they were counted; in words where there is no such figure. */
export const countedText = ({ events, hours }: Pick<Told, "events" | "hours">): string =>
  hours <= 0 ? "not fished" : hours < LEAST_COUNTED ? "too short" : figureText(events / hours, 2);

/** "3 fish in 7.5 h, 0.40 an hour counted": what the log holds, before anything is made of it. */
export const countedWords = ({ events, hours }: Pick<Told, "events" | "hours">): string =>
  `${count(events, "fish", "fish")} in ${hoursText(hours)}${hours >= LEAST_COUNTED ? `, ${countedText({ events, hours })} an hour counted` : ""}`;

/** "3 fish in 7.5 h, 0.40 an hour counted; likely 0.38 an hour (80 %: 0.16 to 0.72)". */
export const rateWords = (one: Told): string =>
  `${countedWords(one)}; likely ${figureText(one.rate, 2)} an hour (80 %: ${figureText(one.interval[0], 2)} to ${figureText(one.interval[1], 2)})`;

/** The class with most fish an hour among those fished for a while; undefined where none was. */
export const bestClass = <T extends RateClass>(classes: readonly T[]): T | undefined =>
  classes
    .filter((one) => one.key !== "unknown" && one.rate !== null && one.hours >= LEAST_HOURS)
    .sort((a, b) => b.rate! - a.rate!)[0];

/** A class that was fished for less is not called the best of anything. Common practice, no source. */
const LEAST_HOURS = 2;

/** What the log has to say of a property; `best` is the name of its best class. */
export function signalWords(signal: Signal, best: string | undefined): string {
  const { verdict, p, hours, wanted } = signal;
  if (verdict === "supported")
    return `${best}: ${figureText(signal.best!.times, 1)} times the rate of the rest. Chance alone gives that much ${chanceWords(p!)}.`;
  if (verdict === "no-sign") return `No effect in ${hoursText(hours)}, enough to show a doubling.`;
  if (hours === 0) return "No data yet.";
  if (wanted === null) return `${hoursText(hours)} without a fish: nothing to compare yet.`;
  if (hours >= wanted) return `${hoursText(hours)}, but almost all in one class.`;
  return `${hoursText(hours)} of about ${hoursText(wanted)} needed to show a doubling.`;
}

/** "one time in 40". */
export const chanceWords = (p: number): string =>
  p <= 0.001 ? "less than one time in 1000" : `one time in ${figureText(Math.round(1 / p), 0)}`;

/** Which of two is better, and how sure that is. */
export function comparisonWords({ chance }: Comparison, one: string, other: string): string {
  const [better, sure] = chance >= 0.5 ? [one, chance] : [other, 1 - chance];
  const text = `${figureText(100 * Math.min(sure, 0.999), sure > 0.99 ? 1 : 0)} %`;
  return sure < SURE
    ? `No clear difference yet: ${better} is ahead (${text} sure).`
    : `${better} is better (${text} sure).`;
}

/** Below this a difference is not told as one: nine in ten. Common practice, no source. */
const SURE = 0.9;

/** "0.7 to 1.0 m deep", "0.20 to 0.35 m/s at the fish", "deep of a pool". */
export function likingName(key: string, system: UnitSystem): string {
  const [what, which] = key.split(" ") as [string, string];
  if (what === "kind") return LIE_KIND_NAMES[which as LieKind] ?? which;
  const edges = what === "depth" ? DEPTH_EDGES : SPEED_EDGES;
  const [low, high] = [edges[Number(which)]!, edges[Number(which) + 1]!];
  const shown = what === "depth" ? "depth" : "speed";
  const end = what === "depth" ? "deep" : "at the fish";
  if (high === edges.at(-1)) return `over ${showText(low, shown, system)} ${end}`;
  return `${show(low, shown, system).figure} to ${showText(high, shown, system)} ${end}`;
}

/** Whether what was learnt ranks better on sessions that it has not seen. */
export function trialWords(trial: Trial | null): string {
  if (trial === null) return "Too few sessions with both a productive and a blank spot to test it.";
  const [before, after] = [trial.before, trial.after].map((share) => `${figureText(100 * share, 0)} %`);
  const tried = `Tested on sessions left out: of ${count(trial.pairs, "pair")} of spots the model alone puts ${before} in the right order; with your fish, ${after}.`;
  return `${tried} ${trial.better ? "That is better." : "That could be chance. Leave it off for now."}`;
}
