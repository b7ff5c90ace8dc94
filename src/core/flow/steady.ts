import type { Downstream } from "./reach-schema";
import { MOST_DISCHARGE } from "../quantity/bounds";
import { InputError } from "../quantity/fault";
import { GRAVITY } from "../quantity/provenance";
import { merge, overWindow, type AveragingWindow } from "./averaging";
import { checkGrid, coarsen, DRY, type Field, type Grid, type Verdict } from "./grid";
import type { Kernel } from "./kernel";
import type { ThreadPool } from "./thread-pool";
import { ShallowWater } from "./solver";
import { judge, MOST_WINDOWS, whyUnsettled } from "./settled";
import { StorageExtrapolation } from "./storage";
import { columnRange, outletLevel } from "./stage";
import { interpolateState, firstGuess, scaled, type State } from "./start";
import { finish, telling } from "./steps";

export interface SteadyOptions {
  discharge: number;
  downstream: Downstream;
  /** m added to the level at the outlet. */
  levelShift?: number;
  /** A field already solved on the same bed, to start from. */
  near?: Field;
  /** Other than the application's own: the proof runs the same in 64 bits. */
  kernel?: Kernel;
  /** Threads that may help. */
  pool?: ThreadPool;
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
 * Longest model time on the asked grid and on coarser ones, s, before the verdict is given anyway. Storage forgets with
 * an e-folding time of about half the time that a shallow wave takes there and back, 70-100 s on 160 m: beds that took
 * long were still in 300-500 s (bench).
 */
const LONGEST = { finest: 1200, coarse: 800 };
/** Coarse grids only start finer ones: they are held to so many times the limits. */
const COARSE = 2;
/** Cells stepped between two reports: about 10 ms of work, so that a cancel is heard at once. */
const SLICE = 100_000;

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
  if (!(discharge > 0 && discharge <= MOST_DISCHARGE))
    throw new InputError("bad-discharge", { discharge, most: MOST_DISCHARGE }, { path: "discharge" });
  checkGrid(grid);
  const level = outletLevel(grid, options.downstream, discharge) + (options.levelShift ?? 0);
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
  demandEnergy(field!);
  return field!;
}

/** Water shallower than this may be thrown about, m; and how far a speed may be beyond what energy allows. */
const DEEP_ENOUGH = 0.02;
const BEYOND_ENERGY = 1.5;
const SLOW = 2;

/**
 * Refuses water that runs faster than its fall allows: U <= sqrt(2 g (H - h - z)), H the greatest level at the inlet
 * with the velocity head of its mean speed (Bernoulli). Beds that fall like stairs are beyond depth-averaged flow.
 */
function demandEnergy({ nx, ny, cell, bed, depth, u, v, discharge }: Field): void {
  let [level, area] = [-Infinity, 0];
  for (let k = 0; k < nx * ny; k += nx) {
    if (!(depth[k]! > 0)) continue;
    level = Math.max(level, bed[k]! + depth[k]!);
    area += depth[k]! * cell;
  }
  const head = level + (discharge / area) ** 2 / (2 * GRAVITY);
  for (let k = 0; k < nx * ny; k++) {
    if (!(depth[k]! > DEEP_ENOUGH)) continue;
    const speed = Math.hypot(u[k]!, v[k]!);
    const allowed = Math.sqrt(2 * GRAVITY * Math.max(0, head - bed[k]! - depth[k]!));
    if (!(speed <= BEYOND_ENERGY * allowed + SLOW))
      throw new InputError("beyond-energy", { speed, allowed }, { path: "bed" });
  }
}

/** Waves beyond this multiple of what a fall over the whole bed would give, and this much more, are none of water. */
const BEYOND_WAVE = 3;
const FAST = 30;

/** Steps in a row whose length tells how fast the water is. */
const TELLING_STEPS = 50;

/** Fastest wave that water on a bed can have, m/s; steps shorter than it asks for are those of a solve gone wild. */
function fastestWave(grid: Grid): number {
  let [least, most] = [Infinity, -Infinity];
  for (const height of grid.z) [least, most] = [Math.min(least, height), Math.max(most, height)];
  return BEYOND_WAVE * Math.sqrt(2 * GRAVITY * (most - least)) + FAST;
}

/** Runs steadyFlow to its end without a pause: for tests and the command line. */
export const solveSteady = (grid: Grid, options: SteadyOptions, onProgress?: (progress: Progress) => void): Field =>
  finish(steadyFlow(grid, options), onProgress);

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
  const { discharge } = options;
  const edges = { upstream: { kind: "inflow", discharge }, downstream: { kind: "level", level } } as const;
  // A stable step is about the cell over the fastest wave: the more of them in a second, the faster it is.
  const [own, wildest] = [0.5 * grid.cell, fastestWave(grid)];
  const water = new ShallowWater(grid, { ...edges, longestStep: 2 }, options.kernel, options.pool);
  try {
    water.setState(start.depth, start.u, start.v);
    const mover = new StorageExtrapolation();
    // Windows since the storage was last moved ahead, the newest last.
    let windows: AveragingWindow[] = [];
    let before = { time: water.time, steps: water.steps };
    for (let count = 0; ; count++) {
      // How many windows it will take nobody knows: each is given a fifth of what is left.
      const [from, span] = [1 - 0.8 ** count, 0.2 * 0.8 ** count];
      const work = overWindow(water, WINDOW, Math.max(1, Math.round(SLICE / (grid.nx * grid.ny))));
      const window = yield* telling(work, (part): Progress => {
        // A window's last step is as short as is left of it: only many of them tell.
        const [steps, time] = [water.steps - before.steps, water.time - before.time];
        const wild = steps >= TELLING_STEPS && steps * own > time * wildest;
        if (!Number.isFinite(water.outflowRate) || wild) throw new InputError("unstable", {}, { path: "bed" });
        if (steps >= TELLING_STEPS) before = { time: water.time, steps: water.steps };
        const done = share.from + (share.to - share.from) * (from + span * part);
        return { done, cell: 0, seconds: water.time };
      });
      windows = [...windows, window].slice(-MOST_WINDOWS);
      const found = judge(windows, discharge, finest ? 1 : COARSE);
      if (found) return fieldOf(grid, merge(found.windows), discharge, found.verdict, water.steps);
      if (water.time > (finest ? LONGEST.finest : LONGEST.coarse))
        return {
          unsettled: whyUnsettled(windows, discharge),
          ...fieldOf(grid, merge(windows), discharge, "not-converged", water.steps),
        };
      if (mover.moveAhead(water, windows, discharge)) windows = [];
    }
  } finally {
    water.release();
  }
}

export function fieldOf(
  grid: Grid,
  averaging: AveragingWindow,
  discharge: number,
  verdict: Verdict,
  steps: number,
): Field {
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
