/**
 * A row forward by dt: continuity and momentum from the fluxes, friction by the exact root of
 * q = q* - dt g n^2 |q| q / h^(7/3); the second stage is averaged with the start. Leaves speeds, nu h = alpha u* h^2
 * with u* = sqrt(g) n |U| / h^(1/6), the wet span and the fastest wave.
 */
import { real } from "./build";
import { add, all, constant, FOUR_G, HALF, inverseCubeRoot, mul, ONE, sub, sum, THIN, TWO } from "./lanes";
import {
  addEntry,
  alpha,
  cell,
  CLIPPED,
  firstWet,
  g,
  inside,
  LANES,
  lastWet,
  LEFT,
  lowAt,
  n,
  pitch,
  rowBuffer,
  SIZE,
  stateArray,
  stride,
} from "./memory";
import { FACES_X, facesY, PULL_X, pullY } from "./sweep";

/** Fastest wave, |u| + |v| + 2 c, seen since it was reset. */
export let fastest: v128 = v128.splat<real>(0);
export function resetFastest(): void {
  fastest = all(0);
}

/** Stores depth and momentum of one vector as a state, and minds its wave when `wave`. */
// @ts-ignore: decorator
@inline function keep(
  depths: usize,
  speedsX: usize,
  speedsY: usize,
  stirs: usize,
  roughness: v128,
  depth: v128,
  qx: v128,
  qy: v128,
  root: v128,
  wave: bool,
): void {
  const wet = v128.gt<real>(depth, constant(THIN));
  const third = v128.and(mul(root, mul(root, root)), wet);
  const u = mul(qx, third);
  const v = mul(qy, third);
  v128.store(depths, depth);
  v128.store(speedsX, u);
  v128.store(speedsY, v);
  const speed2 = add(mul(u, u), mul(v, v));
    const nuh = mul(mul(roughness, mul(depth, depth)), v128.sqrt<real>(mul(speed2, root)));
  v128.store(stirs, v128.and(nuh, wet));
  // The step's length needs the wave speed of whole steps only.
  if (!wave) return;
  const c = v128.sqrt<real>(mul(constant(FOUR_G), depth));
  fastest = v128.pmax<real>(fastest, v128.and(add(add(v128.abs<real>(u), v128.abs<real>(v)), c), wet));
}

/** State `from` to `to` by dt, columns first..last; `average`: `to` holds the start, with which it is averaged. */
export function advanceRow(
  thread: i32,
  from: i32,
  to: i32,
  row: i32,
  first: i32,
  last: i32,
  dt: f64,
  average: bool,
): void {
  const zero = all(0);
  const apart = rowBuffer(thread, 1) - rowBuffer(thread, 0);
  const facesInX = rowBuffer(thread, FACES_X);
  const north = facesY(thread, row);
  const south = facesY(thread, row + 1);
  const step = all(dt);
  const share = all(dt / cell);
  const dragScale = all(4 * dt * g);
  const stirring = all(alpha * sqrt(g));
  const row0 = pitch * row;
  const depths = stateArray(from, 0) + row0;
  const speedsX = stateArray(from, 1) + row0;
  const speedsY = stateArray(from, 2) + row0;
  const depthsTo = stateArray(to, 0) + row0;
  const speedsXTo = stateArray(to, 1) + row0;
  const speedsYTo = stateArray(to, 2) + row0;
  const stirsTo = stateArray(to, 3) + row0;
  const roughness = n + row0;
  const innerMask = inside;
  const pullsX = rowBuffer(thread, PULL_X);
  const pullsY = pullY(thread, row);
  let clipped = zero;
  let low = stride;
  let high = -1;
  for (let column = first; column <= last; column += LANES) {
    const i = SIZE * column;
    const x = facesInX + i;
    const h0 = v128.load(depths + i);
    const mx = v128.load(x);
    const mxNext = v128.load(x + SIZE);
    const my = v128.load(north + i);
    const myNext = v128.load(south + i);
    const start = average ? v128.load(depthsTo + i) : h0;
    const flows = v128.or(v128.or(mx, mxNext), v128.or(my, myNext));
    if (!v128.any_true(v128.or(flows, v128.or(h0, start)))) {
      v128.store(depthsTo + i, zero);
      v128.store(speedsXTo + i, zero);
      v128.store(speedsYTo + i, zero);
      v128.store(stirsTo + i, zero);
      continue;
    }
    const within = v128.load(innerMask + i);
    let depth = v128.and(add(h0, mul(share, add(sub(mx, mxNext), sub(my, myNext)))), within);
    // Each stage has half a say in the step.
    clipped = sub(clipped, v128.pmin<real>(zero, depth));
    depth = v128.pmax<real>(zero, depth);
    const wet = v128.gt<real>(depth, constant(THIN));
    // Momentum along x: across the faces in x, along those in y.
    const pushX = add(
      sub(v128.load(x + 2 * apart), v128.load(x + SIZE + apart)),
      sub(v128.load(north + 3 * apart + i), v128.load(south + 3 * apart + i)),
    );
    const pushY = add(
      sub(v128.load(x + 3 * apart), v128.load(x + SIZE + 3 * apart)),
      sub(v128.load(north + 2 * apart + i), v128.load(south + apart + i)),
    );
    const u0 = v128.load(speedsX + i);
    const v0 = v128.load(speedsY + i);
    const pullX = v128.load(pullsX + i);
    let qx = add(mul(h0, u0), sub(mul(share, pushX), mul(step, pullX)));
    let qy = add(mul(h0, v0), sub(mul(share, pushY), mul(step, v128.load(pullsY + i))));
    let root = inverseCubeRoot(v128.pmax<real>(depth, constant(THIN)));
    const rough = v128.load(roughness + i);
    const r2 = mul(root, root);
    const r7 = mul(mul(r2, r2), mul(r2, root));
    const size = v128.sqrt<real>(add(mul(qx, qx), mul(qy, qy)));
    const drag = mul(mul(dragScale, mul(rough, rough)), mul(size, r7));
    const kept = v128.and(v128.div<real>(constant(TWO), add(constant(ONE), v128.sqrt<real>(add(constant(ONE), drag)))), wet);
    qx = mul(qx, kept);
    qy = mul(qy, kept);
    if (average) {
      depth = mul(constant(HALF), add(start, depth));
      qx = mul(constant(HALF), add(mul(start, v128.load(speedsXTo + i)), qx));
      qy = mul(constant(HALF), add(mul(start, v128.load(speedsYTo + i)), qy));
      root = inverseCubeRoot(v128.pmax<real>(depth, constant(THIN)));
    }
    keep(
      depthsTo + i,
      speedsXTo + i,
      speedsYTo + i,
      stirsTo + i,
      mul(stirring, rough),
      depth,
      qx,
      qy,
      root,
      average,
    );
    if (v128.any_true(depth)) {
      if (low == stride) low = column;
      high = column + LANES - 1;
    }
  }
  clearOutside(to, row, first, last);
  store<i32>(lowAt(to, row), low);
  store<i32>(lowAt(to, row), high, 4);
  if (v128.any_true(clipped)) addEntry(CLIPPED, row, 0.5 * sum(clipped) * cell * cell);
}

/** What an earlier state left beyond the columns now written is dry. */
function clearOutside(to: i32, row: i32, first: i32, last: i32): void {
  const low = firstWet(to, row);
  const high = lastWet(to, row);
  for (let column = low & ~(LANES - 1); column <= high; column += LANES) {
    if (column >= first && column <= last) continue;
    for (let part: usize = 0; part < 4; part++)
      v128.store(stateArray(to, part) + pitch * row + SIZE * column, all(0));
  }
}

/** Speeds, nu h, wet span and fastest wave of a state whose depths and speeds are set. */
export function refreshRow(state: i32, row: i32, last: i32): void {
  let low = stride;
  let high = -1;
  for (let column = LEFT; column <= last; column += LANES) {
    const at = pitch * row + SIZE * column;
    const depth = v128.and(v128.load(stateArray(state, 0) + at), v128.load(inside + SIZE * column));
    const qx = mul(depth, v128.load(stateArray(state, 1) + at));
    const qy = mul(depth, v128.load(stateArray(state, 2) + at));
    keep(
      stateArray(state, 0) + at,
      stateArray(state, 1) + at,
      stateArray(state, 2) + at,
      stateArray(state, 3) + at,
      mul(all(alpha * sqrt(g)), v128.load(n + at)),
      depth,
      qx,
      qy,
      inverseCubeRoot(v128.pmax<real>(depth, constant(THIN))),
      true,
    );
    if (v128.any_true(depth)) {
      if (low == stride) low = column;
      high = column + LANES - 1;
    }
  }
  store<i32>(lowAt(state, row), low);
  store<i32>(lowAt(state, row), high, 4);
}
