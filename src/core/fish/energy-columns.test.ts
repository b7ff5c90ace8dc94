import { blankField } from "../../testing/reach-samples";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { energyIntake, foragerOf, swimmingCost } from "./foraging";
import { focalHeightIn, netEnergy } from "./net-energy";
import { speciesById } from "./species";
import type { DriftFeeder } from "./species-schema";

/**
 * Net energy told anew by hand: on surfaces that are linear in x and y the columns across an oblique current have
 * closed forms, to the half cell at the edges of the grid where the outermost values go on.
 */
const trout = speciesById("brown-trout") as DriftFeeder;
const [nx, ny, cell] = [9, 7, 0.5];
const held = (value: number, count: number) => Math.min((count - 0.5) * cell, Math.max(0.5 * cell, value));
const depthAt = (x: number, y: number) => 0.5 + 0.03 * held(x, nx) + 0.05 * held(y, ny);
/** Along (1, lean), faster downstream and to one side. */
const speedAlong = (x: number, y: number) => 0.25 + 0.02 * held(x, nx) + 0.04 * held(y, ny);
const driftAt = (x: number, y: number) => 1 + 0.2 * held(x, nx) - 0.1 * held(y, ny);
const SPACING = 0.12;

function waterOf(lean: number) {
  const field = blankField(nx, ny, cell);
  const drift = new Float64Array(nx * ny);
  const size = Math.hypot(1, lean);
  for (let k = 0; k < nx * ny; k++) {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    field.depth[k] = depthAt(x, y);
    field.roughness[k] = 0.03;
    field.u[k] = speedAlong(x, y) / size;
    field.v[k] = (speedAlong(x, y) * lean) / size;
    drift[k] = driftAt(x, y);
  }
  return { field, drift };
}

describe.each([0, 0.8, -1.7])("with a current that leans by %d", (lean) => {
  const { field, drift } = waterOf(lean);
  const fish = foragerOf(trout, { temperature: 12, turbidity: 2, light: "day" });
  // Within each test: what is worked out while tests are collected is no test's own.
  const read = () => netEnergy(field, drift, fish, trout);

  test.each([
    ["amid the water", 4, 3],
    ["by the left edge", 4, 0],
    ["by the right edge", 5, 6],
    ["at the head", 0, 3],
    ["at the foot", 8, 2],
    ["in a corner", 8, 6],
  ])("%s the columns are those of the closed form", (_, i, j) => {
    const [x, y] = [(i + 0.5) * cell, (j + 0.5) * cell];
    const size = Math.hypot(1, lean);
    const [px, py] = [-lean / size, 1 / size];
    const each = Math.ceil(fish.reaction / SPACING);
    const columns = { count: 0, width: SPACING } as Parameters<typeof energyIntake>[2];
    const lists = {
      offset: [] as number[],
      depth: [] as number[],
      mean: [] as number[],
      lnDepth: [] as number[],
      drift: [] as number[],
    };
    const roughness = roughnessHeight(Math.fround(0.03), Infinity);
    for (let step = -each; step <= each; step++) {
      const [cx, cy] = [x + step * SPACING * px, y + step * SPACING * py];
      if (cx < 0 || cy < 0 || cx > nx * cell || cy > ny * cell) continue;
      const depth = depthAt(cx, cy);
      lists.offset.push(step * SPACING);
      lists.depth.push(depth);
      lists.mean.push(speedAlong(cx, cy));
      lists.lnDepth.push(Math.log((30 * depth) / Math.min(roughness, 0.5 * depth)));
      lists.drift.push(driftAt(cx, cy));
    }
    Object.assign(columns, { ...lists, count: lists.offset.length });
    expect(lists.offset.length).toBeGreaterThan(3);
    const depth = depthAt(x, y);
    const height = focalHeightIn(trout, depth);
    const focal = speedAtHeight(speedAlong(x, y), depth, roughnessHeight(Math.fround(0.03), depth), height);
    const expected = energyIntake(fish, height, columns) - swimmingCost(fish.weight, fish.temperature, focal);
    const k = j * nx + i;
    const found = read();
    expect(found.focalSpeed[k]).toBeCloseTo(focal, 5);
    expect(found.net[k]! / expected).toBeCloseTo(1, 4);
  });
});

test("a column of hardly any water brings nothing; depth at its least is enough", () => {
  const { field, drift } = waterOf(0);
  const fish = foragerOf(trout, { temperature: 12, turbidity: 2, light: "day" });
  const whole = netEnergy(field, drift, fish, trout).net[3 * nx + 4]!;
  // Dry to the left of the fish, but for a film.
  for (let k = 0; k < 2 * nx; k++) field.depth[k] = 0.04;
  const half = netEnergy(field, drift, fish, trout).net[3 * nx + 4]!;
  expect(half).toBeLessThan(whole);
  field.depth[3 * nx + 4] = trout.leastDepth;
  expect(netEnergy(field, drift, fish, trout).net[3 * nx + 4]).not.toBeNaN();
  field.depth[3 * nx + 4] = trout.leastDepth - 0.001;
  expect(netEnergy(field, drift, fish, trout).net[3 * nx + 4]).toBeNaN();
});
