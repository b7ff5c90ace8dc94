import { ghostIndex, LEFT, padWithGhosts, strideOf } from "./ghosts";
import { InputError } from "../quantity/fault";
import type { Grid } from "./grid";
import type { ThreadPool } from "./thread-pool";
import { type Calls, instanceOn, type Kernel, KernelMemory, moduleOf, type Reals, SINGLE } from "./kernel";

export type Edge =
  | { kind: "wall" }
  | { kind: "open" }
  /** Discharge, m3/s, spread over the wet inlet by conveyance h^(5/3)/n. */
  | { kind: "inflow"; discharge: number }
  /** Water level, m, held at the edge. */
  | { kind: "level"; level: number };

/** As the kernel numbers them. */
const EDGES = { wall: 0, open: 1, inflow: 2, level: 3 } as const;

export interface SolverOptions {
  upstream: Edge;
  downstream: Edge;
  /**
   * nu = alpha u* h. About 0.5 keeps eddies and nearly stops shedding (common practice, no source; Elder 1959 measured
   * 0.15-0.6).
   */
  eddyViscosity?: number;
  /** Courant number of the sum of both directions. */
  courant?: number;
  /** Longest step, s: needed where a dry bed sets none. */
  longestStep?: number;
  /** Waits of 10 ms after which a thread that does not come is given up. */
  patience?: number;
}

/** Ten seconds: no step takes so long. */
const PATIENCE = 1000;

/** Rows that a thread must have to be worth its meetings, and cells. */
const LEAST_ROWS = 12;
const LEAST_CELLS = 4000;

/**
 * The shallow-water solver: a grid's state in the kernel's memory (kernel/index.ts has the equations), stepped there.
 * Levels are kept over a datum in the middle of the bed, so that single precision loses nothing to high ground.
 */
export class ShallowWater {
  readonly nx: number;
  readonly ny: number;
  /** Row length with ghosts. */
  readonly stride: number;
  readonly cell: number;
  /** m: what beds inside are relative to. */
  readonly datum: number;
  /** Bed over the datum and Manning's n, with ghosts. */
  readonly z: Reals;
  readonly n: Reals;
  /** Depth and velocities of the newest state, ghosts included. */
  readonly h: Reals;
  readonly u: Reals;
  readonly v: Reals;
  readonly threads: number;
  private readonly own: KernelMemory;
  private readonly calls: Calls;

  constructor(grid: Grid, options: SolverOptions, kernel: Kernel = SINGLE, pool?: ThreadPool) {
    this.nx = grid.nx;
    this.ny = grid.ny;
    this.cell = grid.cell;
    this.stride = strideOf(grid);
    const enough = grid.nx * grid.ny >= LEAST_CELLS ? Math.floor(grid.ny / LEAST_ROWS) : 1;
    this.threads = pool ? Math.max(1, Math.min(pool.size + 1, enough)) : 1;
    const used = pool && this.threads > 1 ? pool.kernel : kernel;
    this.own = new KernelMemory(grid, used, this.threads);
    this.z = this.own.z;
    this.n = this.own.n;
    [this.h, this.u, this.v] = this.own.state as [Reals, Reals, Reals];
    const [least, most] = range(grid.z);
    this.datum = (least + most) / 2;
    const { upstream: up, downstream: down } = options;
    padWithGhosts(grid, this.datum, up.kind === "wall", down.kind === "wall", this.z, this.n);
    this.own.mask(0, LEFT, LEFT + grid.nx);
    // Slip walls and open ends carry no viscous stress.
    this.own.mask(1, LEFT + 1, LEFT + grid.nx);
    const levelOf = (edge: Edge) => (edge.kind === "level" ? edge.level - this.datum : 0);
    this.own.settings(EDGES[up.kind], EDGES[down.kind], [
      grid.cell,
      options.eddyViscosity ?? 0.5,
      options.courant ?? 0.95,
      options.longestStep ?? 5,
      up.kind === "inflow" ? up.discharge : 0,
      levelOf(up),
      levelOf(down),
      options.patience ?? PATIENCE,
    ]);
    const compiled = moduleOf(used);
    this.calls = instanceOn(compiled, this.own.memory);
    this.calls.configure();
    if (this.threads > 1) pool!.serve(compiled, this.own.memory, this.threads);
  }

  /** Seconds and steps gone by; volumes that have come in and gone out, m3. */
  get time(): number {
    return this.own.total(0);
  }
  get volumeIn(): number {
    return this.own.total(1);
  }
  get volumeOut(): number {
    return this.own.total(2);
  }
  /** Discharge out of the downstream edge during the last step, m3/s. */
  get outflowRate(): number {
    return this.own.total(3);
  }
  get steps(): number {
    return this.own.total(4);
  }
  /** Volume made by holding depths at zero where a flux took more than a cell held, m3: counted, not hidden. */
  get volumeClipped(): number {
    return this.own.clipped();
  }
  /** Seconds over which the means have been gathered. */
  get averaged(): number {
    return this.own.total(5);
  }
  /** Time integrals of depth, both unit discharges, speed and its square, with ghosts. */
  get means(): readonly Reals[] {
    return this.own.means;
  }

  /** Index of grid cell (i, j) in the arrays with ghosts. */
  at(i: number, j: number): number {
    return ghostIndex(this.stride, i, j);
  }

  /** Sets the state from row-major grid arrays of depth (m) and velocity (m/s). */
  setState(depth: ArrayLike<number>, u?: ArrayLike<number>, v?: ArrayLike<number>): void {
    for (let j = 0; j < this.ny; j++) {
      for (let i = 0; i < this.nx; i++) {
        const k = this.at(i, j);
        const c = j * this.nx + i;
        this.h[k] = Math.max(0, depth[c]!);
        this.u[k] = u?.[c] ?? 0;
        this.v[k] = v?.[c] ?? 0;
      }
    }
    this.calls.refresh();
  }

  /** Volume of water in the reach, m3. */
  volume(): number {
    let sum = 0;
    for (let j = 0; j < this.ny; j++) for (let i = 0; i < this.nx; i++) sum += this.h[this.at(i, j)]!;
    return sum * this.cell * this.cell;
  }

  /** One Heun step of the longest stable length, or of `dt` at most; returns its length, s. */
  step(dt = Infinity): number {
    const before = this.time;
    this.run(1, dt);
    return this.time - before;
  }

  /** At most `steps` steps or `seconds`; every `every` of them, and at the end, the state is added to the means. */
  run(steps: number, seconds: number, every = 0): void {
    this.calls.run(steps, seconds, every);
    if (this.own.lost) throw new InputError("worker-lost");
  }

  clearMeans(): void {
    this.own.clearMeans();
  }

  /** Lets the other threads and the memory go. It is not to be used after. */
  release(): void {
    this.own.giveBack();
  }
}

function range(values: Float64Array): [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (const value of values) {
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  return [least, most];
}
