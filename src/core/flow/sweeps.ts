import { GRAVITY } from "../quantity/provenance";
import { addFaceFluxes, type FluxCells, type Faces } from "./faces";
import { RINGS } from "./ghosts";
import { limited } from "./limiter";

// Local names, for the reason given in solver.ts.
const g = GRAVITY;
const slope = limited;
const crossFacesLocal = addFaceFluxes;
const { max, min } = Math;

/** What the sweeps read (state with ghosts, wet spans); what they write is behind acrossX and acrossY. */
export interface Sweepable {
  readonly stride: number;
  readonly ny: number;
  readonly cell: number;
  readonly h: Float64Array;
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly z: Float64Array;
  /** The same arrays as the faces across x and across y see them. */
  readonly acrossX: FluxCells;
  readonly acrossY: FluxCells;
  readonly faces: Faces;
  /** The same right sides, with left sides of its own: rows of faces in y come by turns. */
  readonly facesInTurn: Faces;
  /** First and last column of row j that can change, ghosts included. */
  spanLow(j: number): number;
  spanHigh(j: number): number;
}

/**
 * Fluxes across the faces of one row in x (face f lies between cells f-1 and f), bed slope and viscous flux in x, over
 * the cells
 * first..last. At an open end the outermost face is left to the boundary.
 */
export function sweepX(
  water: Sweepable,
  row: number,
  first: number,
  last: number,
  openUp: boolean,
  openDown: boolean,
): void {
  const { h, u, v, z, faces, cell, stride } = water;
  const { hL, zL, nL, tL, hR, zR, nR, tR } = faces;
  const { rAcross } = water.acrossX;
  const inverse = 1 / cell;
  // Both halves of the cell together: g h dz, with dz twice the bed's half-slope (sw - sh).
  const bedForce = 2 * g * inverse;
  const before = row + first - 2;
  // Differences slide along the row: each is taken once.
  let h0 = h[before + 1]!,
    u0 = u[before + 1]!,
    v0 = v[before + 1]!,
    w0 = h0 + z[before + 1]!;
  let dh = h0 - h[before]!,
    du = u0 - u[before]!,
    dv = v0 - v[before]!,
    dw = w0 - h[before]! - z[before]!;
  for (let i = first - 1; i <= last + 1; i++) {
    const next = row + i + 1;
    const hp = h[next]!,
      up = u[next]!,
      vp = v[next]!,
      wp = hp + z[next]!;
    const eh = hp - h0,
      eu = up - u0,
      ev = vp - v0,
      ew = wp - w0;
    const sh = 0.5 * slope(dh, eh),
      sw = 0.5 * slope(dw, ew),
      su = 0.5 * slope(du, eu),
      sv = 0.5 * slope(dv, ev);
    rAcross[next - 1]! -= bedForce * h0 * (sw - sh);
    hR[i] = h0 - sh;
    zR[i] = w0 - sw - h0 + sh;
    nR[i] = u0 - su;
    tR[i] = v0 - sv;
    hL[i + 1] = h0 + sh;
    zL[i + 1] = w0 + sw - h0 - sh;
    nL[i + 1] = u0 + su;
    tL[i + 1] = v0 + sv;
    h0 = hp;
    u0 = up;
    v0 = vp;
    w0 = wp;
    dh = eh;
    du = eu;
    dv = ev;
    dw = ew;
  }
  crossFacesLocal(
    faces,
    water.acrossX,
    row,
    1,
    openUp ? first + 1 : first,
    openDown ? last : last + 1,
    inverse,
    RINGS + 1,
    stride - RINGS - 1,
  );
}

/**
 * Fluxes across all faces in y, bed slope in y, viscous flux in y: row by row, the far-side states of a row kept for
 * the next.
 */
export function sweepY(water: Sweepable): void {
  const { stride, ny, h, u, v, z, faces, cell } = water;
  const { hR, zR, nR, tR } = faces;
  // What lies north of a row's faces, and what will lie north of the next row's: by turns.
  let { hL, zL, nL, tL } = faces;
  let { hL: hN, zL: zN, nL: nN, tL: tN } = water.facesInTurn;
  const { rAcross } = water.acrossY;
  const inverse = 1 / cell;
  const bedForce = 2 * g * inverse;
  let keptLow = 0;
  let keptHigh = -1;
  for (let j = -1; j <= ny; j++) {
    const inside = j >= 0 && j < ny;
    const row = (j + RINGS) * stride;
    const low = min(
      water.spanLow(max(0, j - 1)),
      water.spanLow(min(ny - 1, max(0, j))),
      water.spanLow(min(ny - 1, j + 1)),
    );
    const high = max(
      water.spanHigh(max(0, j - 1)),
      water.spanHigh(min(ny - 1, max(0, j))),
      water.spanHigh(min(ny - 1, j + 1)),
    );
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
      const h0 = h[k]!,
        u0 = u[k]!,
        v0 = v[k]!;
      const north = k - stride,
        south = k + stride;
      const hm = h[north]!,
        hp = h[south]!;
      const w0 = h0 + z[k]!;
      const sh = 0.5 * slope(h0 - hm, hp - h0);
      const sw = 0.5 * slope(w0 - hm - z[north]!, hp + z[south]! - w0);
      const su = 0.5 * slope(u0 - u[north]!, u[south]! - u0),
        sv = 0.5 * slope(v0 - v[north]!, v[south]! - v0);
      rAcross[k]! -= bedForce * h0 * (sw - sh);
      hR[i] = h0 - sh;
      zR[i] = w0 - sw - h0 + sh;
      nR[i] = v0 - sv;
      tR[i] = u0 - su;
      hN[i] = h0 + sh;
      zN[i] = w0 + sw - h0 - sh;
      nN[i] = v0 + sv;
      tN[i] = u0 + su;
    }
    if (j >= 0)
      crossFacesLocal(
        j % 2 ? faces : water.facesInTurn,
        water.acrossY,
        row,
        stride,
        low,
        high,
        inverse,
        inside && j > 0 ? low : high + 1,
        high,
      );
    [hL, hN] = [hN, hL];
    [zL, zN] = [zN, zL];
    [nL, nN] = [nN, nL];
    [tL, tN] = [tN, tL];
  }
}
