import type { ShallowWater } from "./solver";

/** Steps between two samples of the state: wakes take 15-20 s to shed, steps a tenth of a second. */
const EVERY = 4;

/** Time means of a running solver over a window: depth, unit discharge, and the spread of speed. Row-major. */
export class AveragingWindow {
  seconds: number;
  outflow: number;
  /** Volume clipped meanwhile, m3. */
  clipped: number;
  /** Time integrals. */
  readonly h: Float32Array;
  readonly qx: Float32Array;
  readonly qy: Float32Array;
  readonly s: Float32Array;
  readonly s2: Float32Array;

  /** What the solver has gathered since its means were cleared, `before` being its state then. */
  constructor(water: ShallowWater, before: Before) {
    this.seconds = water.time - before.time;
    this.outflow = water.volumeOut - before.volumeOut;
    this.clipped = water.volumeClipped - before.clipped;
    const [h, qx, qy, s, s2] = water.means.map((one) => {
      const out = new Float32Array(water.nx * water.ny);
      for (let j = 0; j < water.ny; j++) out.set(one.subarray(water.at(0, j), water.at(water.nx, j)), j * water.nx);
      return out;
    });
    [this.h, this.qx, this.qy, this.s, this.s2] = [h!, qx!, qy!, s!, s2!];
  }

  /** Mean discharge out, m3/s. */
  meanOutflow(): number {
    return this.outflow / this.seconds;
  }

  /** What goes out beyond what comes in, as a share of it: water that storage gives (or, below 0, takes). */
  imbalance(discharge: number): number {
    return this.meanOutflow() / discharge - 1;
  }

  /** Water that came in and did not go out, and water that clipping made, as a share of the inflow. */
  massError(discharge: number): number {
    return Math.abs(this.imbalance(discharge)) + this.clipped / (this.seconds * discharge);
  }

  /** Standard deviation of speed in cell c, m/s. */
  speedSpread(c: number): number {
    const mean = this.s[c]! / this.seconds;
    return Math.sqrt(Math.max(0, this.s2[c]! / this.seconds - mean * mean));
  }
}

export interface Before {
  time: number;
  volumeOut: number;
  clipped: number;
}

/** Runs the solver over a window of so many seconds; yields after every `slice` steps the share that is done. */
export function* overWindow(water: ShallowWater, seconds: number, slice: number): Generator<number, AveragingWindow> {
  const before = { time: water.time, volumeOut: water.volumeOut, clipped: water.volumeClipped };
  water.clearMeans();
  for (;;) {
    const left = seconds - (water.time - before.time);
    if (left <= 1e-6) return new AveragingWindow(water, before);
    water.run(slice, left, EVERY);
    yield 1 - left / seconds;
  }
}

export interface Change {
  /** Mean |change of unit discharge| over mean unit discharge. */
  unitDischarge: number;
  /** Mean |change of depth| over mean depth. */
  depth: number;
}

/** How far the means of two windows differ. */
export function changeBetween(a: AveragingWindow, b: AveragingWindow): Change {
  let [dq, q, dh, h] = [0, 0, 0, 0];
  for (let c = 0; c < a.h.length; c++) {
    const [ha, hb] = [a.h[c]! / a.seconds, b.h[c]! / b.seconds];
    if (ha <= 0 && hb <= 0) continue;
    const [bx, by] = [b.qx[c]! / b.seconds, b.qy[c]! / b.seconds];
    const [dx, dy] = [a.qx[c]! / a.seconds - bx, a.qy[c]! / a.seconds - by];
    dq += Math.sqrt(dx * dx + dy * dy);
    q += Math.sqrt(bx * bx + by * by);
    dh += Math.abs(ha - hb);
    h += hb;
  }
  return { unitDischarge: q > 0 ? dq / q : 0, depth: h > 0 ? dh / h : 0 };
}

/** Change of the mean depth of all cells from some windows to others of the same number, as a share of it. */
export function driftOf(before: readonly AveragingWindow[], after: readonly AveragingWindow[]): number {
  let [a, b] = [0, 0];
  for (const one of before) for (const h of one.h) a += h;
  for (const one of after) for (const h of one.h) b += h;
  return Math.abs(b / a - 1);
}

/** One window as the sum of several, made of the first. */
export function merge(windows: readonly AveragingWindow[]): AveragingWindow {
  const [first, ...rest] = windows;
  for (const one of rest) addTo(first!, one);
  return first!;
}

function addTo(a: AveragingWindow, b: AveragingWindow): void {
  a.seconds += b.seconds;
  a.outflow += b.outflow;
  a.clipped += b.clipped;
  for (const part of ["h", "qx", "qy", "s", "s2"] as const)
    for (let c = 0; c < a.h.length; c++) a[part][c]! += b[part][c]!;
}
