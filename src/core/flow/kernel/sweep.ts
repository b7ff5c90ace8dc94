/**
 * Fluxes across a row of faces, and the pull of the bed: in x (face f lies between cells f - 1 and f of the row) or in y
 * (between the row before and this one). One loop for both ways, written out twice by the compiler.
 */
import { crossFaces, crossNothing } from "./faces";
import { add, all, halfSlope, laneBefore, mul, sub } from "./lanes";
import { cell, g, LANES, pitch, rowBuffer, SIZE, stateArray, stressed, z } from "./memory";

// Row buffers: faces in x (four) and the bed's pull in x; far side of the row before (four), faces in y by turns (two
// times four), the bed's pull in y by turns.
export const FACES_X: usize = 0;
export const PULL_X: usize = 4;
const FAR: usize = 5;
const FACES_Y: usize = 9;
const PULL_Y: usize = 17;

// @ts-ignore: decorator
@inline export function facesY(thread: i32, row: i32): usize {
  return rowBuffer(thread, FACES_Y + 4 * (row & 1));
}

// @ts-ignore: decorator
@inline export function pullY(thread: i32, row: i32): usize {
  return rowBuffer(thread, PULL_Y + (row & 1));
}

/** Faces in x of columns first..last (whole vectors) of a row, and of the vector behind. */
export function sweepX(thread: i32, state: i32, row: i32, first: i32, last: i32): void {
  // The vector before the first lends its last cell.
  sweep(false, thread, state, row, first - LANES, last + LANES, all(0));
}

/** Faces between rows row - 1 and row, columns first..last (whole vectors); `stress` all ones where they carry it. */
export function sweepY(thread: i32, state: i32, row: i32, first: i32, last: i32, stress: v128): void {
  sweep(true, thread, state, row, first, last, stress);
}

// @ts-ignore: decorator
@inline function sweep(
  inY: bool,
  thread: i32,
  state: i32,
  row: i32,
  first: i32,
  last: i32,
  stress: v128,
): void {
  // Bases are worked out before the loop: each is a place in memory to which i is added.
  const at = pitch * row;
  const apart = rowBuffer(thread, 1) - rowBuffer(thread, 0);
  const faces = inY ? facesY(thread, row) : rowBuffer(thread, FACES_X);
  const pulls = inY ? pullY(thread, row) : rowBuffer(thread, PULL_X);
  const fars = rowBuffer(thread, FAR);
  const depths = stateArray(state, 0) + at;
  const speedsAcross = stateArray(state, inY ? 2 : 1) + at;
  const speedsAlong = stateArray(state, inY ? 1 : 2) + at;
  const stirs = stateArray(state, 3) + at;
  const beds = z + at;
  const carries = stressed;
  const beside = inY ? pitch : SIZE;
  const inverse = all(1.0 / cell);
  const pull = all((2 * g) / cell);
  // Far sides in x of the vector before; in y they wait in their buffer.
  let hFar = all(0);
  let zFar = all(0);
  let nFar = all(0);
  let tFar = all(0);
  const end = SIZE * last;
  for (let i = SIZE * first; i <= end; i += 16) {
    const out = faces + i;
    const far = fars + i;
    const h = depths + i;
    const bed = beds + i;
    const h0 = v128.load(h);
    const hm = v128.load(h - beside);
    const hp = v128.load(h + beside);
    const z0 = v128.load(bed);
    if (!v128.any_true(v128.or(v128.or(hm, h0), hp))) {
      crossNothing(out, apart);
      v128.store(pulls + i, all(0));
      hFar = nFar = tFar = all(0);
      zFar = z0;
      if (inY) keepFar(far, apart, hFar, zFar, nFar, tFar);
      continue;
    }
    const n = speedsAcross + i;
    const t = speedsAlong + i;
    const nuh = stirs + i;
    const n0 = v128.load(n);
    const t0 = v128.load(t);
    const dn = sub(n0, v128.load(n - beside));
    const dt = sub(t0, v128.load(t - beside));
    const dh = sub(h0, hm);
    const eh = sub(hp, h0);
    const sh = halfSlope(dh, eh);
    const sw = halfSlope(add(dh, sub(z0, v128.load(bed - beside))), add(eh, sub(v128.load(bed + beside), z0)));
    const sn = halfSlope(dn, sub(v128.load(n + beside), n0));
    const st = halfSlope(dt, sub(v128.load(t + beside), t0));
    const sz = sub(sw, sh);
    v128.store(pulls + i, mul(pull, mul(h0, sz)));
    const hL = add(h0, sh);
    const zL = add(z0, sz);
    const nL = add(n0, sn);
    const tL = add(t0, st);
    crossFaces(
      out,
      apart,
      inY ? v128.load(far) : laneBefore(hFar, hL),
      inY ? v128.load(far + apart) : laneBefore(zFar, zL),
      inY ? v128.load(far + 2 * apart) : laneBefore(nFar, nL),
      inY ? v128.load(far + 3 * apart) : laneBefore(tFar, tL),
      sub(h0, sh),
      sub(z0, sz),
      sub(n0, sn),
      sub(t0, st),
      hm,
      h0,
      add(v128.load(nuh - beside), v128.load(nuh)),
      dn,
      dt,
      inY ? stress : v128.load(carries + i),
      inverse,
    );
    if (inY) keepFar(far, apart, hL, zL, nL, tL);
    hFar = hL;
    zFar = zL;
    nFar = nL;
    tFar = tL;
  }
}

// @ts-ignore: decorator
@inline function keepFar(far: usize, apart: usize, h: v128, z: v128, n: v128, t: v128): void {
  v128.store(far, h);
  v128.store(far + apart, z);
  v128.store(far + 2 * apart, n);
  v128.store(far + 3 * apart, t);
}
