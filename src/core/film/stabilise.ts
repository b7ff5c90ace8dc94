import { isWithin } from "../trace/channel";
import { parabolaPeak } from "./correlate";
import type { Frame } from "./frame";
import type { Point } from "./homography";

/**
 * Half the side of a patch that is followed, px, and how far it is sought from where it was last, px: further each time
 * that it was lost. Own choice.
 */
const HALF = 8;
const SOUGHT = 8;
/** So many are sought that far; all of them then within this of where those lead to, px. */
const FEW = 6;
const NEARBY = 4;
/** What stands is learnt from so many frames: a patch stays that kept to the rest in this share of the later half. */
export const LEARNT_FROM = 24;
const PASSES = 0.7;
/** Patches that are followed besides those at the marked points: the most distinct of each of so many tiles. */
const TILES = { columns: 8, rows: 5 };
const MOST_PATCHES = 24;
/** Least contrast of a patch: standard deviation of brightness. */
const LEAST_CONTRAST = 6;
/** A patch is found where it resembles itself to this correlation; one further off than this from the rest is not. */
const FOUND = 0.6;
const ASTRAY = 1.5;
/**
 * A frame in which fewer patches agree is left out: two make a motion, a third holds it; and this share of those that
 * are known to stand.
 */
const LEAST_FOUND = 3;
const LEAST_SHARE = 0.5;

/** A square of the first frame that stands still: its middle, its contrast of unit length, and that length. */
interface Patch {
  at: Point;
  values: Float32Array;
  size: number;
}

/** From px of the first frame to those of a frame: a turn, its cosine and sine, then a shift. */
export interface Motion {
  a: number;
  b: number;
  x: number;
  y: number;
}
const STILL: Motion = { a: 1, b: 0, x: 0, y: 0 };

const moved = ({ a, b, x, y }: Motion, [px, py]: Point): Point => [a * px - b * py + x, b * px + a * py + y];

const SIDE = 2 * HALF + 1;

/** Does a square about a pixel lie on the picture? */
const isOn = ({ width, height }: Frame, i: number, j: number): boolean =>
  i >= HALF && j >= HALF && i < width - HALF && j < height - HALF;

function patchAt(frame: Frame, [x, y]: Point): Patch | undefined {
  const [i, j] = [Math.floor(x), Math.floor(y)];
  if (!isOn(frame, i, j)) return undefined;
  const values = Float32Array.from(
    { length: SIDE * SIDE },
    (_, k) => frame.grey[(j - HALF + Math.floor(k / SIDE)) * frame.width + i - HALF + (k % SIDE)]!,
  );
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
  const size = Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0));
  if (size < LEAST_CONTRAST * SIDE) return undefined;
  return { at: [i, j], values: values.map((one) => (one - mean) / size), size };
}

/** Correlation of a patch with the square about a pixel, -1 to 1. */
function likeness({ grey, width }: Frame, values: Float32Array, i: number, j: number): number {
  let sum = 0;
  let squares = 0;
  let product = 0;
  let k = 0;
  for (let y = j - HALF; y <= j + HALF; y++) {
    const from = y * width + i - HALF;
    for (let n = from; n < from + SIDE; n++) {
      const value = grey[n]!;
      sum += value;
      squares += value * value;
      product += value * values[k++]!;
    }
  }
  return product / Math.sqrt(squares - sum ** 2 / k || 1);
}

/**
 * How well a patch can be found in both directions: the lesser eigenvalue of its gradients' matrix (Shi & Tomasi 1994).
 */
function cornerness({ values, size }: Patch): number {
  let [xx, xy, yy] = [0, 0, 0];
  for (let j = 1; j < SIDE - 1; j++)
    for (let i = 1; i < SIDE - 1; i++) {
      const k = j * SIDE + i;
      const [dx, dy] = [values[k + 1]! - values[k - 1]!, values[k + SIDE]! - values[k - SIDE]!];
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  return size ** 2 * ((xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy));
}

/**
 * What may stand still in a film: squares at the marked points, which do, and the most distinct squares off the water
 * that is measured, spread over the picture, the most distinct first.
 */
export function stillPatches(first: Frame, water: readonly Point[], marked: readonly Point[]): Patches {
  const { width, height } = first;
  const best = new Map<number, { patch: Patch; distinct: number }>();
  for (let y = SIDE; y < height - SIDE; y += HALF)
    for (let x = SIDE; x < width - SIDE; x += HALF) {
      const corners = [-HALF, HALF].flatMap((dx) => [-HALF, HALF].map((dy): Point => [x + dx, y + dy]));
      if (corners.some((corner) => isWithin(water, corner))) continue;
      const patch = patchAt(first, [x, y]);
      if (!patch) continue;
      const tile = Math.floor((y / height) * TILES.rows) * TILES.columns + Math.floor((x / width) * TILES.columns);
      const distinct = cornerness(patch);
      if (distinct > (best.get(tile)?.distinct ?? 0)) best.set(tile, { patch, distinct });
    }
  const others = [...best.values()].toSorted((a, b) => b.distinct - a.distinct).slice(0, MOST_PATCHES);
  const own = marked.map((point) => patchAt(first, point)).filter((one) => one !== undefined);
  return { all: [...others.map(({ patch }) => patch), ...own], marked: new Set(own) };
}

/** Where a patch is found so near a place, px, to a part of a px, by normalised cross-correlation. */
function find(frame: Frame, { values }: Patch, [x, y]: Point, sought: number): Point | undefined {
  const [i, j] = [Math.round(x), Math.round(y)];
  const span = 2 * sought + 1;
  const scores = new Float32Array(span * span).fill(-1);
  let best = 0;
  for (let n = 0; n < scores.length; n++) {
    const [px, py] = [i + (n % span) - sought, j + Math.floor(n / span) - sought];
    if (!isOn(frame, px, py)) continue;
    scores[n] = likeness(frame, values, px, py);
    if (scores[n]! > scores[best]!) best = n;
  }
  const [di, dj] = [best % span, Math.floor(best / span)];
  if (scores[best]! < FOUND || di === 0 || dj === 0 || di === span - 1 || dj === span - 1) return undefined;
  return [
    i + di - sought + parabolaPeak(scores[best - 1]!, scores[best]!, scores[best + 1]!),
    j + dj - sought + parabolaPeak(scores[best - span]!, scores[best]!, scores[best + span]!),
  ];
}

/**
 * Turn and shift of least squares (Procrustes without scale: a hand does not zoom); over two pairs or more, a third
 * makes the turn surer.
 */
function fit(pairs: readonly Pair[]): Motion {
  const n = pairs.length;
  let [fx, fy, tx, ty] = [0, 0, 0, 0];
  for (const { patch, to } of pairs) {
    fx += patch.at[0] / n;
    fy += patch.at[1] / n;
    tx += to[0] / n;
    ty += to[1] / n;
  }
  let [along, across] = [0, 0];
  for (const { patch, to } of pairs) {
    const [x, y, u, v] = [patch.at[0] - fx, patch.at[1] - fy, to[0] - tx, to[1] - ty];
    along += x * u + y * v;
    across += x * v - y * u;
  }
  const size = Math.hypot(along, across) || 1;
  const [a, b] = [along / size || 1, across / size];
  return { a, b, x: tx - a * fx + b * fy, y: ty - b * fx - a * fy };
}

interface Pair {
  patch: Patch;
  to: Point;
}

const off = (by: Motion, { patch, to }: Pair): number => {
  const [x, y] = moved(by, patch.at);
  return Math.hypot(x - to[0], y - to[1]);
};

/** What a patch counts in finding what most agree on: the marked points are known to stand. */
const COUNTS = { marked: 3, other: 1 };

/**
 * The motion that most patches agree on: of all that two of them make, the one that most others fit, by least
 * squares over those (random sample consensus, Fischler & Bolles 1981, here over all samples). Undefined with too few.
 */
function agreed(
  pairs: readonly Pair[],
  marked: ReadonlySet<Patch>,
  least: number,
): { by: Motion; fits: Pair[] } | undefined {
  let [best, most] = [[] as Pair[], 0];
  pairs.forEach((a, k) => {
    for (const b of pairs.slice(k + 1)) {
      const by = fit([a, b]);
      const fits = pairs.filter((pair) => off(by, pair) <= ASTRAY);
      const count = fits.reduce((sum, { patch }) => sum + (marked.has(patch) ? COUNTS.marked : COUNTS.other), 0);
      if (count > most) [best, most] = [fits, count];
    }
  });
  return best.length < least ? undefined : { by: fit(best), fits: best };
}

const found = (frame: Frame, some: readonly Patch[], by: Motion, sought: number): Pair[] =>
  some.flatMap((patch) => {
    const to = find(frame, patch, moved(by, patch.at), sought);
    return to ? [{ patch, to }] : [];
  });

/** Patches that may stand still, the most distinct first, and those of them at the marked points. */
export interface Patches {
  all: readonly Patch[];
  marked: ReadonlySet<Patch>;
}

/**
 * Those patches that stand still over the first frames of a film. Water runs off what is measured too, and its marks
 * move as one at first: what keeps to what most agree on later on is kept.
 */
export function standing({ all, marked }: Patches, frames: readonly Frame[]): Patches {
  const passed = new Map<Patch, number>();
  let [last, counted] = [STILL, 0];
  frames.forEach((frame, k) => {
    const now = agreed(found(frame, all, last, SOUGHT), marked, LEAST_FOUND);
    if (!now) return;
    last = now.by;
    if (k < frames.length / 2) return;
    counted++;
    for (const { patch } of now.fits) passed.set(patch, (passed.get(patch) ?? 0) + 1);
  });
  const kept = all.filter((patch) => (passed.get(patch) ?? 0) >= PASSES * counted);
  return { all: kept.length < LEAST_FOUND ? all : kept, marked };
}

/**
 * How a hand-held camera moved since the first frame, by what stands still; frames are given in order. From px of the
 * first frame to those of each: undefined where too little of it was found.
 */
export function follower({ all, marked }: Patches): (frame: Frame) => Motion | undefined {
  let [last, lost] = [STILL, 0];
  const few = all.slice(0, FEW);
  const least = (some: readonly Patch[]) => Math.max(LEAST_FOUND, LEAST_SHARE * some.length);
  return (frame) => {
    const sought = SOUGHT * Math.min(3, 1 + lost);
    const rough = agreed(found(frame, few, last, sought), marked, least(few));
    const pairs = rough ? found(frame, all, rough.by, NEARBY) : found(frame, all, last, sought);
    const now = agreed(pairs, marked, least(all));
    lost = now ? 0 : lost + 1;
    if (now) last = now.by;
    return now?.by;
  };
}
