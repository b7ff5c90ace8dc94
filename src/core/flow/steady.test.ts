import type { Reach } from "./reach-schema";
import { findEddies } from "../water/eddies";
import { InputError } from "../quantity/fault";
import type { Field, Grid } from "./grid";
import { rasteriseReach } from "./rasterise";
import { checkReach, readReach } from "./reach";
import { solveSteady, steadyFlow } from "./steady";
import { conveyed, normalLevel } from "./stage";

const channel = (change: Partial<Reach> = {}): Reach => {
  const [nx, ny, cell] = [60, 18, 1];
  const z = Array.from(
    { length: nx * ny },
    (_, k) => 0.003 * (nx - (k % nx)) + (Math.floor(k / nx) === 0 || Math.floor(k / nx) === ny - 1 ? 3 : 0),
  );
  return {
    schema: "low-heron/reach@1",
    id: "t",
    name: "t",
    bed: { kind: "grid", nx, ny, cell, z },
    roughness: 0.03,
    downstream: { kind: "normal", slope: 0.003 },
    ...change,
  };
};
const solve = (reach: Reach, discharge: number): Field =>
  solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream });
const faultOf = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.fault;
    throw error;
  }
  throw new Error("nothing was thrown");
};

test("an even channel settles at Manning's depth and passes what it is given", () => {
  const field = solve(channel(), 12);
  expect(field.verdict).toBe("converged");
  expect(field.massError).toBeLessThan(0.005);
  // Manning 1891 for 16 m of width, slip walls.
  const normal = (((12 / 16) * 0.03) / Math.sqrt(0.003)) ** 0.6;
  const middle = Array.from({ length: 30 }, (_, i) => field.depth[9 * 60 + 15 + i]!);
  for (const depth of middle) expect(Math.abs(depth / normal - 1)).toBeLessThan(0.02);
});

test("behind a wall across part of the channel the water turns back over several lengths of the wall", () => {
  const reach = channel({ features: [{ kind: "wall", x: 18.5, from: 0, to: 6, thickness: 2, height: 4 }] });
  const field = solve(reach, 12);
  expect(field.massError).toBeLessThan(0.005);
  const [eddy] = findEddies(field).filter((one) => one.x > 19);
  const along = eddy!.outline.map(([x]) => x);
  // 5 m of it stand in the channel. In wide smooth channels the eddy is 5 to 12 lengths long (the proof holds that);
  // friction of a shallow rough bed shortens it (Babarutsi, Ganoulis & Chu 1989, J. Hydraul. Eng. 115; from memory).
  const lengths = (Math.max(...along) - Math.min(...along)) / 5;
  expect(lengths).toBeGreaterThan(3);
  expect(lengths).toBeLessThan(7);
  expect(eddy!.returnSpeed).toBeGreaterThan(0.05);
});

/** 160 m by 44 m with a wall across a third of the channel and three stones: storage that creeps for minutes. */
function walled(cell: number): Reach {
  const [nx, ny] = [160 / cell, 44 / cell];
  const z = Array.from({ length: nx * ny }, (_, k) => {
    const [x, s] = [((k % nx) + 0.5) * cell, ((Math.floor(k / nx) + 0.5) * cell - 22) / 20];
    return 0.003 * (160 - x) + (Math.abs(s) > 1 ? 2.5 : 0.6 * s * s);
  });
  return channel({
    bed: { kind: "grid", nx, ny, cell, z },
    roughness: 0.035,
    features: [
      { kind: "wall", x: 60, from: 0, to: 15, thickness: 2, height: 4 },
      { kind: "boulder", x: 80, y: 28, diameter: 3, height: 1.5 },
      { kind: "boulder", x: 95, y: 20, diameter: 3, height: 1.5 },
      { kind: "boulder", x: 110, y: 25, diameter: 3, height: 1.2 },
    ],
  });
}

test.each([
  [1, 8],
  [1, 12],
  [1, 24],
  [0.5, 12],
])("on %d m cells a walled reach settles at %d m3/s, and passes all but half a percent", (cell, discharge) => {
  const field = solve(walled(cell), discharge);
  expect(["converged", "shedding"]).toContain(field.verdict);
  expect(field.unsettled).toBeUndefined();
  expect(field.massError).toBeLessThan(0.005);
});

test("a neighbour's field is a start that leads to the same water", () => {
  const reach = channel();
  const cold = solve(reach, 9);
  const warm = solveSteady(rasteriseReach(reach), {
    discharge: 9,
    downstream: reach.downstream,
    near: solve(reach, 7),
  });
  const mean = (field: Field) => field.depth.reduce((sum, h) => sum + h, 0) / field.depth.filter((h) => h > 0).length;
  expect(Math.abs(mean(warm) / mean(cold) - 1)).toBeLessThan(0.005);
});

test("progress runs from 0 to 1 and shows first pictures on coarser grids", () => {
  const reach = channel();
  const work = steadyFlow(rasteriseReach(reach), { discharge: 9, downstream: reach.downstream });
  const seen: number[] = [];
  const pictures: number[] = [];
  for (let step = work.next(); !step.done; step = work.next()) {
    seen.push(step.value.done);
    if (step.value.picture) pictures.push(step.value.cell);
  }
  expect(seen.every((done, k) => done >= 0 && done <= 1 && (k === 0 || done >= seen[k - 1]! - 1e-9))).toBe(true);
  expect(pictures).toEqual([2]);
});

test("normal depth is the level that conveys the discharge", () => {
  const grid = rasteriseReach(channel());
  const level = normalLevel(grid, 30, 8, 0.003);
  expect(conveyed(grid, 30, level, 0.003)).toBeCloseTo(8, 2);
});

test.each<[string, () => unknown, string]>([
  ["no discharge", () => solve(channel(), 0), "bad-discharge"],
  ["a negative discharge", () => solve(channel(), -3), "bad-discharge"],
  ["a discharge that is no number", () => solve(channel(), NaN), "bad-discharge"],
  ["a stage under the bed", () => solve(channel({ downstream: { kind: "stage", value: -5 } }), 5), "stage-under-bed"],
  [
    "a feature off the reach",
    () => rasteriseReach(channel({ features: [{ kind: "boulder", x: 500, y: 5, diameter: 2, height: 1 }] })),
    "feature-off-reach",
  ],
  [
    "a feature smaller than a cell",
    () => rasteriseReach(channel({ features: [{ kind: "boulder", x: 20, y: 5, diameter: 0.2, height: 1 }] })),
    "feature-too-small",
  ],
  ["a reach without an outlet", () => checkReach({ ...channel(), downstream: undefined }), "no-outlet"],
  [
    "too few heights",
    () => checkReach({ ...channel(), bed: { kind: "grid", nx: 60, ny: 18, cell: 1, z: [1, 2] } }),
    "bed-count",
  ],
  [
    "NaN in the bed (null in JSON)",
    () => readReach(JSON.stringify({ ...channel(), bed: { kind: "grid", nx: 60, ny: 18, cell: 1, z: [NaN] } })),
    "bad-reach",
  ],
  ["text that is no JSON", () => readReach("{\n  nope"), "not-json"],
  ["nothing", () => readReach(""), "empty-file"],
  ["a number in place of a reach", () => checkReach(5), "bad-reach"],
])("%s is refused with its code", (_, work, code) => {
  expect(faultOf(work).code).toBe(code);
});

describe("beds that no river has, without friction", () => {
  const fall = (shape: (i: number, j: number) => number): Grid => {
    const [nx, ny] = [40, 12];
    const z = Float64Array.from({ length: nx * ny }, (_, k) => {
      const [i, j] = [k % nx, Math.floor(k / nx)];
      return shape(i, j) + (j < 1 || j > 10 ? 6 : 0);
    });
    return { nx, ny, cell: 1, z, roughness: new Float64Array(nx * ny) };
  };
  const solve = (grid: Grid, discharge: number) =>
    solveSteady(grid, { discharge, downstream: { kind: "stage", value: Math.min(...grid.z) + 1 } });

  test("water down a steep chute runs no faster than its fall allows: U <= sqrt(2 g H) (Torricelli 1643)", () => {
    for (const steep of [(i: number) => 12 - 0.3 * i, (i: number, j: number) => 12 - 0.3 * i + 1.2 * Math.abs(j - 6)]) {
      const grid = fall(steep);
      const field = solve(grid, 60);
      const head = Math.max(
        ...Array.from({ length: grid.ny }, (_, j) => {
          const k = j * grid.nx;
          const h = field.depth[k]!;
          return h > 0 ? field.bed[k]! + h + Math.hypot(field.u[k]!, field.v[k]!) ** 2 / (2 * 9.81) : -Infinity;
        }),
      );
      const fastest = Math.max(...field.u.map((u, k) => Math.hypot(u, field.v[k]!)));
      expect(fastest).toBeGreaterThan(12);
      expect(fastest).toBeLessThan(Math.sqrt(2 * 9.81 * (head - Math.min(...grid.z))));
    }
  });

  test.each([
    ["needles", (i: number, j: number) => 12 - 0.3 * i + ((i * 7 + j * 3) % 11 === 0 ? 3 : 0), 5],
    ["noise", (i: number, j: number) => 12 - 0.3 * i + 2 * Math.sin(i * 12.9898 + j * 78.233), 60],
    ["noise that never settled", (i: number, j: number) => 12 - 0.3 * i + 2 * Math.sin(i * 12.9898 + j * 78.233), 5],
  ])("%s: where it would, it is refused, and soon", (_, shape, discharge) => {
    expect(() => solve(fall(shape), discharge)).toThrow(
      expect.objectContaining({
        fault: expect.objectContaining({
          code: expect.stringMatching(/^(unstable|beyond-energy)$/) as string,
        }) as object,
      }) as Error,
    );
  });

  test("discharges and heights of no river are refused at once", () => {
    const codeOf = (work: () => unknown): string => {
      try {
        work();
      } catch (error) {
        return (error as { fault: { code: string } }).fault.code;
      }
      return "none";
    };
    const flat = fall((i) => 1 - 0.001 * i);
    for (const discharge of [1e308, 400_001, 0, -1, NaN, Infinity])
      expect(codeOf(() => solve(flat, discharge))).toBe("bad-discharge");
    expect(
      codeOf(() =>
        solve(
          fall(() => 1e17),
          5,
        ),
      ),
    ).toBe("bad-bed");
  });
});
