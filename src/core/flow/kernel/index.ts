/**
 * The kernel's doors. Depth-averaged shallow-water equations with Manning friction and depth-scaled eddy viscosity:
 *   h_t + (hu)_x + (hv)_y = 0
 *   (hu)_t + (hu^2 + g h^2/2)_x + (huv)_y = -g h z_x - g n^2 |u| u / h^(1/3) + div(nu h grad u)
 * Finite volumes, MUSCL on level, depth and speed, Heun steps with friction inside each stage. Rows are split into
 * bands, one for each thread; every stage reads one state and writes the other, so that bands need each other's rows
 * only when a stage is done.
 */
import { real, SHARED } from "./build";
import { advanceRow, fastest, refreshRow, resetFastest } from "./advance";
import { fillEnds, inletFace, inletShare, mirrorRow, outletFace } from "./ends";
import { add, all, fillTable, greatest, mul } from "./lanes";
import {
  addTotal,
  askedSample,
  askedSeconds,
  askedSteps,
  AVERAGED,
  bytes,
  cell,
  COME,
  configure as readHead,
  COUNT,
  ENDED,
  courant,
  fastestOf,
  firstWet,
  goAt,
  GONE,
  IN,
  LANES,
  lastWet,
  LEFT,
  longest,
  LOST,
  lowAt,
  means,
  nx,
  ny,
  OUT,
  patience,
  PHASE,
  pitch,
  RATE,
  RINGS,
  setEntry,
  setFastest,
  setTotal,
  SIZE,
  stateArray,
  STEPS,
  sumOf,
  threads,
  TIME,
} from "./memory";
import { sweepX, sweepY } from "./sweep";

export function configure(): void {
  readHead();
  fillTable();
}

// @ts-ignore: decorator
@inline const bandStart = (thread: i32): i32 => (ny * thread) / threads;

/** Last column of whole vectors that hold the inner cells. */
// @ts-ignore: decorator
@inline const lastColumn = (): i32 => LEFT + ((nx - 1) & ~(LANES - 1));

/** Waits until it is woken, the word has changed, or so many ms are gone. */
// @ts-ignore: decorator
@external("env", "rest")
declare function rest(word: usize, value: i32, most: f64): void;
/** Wakes all who wait at a word. */
// @ts-ignore: decorator
@external("env", "wake")
declare function wake(word: usize): void;

/** All threads meet here; one that does not come in good time is given up, and so is the solve. */
function meet(): void {
  if (SHARED) {
    if (threads == 1) return;
    const phase = atomic.load<i32>(PHASE);
    if (atomic.add<i32>(COUNT, 1) == threads - 1) {
      atomic.store<i32>(COUNT, 0);
      atomic.add<i32>(PHASE, 1);
      wake(PHASE);
      return;
    }
    for (let turn = 0; turn < 4000; turn++) if (atomic.load<i32>(PHASE) != phase) return;
    for (let waited = 0; atomic.load<i32>(PHASE) == phase; waited++) {
      if (waited > patience) atomic.store<i32>(LOST, 1);
      if (atomic.load<i32>(LOST) != 0) return;
      rest(PHASE, phase, 10);
    }
  }
}

// First and last column, in whole vectors, of what can change in a row: a cell beyond the wet span of it and of its
// neighbours.
let first: i32 = 0;
let last: i32 = 0;
function reset(): void {
  first = i32.MAX_VALUE;
  last = -1;
}
function include(state: i32, row: i32): void {
  first = min(first, firstWet(state, row));
  last = max(last, lastWet(state, row));
}
function widen(): void {
  first = max(LEFT, (first - 1) & ~(LANES - 1));
  last = min(lastColumn(), (last + 1) & ~(LANES - 1));
}

/** One stage of a thread's band: state `from` to state `to`; what comes and goes is left under `which`. */
function stage(thread: i32, from: i32, to: i32, dt: f64, average: bool, which: i32): void {
  const start = bandStart(thread) + RINGS;
  const end = bandStart(thread + 1) + RINGS;
  const share = inletShare(from);
  resetFastest();
  // The row before the band only lends its far side; a row is finished when the faces behind it are known.
  for (let row = start - 1; row <= end; row++) {
    reset();
    for (let near = max(0, row - 2); near <= min(ny + 2 * RINGS - 1, row + 2); near++) include(from, near);
    if (average) for (let near = max(start, row - 1); near <= min(end - 1, row + 1); near++) include(to, near);
    widen();
    const inner = row > RINGS && row < ny + RINGS;
    if (last >= first) sweepY(thread, from, row, first, last, v128.splat<i32>(inner ? -1 : 0));
    if (row <= start) continue;
    finishRow(thread, from, to, row - 1, dt, average, share, which);
  }
  if (average) setFastest(thread, greatest(fastest));
}

/** Faces in x and the step of one row, its faces in y being known. */
function finishRow(
  thread: i32,
  from: i32,
  to: i32,
  row: i32,
  dt: f64,
  average: bool,
  share: f64,
  which: i32,
): void {
  let come: f64 = 0;
  let gone: f64 = 0;
  reset();
  for (let near = row - 1; near <= row + 1; near++) include(from, near);
  if (average) include(to, row);
  widen();
  if (last >= first) {
    sweepX(thread, from, row, first, last);
    if (first == LEFT) come = inletFace(thread, from, row, share);
    if (last == lastColumn()) gone = outletFace(thread, from, row);
  }
  setEntry(COME + which, row, come);
  setEntry(GONE + which, row, gone);
  advanceRow(thread, from, to, row, first, last, dt, average);
  fillEnds(to, row);
  fillSides(to, row);
}

function fillSides(state: i32, row: i32): void {
  for (let ring = 1; ring <= RINGS; ring++) {
    if (row == RINGS + ring - 1) side(state, RINGS - ring, row);
    if (row == RINGS + ny - ring) side(state, RINGS + ny - 1 + ring, row);
  }
}

function side(state: i32, to: i32, from: i32): void {
  mirrorRow(state, to, from);
  store<i32>(lowAt(state, to), firstWet(state, from));
  store<i32>(lowAt(state, to), lastWet(state, from), 4);
}

/** After depths and speeds of state 0 have been set: everything else of it, ghosts too. */
export function refresh(): void {
  resetFastest();
  for (let row = RINGS; row < ny + RINGS; row++) {
    refreshRow(0, row, lastColumn());
    fillEnds(0, row);
    fillSides(0, row);
    // The other state holds nothing yet.
    store<i32>(lowAt(1, row), i32.MAX_VALUE);
    store<i32>(lowAt(1, row), -1, 4);
  }
  for (let part: usize = 0; part < 4; part++) memory.fill(stateArray(1, part), 0, bytes);
  for (let thread = 0; thread < threads; thread++) setFastest(thread, greatest(fastest));
}

/** Adds the present state to the means for dt seconds, over a thread's band. */
function sample(thread: i32, dt: f64): void {
  const weight = all(dt);
  const apart = bytes + 128;
  for (let row = bandStart(thread) + RINGS; row < bandStart(thread + 1) + RINGS; row++) {
    const from = firstWet(0, row) & ~(LANES - 1);
    const end = min(lastColumn(), lastWet(0, row));
    for (let column = max(LEFT, from); column <= end; column += LANES) {
      const at = pitch * row + SIZE * column;
      const h = v128.load(stateArray(0, 0) + at);
      if (!v128.any_true(h)) continue;
      const u = v128.load(stateArray(0, 1) + at);
      const v = v128.load(stateArray(0, 2) + at);
      const weighted = mul(weight, h);
      const speed2 = add(mul(u, u), mul(v, v));
      gather(means + at, weighted);
      gather(means + apart + at, mul(weighted, u));
      gather(means + 2 * apart + at, mul(weighted, v));
      gather(means + 3 * apart + at, mul(weight, v128.sqrt<real>(speed2)));
      gather(means + 4 * apart + at, mul(weight, speed2));
    }
  }
  if (thread == 0) addTotal(AVERAGED, dt);
}

// @ts-ignore: decorator
@inline function gather(at: usize, value: v128): void {
  v128.store(at, add(v128.load(at), value));
}

/**
 * A thread's part of at most `steps` Heun steps of the longest stable length, or until `seconds` have gone by; the
 * state is added to the means every `every` steps (never: 0) and at the end. All threads come to the same lengths.
 */
function advanceBand(thread: i32, steps: i32, seconds: f64, every: i32): void {
  let gone: f64 = 0;
  let unsampled: f64 = 0;
  for (let k = 0; k < steps && gone < seconds; k++) {
    if (SHARED && atomic.load<i32>(LOST) != 0) return;
    let wave: f64 = 0;
    for (let other = 0; other < threads; other++) wave = max(wave, fastestOf(other));
    const dt = min(min(seconds - gone, wave > 0 ? (courant * cell) / wave : Infinity), longest);
    // By turns: a thread that is ahead does not write over what the first has still to read.
    const turn = 2 * (k & 1);
    stage(thread, 0, 1, dt, false, turn);
    meet();
    stage(thread, 1, 0, dt, true, turn + 1);
    meet();
    gone += dt;
    unsampled += dt;
    if (thread == 0) settleTotals(dt, turn);
    if (every > 0 && ((k + 1) % every == 0 || k + 1 == steps || gone >= seconds)) {
      sample(thread, unsampled);
      unsampled = 0;
    }
  }
}

/** Volumes and time of a whole step, from what the rows let in and out. */
function settleTotals(dt: f64, turn: i32): void {
  const come = 0.5 * cell * (sumOf(COME + turn) + sumOf(COME + turn + 1));
  const rate = 0.5 * cell * (sumOf(GONE + turn) + sumOf(GONE + turn + 1));
  addTotal(IN, come * dt);
  addTotal(OUT, rate * dt);
  setTotal(RATE, rate);
  addTotal(TIME, dt);
  addTotal(STEPS, 1);
}

/** The first thread's part, and the word for the others to do theirs. */
export function run(steps: i32, seconds: f64, every: i32): void {
  if (SHARED && threads > 1) {
    store<i32>(goAt + 16, steps);
    store<f64>(goAt + 24, seconds);
    store<i32>(goAt + 32, every);
    atomic.add<i32>(goAt, 1);
    wake(goAt);
  }
  advanceBand(0, steps, seconds, every);
  meet();
}

/** The service of another thread: it waits for work until it is asked for fewer than no steps. */
export function serve(thread: i32): void {
  if (SHARED) {
    readHead();
    let seen = 0;
    for (;;) {
      for (let turn = 0; turn < 4000 && atomic.load<i32>(goAt) == seen; turn++) {}
      while (atomic.load<i32>(goAt) == seen) rest(goAt, seen, Infinity);
      seen++;
      const steps = askedSteps();
      if (steps < 0 || atomic.load<i32>(LOST) != 0) break;
      advanceBand(thread, steps, askedSeconds(), askedSample());
      meet();
    }
    atomic.add<i32>(ENDED, 1);
    wake(ENDED);
  }
}
