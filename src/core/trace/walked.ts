import simplify from "simplify-js";
import type { Place } from "./channel";
import { planeAbout, type Position } from "./georeference";
import { MOST_PLACES } from "./marks";

/** A fix on the way: m east and north, ms since 1970 UTC where the device told. */
export interface Fix {
  at: Place;
  time?: number;
}

/** A track walked along the water, made a line. */
export interface WalkedLine {
  line: Place[];
  /** Fixes left out since nobody walks to them in that time or comes back from them. */
  jumps: number;
  /** The longest stretch without a fix, m. */
  gap: number;
}

/** A line that was walked, and a place that was marked on the way. */
export interface Track {
  name: string;
  fixes: { at: Position; time?: number }[];
}
export interface WalkFile {
  tracks: Track[];
  places: { at: Position; name: string }[];
  /** Places without a position on earth. */
  refused: number;
}

/** A track on earth made a line: its places, how many fixes it had, and what was left out of it. */
interface WalkedTrack extends Omit<WalkedLine, "line"> {
  name: string;
  fixes: number;
  positions: Position[];
}
/** A walk with its tracks made lines. */
export interface Walk extends Omit<WalkFile, "tracks"> {
  tracks: WalkedTrack[];
}

/** Faster than this nobody walks a bank, m/s. Common practice, no source: a brisk walk is under 2. */
const FASTEST = 3.5;
/** Without times: a step so many times the usual one, and longer than so much, m, is a jump. Own choice. */
const LONG_STEP = { times: 8, least: 15 };
/** As many fixes in a row that agree with one another are where the walker is: the one before them was the jump. */
const AGREE = 4;
/** A phone's fix is good to some metres; a line is drawn to this, m. Own choice. */
const TOLERANCE = 0.8;
/** Usual step where there are too few to tell, m. */
const STEP = 3;

/** Leaves out jumps and simplifies (Douglas & Peucker 1973); ends stay. */
export function walkedLine(fixes: readonly Fix[]): WalkedLine {
  const kept = withoutJumps(fixes);
  const gap = kept.reduce((most, one, k) => (k === 0 ? 0 : Math.max(most, apart(kept[k - 1]!, one))), 0);
  const points = kept.map(({ at }) => ({ x: at[0], y: at[1] }));
  let tolerance = TOLERANCE;
  let simple = simplify(points, tolerance, true);
  // A line has only so many places: a day's walk is drawn more coarsely.
  while (simple.length > MOST_PLACES) simple = simplify(points, (tolerance *= 2), true);
  const line = simple.map(({ x, y }): Place => [x, y]);
  return { line, jumps: fixes.length - kept.length, gap };
}

export const walkOf = ({ tracks, ...rest }: WalkFile): Walk => ({ ...rest, tracks: tracks.map(walkedTrack) });

function walkedTrack({ name, fixes }: Track): WalkedTrack {
  const { toPlane, toPosition } = planeAbout(fixes[0]!.at);
  const { line, jumps, gap } = walkedLine(fixes.map((fix) => ({ ...fix, at: toPlane(fix.at) })));
  return { name, fixes: fixes.length, positions: line.map(toPosition), jumps, gap };
}

const apart = (a: Fix, b: Fix) => Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]);

function withoutJumps(fixes: readonly Fix[]): Fix[] {
  const steps = fixes.slice(1).map((one, k) => apart(fixes[k]!, one));
  const usual = steps.length < 4 ? STEP : [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)]!;
  const far = (a: Fix, b: Fix) => {
    const distance = apart(a, b);
    const seconds = a.time !== undefined && b.time !== undefined ? (b.time - a.time) / 1000 : 0;
    // Two fixes at one instant are held to the length of a step.
    if (seconds > 0) return distance > Math.max(TOLERANCE * 6, FASTEST * seconds);
    return distance > Math.max(LONG_STEP.least, LONG_STEP.times * usual);
  };
  const kept: Fix[] = [];
  let aside: Fix[] = [];
  for (const fix of fixes) {
    const last = kept.at(-1);
    if (!last || !far(last, fix)) {
      kept.push(fix);
      aside = [];
      continue;
    }
    aside = aside.length > 0 && far(aside.at(-1)!, fix) ? [fix] : [...aside, fix];
    if (aside.length < AGREE) continue;
    // The walk goes on over there. What stood alone before it was the jump; a walk that paused its device was none.
    if (kept.length < AGREE) kept.length = 0;
    kept.push(...aside);
    aside = [];
  }
  return kept;
}
