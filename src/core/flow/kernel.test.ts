import { nodeThreadPool } from "../../../cli/node-thread-pool";
import { type ThreadPool, threadPool } from "./thread-pool";
import type { Grid } from "./grid";
import { type Kernel, SINGLE } from "./kernel";
import { DOUBLE } from "../../testing/proof/double";
import { rasteriseReach } from "./rasterise";
import { sampleRun } from "../../testing/reach-samples";
import { type Edge, ShallowWater } from "./solver";
import { solveSteady } from "./steady";

const g = 9.81;
const WALL: Edge = { kind: "wall" };

/** A strip of cells 1 m wide, `ny` rows alike, its bed by column. */
const strip = (beds: readonly number[], ny = 3, n = 0): Grid => ({
  nx: beds.length,
  ny,
  cell: 1,
  z: Float64Array.from({ length: beds.length * ny }, (_, k) => beds[k % beds.length]!),
  roughness: new Float64Array(beds.length * ny).fill(n),
});

type State = readonly [depth: number, across: number, along: number];

/**
 * What crosses the face between two even halves of a closed strip in the first instant, per metre of it: from what the
 * cells beside it gain in a step so short that nothing else has happened. The momentum that pressure alone brings is in
 * what each side gains. `turned`: the face lies across y.
 */
function face(left: State, right: State, beds: readonly [number, number] = [0, 0], turned = false) {
  const size = 12;
  const side = (k: number) => ((turned ? Math.floor(k / size) : k % size) < size / 2 ? 0 : 1);
  const pick = (of: (state: State) => number) =>
    Float64Array.from({ length: size * size }, (_, k) => of(side(k) ? right : left));
  const grid: Grid = {
    nx: size,
    ny: size,
    cell: 1,
    z: Float64Array.from({ length: size * size }, (_, k) => beds[side(k)]!),
    roughness: new Float64Array(size * size),
  };
  const water = new ShallowWater(grid, { upstream: WALL, downstream: WALL }, DOUBLE);
  const [across, along] = [pick(([, u]) => u), pick(([, , t]) => t)];
  water.setState(
    pick(([h]) => h),
    turned ? along : across,
    turned ? across : along,
  );
  const [near, far] = turned ? [water.at(6, 5), water.at(6, 6)] : [water.at(5, 6), water.at(6, 6)];
  const momenta = (k: number) => {
    const [u, v] = [water.h[k]! * water.u[k]!, water.h[k]! * water.v[k]!];
    return turned ? [v, u] : [u, v];
  };
  const before = { h: water.h[far]!, near: momenta(near), far: momenta(far) };
  const dt = 1e-7;
  water.step(dt);
  const own = ([h, u]: State) => h * u;
  return {
    mass: (water.h[far]! - before.h) / dt + own(right),
    along: (momenta(far)[1]! - before.far[1]!) / dt + own(right) * right[2],
    // The far faces of both cells push with the even state's own momentum and pressure.
    gainL: (momenta(near)[0]! - before.near[0]!) / dt,
    gainR: (momenta(far)[0]! - before.far[0]!) / dt,
  };
}

describe.each([
  ["across x", false],
  ["across y", true],
])("a face %s", (_, turned) => {
  const flux = (left: State, right: State, beds?: [number, number]) => face(left, right, beds, turned);

  test("equal states pass their own physical flux, and nothing changes (consistency)", () => {
    const even = flux([1.2, 0.7, 0.3], [1.2, 0.7, 0.3]);
    expect(even.mass).toBeCloseTo(1.2 * 0.7, 6);
    expect(even.along).toBeCloseTo(1.2 * 0.7 * 0.3, 6);
    expect([even.gainL, even.gainR].every((gain) => Math.abs(gain) < 1e-6)).toBe(true);
  });

  test("still water over a step passes nothing and stays (Audusse et al. 2004)", () => {
    for (const [left, right, beds] of [
      [
        [1, 0, 0],
        [0.4, 0, 0],
        [0, 0.6],
      ],
      [
        [0.4, 0, 0],
        [0, 0, 0],
        [0, 1],
      ],
    ] as [State, State, [number, number]][]) {
      const still = flux(left, right, beds);
      for (const value of Object.values(still)) expect(Math.abs(value)).toBeLessThan(1e-6);
    }
  });

  test("mirrored states pass mirrored fluxes, and momentum along comes from where the mass comes from", () => {
    const [one, two] = [flux([1, 0.5, 0.9], [0.6, -0.2, 0.1]), flux([0.6, 0.2, 0.1], [1, -0.5, 0.9])];
    expect(one.mass).toBeCloseTo(-two.mass, 6);
    expect(one.gainL).toBeCloseTo(-two.gainR, 6);
    expect(one.along / one.mass).toBeCloseTo(0.9, 5);
    expect(two.along / two.mass).toBeCloseTo(0.9, 5);
  });

  test("HLL's own formula between subcritical states (Toro 2001, eq. 10.20; wave speeds of Davis 1988)", () => {
    const [h1, u1, h2, u2] = [1, 0.4, 0.7, 0.1];
    const [c1, c2] = [Math.sqrt(g * h1), Math.sqrt(g * h2)];
    const [s1, s2] = [Math.min(u1 - c1, u2 - c2), Math.max(u1 + c1, u2 + c2)];
    const mass = (s2 * h1 * u1 - s1 * h2 * u2 + s1 * s2 * (h2 - h1)) / (s2 - s1);
    expect(flux([h1, u1, 0], [h2, u2, 0]).mass).toBeCloseTo(mass, 5);
  });

  test("supercritical water passes as it comes, and over dry ground at Ritter's speeds", () => {
    expect(flux([0.3, 4, 0], [0.8, 4.5, 0]).mass).toBeCloseTo(1.2, 5);
    // Between still water and dry ground HLL has Ritter's speeds -c and 2c in the first stage (2/3 h c); in the second,
    // over the film that it left, Davis' -c and c (1/2 h c).
    const c = Math.sqrt(g);
    expect(flux([1, 0, 0], [0, 0, 0]).mass).toBeCloseTo(((2 / 3 + 1 / 2) / 2) * c, 5);
  });
});

test("friction takes the exact root of its own quadratic, from films to floods: h^(-1/3) is exact", () => {
  for (const [kernel, digits] of [
    [DOUBLE, 11],
    [SINGLE, 5],
  ] as [Kernel, number][])
    for (const h of [1e-4, 3e-3, 0.05, 0.3, 1, 7, 60]) {
      const [n, dt, u] = [0.035, 1e-3, 0.8];
      const water = new ShallowWater(strip(new Array(40).fill(0), 3, n), { upstream: WALL, downstream: WALL }, kernel);
      water.setState(new Array(120).fill(h), new Array(120).fill(u));
      water.step(dt);
      const slowed = (q: number) => (2 * q) / (1 + Math.sqrt(1 + (4 * dt * g * n * n * q) / h ** (7 / 3)));
      // Heun: two stages, averaged with the start.
      const q = 0.5 * (h * u + slowed(slowed(h * u)));
      expect(water.u[water.at(20, 1)]! / (q / h)).toBeCloseTo(1, digits);
    }
});

describe("open ends", () => {
  const rates = (h: number, u: number, upstream: Edge, downstream: Edge) => {
    const water = new ShallowWater(strip(new Array(8).fill(0)), { upstream, downstream }, DOUBLE);
    water.setState(new Array(24).fill(h), new Array(24).fill(u));
    const dt = water.step(1e-8);
    return { come: water.volumeIn / dt / 3, gone: water.outflowRate / 3, level: water.datum };
  };

  test("outflow keeps u + 2c to the held level, goes critical over a drop, passes supercritical water as it is", () => {
    const held = rates(1, 0.5, WALL, { kind: "level", level: 0.9 }).gone;
    expect(held / 0.9 + 2 * Math.sqrt(g * 0.9)).toBeCloseTo(0.5 + 2 * Math.sqrt(g), 5);
    const drop = rates(1, 0.5, WALL, { kind: "level", level: 0.05 }).gone;
    // Critical: u = c, so q = c^3 / g with c = (u + 2c) / 3 from inside.
    expect(drop).toBeCloseTo(((0.5 + 2 * Math.sqrt(g)) / 3) ** 3 / g, 5);
    expect(rates(0.2, 3, WALL, { kind: "level", level: 0.9 }).gone).toBeCloseTo(0.6, 6);
  });

  test("inflow passes exactly its discharge, spread evenly over an even inlet", () => {
    const water = new ShallowWater(
      strip(new Array(8).fill(0), 5, 0.03),
      { upstream: { kind: "inflow", discharge: 4 }, downstream: WALL },
      DOUBLE,
    );
    water.setState(new Array(40).fill(1.1), new Array(40).fill(0.6));
    const dt = water.step(1e-8);
    expect(water.volumeIn / dt).toBeCloseTo(4, 9);
    const gains = [0, 1, 2, 3, 4].map((j) => water.h[water.at(0, j)]! - 1.1);
    for (const gain of gains) expect(gain).toBeCloseTo(gains[0]!, 12);
  });

  test("a level held upstream lets in what it would let out, turned", () => {
    const [into, out] = [
      rates(1, -0.5, { kind: "level", level: 0.9 }, WALL).come,
      rates(1, 0.5, WALL, { kind: "level", level: 0.9 }).gone,
    ];
    expect(into).toBeCloseTo(-out, 6);
  });
});

test("several threads give the field of one, to the last bit", async () => {
  const [nx, ny] = [120, 60];
  const grid: Grid = {
    nx,
    ny,
    cell: 0.5,
    roughness: new Float64Array(nx * ny).fill(0.03),
    z: Float64Array.from({ length: nx * ny }, (_, k) => {
      const [i, j] = [k % nx, Math.floor(k / nx)];
      return 0.0015 * (nx - i) + (Math.hypot(i - 50, j - 28) < 6 ? 1.5 : 0) + (j < 6 || j > 54 ? 2 : 0);
    }),
  };
  const options = { upstream: { kind: "inflow", discharge: 8 }, downstream: { kind: "level", level: 0.7 } } as const;
  const solve = (pool?: ReturnType<typeof nodeThreadPool>) => {
    const water = new ShallowWater(grid, options, SINGLE, pool);
    water.setState(grid.z.map((bed) => Math.max(0, 0.8 - bed)));
    water.run(300, Infinity, 4);
    water.release();
    return water;
  };
  const pool = nodeThreadPool(3)!;
  const [one, three] = [solve(), solve(pool)];
  await pool.end();
  expect([one.threads, three.threads]).toEqual([1, 3]);
  expect(Array.from(three.h)).toEqual(Array.from(one.h));
  expect(Array.from(three.means[1]!)).toEqual(Array.from(one.means[1]!));
  expect([three.volumeIn, three.time, three.averaged]).toEqual([one.volumeIn, one.time, one.averaged]);
});

test("a thread does what it is asked and no more: with idle spells between short runs nothing is ahead", async () => {
  const pool = nodeThreadPool(2)!;
  const grid = strip(
    Array.from({ length: 100 }, (_, i) => 0.3 * Math.sin(i / 5)),
    48,
    0.03,
  );
  // Runs that end on a time, the state set anew between: work begun too early would show in what comes next.
  const solve = async (own?: typeof pool) => {
    const edges = { upstream: { kind: "inflow", discharge: 20 }, downstream: { kind: "level", level: 0.8 } } as const;
    const water = new ShallowWater(grid, edges, SINGLE, own);
    const depths = [];
    for (let k = 0; k < 12; k++) {
      water.setState(grid.z.map((bed) => Math.max(0, 0.8 + 0.02 * k - bed)));
      water.run(50, 0.7 + 0.1 * k, 4);
      depths.push(Array.from(water.h), water.volumeOut, water.time);
      // Long enough for a helper to fall asleep.
      await new Promise((go) => setTimeout(go, 15));
    }
    const { threads } = water;
    water.release();
    return { threads, depths };
  };
  const [one, two] = [await solve(), await solve(pool)];
  await pool.end();
  expect([one.threads, two.threads]).toEqual([1, 2]);
  expect(two.depths).toEqual(one.depths);
});

test("a whole solve is the same to the last figure on one, two and three threads, every time", async () => {
  const grid = rasteriseReach(sampleRun);
  const pools = [2, 3].map((cores) => nodeThreadPool(cores)!);
  const solve = (pool?: ThreadPool) => solveSteady(grid, { discharge: 5, downstream: sampleRun.downstream, pool });
  const alone = solve();
  for (const pool of [...pools, ...pools]) expect(solve(pool)).toEqual(alone);
  await Promise.all(pools.map((one) => one.end()));
}, 60_000);

test("a thread that never comes is given up: the solve ends with a fault, and hangs nobody", () => {
  const grid = strip(new Array(100).fill(0), 48, 0.03);
  const absent = threadPool(() => [{ postMessage: () => undefined }]);
  const water = new ShallowWater(grid, { upstream: WALL, downstream: WALL, patience: 3 }, SINGLE, absent);
  expect(water.threads).toBe(2);
  water.setState(new Array(4800).fill(1));
  expect(() => water.run(1, 1)).toThrow(
    expect.objectContaining({ fault: expect.objectContaining({ code: "worker-lost" }) as object }) as Error,
  );
  // Its memory is left to it: the next solve has one of its own, and is sound.
  water.release();
  const next = new ShallowWater(grid, { upstream: WALL, downstream: WALL }, SINGLE);
  next.setState(new Array(4800).fill(1));
  next.run(2, 1);
  expect(next.volume()).toBeCloseTo(4800, 2);
});

test("threads that have ended give their memory back, again and again", async () => {
  const pool = nodeThreadPool(2)!;
  const grid = strip(new Array(100).fill(0), 48, 0.03);
  const volumes = Array.from({ length: 6 }, (_, k) => {
    const water = new ShallowWater(grid, { upstream: WALL, downstream: WALL }, SINGLE, pool);
    water.setState(new Array(4800).fill(1 + k));
    water.run(3, 1);
    const volume = water.volume();
    water.release();
    return Math.round(volume);
  });
  await pool.end();
  expect(volumes).toEqual([4800, 9600, 14400, 19200, 24000, 28800]);
});

test("nothing is left behind where water falls back: dry ground holds none and adds none", () => {
  // A wave runs up a beach and down again; what stands in every cell is the volume that was put in.
  const [nx, ny] = [60, 8];
  const beach = Array.from({ length: nx }, (_, i) => Math.max(0, 0.05 * (i - 30)));
  const water = new ShallowWater(strip(beach, ny, 0.01), { upstream: WALL, downstream: WALL }, DOUBLE);
  water.setState(
    Float64Array.from({ length: nx * ny }, (_, k) =>
      k % nx < 12 ? 1 : k % nx < 36 ? Math.max(0, 0.4 - beach[k % nx]!) : 0,
    ),
  );
  const before = water.volume();
  let highest = 0;
  for (let k = 0; k < 1200; k++) {
    water.step();
    for (let i = 0; i < nx; i++) if (water.h[water.at(i, 3)]! > 1e-3) highest = Math.max(highest, i);
  }
  expect(highest).toBeGreaterThan(40);
  expect(Math.abs(water.volume() - water.volumeClipped - before) / before).toBeLessThan(1e-9);
});
