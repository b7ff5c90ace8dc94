import { GRAVITY } from "../quantity/provenance";
import { type BoundaryFlux, inflow, outflow, spreadInflow } from "./boundaries";
import { type FluxCells, Faces, FILM } from "./faces";
import { ghostIndex, padWithGhosts, RINGS, strideOf } from "./ghosts";
import type { Grid } from "./grid";
import { inverseCubeRoot } from "./cube-root";
import { type Sweepable, sweepX, sweepY } from "./sweeps";

// Bundlers reach imports through getters, and a test sandbox its globals: the hot loops take both from here instead.
const g = GRAVITY;
const alongRow = sweepX;
const acrossRows = sweepY;
const rootOf = inverseCubeRoot;
const { abs, max, min, sqrt } = Math;

/**
 * Depth-averaged shallow-water equations with Manning friction and depth-scaled eddy viscosity:
 *   h_t + (hu)_x + (hv)_y = 0
 *   (hu)_t + (hu^2 + g h^2/2)_x + (huv)_y = -g h z_x - g n^2 |u| u / h^(1/3) + div(nu h grad u)
 * Finite volumes, MUSCL on level, depth and velocity (limiter.ts), hydrostatic reconstruction and HLLC flux (faces.ts),
 * open
 * ends by characteristics (boundaries.ts), Heun steps with friction inside each stage. Plain arithmetic on typed
 * arrays: no allocation in a step.
 */
export type Edge =
  | { kind: "wall" }
  | { kind: "open" }
  /** Discharge, m3/s, spread over the wet inlet by conveyance h^(5/3)/n. */
  | { kind: "inflow"; discharge: number }
  /** Water level, m, held at the edge. */
  | { kind: "level"; level: number };

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
}

const G = RINGS;

export class ShallowWater implements Sweepable {
  readonly nx: number;
  readonly ny: number;
  /** Row length with ghosts. */
  readonly stride: number;
  readonly z: Float64Array;
  readonly n: Float64Array;
  h: Float64Array;
  hu: Float64Array;
  hv: Float64Array;
  /** Cell velocities of the newest state, ghosts included. */
  readonly u: Float64Array;
  readonly v: Float64Array;
  time = 0;
  steps = 0;
  /** Volume that has come in and gone out, m3. */
  volumeIn = 0;
  volumeOut = 0;
  /** Volume made by holding depths at zero where a flux took more than a cell held, m3: counted, not hidden. */
  volumeClipped = 0;
  /** Discharge out of the downstream edge during the last step, m3/s. */
  outflowRate = 0;

  readonly cell: number;
  private readonly alpha: number;
  private readonly courant: number;
  private h0: Float64Array;
  private hu0: Float64Array;
  private hv0: Float64Array;
  readonly rh: Float64Array;
  readonly ru: Float64Array;
  readonly rv: Float64Array;
  /** nu h of each cell, m3/s: what the viscous flux is made of. */
  readonly nuh: Float64Array;
  /** h^(-1/3), kept from step to step. */
  private readonly root: Float64Array;
  private readonly wallUp: boolean;
  private readonly wallDown: boolean;
  readonly faces: Faces;
  readonly facesInTurn: Faces;
  readonly acrossX: FluxCells;
  readonly acrossY: FluxCells;
  private readonly edgeFlux: BoundaryFlux = { mass: 0, depth: 0 };
  private readonly inletFlux: Float64Array;
  /** Wet span of each row, ghosts included; empty when low > high. */
  private readonly low: Int32Array;
  private readonly high: Int32Array;
  private stageIn = 0;
  private stageOut = 0;
  private fastest = 0;

  constructor(
    grid: Grid,
    private readonly options: SolverOptions,
  ) {
    this.nx = grid.nx;
    this.ny = grid.ny;
    this.cell = grid.cell;
    this.alpha = options.eddyViscosity ?? 0.5;
    this.courant = options.courant ?? 0.95;
    this.stride = strideOf(grid);
    const size = this.stride * (grid.ny + 2 * G);
    const make = () => new Float64Array(size);
    [this.z, this.n, this.h, this.hu, this.hv, this.u, this.v] = [
      make(),
      make(),
      make(),
      make(),
      make(),
      make(),
      make(),
    ];
    [this.h0, this.hu0, this.hv0, this.rh, this.ru, this.rv, this.nuh] = [
      make(),
      make(),
      make(),
      make(),
      make(),
      make(),
      make(),
    ];
    this.root = make();
    this.wallUp = options.upstream.kind === "wall";
    this.wallDown = options.downstream.kind === "wall";
    this.faces = new Faces(this.stride + 1);
    this.facesInTurn = new Faces(this.stride + 1, this.faces);
    const { h, u, v, nuh, rh, ru, rv } = this;
    this.acrossX = { h, across: u, along: v, nuh, rh, rAcross: ru, rAlong: rv };
    this.acrossY = { h, across: v, along: u, nuh, rh, rAcross: rv, rAlong: ru };
    this.inletFlux = new Float64Array(grid.ny);
    this.low = new Int32Array(grid.ny + 2 * G).fill(this.stride);
    this.high = new Int32Array(grid.ny + 2 * G).fill(-1);
    padWithGhosts(grid, this.wallUp, this.wallDown, this.z, this.n);
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
        this.h[k] = max(0, depth[c]!);
        this.hu[k] = this.h[k]! * (u?.[c] ?? 0);
        this.hv[k] = this.h[k]! * (v?.[c] ?? 0);
      }
    }
    this.fastest = 0;
    this.refresh();
  }

  /** Volume of water in the reach, m3. */
  volume(): number {
    let sum = 0;
    for (let j = 0; j < this.ny; j++) for (let i = 0; i < this.nx; i++) sum += this.h[this.at(i, j)]!;
    return sum * this.cell * this.cell;
  }

  /** One Heun step of the longest stable length, or of `dt` at most; returns its length, s. */
  step(dt = Infinity): number {
    const stable = this.fastest > 0 ? (this.courant * this.cell) / this.fastest : Infinity;
    const length = min(dt, stable, this.options.longestStep ?? 5);
    this.h0.set(this.h);
    this.hu0.set(this.hu);
    this.hv0.set(this.hv);
    this.residual();
    const in1 = this.stageIn;
    const out1 = this.stageOut;
    this.advance(length, false);
    this.residual();
    this.advance(length, true);
    this.volumeIn += 0.5 * (in1 + this.stageIn) * length;
    this.outflowRate = 0.5 * (out1 + this.stageOut);
    this.volumeOut += this.outflowRate * length;
    this.time += length;
    this.steps++;
    return length;
  }

  /** Velocities, viscosity, wet spans, fastest wave and ghost states of the present state. */
  private refresh(): void {
    for (let j = 0; j < this.ny; j++) this.advanceRow(j, 0, false);
    this.finishState();
  }

  private finishState(): void {
    for (let j = 0; j < this.ny; j++) this.fillEnds((j + G) * this.stride);
    this.fillSides();
  }

  /** Ghosts beyond both ends: mirrored behind a wall, continued elsewhere. */
  private fillEnds(row: number): void {
    const first = row + G;
    const last = row + G + this.nx - 1;
    for (let ring = 1; ring <= G; ring++) {
      this.fillGhost(first - ring, this.wallUp ? first + ring - 1 : first, this.wallUp);
      this.fillGhost(last + ring, this.wallDown ? last - ring + 1 : last, this.wallDown);
    }
  }

  private fillGhost(ghost: number, from: number, mirrored: boolean): void {
    this.h[ghost] = this.h[from]!;
    this.u[ghost] = mirrored ? -this.u[from]! : this.u[from]!;
    this.v[ghost] = this.v[from]!;
    this.nuh[ghost] = this.nuh[from]!;
  }

  /** Ghosts beside the grid: slip walls. */
  private fillSides(): void {
    for (let ring = 1; ring <= G; ring++) {
      this.mirrorRow(G - ring, G + ring - 1);
      this.mirrorRow(G + this.ny - 1 + ring, G + this.ny - ring);
    }
  }

  private mirrorRow(to: number, from: number): void {
    const { stride, v } = this;
    this.h.copyWithin(to * stride, from * stride, (from + 1) * stride);
    this.u.copyWithin(to * stride, from * stride, (from + 1) * stride);
    this.nuh.copyWithin(to * stride, from * stride, (from + 1) * stride);
    for (let i = 0; i < stride; i++) v[to * stride + i] = -v[from * stride + i]!;
    this.low[to] = this.low[from]!;
    this.high[to] = this.high[from]!;
  }

  /** d(h, hu, hv)/dt of the present state, without friction, over the wet span and one cell around it. */
  private residual(): void {
    this.rh.fill(0);
    this.ru.fill(0);
    this.rv.fill(0);
    this.stageIn = this.stageOut = 0;
    const { upstream } = this.options;
    if (upstream.kind === "inflow")
      spreadInflow(upstream.discharge, this.h, this.n, this.stride, this.ny, this.cell, this.inletFlux);
    for (let j = 0; j < this.ny; j++) this.addRowFluxes(j);
    acrossRows(this);
  }

  /** First column of row j that can change: one cell beyond the wet span of it and its neighbours. */
  spanLow(j: number): number {
    const row = j + G;
    return max(G, min(this.low[row - 1]!, this.low[row]!, this.low[row + 1]!) - 1);
  }

  spanHigh(j: number): number {
    const row = j + G;
    return min(G + this.nx - 1, max(this.high[row - 1]!, this.high[row]!, this.high[row + 1]!) + 1);
  }

  /** Fluxes over the x-faces of row j, then those over its open ends. */
  private addRowFluxes(j: number): void {
    const row = (j + G) * this.stride;
    const first = this.spanLow(j);
    const last = this.spanHigh(j);
    if (last < first) return;
    const inlet = G;
    const outlet = G + this.nx - 1;
    const openUp = first === inlet && !this.wallUp;
    const openDown = last === outlet && !this.wallDown;
    alongRow(this, row, first, last, openUp, openDown);
    const { hL, zL, nL, hR, nR } = this.faces;
    if (openUp) this.addInletFlux(j, row + inlet, hR[inlet]!, nR[inlet]!, this.v[row + inlet]!);
    if (openDown)
      this.addOutletFlux(row + outlet, hL[outlet + 1]!, zL[outlet + 1]!, nL[outlet + 1]!, this.v[row + outlet]!);
  }

  private addInletFlux(j: number, k: number, depth: number, speed: number, across: number): void {
    const edge = this.options.upstream;
    const { edgeFlux } = this;
    if (edge.kind === "inflow") inflow(this.inletFlux[j]!, depth, speed, edgeFlux);
    else if (edge.kind === "level") {
      // Seen from outside, a level upstream is an outflow with the axis turned.
      outflow(edge.level - this.z[k]!, depth, -speed, edgeFlux);
      edgeFlux.mass = -edgeFlux.mass;
    } else {
      edgeFlux.mass = depth * speed;
      edgeFlux.depth = depth;
    }
    if (edge.kind === "inflow" && edgeFlux.mass === 0) edgeFlux.depth = depth;
    const { mass, depth: hB } = edgeFlux;
    const inverse = 1 / this.cell;
    const carried = mass > 0 ? (edge.kind === "open" ? across : 0) : across;
    this.rh[k]! += mass * inverse;
    this.ru[k]! += ((hB > 0 ? (mass * mass) / hB : 0) + 0.5 * g * hB * hB) * inverse;
    this.rv[k]! += mass * carried * inverse;
    this.stageIn += mass * this.cell;
  }

  private addOutletFlux(k: number, depth: number, zFace: number, speed: number, across: number): void {
    const edge = this.options.downstream;
    const { edgeFlux } = this;
    if (edge.kind === "level") outflow(edge.level - zFace, depth, speed, edgeFlux);
    else {
      edgeFlux.mass = depth * speed;
      edgeFlux.depth = depth;
    }
    const { mass, depth: hB } = edgeFlux;
    const inverse = 1 / this.cell;
    this.rh[k]! -= mass * inverse;
    this.ru[k]! -= ((hB > 0 ? (mass * mass) / hB : 0) + 0.5 * g * hB * hB) * inverse;
    this.rv[k]! -= mass * (mass > 0 ? across : 0) * inverse;
    this.stageOut += mass * this.cell;
  }

  /** One stage over the whole grid. Spans are read one row ahead, before the row behind overwrites them. */
  private advance(dt: number, average: boolean): void {
    this.fastest = 0;
    let low = this.spanLow(0);
    let high = this.spanHigh(0);
    for (let j = 0; j < this.ny; j++) {
      const nextLow = j + 1 < this.ny ? this.spanLow(j + 1) : 0;
      const nextHigh = j + 1 < this.ny ? this.spanHigh(j + 1) : 0;
      this.advanceRow(j, dt, average, low, high);
      low = nextLow;
      high = nextHigh;
    }
    this.finishState();
  }

  /**
   * Row j forward by dt, friction by the exact root of q = q* - dt g n^2 |q| q / h^(7/3); the second stage is averaged
   * with the start. Leaves velocities, nu h = alpha u* h^2 with u* = sqrt(g) n |U| / h^(1/6), the wet span and the
   * fastest wave.
   */
  private advanceRow(j: number, dt: number, average: boolean, from = G, to = G + this.nx - 1): void {
    const { stride, h, hu, hv, h0, hu0, hv0, rh, ru, rv, n, u, v, nuh, root } = this;
    const row = (j + G) * stride;
    const alpha = this.alpha * sqrt(g);
    const dragScale = 4 * dt * g;
    let fastest = this.fastest;
    let low = stride;
    let high = -1;
    let clipped = 0;
    const last = row + to;
    for (let k = row + from; k <= last; k++) {
      let depth = h[k]! + dt * rh[k]!;
      if (depth < 0) {
        // Each stage has half a say in the step.
        clipped -= depth;
        depth = 0;
      }
      let qx = 0;
      let qy = 0;
      let r = root[k]!;
      if (depth > FILM) {
        qx = hu[k]! + dt * ru[k]!;
        qy = hv[k]! + dt * rv[k]!;
        const nk = n[k]!;
        if (dt > 0 && nk > 0) {
          r = rootOf(depth, r);
          const r2 = r * r;
          const drag = dragScale * nk * nk * sqrt(qx * qx + qy * qy) * r2 * r2 * r2 * r;
          const kept = 2 / (1 + sqrt(1 + drag));
          qx *= kept;
          qy *= kept;
        }
      }
      if (average) {
        depth = 0.5 * (h0[k]! + depth);
        qx = 0.5 * (hu0[k]! + qx);
        qy = 0.5 * (hv0[k]! + qy);
      }
      h[k] = depth;
      if (depth > 0) {
        if (low === stride) low = k - row;
        high = k - row;
      }
      if (depth <= FILM) {
        hu[k] = hv[k] = u[k] = v[k] = nuh[k] = 0;
        continue;
      }
      if (average || dt === 0 || n[k] === 0) r = rootOf(depth, r);
      root[k] = r;
      const inverse = r * r * r;
      const uk = qx * inverse;
      const vk = qy * inverse;
      hu[k] = qx;
      hv[k] = qy;
      u[k] = uk;
      v[k] = vk;
      const speed2 = uk * uk + vk * vk;
      nuh[k] = alpha * n[k]! * depth * depth * sqrt(speed2 * r);
      if (!average && dt > 0) continue; // the step's length needs the wave speed of whole steps only
      const wave = abs(uk) + abs(vk) + 2 * sqrt(g * depth);
      if (wave > fastest) fastest = wave;
    }
    if (clipped > 0) this.volumeClipped += 0.5 * clipped * this.cell * this.cell;
    this.low[j + G] = low;
    this.high[j + G] = high;
    this.fastest = fastest;
  }
}
