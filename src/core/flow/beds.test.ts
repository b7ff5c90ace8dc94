import type { Reach } from "./reach-schema";
import { InputError } from "../quantity/fault";
import { moved, within } from "./features";
import { checkGrid, coarsen, type Grid, resample, sample } from "./grid";
import { rasteriseReach } from "./rasterise";
import { checkReach } from "./reach";
import { outletLevel } from "./stage";
import { interpolateState, firstGuess, scaled } from "./start";
import { rasteriseSections } from "./sections";
import { rasteriseSoundings } from "./soundings";
import { solveSteady } from "./steady";
import { ROUGHNESS } from "./substrate";
import { centreline, rasteriseTemplate, templateSize } from "./template";
import { TEMPLATES } from "./template-waters";

const template = {
  kind: "template",
  template: "riffle-run-pool",
  length: 120,
  width: 20,
  poolDepth: 1.5,
  slope: 0.003,
  wiggle: 4,
  cell: 1,
} as const;
const reach = (change: Partial<Reach> = {}): Reach => ({
  schema: "low-heron/reach@1",
  id: "t",
  name: "t",
  bed: template,
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  ...change,
});
const plane = (nx: number, ny: number, cell: number): Grid => ({
  nx,
  ny,
  cell,
  z: Float64Array.from({ length: nx * ny }, (_, k) => 2 * ((k % nx) + 0.5) * cell - (Math.floor(k / nx) + 0.5) * cell),
  roughness: new Float64Array(nx * ny).fill(0.03),
});

describe("template", () => {
  const grid = rasteriseTemplate(template, 0.035);
  const thalweg = (i: number) =>
    Math.min(...Array.from({ length: grid.ny }, (_, j) => grid.z[j * grid.nx + i]!)) -
    template.slope * (template.length - i - 0.5);

  test("fills its own size, and both banks stand above the riffle's crest", () => {
    expect([grid.nx, grid.ny]).toEqual([120, Math.round(templateSize(template).breadth)]);
    for (let i = 0; i < grid.nx; i++)
      for (const j of [0, grid.ny - 1])
        expect(grid.z[j * grid.nx + i]! - template.slope * (template.length - i)).toBeGreaterThan(1);
  });

  test("riffle shallow, pool as deep below its crest as asked, tail shallowing", () => {
    const pool = Math.min(...Array.from({ length: 120 }, (_, i) => thalweg(i)));
    expect(-pool).toBeGreaterThan(template.poolDepth * 0.95);
    expect(-pool).toBeLessThan(template.poolDepth * 1.15);
    expect(thalweg(14)).toBeGreaterThan(-0.3);
    expect(thalweg(118)).toBeGreaterThan(-0.75);
  });

  test("the channel swings by its wiggle, and the deepest line leans to the outside of the bend", () => {
    expect(centreline(template, 30)).toBeCloseTo(centreline(template, 0) - 4, 6);
    const i = 75;
    const column = Array.from({ length: grid.ny }, (_, j) => grid.z[j * grid.nx + i]!);
    const deepest = column.indexOf(Math.min(...column)) + 0.5;
    expect(deepest).toBeGreaterThan(centreline(template, i) + 0.5);
  });

  test("finer cells give the same bed (steep banks are what differs)", () => {
    const fine = rasteriseTemplate({ ...template, cell: 0.5 }, 0.035);
    const apart: number[] = [];
    for (let j = 4; j < grid.ny - 4; j++)
      for (let i = 4; i < grid.nx - 4; i++)
        apart.push(Math.abs(sample(fine.z, fine.nx, fine.ny, 0.5, i + 0.5, j + 0.5) - grid.z[j * grid.nx + i]!));
    expect(apart.reduce((sum, d) => sum + d, 0) / apart.length).toBeLessThan(0.02);
  });
});

describe("features", () => {
  test("a boulder is a dome of its height, a jam is rough wood, a wall crosses where it says", () => {
    const bare = rasteriseReach(reach());
    const laid = rasteriseReach(
      reach({
        features: [
          { kind: "boulder", x: 40, y: 16, diameter: 4, height: 1.2 },
          { kind: "log-jam", x: 60, y: 12, length: 6, width: 2, angle: 90, height: 2 },
          { kind: "wall", x: 90.5, from: 0, to: 10, thickness: 1, height: 3 },
        ],
      }),
    );
    const at = (x: number, y: number) => Math.floor(y) * laid.nx + Math.floor(x);
    const rise = (x: number, y: number) => laid.z[at(x, y)]! - bare.z[at(x, y)]!;
    expect(rise(40, 16)).toBeGreaterThan(1);
    expect(rise(44, 16)).toBe(0);
    expect(rise(60, 14)).toBe(2);
    expect(laid.roughness[at(60, 14)]).toBe(0.15);
    expect(laid.roughness[at(60, 18)]).toBe(0.035);
    expect([rise(90.5, 5), rise(90.5, 12)]).toEqual([3, 0]);
  });

  test("inside and outside of a turned jam", () => {
    const jam = { kind: "log-jam", x: 0, y: 0, length: 10, width: 2, angle: 90, height: 1 } as const;
    expect(within(jam, 0, 4)).toBeLessThan(1);
    expect(within(jam, 4, 0)).toBeGreaterThan(1);
  });
});

describe("grids", () => {
  test("a plane is sampled exactly between its cells, and survives coarsening and resampling", () => {
    const fine = plane(40, 20, 0.5);
    expect(sample(fine.z, 40, 20, 0.5, 7.3, 4.1)).toBeCloseTo(2 * 7.3 - 4.1, 10);
    const coarse = coarsen(fine, 2);
    expect([coarse.nx, coarse.ny, coarse.cell]).toEqual([20, 10, 1]);
    expect(sample(coarse.z, 20, 10, 1, 7.3, 4.1)).toBeCloseTo(2 * 7.3 - 4.1, 10);
    expect(sample(resample(fine, 0.8).z, 25, 13, 0.8, 7.3, 4.1)).toBeCloseTo(2 * 7.3 - 4.1, 1);
    expect(resample(fine, 0.5)).toBe(fine);
  });

  test.each<[string, (grid: Grid) => void, string]>([
    ["NaN in the bed", (grid) => (grid.z[45] = NaN), "bad-bed"],
    ["negative roughness", (grid) => (grid.roughness[3] = -1), "bad-roughness"],
  ])("%s is refused with its cell", (_, spoil, code) => {
    const grid = plane(40, 20, 0.5);
    spoil(grid);
    expect(() => checkGrid(grid)).toThrow(InputError);
    try {
      checkGrid(grid);
    } catch (error) {
      expect((error as InputError).fault).toMatchObject({ code, path: expect.stringMatching(/\[\d+\]$/) as string });
    }
  });
});

describe("levels and starts", () => {
  test("a rating gives the outlet's level: Q = C (h - h0)^b backwards", () => {
    const grid = rasteriseReach(reach());
    // within banks of 2.2 m
    expect(outletLevel(grid, { kind: "rating", C: 10, h0: 0.2, b: 1.5 }, 10)).toBeCloseTo(0.2 + 1, 10);
  });

  test("the first guess never falls upstream, carries the discharge, and survives being carried to finer cells", () => {
    const grid = rasteriseReach(reach());
    const start = firstGuess(grid, 8, outletLevel(grid, { kind: "normal", slope: 0.003 }, 8));
    for (let i = 1; i < grid.nx; i++) expect(start.level[i - 1]!).toBeGreaterThanOrEqual(start.level[i]! - 1e-9);
    const through = (i: number) =>
      Array.from({ length: grid.ny }, (_, j) => start.depth[j * grid.nx + i]! * start.u[j * grid.nx + i]!).reduce(
        (sum, q) => sum + q,
        0,
      );
    for (const i of [5, 60, 110]) expect(through(i)).toBeCloseTo(8, 5);
    const fine = rasteriseReach(reach(), 0.5);
    const carried = interpolateState(start, fine);
    const volume = (depth: Float64Array, cell: number) => depth.reduce((sum, h) => sum + h, 0) * cell * cell;
    expect(volume(carried.depth, 0.5) / volume(start.depth, 1)).toBeCloseTo(1, 1);
  });

  test("scaling to another flow keeps Manning's powers: depth^0.6, speed^0.4", () => {
    const grid = rasteriseReach(reach());
    const start = firstGuess(grid, 8, outletLevel(grid, { kind: "normal", slope: 0.003 }, 8));
    const twice = scaled(start, 2);
    const k = start.depth.indexOf(Math.max(...start.depth));
    expect(twice.depth[k]! / start.depth[k]!).toBeCloseTo(2 ** 0.6, 10);
    expect((twice.depth[k]! * twice.u[k]!) / (start.depth[k]! * start.u[k]!)).toBeCloseTo(2, 10);
  });
});

describe("the waters of the templates", () => {
  const make = (name: (typeof TEMPLATES)[number]) =>
    reach({
      bed: {
        kind: "template",
        template: name,
        length: 84,
        width: 18,
        poolDepth: 1.4,
        slope: 0.003,
        wiggle: 1.5,
        cell: 1,
      },
    });

  test.each(TEMPLATES)("%s: banks on both sides, and a flow that settles with its mass kept", (name) => {
    const grid = rasteriseReach(make(name));
    for (let i = 0; i < grid.nx; i++)
      for (const j of [0, grid.ny - 1]) expect(grid.z[j * grid.nx + i]! - 0.003 * (84 - i - 0.5)).toBeGreaterThan(1.2);
    const field = solveSteady(grid, { discharge: 8, downstream: { kind: "normal", slope: 0.003 } });
    expect(field.verdict).not.toBe("not-converged");
    expect(field.massError).toBeLessThan(0.005);
  });

  test("each is the water it is called: ledge, bar, pocket, sluice, stones, weed, arms", () => {
    const at = (name: (typeof TEMPLATES)[number], t: number, s: number, of: "z" | "roughness" = "z") => {
      const whole = make(name);
      const grid = rasteriseReach(whole);
      const x = t * 84;
      const y = centreline(whole.bed as typeof template, x) + s * 9;
      return grid[of][Math.floor(y) * grid.nx + Math.floor(x)]!;
    };
    expect(at("two-channels", 0.5, -0.05) - at("two-channels", 0.5, 0.5)).toBeGreaterThan(0.6);
    expect(at("two-channels", 0.5, -0.05) - at("two-channels", 0.5, -0.55)).toBeGreaterThan(0.2);
    expect(at("sand-bar", 0.55, -0.1) - at("sand-bar", 0.55, 0.6)).toBeGreaterThan(0.5);
    expect(at("backwater", 0.45, 0.42) - at("backwater", 0.45, 0.72)).toBeGreaterThan(1.5);
    expect(at("backwater", 0.66, 0.42) - at("backwater", 0.45, 0.42)).toBeLessThan(-1);
    expect(at("sluice", 0.03, 0.7) - at("sluice", 0.03, 0)).toBeGreaterThan(1.5);
    expect(at("tributary-mouth", 0.3, 0.38) - at("tributary-mouth", 0.7, 0.38)).toBeGreaterThan(1.5);
    expect(at("bend", 0.25, -0.6)).toBeLessThan(at("bend", 0.25, 0.5) - 0.3);
    const roughest = Math.max(...rasteriseReach(make("weed-glide")).roughness);
    expect(roughest).toBe(ROUGHNESS.value.weed);
  });
});

describe("soundings", () => {
  const points = Array.from({ length: 400 }, () => 0).map((_, k) => {
    const [x, y] = [(k % 20) * 2 + 0.3 * ((k * 7) % 5), Math.floor(k / 20) + 0.1 * ((k * 3) % 4)];
    return { x: x + 100, y: y + 50, z: 5 - 0.01 * x + 0.02 * y };
  });
  const bed = { kind: "soundings" as const, points, cell: 0.5 };

  test("on a plane the triangles give the plane, wherever the soundings lie", () => {
    const grid = rasteriseSoundings(bed, 0.03);
    const [x0, y0] = [Math.min(...points.map((one) => one.x)), Math.min(...points.map((one) => one.y))];
    let checked = 0;
    for (let j = 4; j < grid.ny - 6; j++)
      for (let i = 4; i < grid.nx - 6; i++) {
        const [x, y] = [(i + 0.5) * 0.5 + x0 - 100, (j + 0.5) * 0.5 + y0 - 50];
        expect(grid.z[j * grid.nx + i]).toBeCloseTo(5 - 0.01 * x + 0.02 * y, 6);
        checked++;
      }
    expect(checked).toBeGreaterThan(1500);
  });

  test("soundings of a template's own bed give its bed back, and the flow on it", () => {
    const whole = reach({ bed: { ...template, length: 60, width: 14 } });
    const grid = rasteriseReach(whole);
    const taken = Array.from({ length: grid.nx * grid.ny }, (_, k) => k)
      .filter((k) => k % 3 === Math.floor(k / grid.nx) % 3)
      .map((k) => ({ x: (k % grid.nx) + 0.5, y: Math.floor(k / grid.nx) + 0.5, z: grid.z[k]! }));
    const again = rasteriseReach(checkReach({ ...whole, bed: { kind: "soundings", points: taken, cell: 1 } }));
    const apart: number[] = [];
    for (let j = 2; j < Math.min(again.ny, grid.ny) - 2; j++)
      for (let i = 2; i < again.nx - 2; i++)
        apart.push(Math.abs(again.z[j * again.nx + i]! - sample(grid.z, grid.nx, grid.ny, 1, i + 1, j + 1)));
    expect(apart.reduce((sum, one) => sum + one) / apart.length).toBeLessThan(0.06);
    expect(solveSteady(again, { discharge: 4, downstream: { kind: "normal", slope: 0.003 } }).massError).toBeLessThan(
      0.005,
    );
  });

  test("soundings in one line, too few, or not numbers are refused where they are", () => {
    expect(() => rasteriseSoundings({ ...bed, points: [0, 1, 2, 3].map((x) => ({ x, y: x, z: 1 })) }, 0.03)).toThrow(
      "soundings-in-line",
    );
    expect(fault({ bed: { kind: "soundings", points: [{ x: 0, y: 0, z: 1 }] } }).path).toBe("bed.points");
    expect(fault({ bed: { kind: "soundings", points: [...points.slice(0, 4), { x: 1, y: 2, z: null }] } }).path).toBe(
      "bed.points[4].z",
    );
    expect(fault({ bed: { kind: "soundings", points }, roughness: [0.03] }).path).toBe("roughness");
  });
});

describe("cross-sections", () => {
  const v = (x: number, low: number) => ({
    x,
    points: [
      { y: 0, z: low + 2 },
      { y: 5, z: low },
      { y: 10, z: low + 2 },
    ],
  });

  test("between two sections the bed lies half-way, at the same share of the width", () => {
    const grid = rasteriseSections({ kind: "sections", sections: [v(40, 1), v(0, 3)], cell: 1 }, 0.03);
    expect([grid.nx, grid.ny]).toEqual([40, 10]);
    expect(grid.z[5 * 40 + 20]).toBeCloseTo(2 - 0.5 * 0.05 + 2 * 0.1, 6);
    expect(grid.z[5 * 40]!).toBeGreaterThan(grid.z[5 * 40 + 39]!);
  });

  test("banks that cross and sections at one place are refused where they do", () => {
    const crossed = {
      x: 20,
      points: [
        { y: 0, z: 1 },
        { y: 5, z: 0 },
        { y: 4, z: 1 },
      ],
    };
    try {
      rasteriseSections({ kind: "sections", sections: [v(0, 3), crossed], cell: 1 }, 0.03);
      throw new Error("it was taken");
    } catch (error) {
      expect((error as InputError).fault.path).toBe("bed.sections[1].points[2].y");
    }
    expect(() => rasteriseSections({ kind: "sections", sections: [v(0, 3), v(0, 2)], cell: 1 }, 0.03)).toThrow(
      "same-section",
    );
    expect(fault({ bed: { ...template, wiggle: 60 } }).path).toBe("bed.wiggle");
  });
});

function fault(change: Record<string, unknown>): { path?: string; code: string } {
  try {
    checkReach({ ...reach(), ...change });
  } catch (error) {
    if (error instanceof InputError) return error.fault;
    throw error;
  }
  throw new Error("it was taken");
}

test("objects: a patch sets its bottom's n, a pier is upright, cover leaves the bed alone; moved, they stay on the reach", () => {
  const bare = rasteriseReach(reach());
  const laid = rasteriseReach(
    reach({
      features: [
        { kind: "patch", x: 60, y: 16, length: 10, width: 4, angle: 0, substrate: "sand" },
        { kind: "pier", x: 40, y: 14, diameter: 3, height: 4 },
        { kind: "undercut", x: 80, y: 9, length: 8, width: 2, angle: 0 },
        { kind: "overhang", x: 20, y: 9, length: 8, width: 2, angle: 0 },
      ],
    }),
  );
  const at = (x: number, y: number) => Math.floor(y) * laid.nx + Math.floor(x);
  expect(laid.roughness[at(60, 16)]).toBe(ROUGHNESS.value.sand);
  expect(laid.roughness[at(60, 20)]).toBe(0.035);
  expect(laid.z[at(40, 14)]! - bare.z[at(40, 14)]!).toBe(4);
  expect(laid.z[at(80, 9)]).toBe(bare.z[at(80, 9)]);
  expect(moved({ kind: "boulder", x: 5, y: 5, diameter: 1, height: 1 }, -10, 3, [100, 20])).toMatchObject({
    x: 0,
    y: 8,
  });
  expect(moved({ kind: "wall", x: 5, from: 0, to: 8, thickness: 1, height: 2 }, 2, 50, [100, 20])).toMatchObject({
    x: 7,
    from: 12,
    to: 20,
  });
});

test("a flow over both banks is refused by its discharge; a flume without banks is held by its walls", () => {
  const grid = rasteriseReach(reach());
  try {
    outletLevel(grid, { kind: "normal", slope: 0.003 }, 900);
    throw new Error("it was taken");
  } catch (error) {
    expect((error as InputError).fault).toMatchObject({ code: "overtops", path: "discharge" });
  }
  const flume = { nx: 20, ny: 5, cell: 1, z: new Float64Array(100), roughness: new Float64Array(100).fill(0.03) };
  expect(outletLevel(flume, { kind: "normal", slope: 0.003 }, 900)).toBeGreaterThan(5);
});
