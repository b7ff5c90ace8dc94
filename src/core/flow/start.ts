import { type Grid, sample } from "./grid";
import { columnRange, conveyed, normalLevel } from "./stage";

/** Depth and velocity to begin from, row-major. */
export interface State {
  nx: number;
  ny: number;
  cell: number;
  level: Float64Array;
  depth: Float64Array;
  u: Float64Array;
  v: Float64Array;
}

/**
 * A first guess: from the outlet upstream the level never falls, and each column stands at least at its normal depth
 * for the mean fall of the bed; velocity by conveyance. Only a start: the solver finds the truth.
 */
export function firstGuess(grid: Grid, discharge: number, outletLevel: number): State {
  const { nx, ny } = grid;
  const fall = Math.max((columnRange(grid, 0).lowest - columnRange(grid, nx - 1).lowest) / (nx * grid.cell), 5e-4);
  const [level, depth, u] = [new Float64Array(nx * ny), new Float64Array(nx * ny), new Float64Array(nx * ny)];
  let surface = outletLevel;
  for (let i = nx - 1; i >= 0; i--) {
    surface = Math.max(surface, normalLevel(grid, i, discharge, fall));
    const slope = (discharge / Math.max(conveyed(grid, i, surface, 1), 1e-9)) ** 2;
    for (let j = 0; j < ny; j++) {
      const k = j * nx + i;
      level[k] = surface;
      depth[k] = Math.max(0, surface - grid.z[k]!);
      u[k] = depth[k]! > 0 ? (depth[k]! ** (2 / 3) / Math.max(grid.roughness[k]!, 1e-3)) * Math.sqrt(slope) : 0;
    }
  }
  return { nx, ny, cell: grid.cell, level, depth, u, v: new Float64Array(nx * ny) };
}

/**
 * A state carried to another grid: level and velocities sampled, depth from the finer bed. Dry ground stays dry unless
 * its neighbours' level floods it.
 */
export function interpolateState(state: State, grid: Grid): State {
  const { nx, ny, cell } = grid;
  const filled = fillDryLevels(state);
  const [level, depth, u, v] = [
    new Float64Array(nx * ny),
    new Float64Array(nx * ny),
    new Float64Array(nx * ny),
    new Float64Array(nx * ny),
  ];
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i;
      const [x, y] = [(i + 0.5) * cell, (j + 0.5) * cell];
      const at = (values: Float64Array) => sample(values, state.nx, state.ny, state.cell, x, y);
      level[k] = at(filled);
      depth[k] = Math.max(0, level[k]! - grid.z[k]!);
      if (depth[k]! > 0) {
        u[k] = at(state.u);
        v[k] = at(state.v);
      }
    }
  }
  return { nx, ny, cell, level, depth, u, v };
}

/** Levels with dry cells given the mean level of their wet neighbours (or far below the bed where none is wet). */
function fillDryLevels(state: State): Float64Array {
  const { nx, ny, depth, level } = state;
  const out = Float64Array.from(level);
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i;
      if (depth[k]! > 0) continue;
      let sum = 0;
      let count = 0;
      for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
        for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
          const other = b * nx + a;
          if (depth[other]! > 0) {
            sum += level[other]!;
            count++;
          }
        }
      }
      out[k] = count ? sum / count : -1e3;
    }
  }
  return out;
}

/**
 * A solved neighbour scaled to another discharge: depth by the ratio to the power 0.6, the rest to velocity (Manning,
 * wide channel).
 */
export function scaled(state: State, ratio: number): State {
  const depthRatio = ratio ** 0.6;
  const depth = state.depth.map((h) => h * depthRatio);
  const level = state.level.map((w, k) => w + depth[k]! - state.depth[k]!);
  const quicker = ratio ** 0.4;
  return { ...state, depth, level, u: state.u.map((s) => s * quicker), v: state.v.map((s) => s * quicker) };
}
