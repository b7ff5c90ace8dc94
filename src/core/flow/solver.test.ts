import type { Grid } from "./grid";
import { type Edge, ShallowWater } from "./solver";

/** Closed forms as collected by Delestre et al. 2013 (SWASHES, Int. J. Numer. Meth. Fluids 72). Error limits are those of physics section 2. */
const g = 9.81;
const wall: Edge = { kind: "wall" };

const strip = (nx: number, length: number, bed: (x: number) => number, n = 0, ny = 3): Grid => {
  const cell = length / nx;
  return { nx, ny, cell, z: Float64Array.from({ length: nx * ny }, (_, k) => bed(((k % nx) + 0.5) * cell)), roughness: new Float64Array(nx * ny).fill(n) };
};
const middleRow = (water: ShallowWater, values: Float64Array): number[] => Array.from({ length: water.nx }, (_, i) => values[water.at(i, Math.floor(water.ny / 2))]!);
const relativeL1 = (found: number[], truth: number[]): number => found.reduce((sum, value, k) => sum + Math.abs(value - truth[k]!), 0) / truth.reduce((sum, value) => sum + Math.abs(value), 0);
const runTo = (water: ShallowWater, time: number): void => {
  while (water.time < time - 1e-9) water.step(time - water.time);
};

test("a still lake over islands stays still to rounding", () => {
  const nx = 40, ny = 30;
  const z = Float64Array.from({ length: nx * ny }, (_, k) => 1.4 * Math.exp(-(((k % nx) - 14) ** 2 + (Math.floor(k / nx) - 12) ** 2) / 30) + 0.02 * Math.sin(k * 1.7));
  const water = new ShallowWater({ nx, ny, cell: 1, z, roughness: new Float64Array(nx * ny).fill(0.03) }, { upstream: wall, downstream: wall });
  water.setState(z.map((bed) => Math.max(0, 1 - bed)));
  for (let k = 0; k < 200; k++) water.step();
  let fastest = 0, level = 0;
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) {
    const k = water.at(i, j);
    fastest = Math.max(fastest, Math.hypot(water.u[k]!, water.v[k]!));
    if (water.h[k]! > 1e-6) level = Math.max(level, Math.abs(water.h[k]! + water.z[k]! - 1));
  }
  expect(z.some((bed) => bed > 1)).toBe(true);
  expect(fastest).toBeLessThan(1e-10);
  expect(level).toBeLessThan(1e-10);
});

test("Stoker 1957: dam break on a wet bed", () => {
  const [hl, hr, length, time] = [0.005, 0.001, 10, 6];
  const water = new ShallowWater(strip(200, length, () => 0), { upstream: { kind: "open" }, downstream: { kind: "open" } });
  water.setState(Float64Array.from({ length: 600 }, (_, k) => ((k % 200) < 100 ? hl : hr)));
  runTo(water, time);
  // Middle speed cm: root of -8 g hr cm^2 (sqrt(g hl) - cm)... solved by bisection of the shock relation.
  const cl = Math.sqrt(g * hl);
  const f = (h: number) => 2 * (cl - Math.sqrt(g * h)) - (h - hr) * Math.sqrt((g / 2) * (1 / h + 1 / hr));
  let [low, high] = [hr, hl];
  for (let k = 0; k < 80; k++) {
    const middle = (low + high) / 2;
    if (f(middle) > 0) low = middle;
    else high = middle;
  }
  const hm = low, um = 2 * (cl - Math.sqrt(g * hm)), shock = (hm * um) / (hm - hr);
  const truth = Array.from({ length: 200 }, (_, i) => {
    const s = ((i + 0.5) * length / 200 - length / 2) / time;
    if (s <= -cl) return hl;
    if (s <= um - Math.sqrt(g * hm)) return (4 / (9 * g)) * (cl - s / 2) ** 2;
    return s <= shock ? hm : hr;
  });
  expect(relativeL1(middleRow(water, water.h), truth)).toBeLessThan(9e-3);
});

test("Ritter 1892: dam break on a dry bed", () => {
  const [hl, length, time] = [0.005, 10, 6];
  const water = new ShallowWater(strip(200, length, () => 0), { upstream: { kind: "open" }, downstream: { kind: "open" } });
  water.setState(Float64Array.from({ length: 600 }, (_, k) => ((k % 200) < 100 ? hl : 0)));
  runTo(water, time);
  const cl = Math.sqrt(g * hl);
  const truth = Array.from({ length: 200 }, (_, i) => {
    const s = ((i + 0.5) * length / 200 - length / 2) / time;
    return s <= -cl ? hl : s <= 2 * cl ? (4 / (9 * g)) * (cl - s / 2) ** 2 : 0;
  });
  expect(relativeL1(middleRow(water, water.h), truth)).toBeLessThan(1e-2);
});

/** Goutal & Maurel 1997: 4.42 m2/s over a parabolic bump, 2 m downstream: Bernoulli's cubic holds at every point. */
function bumpError(nx: number): number {
  const bed = (x: number) => Math.max(0, 0.2 - 0.05 * (x - 10) ** 2);
  const [q, hOut] = [4.42, 2];
  const grid = strip(nx, 25, bed);
  const water = new ShallowWater(grid, { upstream: { kind: "inflow", discharge: q * 3 * grid.cell }, downstream: { kind: "level", level: hOut } });
  water.setState(grid.z.map((z) => hOut - z), new Float64Array(nx * 3).fill(q / hOut));
  runTo(water, 120);
  const energy = q ** 2 / (2 * g * hOut ** 2) + hOut;
  const truth = Array.from({ length: nx }, (_, i) => {
    let h = hOut;
    for (let k = 0; k < 50; k++) h -= (h ** 3 + (grid.z[i]! - energy) * h * h + q * q / (2 * g)) / (3 * h * h + 2 * (grid.z[i]! - energy) * h);
    return h;
  });
  return relativeL1(middleRow(water, water.h), truth);
}

test("subcritical flow over a bump: Bernoulli, and second order", () => {
  const [coarse, fine] = [bumpError(100), bumpError(200)];
  expect(fine).toBeLessThan(2e-4);
  expect(Math.log2(coarse / fine)).toBeGreaterThan(1.6);
});

test("transcritical flow over the bump: Bernoulli through the critical point at its top (Goutal & Maurel 1997, q = 1.53, 0.66 m)", () => {
  const [q, hOut, nx] = [1.53, 0.66, 200];
  const bed = (x: number) => Math.max(0, 0.2 - 0.05 * (x - 10) ** 2);
  const grid = strip(nx, 25, bed);
  const water = new ShallowWater(grid, { upstream: { kind: "inflow", discharge: q * 3 * grid.cell }, downstream: { kind: "open" } });
  water.setState(grid.z.map((z) => hOut - z), new Float64Array(nx * 3).fill(q / hOut));
  runTo(water, 120);
  const critical = Math.cbrt(q * q / g);
  const energy = q * q / (2 * g * critical * critical) + critical + 0.2;
  const truth = Array.from({ length: nx }, (_, i) => {
    // The cubic has a deep root above the top and a shallow one below it.
    let h = (i + 0.5) * grid.cell < 10 ? 1.2 : 0.25;
    for (let k = 0; k < 60; k++) h -= (h ** 3 + (grid.z[i]! - energy) * h * h + q * q / (2 * g)) / (3 * h * h + 2 * (grid.z[i]! - energy) * h);
    return h;
  });
  expect(relativeL1(middleRow(water, water.h), truth)).toBeLessThan(5e-3);
});

test("Thacker 1981: water swings in a parabolic valley and is back after one period, its shores drying and wetting", () => {
  const [nx, length, a, h0] = [100, 4, 1, 0.5];
  const bed = (x: number) => h0 * ((x - length / 2) ** 2 / a ** 2 - 1);
  const grid = strip(nx, length, bed);
  const omega = Math.sqrt(2 * g * h0) / a;
  const depthAt = (x: number, t: number) => Math.max(0, -h0 * (((x - length / 2) + 0.5 * Math.cos(omega * t) / a) ** 2 / a ** 2 - 1));
  const water = new ShallowWater(grid, { upstream: wall, downstream: wall });
  const start = Float64Array.from({ length: nx * 3 }, (_, k) => depthAt(((k % nx) + 0.5) * grid.cell, 0));
  water.setState(start);
  const volume = water.volume();
  runTo(water, (2 * Math.PI) / omega);
  expect(relativeL1(middleRow(water, water.h), Array.from(start.slice(0, nx)))).toBeLessThan(0.04);
  expect(Math.abs(water.volume() / volume - 1)).toBeLessThan(1e-10);
});

test("a uniform sloping channel runs at Manning's normal depth", () => {
  const [q, n, slope] = [1.5, 0.033, 0.004];
  const normal = (q * n / Math.sqrt(slope)) ** 0.6; // Manning 1891, wide channel
  const grid = strip(100, 400, (x) => slope * (400 - x), n);
  const water = new ShallowWater(grid, { upstream: { kind: "inflow", discharge: q * 3 * grid.cell }, downstream: { kind: "level", level: normal } });
  water.setState(new Float64Array(300).fill(normal * 1.3), new Float64Array(300).fill(1));
  runTo(water, 1500);
  const found = middleRow(water, water.h).slice(20, 80);
  expect(relativeL1(found, found.map(() => normal))).toBeLessThan(1e-3);
});

/** A short rough channel that wanders between dry banks, with a boulder off the middle; `mirrored` swaps the banks. */
function boulderChannel(mirrored: boolean): ShallowWater {
  const nx = 40, ny = 16;
  const z = Float64Array.from({ length: nx * ny }, (_, k) => {
    const i = k % nx, row = Math.floor(k / nx), j = mirrored ? ny - 1 - row : row;
    const bank = j < 2.5 + 2.5 * Math.sin(i / 5) || j > ny - 2.2 + 1.5 * Math.sin(i / 4) ? 2 : 0;
    return 0.003 * (nx - i) + bank + (Math.hypot(i - 14, j - 9) < 2.2 ? 1.5 : 0);
  });
  const water = new ShallowWater({ nx, ny, cell: 1, z, roughness: new Float64Array(nx * ny).fill(0.03) },
    { upstream: { kind: "inflow", discharge: 9 }, downstream: { kind: "level", level: 0.8 } });
  water.setState(z.map((bed, k) => Math.max(0, 0.8 + 0.003 * (nx - (k % nx)) - bed)));
  return water;
}

test("a mirrored bed gives the mirrored field", () => {
  const [left, right] = [boulderChannel(false), boulderChannel(true)];
  for (let k = 0; k < 400; k++) {
    left.step();
    right.step();
  }
  let worst = 0;
  for (let j = 0; j < left.ny; j++) for (let i = 0; i < left.nx; i++) {
    const [a, b] = [left.at(i, j), right.at(i, right.ny - 1 - j)];
    worst = Math.max(worst, Math.abs(left.h[a]! - right.h[b]!), Math.abs(left.u[a]! - right.u[b]!), Math.abs(left.v[a]! + right.v[b]!));
  }
  expect(worst).toBeLessThan(1e-9);
});

test("what comes in, less what goes out, is what is stored", () => {
  const water = boulderChannel(false);
  const before = water.volume();
  for (let k = 0; k < 600; k++) water.step();
  const error = Math.abs(water.volume() - before - water.volumeIn + water.volumeOut) / water.volumeIn;
  expect(water.volumeIn).toBeGreaterThan(100);
  expect(error).toBeLessThan(1e-10);
});
