import FFT from "fft.js";

/** Side of the water that is followed, and of the water it is sought in, both px of the plan. Own choice. */
export const TEMPLATE = 16;
export const SEARCH = 32;
/** Furthest that it is followed, px. */
export const FURTHEST = (SEARCH - TEMPLATE) / 2 - 1;
/** A second peak is looked for further than this from the first, px. */
const BESIDE = 3;

const CELLS = SEARCH * SEARCH;
/** Spectra of real values are the same in both halves, mirrored and conjugate: these are kept. */
const HALF = SEARCH * (SEARCH / 2 + 1);
const row = new FFT(SEARCH);

/** Is a cell of the window part of what is followed? And where is its mirror: -k of k, in both directions. */
export const INNER = new Uint8Array(CELLS);
const MIRROR = new Uint16Array(CELLS);
for (let k = 0; k < CELLS; k++) {
  const [i, j] = [k % SEARCH, Math.floor(k / SEARCH)];
  const within = (n: number) => n >= (SEARCH - TEMPLATE) / 2 && n < (SEARCH + TEMPLATE) / 2;
  INNER[k] = within(i) && within(j) ? 1 : 0;
  MIRROR[k] = ((SEARCH - j) % SEARCH) * SEARCH + ((SEARCH - i) % SEARCH);
}

const line = new Float64Array(2 * SEARCH);
const out = new Float64Array(2 * SEARCH);
/** Two-dimensional transform of interleaved complex numbers, in place. */
function transform(data: Float64Array, back: boolean): void {
  const run = () => (back ? row.inverseTransform(out, line) : row.transform(out, line));
  for (let j = 0; j < CELLS; j += SEARCH) {
    for (let i = 0; i < 2 * SEARCH; i++) line[i] = data[2 * j + i]!;
    run();
    data.set(out, 2 * j);
  }
  for (let i = 0; i < SEARCH; i++) {
    for (let j = 0; j < SEARCH; j++) {
      line[2 * j] = data[2 * (j * SEARCH + i)]!;
      line[2 * j + 1] = data[2 * (j * SEARCH + i) + 1]!;
    }
    run();
    for (let j = 0; j < SEARCH; j++) {
      data[2 * (j * SEARCH + i)] = out[2 * j]!;
      data[2 * (j * SEARCH + i) + 1] = out[2 * j + 1]!;
    }
  }
}

/** A window of one frame: the spectra of the water that is followed and of that it is sought in, and their energies. */
export interface Spectra {
  template: Float64Array;
  search: Float64Array;
  energy: [template: number, search: number];
}
export const emptySpectra = (): Spectra => ({
  template: new Float64Array(2 * HALF),
  search: new Float64Array(2 * HALF),
  energy: [0, 0],
});

const both = new Float64Array(2 * CELLS);
/**
 * Spectra of a window of SEARCH x SEARCH values; what is followed is its middle. Both are real, so one transform serves
 * two: F(a + ib) = A + iB, taken apart by A(-k) = A(k)*.
 */
export function spectraOf(window: ArrayLike<number>, into: Spectra): void {
  let [middle, all] = [0, 0];
  for (let k = 0; k < CELLS; k++) {
    all += window[k]! / CELLS;
    if (INNER[k]) middle += window[k]! / TEMPLATE ** 2;
  }
  let [own, around] = [0, 0];
  for (let k = 0; k < CELLS; k++) {
    const value = window[k]! - all;
    const followed = INNER[k] ? window[k]! - middle : 0;
    both[2 * k] = followed;
    both[2 * k + 1] = value;
    own += followed * followed;
    around += value * value;
  }
  transform(both, false);
  const { template, search } = into;
  for (let k = 0; k < HALF; k++) {
    const mirror = 2 * MIRROR[k]!;
    const p = both[2 * k]!;
    const q = both[2 * k + 1]!;
    const r = both[mirror]!;
    const s = both[mirror + 1]!;
    template[2 * k] = (p + r) / 2;
    template[2 * k + 1] = (q - s) / 2;
    search[2 * k] = (q + s) / 2;
    search[2 * k + 1] = (r - p) / 2;
  }
  into.energy = [own, around];
}

/** Correlation summed over pairs of frames: random matches cancel, the water's motion adds up. */
export interface Sum {
  cross: Float64Array;
  energy: [template: number, search: number];
  pairs: number;
}
export const emptySum = (): Sum => ({ cross: new Float64Array(2 * HALF), energy: [0, 0], pairs: 0 });

/** Adds a pair: conj(A) B, of which the inverse transform is the correlation. */
export function addPair(sum: Sum, first: Spectra, second: Spectra): void {
  const { cross } = sum;
  const [a, b] = [first.template, second.search];
  for (let k = 0; k < 2 * HALF; k += 2) {
    cross[k]! += a[k]! * b[k]! + a[k + 1]! * b[k + 1]!;
    cross[k + 1]! += a[k]! * b[k + 1]! - a[k + 1]! * b[k]!;
  }
  sum.energy[0] += first.energy[0];
  sum.energy[1] += second.energy[1];
  sum.pairs++;
}

/** How far the water went between the frames of its pairs, px, and how distinct that is. */
export interface Shift {
  x: number;
  y: number;
  /** The peak over the highest one elsewhere; and as a normalised correlation. */
  ratio: number;
  correlation: number;
}

/**
 * The peak of a summed correlation (ensemble correlation: Meinhart, Wereley & Santiago 2000, J. Fluids Eng. 122,
 * 285-289), to a part of a px by a Gaussian through three values in each direction (Willert & Gharib 1991, Exp. Fluids
 * 10, 181-193). Undefined where there is none within FURTHEST.
 */
export function shiftOf({ cross, energy, pairs }: Sum): Shift | undefined {
  if (pairs === 0) return undefined;
  const data = new Float64Array(2 * CELLS);
  data.set(cross);
  for (let k = HALF; k < CELLS; k++) {
    data[2 * k] = cross[2 * MIRROR[k]!]!;
    data[2 * k + 1] = -cross[2 * MIRROR[k]! + 1]!;
  }
  transform(data, true);
  const span = FURTHEST + 1;
  const at = (x: number, y: number) => data[2 * (((y + SEARCH) % SEARCH) * SEARCH + ((x + SEARCH) % SEARCH))]!;
  let [bx, by] = [0, 0];
  for (let y = -span; y <= span; y++) for (let x = -span; x <= span; x++) if (at(x, y) > at(bx, by)) [bx, by] = [x, y];
  const peak = at(bx, by);
  if (!(peak > 0) || Math.abs(bx) > FURTHEST || Math.abs(by) > FURTHEST) return undefined;
  let second = 0;
  for (let y = -span; y <= span; y++)
    for (let x = -span; x <= span; x++) if (Math.hypot(x - bx, y - by) > BESIDE) second = Math.max(second, at(x, y));
  return {
    x: bx + gaussPeak(at(bx - 1, by), peak, at(bx + 1, by)),
    y: by + gaussPeak(at(bx, by - 1), peak, at(bx, by + 1)),
    ratio: second > 0 ? peak / second : Infinity,
    correlation: peak / Math.sqrt(energy[0] * energy[1] * (TEMPLATE / SEARCH) ** 2 || 1),
  };
}

/** Where a Gaussian through three values, one apart, is highest, from the middle one. */
function gaussPeak(before: number, at: number, after: number): number {
  if (!(before > 0 && after > 0)) return 0;
  return parabolaPeak(Math.log(before), Math.log(at), Math.log(after));
}

/** Where the parabola through three values, one apart, is highest, from the middle one. */
export function parabolaPeak(before: number, at: number, after: number): number {
  const bend = before - 2 * at + after;
  return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
}
