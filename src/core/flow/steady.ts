import type { Downstream } from "./reach-schema";
import { InputError } from "../quantity/fault";
import { Averaging, changeBetween, mergeAverages } from "./averaging";
import { checkGrid, coarsen, DRY, type Field, type Grid, type Verdict } from "./grid";
import { ShallowWater } from "./solver";
import { columnRange, outletLevel } from "./stage";
import { interpolateState, firstGuess, scaled, type State } from "./start";

export interface SteadyOptions {
  discharge: number;
  downstream: Downstream;
  /** A field already solved on the same bed, to start from. */
  near?: Field;
}

/** Sent between slices of work: `done` 0..1, and on each grid as it settles a first picture. */
export interface Progress {
  done: number;
  cell: number;
  seconds: number;
  picture?: Field;
}

/** Length of an averaging window, s: wakes shed with periods of 15-20 s (physics section 2). */
const WINDOW = 20;
/**
 * Most windows averaged before the verdict is given anyway; twice as many while storage is still filling. Coarse grids
 * are cheap.
 */
const MOST_WINDOWS = 12;
const MOST_COARSE_WINDOWS = 30;
/**
 * Settled windows that make a mean of pulsing water whose means still drift a little (80 s, several periods of a wake).
 */
const ENOUGH_WINDOWS = 4;
/** Limits of the convergence test on window means. */
const LIMITS = { outflow: 0.005, unitDischarge: 0.01, depth: 0.002 };
/** Solver steps between two reports. */
const SLICE = 20;

/**
 * Grids solved before the asked one, coarsest first, as multiples of its cell: each must still have a few cells across.
 */
function sequence(grid: Grid): number[] {
  return [4, 2, 1].filter((factor) => factor === 1 || (grid.ny / factor >= 8 && grid.nx / factor >= 12));
}

/**
 * Steady, time-averaged flow at one discharge by grid sequencing. A generator: each `next()` does a bounded slice of
 * work, so
 * that whoever drives it can show progress, cancel, or let other work in. Throws located faults for impossible cases.
 */
export function* steadyFlow(grid: Grid, options: SteadyOptions): Generator<Progress, Field> {
  const { discharge } = options;
  if (!Number.isFinite(discharge) || discharge <= 0)
    throw new InputError(
      "bad-discharge",
      { discharge },
      {
        path: "discharge",
      },
    );
  checkGrid(grid);
  const level = outletLevel(grid, options.downstream, discharge);
  // A neighbour spares the coarsest grid, not the next: storage settles cheaply there, and a start straight on the
  // finest takes half as many steps again.
  const factors = options.near ? sequence(grid).slice(-2) : sequence(grid);
  let state: State | undefined;
  let field: Field | undefined;
  for (const [index, factor] of factors.entries()) {
    const own = coarsen(grid, factor);
    const start = state
      ? interpolateState(state, own)
      : options.near
        ? interpolateState(scaled(stateOf(options.near), discharge / options.near.discharge), own)
        : firstGuess(own, discharge, Math.max(level, columnRange(own, own.nx - 1).lowest + 0.05));
    demandInlet(start, own);
    const share = {
      from: index === 0 ? 0 : factor === 1 ? 0.25 : 0.08,
      to: factor === 1 ? 1 : factor === 2 ? 0.25 : 0.08,
    };
    field = yield* settle(own, start, options, level, factor === 1, share);
    state = stateOf(field);
    if (factor !== 1) yield { done: share.to, cell: own.cell, seconds: 0, picture: field };
  }
  return field!;
}

/** Runs steadyFlow to its end without a pause: for tests and the command line. */
export function solveSteady(grid: Grid, options: SteadyOptions, onProgress?: (progress: Progress) => void): Field {
  const work = steadyFlow(grid, options);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    onProgress?.(step.value);
  }
}

function demandInlet(start: State, grid: Grid): void {
  for (let j = 0; j < grid.ny; j++) if (start.depth[j * grid.nx]! > DRY) return;
  throw new InputError("no-inlet", {}, { path: "bed" });
}

/** Runs one grid until its window means agree (roughly on coarse grids, to the limits on the finest). */
function* settle(
  grid: Grid,
  start: State,
  options: SteadyOptions,
  level: number,
  finest: boolean,
  share: { from: number; to: number },
): Generator<Progress, Field> {
  const water = new ShallowWater(grid, {
    upstream: { kind: "inflow", discharge: options.discharge },
    downstream: { kind: "level", level },
    longestStep: 2,
  });
  water.setState(start.depth, start.u, start.v);
  const limit = finest ? 1 : 2;
  const most = finest ? MOST_WINDOWS : MOST_COARSE_WINDOWS;
  let previous: Averaging | undefined;
  let kept: Averaging | undefined;
  let verdict: Verdict = "not-converged";
  const error = (averaging: Averaging) => Math.abs(averaging.meanOutflow() / options.discharge - 1);
  for (let window = 0; window < (kept ? most : 2 * most); window++) {
    const now = yield* average(
      water,
      share.from + (share.to - share.from) * (1 - 0.75 ** window),
      (share.to - share.from) * 0.25 * 0.75 ** window,
    );
    if (previous) {
      const change = changeBetween(previous, now);
      if (
        Math.max(error(now), error(previous)) < LIMITS.outflow * limit &&
        change.depth < LIMITS.depth * limit &&
        change.unitDischarge < LIMITS.unitDischarge * limit
      ) {
        return fieldOf(grid, mergeAverages(now, previous), options.discharge, "converged", water.steps);
      }
      // Storage has settled but wakes still pulse: gather means until they themselves stop moving. Unsettled windows
      // are not gathered.
      if (error(now) < 2 * LIMITS.outflow * limit && change.depth < 2 * LIMITS.depth * limit) {
        const before = kept && means(kept);
        kept = kept ? mergeAverages(kept, now) : now;
        // Long pulses may go on for ever: enough settled windows are a mean, and its spread is kept with it.
        const enough =
          kept.seconds >= ENOUGH_WINDOWS * WINDOW || (before && drift(before, kept) < LIMITS.unitDischarge * limit);
        if (enough && error(kept) < LIMITS.outflow * limit) {
          verdict = "shedding";
          break;
        }
      } else kept = undefined;
    }
    previous = now;
  }
  return fieldOf(grid, kept ?? previous!, options.discharge, verdict, water.steps);
}

/** One window of averaging, in slices. */
function* average(water: ShallowWater, from: number, span: number): Generator<Progress, Averaging> {
  const now = new Averaging(water);
  while (now.seconds < WINDOW) {
    for (let k = 0; k < SLICE && now.seconds < WINDOW; k++) now.add(water.step(WINDOW - now.seconds + 1e-6));
    if (!Number.isFinite(water.outflowRate)) throw new InputError("unstable", {}, { path: "bed" });
    yield { done: from + span * Math.min(1, now.seconds / WINDOW), cell: 0, seconds: water.time };
  }
  return now;
}

interface Means {
  qx: Float64Array;
  qy: Float64Array;
}

const means = (averaging: Averaging): Means => ({
  qx: averaging.qx.map((q) => q / averaging.seconds),
  qy: averaging.qy.map((q) => q / averaging.seconds),
});

/** Relative change of mean unit discharge that one more window made. */
function drift(before: Means, after: Averaging): number {
  let change = 0;
  let size = 0;
  for (let c = 0; c < before.qx.length; c++) {
    const [qx, qy] = [after.qx[c]! / after.seconds, after.qy[c]! / after.seconds];
    change += Math.hypot(qx - before.qx[c]!, qy - before.qy[c]!);
    size += Math.hypot(qx, qy);
  }
  return size > 0 ? change / size : 0;
}

function fieldOf(grid: Grid, averaging: Averaging, discharge: number, verdict: Verdict, steps: number): Field {
  const cells = grid.nx * grid.ny;
  const make = () => new Float32Array(cells);
  const field: Field = {
    nx: grid.nx,
    ny: grid.ny,
    cell: grid.cell,
    discharge,
    bed: Float32Array.from(grid.z),
    roughness: Float32Array.from(grid.roughness),
    depth: make(),
    u: make(),
    v: make(),
    speedDeviation: make(),
    verdict,
    massError: averaging.massError(discharge),
    steps,
  };
  for (let c = 0; c < cells; c++) {
    const h = averaging.h[c]! / averaging.seconds;
    if (h < DRY) continue;
    field.depth[c] = h;
    field.u[c] = averaging.qx[c]! / averaging.seconds / h;
    field.v[c] = averaging.qy[c]! / averaging.seconds / h;
    field.speedDeviation[c] = averaging.speedSpread(c);
  }
  return field;
}

export function stateOf(field: Field): State {
  const depth = Float64Array.from(field.depth);
  return {
    nx: field.nx,
    ny: field.ny,
    cell: field.cell,
    depth,
    level: depth.map((h, k) => h + field.bed[k]!),
    u: Float64Array.from(field.u),
    v: Float64Array.from(field.v),
  };
}
