import { quantileSorted } from "simple-statistics";
import { BAND } from "../forecast";
import { mixed, type Weighing } from "./combined";
import { betweenLeads } from "./leads";
import type { State } from "./neighbours";
import { nearestApart } from "./nearest";
import type { Trials } from "./trials";

/**
 * A forecast dressed with its own errors (Roulston & Smith 2003, Tellus A 55, 16): the paths are the mixed forecast
 * plus what it erred by in the trials whose state was most like this one.
 */

/** Paths of a forecast, and at most so many of one event. Common practice, no source. */
const PATHS = 60;
const TOGETHER = 2;
/** Weight of the hour of the day and of the week in the distance of two states. Own choice. */
const HOUR_WEIGHT = 0.5;
const WEEK_WEIGHT = 0.1;
/** Errors from which a band is told. */
export const LEAST_ERRORS = PATHS / 4;
/** The band holds so much. */
const HELD = 0.8;
/** The newest trials that bands are tried on, fewest that they are stretched from, and how far. Own choice. */
const SCORED = 250;
const LEAST_SCORES = 60;
const STRETCH = { least: 0.5, most: 6 };
/** Half bands: an error further off, or off a band of no width, counts as this far. */
const FURTHEST = 100;

/** How many trials' outcomes were read by a step. */
export function knownAt({ at, ahead }: Trials, k: number): number {
  let known = at.length;
  while (known > 0 && at[known - 1]! + ahead > k) known--;
  return known;
}

/** What the forecasts of the first `count` trials by weights erred by, on the grid's scale. */
export function errorsOf({ ahead, said, came, rain }: Trials, weighing: Weighing, count: number): Float32Array {
  const known = said.map((own) => own.subarray(0, count * ahead));
  const dry = mixed(known, weighing.dry, ahead);
  if (!rain) return dry.map((forecast, k) => came[k]! - forecast);
  const wet = mixed(known, weighing.wet, ahead);
  return dry.map((forecast, k) => came[k]! - (k % ahead >= rain.from[Math.floor(k / ahead)]! ? wet[k]! : forecast));
}

const stateOf = ({ at, states, size }: Trials, n: number): State => ({
  k: at[n]!,
  figures: states.subarray(n * size, (n + 1) * size),
});

/** The trials most like a state of those before the `known`th, nearest first. `day`: steps of one. */
export function likeTrials({ at, states, size }: Trials, { k, figures }: State, known: number, day: number): number[] {
  const far = new Float64Array(known);
  for (let n = 0; n < known; n++) {
    const turn = (2 * Math.PI * (k - at[n]!)) / day;
    let sum = HOUR_WEIGHT * (1 - Math.cos(turn)) + WEEK_WEIGHT * (1 - Math.cos(turn / 7));
    for (let f = 0; f < size; f++) sum += (figures[f]! - states[n * size + f]!) ** 2;
    far[n] = sum;
  }
  return nearestApart(at, far, { most: PATHS, together: TOGETHER, apart: day });
}

/** The errors that a band is told from: 10, 50 and 90 %; NaN where too few are known. */
export interface ErrorBand {
  low: number;
  middle: number;
  high: number;
}

export const NO_BAND: ErrorBand = { low: NaN, middle: NaN, high: NaN };

/** Errors of leads so near, as a share of the lead, tell of this one too: a band does not jump. Own choice. */
const NEAR_LEADS = 1 / 8;

/** What the errors of like trials say of the `h`th step. */
export function bandAt(errors: Float32Array, like: readonly number[], ahead: number, h: number): ErrorBand {
  const near = Math.floor((h + 1) * NEAR_LEADS);
  const [first, last] = [Math.max(0, h - near), Math.min(ahead - 1, h + near)];
  // Three of them, or one: more tell the same again.
  const leads = near > 0 ? [first, h, last] : [h];
  const own = new Float64Array(like.length * leads.length);
  let count = 0;
  for (const n of like)
    for (const lead of leads) {
      const error = errors[n * ahead + lead]!;
      if (!Number.isNaN(error)) own[count++] = error;
    }
  if (count < LEAST_ERRORS) return NO_BAND;
  const sorted = own.subarray(0, count).sort() as unknown as number[];
  const [low, middle, high] = BAND.map((q) => quantileSorted(sorted, q)) as [number, number, number];
  return { low, middle, high };
}

/**
 * How many half bands an error lies off, NaN without a band: the mixed forecast is the middle, the band lies about it
 * as the errors about theirs.
 */
export function scoreOf(error: number, { low, middle, high }: ErrorBand): number {
  const half = error < 0 ? middle - low : high - middle;
  if (half > 0) return Math.min(FURTHEST, Math.abs(error) / half);
  return Number.isNaN(half) ? NaN : error === 0 ? 0 : FURTHEST;
}

/**
 * How far a band must be stretched to hold four truths in five of those before (conformal prediction: Romano, Patterson
 * & Candes 2019, by shares of the band; the newest alone, since rivers change). `scores`: in order of time. `spans`:
 * how many times the lead the trials go back over.
 */
export function stretchOf(scores: readonly number[], spans: number): number {
  const sorted = scores.slice(-SCORED).sort((a, b) => a - b);
  const held = scores.length < LEAST_SCORES ? 1 : quantileSorted(sorted, HELD);
  return Math.min(STRETCH.most, Math.max(STRETCH.least, held) * room(spans));
}

/** Quantile of the standard normal distribution at 0.9. */
const Z = 1.2816;

/**
 * Trials nearer than the lead tell of the same hours: with so few that do not, a band is wider as Student's t is (its
 * quantile by the expansion of Abramowitz & Stegun 1964, 26.7.5) and its middle uncertain too.
 */
function room(spans: number): number {
  const free = Math.max(1, spans - 1);
  const t =
    Z +
    (Z ** 3 + Z) / (4 * free) +
    (5 * Z ** 5 + 16 * Z ** 3 + 3 * Z) / (96 * free ** 2) +
    (3 * Z ** 7 + 19 * Z ** 5 + 17 * Z ** 3 - 15 * Z) / (384 * free ** 3);
  return (t / Z) * Math.sqrt(1 + 1 / (free + 1));
}

/** How many times a lead the first `known` trials go back over. */
export const spansOf = ({ at }: Trials, known: number, lead: number): number =>
  known > 0 ? (at[known - 1]! - at[0]!) / lead : 0;

/** The trials before one that were most like it, and what they say of it. */
export interface Dressing {
  like: number[];
  /** For each lead. */
  bands: ErrorBand[];
}

/** The bands of a trial at some leads, by what was known then; null before anything was. */
export function dressingOf(
  trials: Trials,
  errors: Float32Array,
  leads: readonly number[],
  n: number,
  day: number,
): Dressing | null {
  const known = knownAt(trials, trials.at[n]!);
  if (known < LEAST_ERRORS) return null;
  const like = likeTrials(trials, stateOf(trials, n), known, day);
  return { like, bands: leads.map((lead) => bandAt(errors, like, trials.ahead, lead - 1)) };
}

/** By how much the bands of some steps ahead are stretched, from the newest of the first `known` trials. */
export function stretchesOf(
  trials: Trials,
  errors: Float32Array,
  leads: readonly number[],
  known: number,
  day: number,
): (steps: number) => number {
  const scores: number[][] = leads.map(() => []);
  for (let n = Math.max(0, known - SCORED); n < known; n++) {
    dressingOf(trials, errors, leads, n, day)?.bands.forEach((band, l) => {
      const score = scoreOf(errors[n * trials.ahead + leads[l]! - 1]!, band);
      if (!Number.isNaN(score)) scores[l]!.push(score);
    });
  }
  const at = scores.map((own, l) => stretchOf(own, spansOf(trials, known, leads[l]!)));
  return (steps) => betweenLeads(leads, steps, (lead) => at[lead]!);
}
