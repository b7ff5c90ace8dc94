import type { ShallowWater } from "./solver";

const { sqrt } = Math;

/** Time means of a running solver: depth, unit discharge, and the square of speed for its spread. */
export class Averaging {
  seconds = 0;
  outflow = 0;
  /** Volume clipped meanwhile, m3. */
  clipped = 0;
  readonly h: Float64Array;
  readonly qx: Float64Array;
  readonly qy: Float64Array;
  private readonly s: Float64Array;
  private readonly s2: Float64Array;
  private clippedBefore: number;

  constructor(private readonly water: ShallowWater) {
    this.clippedBefore = water.volumeClipped;
    const cells = water.nx * water.ny;
    [this.h, this.qx, this.qy, this.s, this.s2] = Array.from({ length: 5 }, () => new Float64Array(cells)) as [
      Float64Array,
      Float64Array,
      Float64Array,
      Float64Array,
      Float64Array,
    ];
  }

  /** Adds the present state for dt seconds. */
  add(dt: number): void {
    const { water } = this;
    this.seconds += dt;
    this.outflow += water.outflowRate * dt;
    this.clipped += water.volumeClipped - this.clippedBefore;
    this.clippedBefore = water.volumeClipped;
    for (let j = 0; j < water.ny; j++) {
      let k = water.at(0, j);
      for (let c = j * water.nx; c < (j + 1) * water.nx; c++, k++) {
        const h = water.h[k]!;
        if (h <= 0) continue;
        this.h[c]! += dt * h;
        this.qx[c]! += dt * water.hu[k]!;
        this.qy[c]! += dt * water.hv[k]!;
        const speed2 = water.u[k]! * water.u[k]! + water.v[k]! * water.v[k]!;
        this.s[c]! += dt * sqrt(speed2);
        this.s2[c]! += dt * speed2;
      }
    }
  }

  meanOutflow(): number {
    return this.outflow / this.seconds;
  }

  /** Outflow that is not inflow, and water that clipping made, as shares of the inflow. */
  massError(discharge: number): number {
    return Math.abs(this.meanOutflow() / discharge - 1) + this.clipped / (this.seconds * discharge);
  }

  /** Standard deviation of speed in cell c, m/s. */
  speedSpread(c: number): number {
    const mean = this.s[c]! / this.seconds;
    return Math.sqrt(Math.max(0, this.s2[c]! / this.seconds - mean * mean));
  }
}

export interface Change {
  /** Mean |change of unit discharge| over mean unit discharge. */
  unitDischarge: number;
  /** Mean |change of depth| over mean depth. */
  depth: number;
}

/** How far the means of two windows differ. */
export function changeBetween(a: Averaging, b: Averaging): Change {
  let dq = 0,
    q = 0,
    dh = 0,
    h = 0;
  for (let c = 0; c < a.h.length; c++) {
    const [ha, hb] = [a.h[c]! / a.seconds, b.h[c]! / b.seconds];
    if (ha <= 0 && hb <= 0) continue;
    dq += Math.hypot(a.qx[c]! / a.seconds - b.qx[c]! / b.seconds, a.qy[c]! / a.seconds - b.qy[c]! / b.seconds);
    q += Math.hypot(b.qx[c]! / b.seconds, b.qy[c]! / b.seconds);
    dh += Math.abs(ha - hb);
    h += hb;
  }
  return { unitDischarge: q > 0 ? dq / q : 0, depth: h > 0 ? dh / h : 0 };
}

/** One averaging as the sum of two. */
export function mergeAverages(a: Averaging, b: Averaging): Averaging {
  a.seconds += b.seconds;
  a.outflow += b.outflow;
  a.clipped += b.clipped;
  const pairs = [
    [a.h, b.h],
    [a.qx, b.qx],
    [a.qy, b.qy],
    [a["s"], b["s"]],
    [a["s2"], b["s2"]],
  ] as const;
  for (const [into, from] of pairs) for (let c = 0; c < into.length; c++) into[c]! += from[c]!;
  return a;
}
