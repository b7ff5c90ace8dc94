import { GRAVITY } from "../quantity/provenance";
import { ghostIndex } from "./ghosts";

const { abs, cbrt, max, sqrt } = Math;
const g = GRAVITY;

/**
 * Open boundaries by characteristics. Both return what crosses the face: mass flux per metre (m2/s) and the depth there
 * (m).
 */
export interface BoundaryFlux {
  mass: number;
  depth: number;
}

/**
 * Inflow of a given unit discharge q (m2/s) into a cell of depth h and speed u: the outgoing invariant u - 2c is kept,
 * so u_b - 2 c_b = u - 2 c with u_b = q / h_b (Newton in c_b). Never below critical depth, (q^2/g)^(1/3).
 */
export function inflow(q: number, h: number, u: number, out: BoundaryFlux): void {
  out.mass = q;
  const invariant = u - 2 * sqrt(g * h);
  const critical = cbrt(q * g); // c at critical depth: c^3 = g q
  let c = max(critical, sqrt(g * max(h, 1e-4)));
  // f(c) = g q / c^2 - 2 c - invariant falls with c, so Newton from above critical converges in a few steps.
  for (let k = 0; k < 12; k++) {
    const f = (g * q) / (c * c) - 2 * c - invariant;
    const slope = (-2 * g * q) / (c * c * c) - 2;
    const next = c - f / slope;
    if (abs(next - c) < 1e-10) break;
    c = max(0.3 * c, next);
  }
  c = max(c, critical);
  out.depth = (c * c) / g;
}

/**
 * Outflow against a prescribed depth hOut (m): u_b = u + 2 (c - c_b); critical when that would be faster than its own
 * wave, and the interior state itself when it is already supercritical.
 */
export function outflow(hOut: number, h: number, u: number, out: BoundaryFlux): void {
  if (h <= 1e-6 && hOut <= 1e-6) {
    out.mass = 0;
    out.depth = 0;
    return;
  }
  const c = sqrt(g * h);
  if (u >= c) {
    out.depth = h;
    out.mass = h * u;
    return;
  }
  let cOut = sqrt(g * max(0, hOut));
  let speed = u + 2 * (c - cOut);
  if (speed > cOut) {
    cOut = (u + 2 * c) / 3;
    speed = cOut;
  }
  out.depth = (cOut * cOut) / g;
  out.mass = out.depth * speed;
}

/**
 * Unit discharge of each inlet cell, m2/s: spread by conveyance h^(5/3)/n over the wet inlet (evenly rough where n is
 * zero).
 */
export function spreadInflow(
  discharge: number,
  h: Float64Array,
  n: Float64Array,
  stride: number,
  ny: number,
  cell: number,
  out: Float64Array,
): void {
  let sum = 0;
  for (let j = 0; j < ny; j++) {
    const k = ghostIndex(stride, 0, j);
    const depth = h[k]!;
    const root = cbrt(depth);
    out[j] = depth > 0.005 ? (depth * root * root) / max(n[k]!, 1e-3) : 0;
    sum += out[j]!;
  }
  const scale = sum > 0 ? discharge / (sum * cell) : 0;
  for (let j = 0; j < ny; j++) out[j]! *= scale;
}
