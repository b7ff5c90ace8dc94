import { GRAVITY } from "../quantity/provenance";

const { sqrt } = Math;

/** Momentum is zero below this depth, m. */
export const FILM = 1e-5;

const g = GRAVITY;
const ROOT_G = sqrt(g);

/**
 * A row of faces: the state on each side (depth h, bed z, speed n across the face and t along it).
 * Whole rows are worked at once because a call per face would box its numbers.
 */
export class Faces {
  readonly hL: Float64Array;
  readonly zL: Float64Array;
  readonly nL: Float64Array;
  readonly tL: Float64Array;
  readonly hR: Float64Array;
  readonly zR: Float64Array;
  readonly nR: Float64Array;
  readonly tR: Float64Array;

  constructor(count: number, right?: Faces) {
    const make = () => new Float64Array(count);
    [this.hL, this.zL, this.nL, this.tL] = [make(), make(), make(), make()];
    [this.hR, this.zR, this.nR, this.tR] = right
      ? [right.hR, right.zR, right.nR, right.tR]
      : [make(), make(), make(), make()];
  }
}

/** What faces in one direction read and add to: speeds across and along them, and d/dt of depth and of both momenta. */
export interface FluxCells {
  readonly h: Float64Array;
  readonly across: Float64Array;
  readonly along: Float64Array;
  readonly nuh: Float64Array;
  readonly rh: Float64Array;
  readonly rAcross: Float64Array;
  readonly rAlong: Float64Array;
}

/**
 * What crosses the faces from..to of a row, added to the cells on both sides: face f lies between cells row + f - step
 * and row + f.
 * Hydrostatic reconstruction to the higher bed (Audusse et al. 2004, SIAM J. Sci. Comput. 25), then HLLC (Toro 2001,
 * Shock-Capturing Methods for Free-Surface Flows, ch. 10) with the wave speeds of Davis 1988 and, on a dry side, those
 * of
 * Ritter 1892; and the viscous flux, on the faces stressFrom..stressTo: slip walls carry no viscous stress.
 */
export function addFaceFluxes(
  faces: Faces,
  water: FluxCells,
  row: number,
  step: number,
  from: number,
  to: number,
  inverse: number,
  stressFrom: number,
  stressTo: number,
): void {
  const { hL, zL, nL, tL, hR, zR, nR, tR } = faces;
  const { h, across, along, nuh, rh, rAcross, rAlong } = water;
  for (let f = from; f <= to; f++) {
    const h1 = hL[f]!,
      h2 = hR[f]!;
    const z1 = zL[f]!,
      z2 = zR[f]!;
    const bed = z1 > z2 ? z1 : z2;
    let a = h1 + z1 - bed;
    let b = h2 + z2 - bed;
    if (a < 0) a = 0;
    if (b < 0) b = 0;
    const right = row + f;
    const left = right - step;
    // What the step of the bed takes from or adds to each side's pressure.
    const stepL = 0.5 * g * (h1 * h1 - a * a);
    const stepR = 0.5 * g * (h2 * h2 - b * b);
    if (a === 0 && b === 0) {
      rAcross[left]! -= stepL * inverse;
      rAcross[right]! += stepR * inverse;
      continue;
    }
    const u1 = nL[f]!,
      u2 = nR[f]!;
    const c1 = ROOT_G * sqrt(a),
      c2 = ROOT_G * sqrt(b);
    let s1: number;
    let s2: number;
    if (a === 0) {
      s1 = u2 - 2 * c2;
      s2 = u2 + c2;
    } else if (b === 0) {
      s1 = u1 - c1;
      s2 = u1 + 2 * c1;
    } else {
      const l1 = u1 - c1,
        l2 = u2 - c2;
      s1 = l1 < l2 ? l1 : l2;
      const r1 = u1 + c1,
        r2 = u2 + c2;
      s2 = r1 > r2 ? r1 : r2;
    }
    const m1 = a * u1,
      m2 = b * u2;
    const p1 = m1 * u1 + 0.5 * g * a * a;
    const p2 = m2 * u2 + 0.5 * g * b * b;
    let m: number;
    let p: number;
    if (s1 >= 0) {
      m = m1;
      p = p1;
    } else if (s2 <= 0) {
      m = m2;
      p = p2;
    } else {
      const span = 1 / (s2 - s1);
      m = (s2 * m1 - s1 * m2 + s1 * s2 * (b - a)) * span;
      p = (s2 * p1 - s1 * p2 + s1 * s2 * (m2 - m1)) * span;
    }
    // The contact wave carries the momentum along from the side that the mass comes from: this is what keeps seams
    // sharp.
    let t = m * (m >= 0 ? tL[f]! : tR[f]!);
    if (f >= stressFrom && f <= stressTo && h[left]! > FILM && h[right]! > FILM) {
      const nu = 0.5 * (nuh[left]! + nuh[right]!) * inverse;
      p -= nu * (across[right]! - across[left]!);
      t -= nu * (along[right]! - along[left]!);
    }
    m *= inverse;
    t *= inverse;
    rh[left]! -= m;
    rh[right]! += m;
    rAcross[left]! -= (p + stepL) * inverse;
    rAcross[right]! += (p + stepR) * inverse;
    rAlong[left]! -= t;
    rAlong[right]! += t;
  }
}
