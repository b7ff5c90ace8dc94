import { quantileSorted } from "simple-statistics";
import type { Effort } from "./effort";

/** Fish an hour against flow, without classes: the density of fish over that of hours along ln Q. */
export interface SmoothPoint {
  /** m3/s */
  discharge: number;
  /** Per rod-hour; null where hardly anybody fished. */
  rate: number | null;
  /** 80 % of resampled logs lie between. */
  low: number | null;
  high: number | null;
  /** Rod-hours near it, as the kernel weighs them. */
  hours: number;
}

const POINTS = 48;
/** Sessions drawn anew so many times. */
const RESAMPLES = 400;
/** Rod-hours about a flow without which nothing is said of it. Common practice, no source. */
const LEAST_HOURS = 1.5;
/** Narrowest kernel, ln Q. */
const NARROWEST = 0.1;

interface Mark {
  x: number;
  hours: number;
  events: number;
}

/**
 * Kernel ratio with a band bootstrapped over sessions, since fish of one session are not independent (Efron &
 * Tibshirani 1993, chapter 8: the units that are drawn are those that are independent). Bandwidth by Silverman's rule
 * (1986, eq. 3.31) over the hours fished.
 * @param random uniform on 0..1, seeded by who asks
 * @returns points along ln Q, evenly spaced; empty without two flows
 */
export function smoothRate(efforts: readonly Effort[], random: () => number, resamples = RESAMPLES): SmoothPoint[] {
  const sessions = sessionsOf(efforts);
  const marks = sessions.flat();
  const xs = marks.map((mark) => mark.x);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  if (marks.length < 2 || to - from < NARROWEST) return [];
  const width = bandwidth(marks, sessions.length);
  const grid = Array.from({ length: POINTS }, (_, k) => from + ((to - from) * k) / (POINTS - 1));
  // Each session's hours and fish at each point: a resampled log is a sum of rows.
  const rows = sessions.map((own) => grid.map((x) => at(own, x, width)));
  const of = (chosen: readonly number[]) =>
    grid.map((_, k) => {
      let [hours, events] = [0, 0];
      for (const n of chosen) {
        hours += rows[n]![k]!.hours;
        events += rows[n]![k]!.events;
      }
      return { hours, rate: hours > 0 ? events / hours : null };
    });
  const whole = of(rows.map((_, n) => n));
  const drawn = Array.from({ length: resamples }, () => of(rows.map(() => Math.floor(random() * rows.length))));
  return grid.map((x, k): SmoothPoint => {
    const { hours, rate } = whole[k]!;
    if (hours < LEAST_HOURS || rate === null)
      return { discharge: Math.exp(x), hours, rate: null, low: null, high: null };
    const sorted = drawn.flatMap((one) => one[k]!.rate ?? []).sort((a, b) => a - b);
    return {
      discharge: Math.exp(x),
      hours,
      rate,
      low: quantileSorted(sorted, 0.1),
      high: quantileSorted(sorted, 0.9),
    };
  });
}

function sessionsOf(efforts: readonly Effort[]): Mark[][] {
  const sessions = new Map<string, Mark[]>();
  for (const { session, river, hours, catches } of efforts) {
    if (!river?.discharge || river.discharge <= 0 || hours <= 0) continue;
    const own = sessions.get(session) ?? [];
    own.push({ x: Math.log(river.discharge), hours, events: catches.length });
    sessions.set(session, own);
  }
  return [...sessions.values()];
}

function at(marks: readonly Mark[], x: number, width: number): { hours: number; events: number } {
  let [hours, events] = [0, 0];
  for (const mark of marks) {
    const weight = Math.exp(-0.5 * ((x - mark.x) / width) ** 2);
    hours += weight * mark.hours;
    events += weight * mark.events;
  }
  return { hours, events };
}

function bandwidth(marks: readonly Mark[], sessions: number): number {
  const hours = marks.reduce((sum, mark) => sum + mark.hours, 0);
  const mean = marks.reduce((sum, mark) => sum + mark.hours * mark.x, 0) / hours;
  const spread = Math.sqrt(marks.reduce((sum, mark) => sum + mark.hours * (mark.x - mean) ** 2, 0) / hours);
  return Math.max(NARROWEST, 0.9 * spread * sessions ** -0.2);
}
