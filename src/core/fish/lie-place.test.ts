import { blankField } from "../../testing/reach-samples";
import type { Field } from "../flow/grid";
import type { Break } from "../water/cover";
import { groundOf } from "../water/land";
import { mainCurrent, mainHeading } from "../water/main-current";
import { fastestNear, placeOf, type Surroundings, whereaboutsOf } from "./lie-place";

/** A river of 20 m from left (y 2) to right (y 22), 1 m deep, with the current and the depth of `at` where it says. */
function river(at: (x: number, y: number) => { depth?: number; u?: number; v?: number } = () => ({})): Field {
  const [nx, ny, cell] = [80, 48, 0.5];
  const field = blankField(nx, ny, cell);
  field.roughness.fill(0.035);
  for (let k = 0; k < nx * ny; k++) {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const inside = y > 2 && y < 22;
    const { depth = 1, u = 0.7, v = 0 } = at(x, y);
    field.depth[k] = inside ? depth : 0;
    field.u[k] = inside && depth > 0 ? u : 0;
    field.v[k] = inside && depth > 0 ? v : 0;
  }
  return field;
}

const STONE: Break = { x: 20, y: 12, radius: 1, kind: "stone", name: "split stone" };
/** The lee of the stone: four metres in which the water turns back at 0.25 m/s, or runs on at `u`. */
const lee =
  (u: number) =>
  (x: number, y: number): { depth?: number; u?: number } => {
    if (Math.hypot(x - 20, y - 12) < 1) return { depth: 0 };
    return x > 20 && x < 25 && Math.abs(y - 12) < 1 ? { u } : {};
  };

function around(field: Field, breaks: readonly Break[]): Surroundings {
  return {
    field,
    main: mainCurrent(field),
    bank: groundOf(field).bank,
    breaks,
    structure: { foam: [], wakes: [], ledges: [], corners: [], pools: [], bottoms: [] },
  };
}

const named = (field: Field, x: number, y: number) => {
  const at = around(field, [STONE]);
  const k = Math.floor(y / field.cell) * field.nx + Math.floor(x / field.cell);
  return placeOf(at, k, { distance: Infinity, seam: undefined }, whereaboutsOf(at, x, y));
};

test("the lee of a stone is below it, however the water turns in it, and the cushion is above", () => {
  const field = river(lee(-0.25));
  expect(mainHeading(mainCurrent(field), 22.75, 12.25)[0]).toBeGreaterThan(0.9);
  expect(named(field, 22.75, 12.25)).toEqual({ kind: "below", break: { kind: "stone", name: "split stone" } });
  expect(named(field, 17.75, 12.25).kind).toBe("above");
  expect(named(field, 20.25, 14.25).kind).toBe("beside");
});

test("slack is slack: under 0.3 m/s, or a third of what passes; faster water is only behind the stone", () => {
  expect(named(river(lee(0.29)), 22.75, 12.25).kind).toBe("below");
  expect(named(river(lee(0.31)), 22.75, 12.25).kind).toBe("behind");
  const torrent = river((x, y) => ({ u: 1.5, ...lee(0.45)(x, y) }));
  expect(named(torrent, 22.75, 12.25).kind).toBe("below");
});

test("a bank is land that joins the edge of the reach, on its side of the current; a bar in the stream is none", () => {
  const bar = river((x, y) => (Math.hypot(x - 10, y - 12) < 2 ? { depth: 0 } : {}));
  const at = around(bar, []);
  expect(whereaboutsOf(at, 10, 15.25).bank).toEqual({ side: "right", distance: expect.closeTo(6.75, 1) as number });
  expect(whereaboutsOf(at, 30, 3.25).bank).toEqual({ side: "left", distance: expect.closeTo(1.25, 1) as number });
  const k = Math.floor(15.25 / 0.5) * bar.nx + 20;
  // Deep as all of the river is here: its own words, and not the bank's.
  expect(placeOf(at, k, { distance: Infinity, seam: undefined }, whereaboutsOf(at, 10, 15.25)).kind).not.toBe(
    "bank-edge",
  );
});

test("a place is told by the nearest break that it is not called by, and on which side of it by the main current", () => {
  const other: Break = { x: 30, y: 6, radius: 0.5, kind: "wood" };
  const at = around(river(lee(-0.25)), [STONE, other]);
  expect(whereaboutsOf(at, 26, 6.25).mark).toMatchObject({ break: { kind: "wood" }, way: "above" });
  expect(whereaboutsOf(at, 26, 6.25).mark!.distance).toBeCloseTo(3.51, 1);
  // Beside its own stone it is told by the other.
  expect(whereaboutsOf(at, 20, 14).mark).toMatchObject({ break: { kind: "wood" }, way: "above" });
  expect(whereaboutsOf(around(river(), []), 20, 14).mark).toBeNull();
});

describe("away from stones and seams a place is called by its depth, its pace or its bank", () => {
  const NONE = { distance: Infinity, seam: undefined };
  const at = (field: Field, x: number, y: number, near: Parameters<typeof placeOf>[2] = NONE, breaks: Break[] = []) => {
    const surroundings = around(field, breaks);
    const k = Math.floor(y / field.cell) * field.nx + Math.floor(x / field.cell);
    return placeOf(surroundings, k, near, whereaboutsOf(surroundings, x, y));
  };
  /** A deep hole of 2 m at x 30; half a metre elsewhere, at a speed. */
  const holed = (u: number) => river((x) => ({ depth: x > 29 && x < 31 ? 2 : 0.5, u }));

  test("over three quarters of the deepest water it is the deep of the pool, and no less is", () => {
    expect(at(holed(0.3), 30.25, 12.25)).toEqual({ kind: "deep" });
    expect(at(holed(0.3), 20.25, 12.25)).toEqual({ kind: "run" });
    const step = (depth: number) => river((x) => ({ depth: x > 29 && x < 31 ? 2 : depth, u: 0.3 }));
    expect(at(step(1.52), 20.25, 12.25)).toEqual({ kind: "deep" });
    expect(at(step(1.48), 20.25, 12.25)).toEqual({ kind: "run" });
  });

  test("thin fast water is a riffle: a Froude number over 0.35, that is 0.78 m/s in half a metre", () => {
    expect(at(holed(0.8), 20.25, 12.25)).toEqual({ kind: "riffle-pocket" });
    expect(at(holed(0.75), 20.25, 12.25)).toEqual({ kind: "run" });
  });

  test("slow water by the bank is its soft edge, on its side; in the middle it is a run", () => {
    expect(at(holed(0.3), 20.25, 2.75)).toEqual({ kind: "bank-edge", side: "left" });
    expect(at(holed(0.3), 20.25, 21.25)).toEqual({ kind: "bank-edge", side: "right" });
    expect(at(holed(0.3), 20.25, 12.25)).toEqual({ kind: "run" });
  });

  test("within a metre and a half of a seam it is the seam's edge, or off the break that throws it", () => {
    const seam = {
      points: [[10, 12] as [number, number], [25, 12] as [number, number]],
      slowSide: "left",
    } as Parameters<typeof placeOf>[2]["seam"];
    const near = (distance: number) => ({ distance, seam });
    expect(at(holed(0.3), 20.25, 12.25, near(1.4))).toEqual({ kind: "seam-edge", side: "left" });
    expect(at(holed(0.3), 20.25, 12.25, near(1.6))).toEqual({ kind: "run" });
    const thrower: Break = { x: 9.5, y: 12, radius: 0.5, kind: "wood" };
    expect(at(holed(0.3), 20.25, 12.25, near(1), [thrower])).toEqual({
      kind: "seam-off",
      break: { kind: "wood", name: undefined },
    });
  });

  test("what the structure names is called so before all that", () => {
    const surroundings = around(holed(0.3), []);
    const pool = { x: 20.25, y: 12.25, along: 0, depth: 0.5, speed: 0.3 };
    surroundings.structure.pools.push({
      head: pool,
      deep: pool,
      tail: pool,
      slot: undefined,
      residual: 0.5,
      length: 9,
    });
    const k = Math.floor(12.25 / 0.5) * 80 + 40;
    expect(["head", "deep", "tail", "slot"]).toContain(
      placeOf(surroundings, k, NONE, whereaboutsOf(surroundings, 20.25, 12.25)).kind,
    );
  });
});

test("the fastest water within a radius: a place at the rim counts, one beyond does not; at the edges of the grid too", () => {
  const field = blankField(11, 9, 1);
  field.u[4 * 11 + 8] = 0.9;
  expect(fastestNear(field, 5.5, 4.5, 3)).toBeCloseTo(0.9, 6);
  expect(fastestNear(field, 5.5, 4.5, 2.9)).toBe(0);
  // Askew: three along and three across lie farther than three.
  const askew = blankField(11, 9, 1);
  askew.u[7 * 11 + 8] = 0.9;
  expect(fastestNear(askew, 5.5, 4.5, 4.2)).toBe(0);
  expect(fastestNear(askew, 5.5, 4.5, 4.3)).toBeCloseTo(0.9, 6);
  const corners = blankField(11, 9, 1);
  for (const k of [0, 10, 8 * 11, 8 * 11 + 10]) corners.v[k] = 0.7;
  for (const [x, y] of [
    [0.5, 0.5],
    [10.5, 0.5],
    [0.5, 8.5],
    [10.5, 8.5],
  ] as const)
    expect(fastestNear(corners, x, y, 1)).toBeCloseTo(0.7, 6);
});
