import { blankField } from "../flow/samples";
import type { Field } from "../flow/grid";
import type { Break } from "../water/cover";
import { groundOf } from "../water/land";
import { mainCurrent, mainHeading } from "../water/main-current";
import { placeOf, type Surroundings, whereaboutsOf } from "./lie-place";

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
