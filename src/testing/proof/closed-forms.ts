import { GRAVITY } from "../../core/quantity/provenance";
import type { Kernel } from "../../core/flow/kernel";
import { ShallowWater } from "../../core/flow/solver";
import {
  bisect,
  energyDepth,
  OPEN,
  type Profile,
  profileOf,
  relativeL1,
  runTo,
  settleStrip,
  strip,
  WALL,
} from "./strip";

/**
 * Closed forms of the shallow-water equations, as collected by Delestre et al. 2013 (SWASHES, Int. J. Numer. Meth.
 * Fluids 72). Each returns the profile along the channel.
 */
const g = GRAVITY;

const depths = (nx: number, left: number, right: number) =>
  Float64Array.from({ length: nx * 3 }, (_, k) => (k % nx < nx / 2 ? left : right));

/** Stoker 1957: dam break on a wet bed. */
export function stoker(kernel: Kernel, nx: number): Profile {
  const [hl, hr, length, time] = [0.005, 0.001, 10, 6];
  const grid = strip(nx, length, () => 0);
  const water = new ShallowWater(grid, { upstream: OPEN, downstream: OPEN }, kernel);
  water.setState(depths(nx, hl, hr));
  runTo(water, time);
  const cl = Math.sqrt(g * hl);
  // The middle depth joins the rarefaction from the left with the shock into the right.
  const hm = bisect((h) => 2 * (cl - Math.sqrt(g * h)) - (h - hr) * Math.sqrt((g / 2) * (1 / h + 1 / hr)), hr, hl);
  const um = 2 * (cl - Math.sqrt(g * hm));
  const shock = (hm * um) / (hm - hr);
  return profileOf(
    water,
    grid,
    Array.from({ length: nx }, (_, i) => {
      const s = ((i + 0.5) * grid.cell - length / 2) / time;
      if (s <= -cl) return hl;
      if (s <= um - Math.sqrt(g * hm)) return (4 / (9 * g)) * (cl - s / 2) ** 2;
      return s <= shock ? hm : hr;
    }),
  );
}

/** Ritter 1892: dam break on a dry bed. */
export function ritter(kernel: Kernel, nx: number): Profile {
  const [hl, length, time] = [0.005, 10, 6];
  const grid = strip(nx, length, () => 0);
  const water = new ShallowWater(grid, { upstream: OPEN, downstream: OPEN }, kernel);
  water.setState(depths(nx, hl, 0));
  runTo(water, time);
  const cl = Math.sqrt(g * hl);
  return profileOf(
    water,
    grid,
    Array.from({ length: nx }, (_, i) => {
      const s = ((i + 0.5) * grid.cell - length / 2) / time;
      return s <= -cl ? hl : s <= 2 * cl ? (4 / (9 * g)) * (cl - s / 2) ** 2 : 0;
    }),
  );
}

const bump = (x: number): number => Math.max(0, 0.2 - 0.05 * (x - 10) ** 2);
const TOP = 0.2;
const energyOf = (q: number, h: number): number => h + (q * q) / (2 * g * h * h);

/** Goutal & Maurel 1997: 4.42 m2/s over a parabolic bump, 2 m downstream: Bernoulli holds at every point. */
export function subcriticalBump(kernel: Kernel, nx: number): Profile {
  const [q, level] = [4.42, 2];
  const grid = strip(nx, 25, bump);
  const water = settleStrip(kernel, grid, q, level, (z) => level - z, 120);
  const energy = energyOf(q, level);
  return profileOf(
    water,
    grid,
    Array.from(grid.z.slice(0, nx), (z) => energyDepth(q, energy - z, "deep")),
  );
}

/** The same bump, 1.53 m2/s, free below: critical on its top (Goutal & Maurel 1997). */
export function transcriticalBump(kernel: Kernel, nx: number): Profile {
  const q = 1.53;
  const grid = strip(nx, 25, bump);
  const water = settleStrip(kernel, grid, q, null, (z) => 0.66 - z, 120);
  const energy = 1.5 * Math.cbrt((q * q) / g) + TOP;
  return profileOf(
    water,
    grid,
    Array.from(grid.z.slice(0, nx), (z, i) =>
      energyDepth(q, energy - z, (i + 0.5) * grid.cell < 10 ? "deep" : "shallow"),
    ),
  );
}

/**
 * The same bump, 0.18 m2/s, 0.33 m downstream: critical on its top, and back through a jump where the momenta of both
 * sides agree (Belanger).
 */
export function bumpWithJump(kernel: Kernel, nx: number): Profile {
  const [q, level] = [0.18, 0.33];
  const grid = strip(nx, 25, bump);
  const water = settleStrip(kernel, grid, q, level, (z) => level - z, 300);
  const upper = 1.5 * Math.cbrt((q * q) / g) + TOP;
  const lower = energyOf(q, level);
  const force = (h: number) => (q * q) / h + (g * h * h) / 2;
  const jump = bisect(
    (x) => force(energyDepth(q, upper - bump(x), "shallow")) - force(energyDepth(q, lower - bump(x), "deep")),
    10.01,
    12,
  );
  return profileOf(
    water,
    grid,
    Array.from(grid.z.slice(0, nx), (z, i) => {
      const x = (i + 0.5) * grid.cell;
      return x < 10
        ? energyDepth(q, upper - z, "deep")
        : x < jump
          ? energyDepth(q, upper - z, "shallow")
          : energyDepth(q, lower - z, "deep");
    }),
  );
}

/**
 * MacDonald et al. 1997: a smooth depth is prescribed over 1000 m with Manning friction, and the bed that makes it is
 * integrated.
 */
export function macDonald(kernel: Kernel, nx: number): Profile {
  const [q, n, length] = [2, 0.033, 1000];
  const depth = (x: number) => Math.cbrt(4 / g) * (1 + 0.5 * Math.exp(-16 * (x / length - 0.5) ** 2));
  const depthSlope = (x: number) =>
    (-Math.cbrt(4 / g) * 16 * (x / length - 0.5) * Math.exp(-16 * (x / length - 0.5) ** 2)) / length;
  const fall = (x: number) =>
    ((q * q) / (g * depth(x) ** 3) - 1) * depthSlope(x) - (n * n * q * q) / depth(x) ** (10 / 3);
  const cell = length / nx;
  // Bed at cell middles, Simpson's rule upstream from the outlet, where it is 0.
  const bed = new Float64Array(nx);
  const over = (a: number, b: number) => ((b - a) / 6) * (fall(a) + 4 * fall((a + b) / 2) + fall(b));
  let z = -over(length - cell / 2, length);
  for (let i = nx - 1; i >= 0; i--) {
    bed[i] = z;
    const x = (i + 0.5) * cell;
    z -= over(x - cell, x);
  }
  const grid = strip(nx, length, (x) => bed[Math.min(nx - 1, Math.floor(x / cell))]!, n);
  const water = settleStrip(kernel, grid, q, depth(length), () => depth(length), 3000);
  return profileOf(
    water,
    grid,
    Array.from({ length: nx }, (_, i) => depth((i + 0.5) * cell)),
  );
}

/** Manning 1891: a uniform sloping channel runs at q = h^(5/3) sqrt(S) / n in its middle. */
export function normalDepth(kernel: Kernel, nx: number): Profile {
  const [q, n, slope, length] = [1.5, 0.033, 0.004, 400];
  const normal = ((q * n) / Math.sqrt(slope)) ** 0.6;
  const grid = strip(nx, length, (x) => slope * (length - x), n);
  const water = settleStrip(kernel, grid, q, normal, () => 1.3 * normal, 1500);
  const all = profileOf(water, grid, new Array<number>(nx).fill(normal));
  const middle = <T>(values: readonly T[]) => values.slice(Math.floor(0.2 * nx), Math.floor(0.8 * nx));
  return { x: middle(all.x), bed: middle(all.bed), found: middle(all.found), truth: middle(all.truth) };
}

/** Thacker 1981: water swings in a parabolic valley, its shores drying and wetting, and is back after one period. */
export function thacker(kernel: Kernel, nx: number): Profile & { volumeError: number } {
  const [length, h0] = [4, 0.5];
  const grid = strip(nx, length, (x) => h0 * ((x - length / 2) ** 2 - 1));
  const start = Float64Array.from({ length: nx * 3 }, (_, k) =>
    Math.max(0, -h0 * ((((k % nx) + 0.5) * grid.cell - length / 2 + 0.5) ** 2 - 1)),
  );
  const water = new ShallowWater(grid, { upstream: WALL, downstream: WALL }, kernel);
  water.setState(start);
  const volume = water.volume();
  runTo(water, (2 * Math.PI) / Math.sqrt(2 * g * h0));
  return {
    ...profileOf(water, grid, Array.from(start.slice(0, nx))),
    volumeError: Math.abs(water.volume() / volume - 1),
  };
}

/** Error of a case, relative L1 of depth. */
export const errorOf = (profile: Profile): number => relativeL1(profile.found, profile.truth);
