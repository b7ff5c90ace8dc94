import { GRAVITY } from "../quantity/provenance";
import { crossFaces, type Faces } from "./faces";
import { RINGS } from "./ghosts";
import { limited } from "./limiter";

// Local names, for the reason given in solver.ts.
const g = GRAVITY;
const slope = limited;
const crossFacesLocal = crossFaces;
const { max, min } = Math;

/** Momentum is zero below this depth, m. */
export const FILM = 1e-5;

/** What the sweeps read (state with ghosts, wet spans) and write (rh, ru, rv: d/dt of h, hu, hv). */
export interface Sweepable {
  readonly stride: number;
  readonly ny: number;
  readonly cell: number;
  readonly h: Float64Array;
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly z: Float64Array;
  /** nu h of each cell, m3/s. */
  readonly nuh: Float64Array;
  readonly rh: Float64Array;
  readonly ru: Float64Array;
  readonly rv: Float64Array;
  readonly faces: Faces;
  /** First and last column of row j that can change, ghosts included. */
  spanLow(j: number): number;
  spanHigh(j: number): number;
}

/**
 * Fluxes across the faces of one row in x (face f lies between cells f-1 and f), bed slope and viscous flux in x, over the cells
 * first..last. At an open end the outermost face is left to the boundary.
 */
export function sweepX(water: Sweepable, row: number, first: number, last: number, openUp: boolean, openDown: boolean): void {
  const { h, u, v, z, nuh, rh, ru, rv, faces, cell, stride } = water;
  const { hL, zL, nL, tL, hR, zR, nR, tR, mass, momentumL, momentumR, along } = faces;
  const inverse = 1 / cell;
  for (let i = first - 1; i <= last + 1; i++) {
    const k = row + i;
    const h0 = h[k]!, u0 = u[k]!, v0 = v[k]!;
    const hm = h[k - 1]!, hp = h[k + 1]!;
    const w0 = h0 + z[k]!;
    const sh = 0.5 * slope(h0 - hm, hp - h0);
    const sw = 0.5 * slope(w0 - hm - z[k - 1]!, hp + z[k + 1]! - w0);
    const su = 0.5 * slope(u0 - u[k - 1]!, u[k + 1]! - u0);
    const sv = 0.5 * slope(v0 - v[k - 1]!, v[k + 1]! - v0);
    hR[i] = h0 - sh;
    zR[i] = w0 - sw - h0 + sh;
    nR[i] = u0 - su;
    tR[i] = v0 - sv;
    hL[i + 1] = h0 + sh;
    zL[i + 1] = w0 + sw - h0 - sh;
    nL[i + 1] = u0 + su;
    tL[i + 1] = v0 + sv;
  }
  const from = openUp ? first + 1 : first;
  const to = openDown ? last : last + 1;
  crossFacesLocal(faces, from, to);
  for (let f = from; f <= to; f++) {
    const k = row + f;
    let fu = 0, fv = 0;
    // Slip walls carry no viscous stress: only faces between two cells of the grid do.
    if (h[k]! > FILM && h[k - 1]! > FILM && f > RINGS && f < stride - RINGS) {
      const nu = 0.5 * (nuh[k - 1]! + nuh[k]!) * inverse;
      fu = nu * (u[k]! - u[k - 1]!);
      fv = nu * (v[k]! - v[k - 1]!);
    }
    const m = mass[f]! * inverse, a = (along[f]! - fv) * inverse;
    rh[k - 1]! -= m;
    rh[k]! += m;
    ru[k - 1]! -= (momentumL[f]! - fu) * inverse;
    ru[k]! += (momentumR[f]! - fu) * inverse;
    rv[k - 1]! -= a;
    rv[k]! += a;
  }
  const bedForce = 0.5 * g * inverse;
  for (let i = first; i <= last; i++) ru[row + i]! -= bedForce * (hR[i]! + hL[i + 1]!) * (zL[i + 1]! - zR[i]!);
}

/** Fluxes across all faces in y, bed slope in y, viscous flux in y: row by row, the far-side states of a row kept for the next. */
export function sweepY(water: Sweepable): void {
  const { stride, ny, h, u, v, z, nuh, rh, ru, rv, faces, cell } = water;
  const { hL, zL, nL, tL, hR, zR, nR, tR, mass, momentumL, momentumR, along } = faces;
  const inverse = 1 / cell;
  const bedForce = 0.5 * g * inverse;
  let keptLow = 0;
  let keptHigh = -1;
  for (let j = -1; j <= ny; j++) {
    const inside = j >= 0 && j < ny;
    const row = (j + RINGS) * stride;
    const low = min(water.spanLow(max(0, j - 1)), water.spanLow(min(ny - 1, max(0, j))), water.spanLow(min(ny - 1, j + 1)));
    const high = max(water.spanHigh(max(0, j - 1)), water.spanHigh(min(ny - 1, max(0, j))), water.spanHigh(min(ny - 1, j + 1)));
    // Where the row before kept nothing, it is dry.
    for (let i = low; i <= high; i++) {
      if (i >= keptLow && i <= keptHigh) i = keptHigh + 1;
      if (i > high) break;
      hL[i] = nL[i] = tL[i] = 0;
      zL[i] = z[row + i - stride]!;
    }
    keptLow = low;
    keptHigh = high;
    for (let i = low; i <= high; i++) {
      const k = row + i;
      const h0 = h[k]!, u0 = u[k]!, v0 = v[k]!;
      const north = k - stride, south = k + stride;
      const hm = h[north]!, hp = h[south]!;
      const w0 = h0 + z[k]!;
      const sh = 0.5 * slope(h0 - hm, hp - h0);
      const sw = 0.5 * slope(w0 - hm - z[north]!, hp + z[south]! - w0);
      hR[i] = h0 - sh;
      zR[i] = w0 - sw - h0 + sh;
      nR[i] = v0 - 0.5 * slope(v0 - v[north]!, v[south]! - v0);
      tR[i] = u0 - 0.5 * slope(u0 - u[north]!, u[south]! - u0);
    }
    if (j >= 0) {
      crossFacesLocal(faces, low, high);
      const viscous = inside && j > 0;
      for (let i = low; i <= high; i++) {
        const k = row + i, north = k - stride;
        let fu = 0, fv = 0;
        if (viscous && h[north]! > FILM && h[k]! > FILM) {
          const nu = 0.5 * (nuh[north]! + nuh[k]!) * inverse;
          fu = nu * (u[k]! - u[north]!);
          fv = nu * (v[k]! - v[north]!);
        }
        const m = mass[i]! * inverse, a = (along[i]! - fu) * inverse;
        rh[north]! -= m;
        rv[north]! -= (momentumL[i]! - fv) * inverse;
        ru[north]! -= a;
        rh[k]! += m;
        rv[k]! += (momentumR[i]! - fv) * inverse;
        ru[k]! += a;
      }
    }
    for (let i = low; i <= high; i++) {
      const k = row + i;
      // The far side mirrors the near side about the cell's own values.
      const h0 = h[k]!;
      const farH = 2 * h0 - hR[i]!;
      const farZ = 2 * z[k]! - zR[i]!;
      if (inside) rv[k]! -= bedForce * (hR[i]! + farH) * (farZ - zR[i]!);
      hL[i] = farH;
      zL[i] = farZ;
      nL[i] = 2 * v[k]! - nR[i]!;
      tL[i] = 2 * u[k]! - tR[i]!;
    }
  }
}
