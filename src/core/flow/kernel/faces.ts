/**
 * What crosses a row of faces, branch-free: selects where the scheme has cases. Hydrostatic reconstruction to the
 * higher bed (Audusse et al. 2004, SIAM J. Sci. Comput. 25), then HLLC (Toro 2001, Shock-Capturing Methods for
 * Free-Surface Flows, ch. 10) with the wave speeds of Davis 1988 and, on a dry side, those of Ritter 1892; and the
 * viscous flux.
 */
import { real } from "./build";
import { add, all, constant, G, HALF, HALF_G, LEAST, mul, ONE, sub, THIN } from "./lanes";

/**
 * One vector of faces, stored at `out`: mass; momentum across with the pressure of the bed's step on the left side and
 * on the right side; momentum along; each `apart` bytes from the one before. States left (1) and right (2) of the
 * faces: depth h, bed z, speed n across and t along. The cells beside them: depths, n h of both, differences of their
 * speeds. `stress`: the faces that carry it.
 */
// @ts-ignore: decorator
@inline export function crossFaces(
  out: usize,
  apart: usize,
  h1: v128,
  z1: v128,
  n1: v128,
  t1: v128,
  h2: v128,
  z2: v128,
  n2: v128,
  t2: v128,
  leftDepth: v128,
  rightDepth: v128,
  nuhSum: v128,
  dAcross: v128,
  dAlong: v128,
  stress: v128,
  inverse: v128,
): void {
  const zero = all(0);
  const bed = v128.pmax<real>(z1, z2);
  const a = v128.pmax<real>(zero, add(h1, sub(z1, bed)));
  const b = v128.pmax<real>(zero, add(h2, sub(z2, bed)));
  const half = constant(HALF_G);
  // What the step of the bed takes from or adds to each side's pressure.
  const stepL = mul(half, mul(sub(h1, a), add(h1, a)));
  const stepR = mul(half, mul(sub(h2, b), add(h2, b)));
  const c1 = v128.sqrt<real>(mul(constant(G), a));
  const c2 = v128.sqrt<real>(mul(constant(G), b));
  const dryL = v128.eq<real>(a, zero);
  const dryR = v128.eq<real>(b, zero);
  const l1 = sub(n1, c1);
  const r2 = add(n2, c2);
  const slowest = v128.bitselect(
    sub(n2, add(c2, c2)),
    v128.bitselect(l1, v128.pmin<real>(l1, sub(n2, c2)), dryR),
    dryL,
  );
  const quickest = v128.bitselect(
    r2,
    v128.bitselect(add(n1, add(c1, c1)), v128.pmax<real>(add(n1, c1), r2), dryR),
    dryL,
  );
  // A wave that runs away from the face leaves one side's own flux: HLL says so by itself when its speed is held at 0.
  const s1 = v128.pmin<real>(zero, slowest);
  const s2 = v128.pmax<real>(zero, quickest);
  const span = v128.div<real>(constant(ONE), v128.pmax<real>(constant(LEAST), sub(s2, s1)));
  const m1 = mul(a, n1);
  const m2 = mul(b, n2);
  const p1 = add(mul(m1, n1), mul(half, mul(a, a)));
  const p2 = add(mul(m2, n2), mul(half, mul(b, b)));
  const both = mul(s1, s2);
  const m = mul(add(sub(mul(s2, m1), mul(s1, m2)), mul(both, sub(b, a))), span);
  let p = mul(add(sub(mul(s2, p1), mul(s1, p2)), mul(both, sub(m2, m1))), span);
  // The contact wave carries the momentum along from the side that the mass comes from: this keeps seams sharp.
  let t = mul(m, v128.bitselect(t1, t2, v128.ge<real>(m, zero)));
  const film = constant(THIN);
  const wet = v128.and(v128.and(v128.gt<real>(leftDepth, film), v128.gt<real>(rightDepth, film)), stress);
  const nu = v128.and(mul(mul(constant(HALF), nuhSum), inverse), wet);
  p = sub(p, mul(nu, dAcross));
  t = sub(t, mul(nu, dAlong));
  v128.store(out, m);
  v128.store(out + apart, add(p, stepL));
  v128.store(out + 2 * apart, add(p, stepR));
  v128.store(out + 3 * apart, t);
}

/** Nothing crosses between dry cells. */
// @ts-ignore: decorator
@inline export function crossNothing(out: usize, apart: usize): void {
  const zero = all(0);
  v128.store(out, zero);
  v128.store(out + apart, zero);
  v128.store(out + 2 * apart, zero);
  v128.store(out + 3 * apart, zero);
}
