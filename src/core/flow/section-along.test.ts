import { DEMO_REACHES } from "../../demo/river";
import type { Field } from "./grid";
import { rasteriseReach } from "./rasterise";
import { sectionAlong } from "./section-along";
import { reshaped } from "./reshape";
import { checkReach } from "./reach";
import { centreline } from "./template";
import { solveSteady } from "./steady";

/** A flume 40 m long and 10 m wide, 1 m deep, running 0.5 m/s. */
const [nx, ny] = [40, 10];
const all = (value: number) => new Float32Array(nx * ny).fill(value);
const flume: Field = {
  nx,
  ny,
  cell: 1,
  discharge: 5,
  bed: all(0),
  roughness: all(0.03),
  depth: all(1),
  u: all(0.5),
  v: all(0),
  speedDeviation: all(0),
  verdict: "converged",
  massError: 0,
  steps: 1,
};

test("square and slanting lines across a flume carry the same discharge; a line along it none", () => {
  expect(sectionAlong(flume, [20, 0], [20, 10])).toMatchObject({ length: 10, wetted: 10, area: 10 });
  expect(sectionAlong(flume, [20, 0], [20, 10]).discharge).toBeCloseTo(5, 6);
  expect(sectionAlong(flume, [12, 0], [30, 10]).discharge).toBeCloseTo(5, 6);
  expect(sectionAlong(flume, [30, 10], [12, 0]).discharge).toBeCloseTo(5, 6);
  expect(sectionAlong(flume, [5, 5], [35, 5]).discharge).toBeCloseTo(0, 6);
});

test("every line from bank to bank of a solved river carries its discharge, whichever way it slants (continuity)", () => {
  const reach = DEMO_REACHES[0]!;
  const field = solveSteady(rasteriseReach(reach, 1), { discharge: 8, downstream: reach.downstream });
  const breadth = field.ny * field.cell;
  for (const [a, b] of [
    [20, 20],
    [30, 55],
    [100, 75],
    [125, 140],
  ] as const)
    expect(Math.abs(sectionAlong(field, [a, 0], [b, breadth]).discharge / 8 - 1)).toBeLessThan(0.05);
});

test("a reshaped template keeps its objects by their share of its length and width, and its normal slope with its fall", () => {
  const reach = DEMO_REACHES[0]!;
  const twice = reshaped(reach, { length: 300, width: 48, slope: 0.001 });
  if (twice.bed.kind !== "template" || reach.bed.kind !== "template") throw new Error("no template");
  const [before, after] = [reach.features![0]!, twice.features![0]!];
  if (before.kind !== "boulder" || after.kind !== "boulder") throw new Error("no stone");
  expect(after.x).toBeCloseTo(2 * before.x, 2);
  expect(after.y - centreline(twice.bed, after.x)).toBeCloseTo(2 * (before.y - centreline(reach.bed, before.x)), 1);
  expect(twice.downstream).toEqual({ kind: "normal", slope: 0.001 });
  expect(() => reshaped(reach, { width: 1 })).toThrow("bad-reach");
  expect(
    reshaped(
      checkReach({ ...reach, bed: { kind: "grid", nx: 4, ny: 3, cell: 1, z: new Array(12).fill(0) }, features: [] }),
      { width: 9 },
    ).bed.kind,
  ).toBe("grid");
});
