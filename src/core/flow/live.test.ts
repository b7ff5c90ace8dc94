import { overWindow } from "./averaging";
import type { Field, Grid } from "./grid";
import { liveField, liveGrid } from "./live";
import { rasteriseReach } from "./rasterise";
import type { Reach } from "./reach-schema";
import { ShallowWater } from "./solver";
import { solveSteady } from "./steady";
import { finish } from "./steps";

const reach = (x: number, cell = 0.5, width = 24): Reach => ({
  schema: "low-heron/reach@1",
  id: "t",
  name: "t",
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 80,
    width,
    poolDepth: 1.2,
    slope: 0.003,
    wiggle: 1,
    cell,
  },
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  features: [{ kind: "wall", x, from: 0, to: width * 0.55, thickness: 2, height: 3 }],
});
const options = { discharge: 6, downstream: { kind: "normal", slope: 0.003 } } as const;
const solved = (x: number): Field => solveSteady(liveGrid(rasteriseReach(reach(x))), options);
/** Where along the reach the water turns back most strongly, m: behind the wall. */
const eddyAt = (field: Field): number => {
  let least = 0;
  for (let k = 0; k < field.u.length; k++) if (field.u[k]! < field.u[least]!) least = k;
  return ((least % field.nx) + 0.5) * field.cell;
};

test("the picture lies on 2 m cells; on finer ones where the river is narrow, never finer than its own", () => {
  expect(liveGrid(rasteriseReach(reach(30))).cell).toBe(2);
  expect(liveGrid(rasteriseReach(reach(30, 0.5, 8))).cell).toBeLessThan(2);
  expect(liveGrid(rasteriseReach(reach(30, 1, 5))).cell).toBe(1);
});

/** An even channel with a wall across half of it. */
function even(x: number): Grid {
  const [nx, ny, cell] = [60, 14, 2];
  const at = (k: number) => [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell] as const;
  return {
    nx,
    ny,
    cell,
    roughness: new Float64Array(nx * ny).fill(0.03),
    z: Float64Array.from({ length: nx * ny }, (_, k) => {
      const [along, across] = at(k);
      return 0.002 * (nx * cell - along) + (Math.abs(along - x) < 2 && across < 14 ? 4 : 0);
    }),
  };
}

test("a wall drawn down the reach takes its eddy along, picture by picture, and ends where a whole solve would", () => {
  const whole = (x: number) => solveSteady(even(x), { ...options, discharge: 20 });
  let field = whole(31);
  const seen = [eddyAt(field)];
  for (const x of [35, 39, 43, 47, 51]) {
    field = liveField(even(x), { ...options, discharge: 20 }, field);
    seen.push(eddyAt(field));
  }
  for (let still = 0; still < 6; still++) field = liveField(even(51), { ...options, discharge: 20 }, field);
  expect(seen[0]!).toBeGreaterThan(31);
  expect(seen.at(-1)!).toBeGreaterThan(seen[0]! + 12);
  expect(Math.abs(eddyAt(field) - eddyAt(whole(51)))).toBeLessThanOrEqual(4);
  const volume = (one: Field) => one.depth.reduce((sum, h) => sum + h, 0);
  expect(Math.abs(volume(field) / volume(whole(51)) - 1)).toBeLessThan(0.03);
  // It says of itself that it has not settled.
  expect(field.verdict).toBe("not-converged");
});

test("it starts from a field on other cells and of another flow", () => {
  const fine = solveSteady(rasteriseReach(reach(30)), { ...options, discharge: 4 });
  const field = liveField(liveGrid(rasteriseReach(reach(31))), options, fine);
  expect(field).toMatchObject({ cell: 2, discharge: 6 });
  expect(
    Math.abs(field.depth.reduce((a, b) => a + b, 0) / solved(31).depth.reduce((a, b) => a + b, 0) - 1),
  ).toBeLessThan(0.1);
});

test("a memory that has been given back and taken again starts empty", () => {
  const grid = liveGrid(rasteriseReach(reach(30)));
  const edges = { upstream: { kind: "wall" }, downstream: { kind: "wall" } } as const;
  const used = new ShallowWater(grid, edges);
  used.setState(new Array(grid.nx * grid.ny).fill(3));
  finish(overWindow(used, 2, 100));
  used.release();
  const next = new ShallowWater(grid, edges);
  expect([next.volume(), next.time, next.steps, next.averaged]).toEqual([0, 0, 0, 0]);
  expect(next.means.every((one) => one.every((value) => value === 0))).toBe(true);
});
