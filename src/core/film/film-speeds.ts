import { median } from "simple-statistics";
import { InputError } from "../quantity/fault";
import {
  addPair,
  emptySpectra,
  emptySum,
  FURTHEST,
  INNER,
  SEARCH,
  type Shift,
  shiftOf,
  type Spectra,
  spectraOf,
  TEMPLATE,
} from "./correlate";
import { type PlanView, UNSEEN } from "./plan-view";

/** A frame of a film from above, and when it was taken, s. */
export interface ViewedFrame {
  seen: Uint8Array;
  seconds: number;
}

/** Speed of the water's surface at a place of the plane: m, m/s. */
export interface Arrow {
  x: number;
  y: number;
  u: number;
  v: number;
  /** How distinct the water's motion was, 0 to 1: one less the second best match over the best. */
  quality: number;
}

/** What a film tells of the water. */
export interface FilmSpeeds {
  arrows: Arrow[];
  /** m from one place that was looked at to the next. */
  spacing: number;
  /** Side of the water that counts to one place, m. */
  window: number;
  /** Places that were looked at; of them without a distinct motion, dazzled or hidden, and out of line with theirs. */
  places: number;
  indistinct: number;
  unseen: number;
  astray: number;
}

/** The water is followed over so many frames: a longer wait for slow water. */
const WAITS = [1, 2, 4, 8, 16] as const;
/** A wait is this many frames' time off at most. */
const JITTER = 0.2;
/**
 * A match counts from here: over the next best (common practice, 1.2 to 1.5), and as a correlation, summed over pairs:
 * water without marks comes to 0.08 and less, with marks to 0.35 and more (film-reader.test.ts; own choice between).
 */
const DISTINCT = { ratio: 1.25, correlation: 0.15 };
/** Two waits agree when the longer one's shift is so near what the shorter one's leads to: px, and share. */
const AGREE = { pixels: 1, share: 0.25 };
/** A window with less of it seen is left out. */
const LEAST_SEEN = 0.7;
/** Frames that a film must have for a pair of each wait. */
const LEAST_FRAMES = 12;

/**
 * Speeds of the surface by following the water's own marks (large-scale particle image velocimetry: Fujita, Muste &
 * Kruger 1998, J. Hydraul. Res. 36, 397-414; Muste, Fujita & Hauet 2008, Water Resour. Res. 44). What stands still, as
 * shadows and stones, is taken out with the mean of the frames; dazzled water is not looked at. A generator: its value
 * is how far it has come, 0 to 1.
 * @throws InputError "film-too-short"
 */
export function* filmSpeeds(view: PlanView, frames: readonly ViewedFrame[]): Generator<number, FilmSpeeds> {
  if (frames.length < LEAST_FRAMES) throw new InputError("film-too-short", { frames: frames.length });
  const moving = movingPart(view, frames);
  const pairs = pairsOf(frames.map(({ seconds }) => seconds));
  const step = TEMPLATE / 2;
  const [columns, rows] = [view.nx, view.ny].map((n) => Math.floor(n / step)) as [number, number];
  const found = new Map<number, Arrow>();
  const spectra = frames.map(emptySpectra);
  const told = { places: 0, indistinct: 0, unseen: 0 };
  for (let n = 0; n < columns * rows; n++) {
    const [i, j] = [((n % columns) + 0.5) * step, (Math.floor(n / columns) + 0.5) * step].map(Math.floor) as [
      number,
      number,
    ];
    if (!view.inside[j * view.nx + i]) continue;
    told.places++;
    if (!lookAt(view, moving, i, j, spectra)) told.unseen++;
    else {
      const best = motionOf(spectra, pairs);
      if (!best) told.indistinct++;
      else
        found.set(n, {
          x: view.corner[0] + (i + 0.5) * view.pixel,
          y: view.corner[1] + (j + 0.5) * view.pixel,
          u: (best.x * view.pixel) / best.seconds,
          v: (best.y * view.pixel) / best.seconds,
          quality: 1 - 1 / best.ratio,
        });
    }
    yield n / (columns * rows);
  }
  const sound = [...found].filter(([n]) => !isAstray(found, n, columns, view.pixel));
  return {
    arrows: sound.map(([, arrow]) => arrow),
    spacing: step * view.pixel,
    window: TEMPLATE * view.pixel,
    ...told,
    astray: found.size - sound.length,
  };
}

/** Each frame less the mean of all: what moves. NaN where it is not seen, or in too few frames. */
function movingPart({ nx, ny }: PlanView, frames: readonly ViewedFrame[]): Float32Array[] {
  const [sum, count] = [new Float64Array(nx * ny), new Uint16Array(nx * ny)];
  for (const { seen } of frames)
    for (let k = 0; k < seen.length; k++)
      if (seen[k] !== UNSEEN) {
        sum[k]! += seen[k]!;
        count[k]!++;
      }
  return frames.map(({ seen }) => {
    const moving = new Float32Array(nx * ny).fill(NaN);
    for (let k = 0; k < seen.length; k++)
      if (seen[k] !== UNSEEN && count[k]! >= frames.length / 2) moving[k] = seen[k]! - sum[k]! / count[k]!;
    return moving;
  });
}

interface Pairs {
  frames: [number, number][];
  seconds: number;
}

/** Frames a wait apart, for each wait. Frames that were left out leave no pairs of other waits among them. */
function pairsOf(times: readonly number[]): Pairs[] {
  const steps = times.slice(1).map((time, k) => time - times[k]!);
  const usual = steps.toSorted((a, b) => a - b)[Math.floor(steps.length / 2)]!;
  return WAITS.map((wait) => {
    const frames: [number, number][] = [];
    let total = 0;
    times.forEach((from, k) => {
      for (let m = k + 1; m < times.length && times[m]! - from < (wait + 1) * usual; m++)
        if (Math.abs(times[m]! - from - wait * usual) < JITTER * usual) {
          frames.push([k, m]);
          total += times[m]! - from;
        }
    });
    return { frames, seconds: total / Math.max(1, frames.length) };
  }).filter(({ frames }) => frames.length > 0);
}

const window = new Float32Array(SEARCH * SEARCH);
/** Spectra of all frames about a pixel; false where the water is dazzled, hidden or off the film there. */
function lookAt(
  { nx, ny }: PlanView,
  frames: readonly Float32Array[],
  i: number,
  j: number,
  into: readonly Spectra[],
): boolean {
  const left = i - SEARCH / 2;
  const [from, to] = [Math.max(0, left), Math.min(nx, left + SEARCH)];
  return frames.every((frame, n) => {
    window.fill(NaN);
    for (let row = 0; row < SEARCH; row++) {
      const y = j - SEARCH / 2 + row;
      if (y >= 0 && y < ny) window.set(frame.subarray(y * nx + from, y * nx + to), row * SEARCH + from - left);
    }
    let hidden = 0;
    for (let k = 0; k < window.length; k++)
      if (Number.isNaN(window[k]!)) {
        if (INNER[k]) hidden++;
        window[k] = 0;
      }
    if (hidden > (1 - LEAST_SEEN) * TEMPLATE ** 2) return false;
    spectraOf(window, into[n]!);
    return true;
  });
}

/**
 * The water's shift over the longest wait that it can be followed over: the shortest wait with a distinct match, then
 * each longer one that agrees with it.
 */
function motionOf(spectra: readonly Spectra[], pairs: readonly Pairs[]): (Shift & { seconds: number }) | undefined {
  let best: (Shift & { seconds: number }) | undefined;
  let agreeing = 0;
  let beyond = false;
  for (const { frames, seconds } of pairs) {
    const ahead = best && { x: (best.x * seconds) / best.seconds, y: (best.y * seconds) / best.seconds };
    beyond = ahead !== undefined && Math.max(Math.abs(ahead.x), Math.abs(ahead.y)) > FURTHEST - 1;
    if (beyond) break;
    const sum = emptySum();
    for (const [from, to] of frames) addPair(sum, spectra[from]!, spectra[to]!);
    const shift = shiftOf(sum);
    const distinct = shift && shift.ratio >= DISTINCT.ratio && shift.correlation >= DISTINCT.correlation;
    if (!distinct) {
      if (best) break;
      continue;
    }
    const off = ahead ? Math.hypot(shift.x - ahead.x, shift.y - ahead.y) : 0;
    if (ahead && off > AGREE.pixels + AGREE.share * Math.hypot(ahead.x, ahead.y)) break;
    best = { ...shift, seconds };
    agreeing++;
  }
  // What a trembling hand moves to and fro goes no further over a longer wait.
  return agreeing > 1 || beyond ? best : undefined;
}

/** Neighbours that a place is held against at least, and the limit of the test; noise of a shift, px a second. */
const LEAST_NEIGHBOURS = 3;
const MEDIAN_TEST = { limit: 2.5, noise: 0.6 };

/** Is an arrow out of line with those around it? Normalised median test (Westerweel & Scarano 2005, Exp. Fluids 39). */
function isAstray(found: ReadonlyMap<number, Arrow>, n: number, columns: number, pixel: number): boolean {
  const around = [-1, 0, 1].flatMap((dj) =>
    [-1, 0, 1].flatMap((di) => {
      const column = (n % columns) + di;
      const other = di === 0 && dj === 0 ? undefined : found.get(n + dj * columns + di);
      return other && column >= 0 && column < columns ? [other] : [];
    }),
  );
  if (around.length < LEAST_NEIGHBOURS) return true;
  const own = found.get(n)!;
  const off = (of: (arrow: Arrow) => number) => {
    const middle = median(around.map(of));
    const spread = median(around.map((arrow) => Math.abs(of(arrow) - middle)));
    return (of(own) - middle) / (spread + MEDIAN_TEST.noise * pixel);
  };
  return (
    Math.hypot(
      off(({ u }) => u),
      off(({ v }) => v),
    ) > MEDIAN_TEST.limit
  );
}
