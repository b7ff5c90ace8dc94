/** Open ends by characteristics, and the ghosts beyond all edges. */
import { real } from "./build";
import { FACES_X } from "./sweep";
import {
  cell,
  discharge,
  down,
  downLevel,
  g,
  INFLOW,
  LEFT,
  LEVEL,
  n,
  nx,
  ny,
  pitch,
  RINGS,
  rowBuffer,
  SIZE,
  stateArray,
  up,
  upLevel,
  WALL,
  z,
} from "./memory";

/** Depths under this carry no inflow, m. */
const LEAST_INLET: f64 = 0.005;

/** What crosses an end: mass per metre, m2/s, and the depth there, m. */
let mass: f64 = 0;
let edgeDepth: f64 = 0;

// @ts-ignore: decorator
@inline const at = (array: usize, row: i32, column: i32): f64 => <f64>load<real>(array + pitch * row + SIZE * column);

/** Conveyance h^(5/3)/n of an inlet cell (evenly rough where n is zero); none where it is dry. */
function conveyance(state: i32, row: i32): f64 {
  const h = at(stateArray(state, 0), row, LEFT);
  if (h <= LEAST_INLET) return 0;
  const root = Math.cbrt(h);
  return (h * root * root) / max(at(n, row, LEFT), 1e-3);
}

/** Unit discharge for each unit of conveyance: the discharge spread over the wet inlet. */
export function inletShare(state: i32): f64 {
  if (up != INFLOW) return 0;
  let sum: f64 = 0;
  for (let j = 0; j < ny; j++) sum += conveyance(state, j + RINGS);
  return sum > 0 ? discharge / (sum * cell) : 0;
}

/**
 * Inflow of unit discharge q (m2/s) into a cell of depth h and speed u: the outgoing invariant u - 2c is kept, so
 * u_b - 2 c_b = u - 2 c with u_b = q / h_b (Newton in c_b). Never below critical depth, (q^2/g)^(1/3).
 */
function inflow(q: f64, h: f64, u: f64): void {
  mass = q;
  const invariant = u - 2 * sqrt(g * h);
  const critical = Math.cbrt(q * g);
  let c = max(critical, sqrt(g * max(h, 1e-4)));
  // g q / c^2 - 2 c - invariant falls with c, so Newton from above critical converges in a few steps.
  for (let k = 0; k < 12; k++) {
    const f = (g * q) / (c * c) - 2 * c - invariant;
    const slope = (-2 * g * q) / (c * c * c) - 2;
    const next = c - f / slope;
    if (abs(next - c) < 1e-10) break;
    c = max(0.3 * c, next);
  }
  c = max(c, critical);
  edgeDepth = (c * c) / g;
}

/**
 * Outflow against a prescribed depth hOut (m): u_b = u + 2 (c - c_b); critical when that would be faster than its own
 * wave, and the inner state itself when it is already supercritical.
 */
function outflow(hOut: f64, h: f64, u: f64): void {
  if (h <= 1e-6 && hOut <= 1e-6) {
    mass = edgeDepth = 0;
    return;
  }
  const c = sqrt(g * h);
  if (u >= c) {
    edgeDepth = h;
    mass = h * u;
    return;
  }
  let cOut = sqrt(g * max(0, hOut));
  let speed = u + 2 * (c - cOut);
  if (speed > cOut) {
    cOut = (u + 2 * c) / 3;
    speed = cOut;
  }
  edgeDepth = (cOut * cOut) / g;
  mass = edgeDepth * speed;
}

function store4(thread: i32, face: i32, across: f64): void {
  const out = rowBuffer(thread, FACES_X) + SIZE * face;
  const apart = rowBuffer(thread, 1) - rowBuffer(thread, 0);
  const push = (edgeDepth > 0 ? (mass * mass) / edgeDepth : 0) + 0.5 * g * edgeDepth * edgeDepth;
  store<real>(out, <real>mass);
  store<real>(out + apart, <real>push);
  store<real>(out + 2 * apart, <real>push);
  store<real>(out + 3 * apart, <real>(mass * across));
}

/** The inlet's face of a row, in place of what the sweep made of the ghosts; returns what comes in, m2/s. */
export function inletFace(thread: i32, state: i32, row: i32, share: f64): f64 {
  if (up == WALL) return 0;
  const depth = at(stateArray(state, 0), row, LEFT);
  const speed = at(stateArray(state, 1), row, LEFT);
  const across = at(stateArray(state, 2), row, LEFT);
  if (up == INFLOW) {
    const q = share * conveyance(state, row);
    if (q > 0) inflow(q, depth, speed);
    else {
      mass = 0;
      edgeDepth = depth;
    }
  } else if (up == LEVEL) {
    // Seen from outside, a level upstream is an outflow with the axis turned.
    outflow(upLevel - at(z, row, LEFT), depth, -speed);
    mass = -mass;
  } else {
    mass = depth * speed;
    edgeDepth = depth;
  }
  store4(thread, LEFT, mass > 0 && up != INFLOW && up != LEVEL ? across : mass > 0 ? 0 : across);
  return mass;
}

/** The same at the outlet; returns what goes out, m2/s. */
export function outletFace(thread: i32, state: i32, row: i32): f64 {
  if (down == WALL) return 0;
  const last = LEFT + nx - 1;
  const h = stateArray(state, 0);
  const depth = at(h, row, last);
  const speed = at(stateArray(state, 1), row, last);
  const across = at(stateArray(state, 2), row, last);
  if (down == LEVEL) {
    // The bed at the face: the cell's, and half its level's limited slope (its ghost has the same depth).
    const before = depth - at(h, row, last - 1) + at(z, row, last) - at(z, row, last - 1);
    const after = at(z, row, last + 1) - at(z, row, last);
    const product = before * after;
    const bed = at(z, row, last) + (product > 0 ? product / (before + after) : 0);
    outflow(downLevel - bed, depth, speed);
  } else {
    mass = depth * speed;
    edgeDepth = depth;
  }
  store4(thread, last + 1, mass > 0 ? across : 0);
  return mass;
}

function copyCell(state: i32, row: i32, to: i32, from: i32, mirrored: bool): void {
  for (let part: usize = 0; part < 4; part++) {
    const array = stateArray(state, part) + pitch * row;
    const value = load<real>(array + SIZE * from);
    store<real>(array + SIZE * to, mirrored && part == 1 ? -value : value);
  }
}

/** Ghosts beyond both ends of a row: mirrored behind a wall, continued elsewhere. */
export function fillEnds(state: i32, row: i32): void {
  const first = LEFT;
  const last = LEFT + nx - 1;
  for (let ring = 1; ring <= RINGS; ring++) {
    copyCell(state, row, first - ring, up == WALL ? first + ring - 1 : first, up == WALL);
    copyCell(state, row, last + ring, down == WALL ? last - ring + 1 : last, down == WALL);
  }
}

/** Ghosts beside the grid: a slip wall mirrors the rows next to it. */
export function mirrorRow(state: i32, to: i32, from: i32): void {
  for (let part: usize = 0; part < 4; part++) {
    const array = stateArray(state, part);
    const target = array + pitch * to;
    const source = array + pitch * from;
    if (part != 2) memory.copy(target, source, pitch);
    else
      for (let i: usize = 0; i < pitch; i += 16)
        v128.store(target + i, v128.neg<real>(v128.load(source + i)));
  }
}
