import type { Field } from "../flow/grid";
import { breaksOf, coverOf, froude, refugeOf, roofsOf } from "./cover";
import { findEddies } from "./eddies";
import { lightAt, sunAltitude } from "../gauge/light";
import { reasonText } from "../../words/reasons";
import { components, maskedBlur, smoothstep } from "./smooth";
import { speciesById } from "../fish/species";

function pool(
  change: (x: number, y: number) => Partial<{ depth: number; u: number; v: number; bed: number }> = () => ({}),
): Field {
  const [nx, ny, cell] = [60, 30, 0.5];
  const field: Field = {
    nx,
    ny,
    cell,
    discharge: 1,
    bed: new Float32Array(nx * ny),
    roughness: new Float32Array(nx * ny).fill(0.03),
    depth: new Float32Array(nx * ny),
    u: new Float32Array(nx * ny),
    v: new Float32Array(nx * ny),
    speedDeviation: new Float32Array(nx * ny),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
  for (let k = 0; k < nx * ny; k++) {
    const one = {
      depth: 0.8,
      u: 0.4,
      v: 0,
      bed: 0,
      ...change(((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell),
    };
    [field.depth[k], field.u[k], field.v[k], field.bed[k]] = [one.depth, one.u, one.v, one.bed];
  }
  return field;
}
const at = (field: Field, x: number, y: number) => Math.floor(y / field.cell) * field.nx + Math.floor(x / field.cell);

test("a patch of slack in a current is no eddy, nor is an even current", () => {
  expect(findEddies(pool((x, y) => (Math.hypot(x - 20, y - 5) < 2 ? { u: 0 } : {})))).toEqual([]);
  expect(findEddies(pool())).toEqual([]);
});

test("cover: deep against what can be seen, broken surface, wood and stone, each by itself; together never less than the best", () => {
  const field = pool((x) => (x < 10 ? { depth: 0.5 } : x > 20 ? { depth: 0.3, u: 1.4 } : { depth: 1.5 }));
  const cover = coverOf(
    field,
    [
      { x: 5, y: 10, radius: 1, kind: "wood" },
      { x: 5, y: 3, radius: 1, kind: "stone" },
    ],
    1,
  );
  const [shallow, deep, riffle, wood, stone] = [
    at(field, 2, 7),
    at(field, 15, 7),
    at(field, 25, 7),
    at(field, 5, 8.6),
    at(field, 5, 4.3),
  ];
  expect(cover.depth[shallow]).toBeLessThan(0.1);
  expect(cover.depth[deep]).toBe(1);
  expect(cover.brokenSurface[riffle]).toBeGreaterThan(0.9);
  expect(cover.brokenSurface[deep]).toBe(0);
  expect(cover.wood[wood]).toBeGreaterThan(0.5);
  expect(cover.stone[stone]).toBeGreaterThan(0.3);
  for (const k of [shallow, deep, riffle, wood, stone])
    expect(cover.total[k]).toBeGreaterThanOrEqual(
      Math.max(cover.depth[k]!, cover.wood[k]!, cover.stone[k]!, cover.brokenSurface[k]!) - 1e-6,
    );
  const refuge = refugeOf(field, cover);
  expect(refuge[at(field, 8, 7)]).toBe(1);
  expect(froude(1, Math.sqrt(9.81))).toBeCloseTo(1, 12);
});

test("cover: full under an overhang or a cut bank, fading beyond its edge, and told as a roof; roofs are no breaks", () => {
  const field = pool();
  const roofs = roofsOf([
    { kind: "overhang", x: 10, y: 5, length: 6, width: 2, angle: 0 },
    { kind: "boulder", x: 20, y: 5, diameter: 2, height: 1 },
  ]);
  expect(roofs).toHaveLength(1);
  const cover = coverOf(field, [], 1, roofs);
  expect(cover.overhead[at(field, 10, 5)]).toBe(1);
  expect(cover.overhead[at(field, 10, 6.2)]).toBeGreaterThan(0);
  expect(cover.overhead[at(field, 10, 6.2)]).toBeLessThan(1);
  expect(cover.overhead[at(field, 10, 8)]).toBe(0);
  expect(cover.total[at(field, 10, 5)]).toBe(1);
  expect(refugeOf(field, cover)[at(field, 10, 8)]).toBe(1);
  expect(breaksOf(field, roofs)).toEqual([]);
  expect(reasonText({ kind: "overhead" }, "metric")).toMatch(/overhead/i);
});

test("clearer water gives less cover at the same depth", () => {
  const field = pool();
  const total = (visible: number) => coverOf(field, [], visible).total[at(field, 15, 7)]!;
  expect(total(0.5)).toBeGreaterThan(total(1));
  expect(total(1)).toBeGreaterThan(total(2));
});

test("on a bare grid the stones that stand in the stream are breaks; the banks are not", () => {
  const field = pool((x, y) =>
    Math.hypot(x - 12, y - 7) < 1.2 ? { bed: 1, depth: 0 } : y < 1 || y > 14 ? { bed: 2, depth: 0 } : {},
  );
  const breaks = breaksOf(field, undefined);
  expect(breaks).toHaveLength(1);
  expect(Math.hypot(breaks[0]!.x - 12, breaks[0]!.y - 7)).toBeLessThan(0.5);
  expect(breaksOf(field, [{ kind: "wall", x: 5, from: 0, to: 6, thickness: 1, height: 2, name: "old weir" }])).toEqual([
    { x: 5, y: 6, radius: 1, kind: "wall", name: "old weir" },
  ]);
});

test("blurring over water leaves an even field even to the edge, and keeps dry ground out", () => {
  const mask = Uint8Array.from({ length: 100 }, (_, k) => (k % 10 < 6 ? 1 : 0));
  const out = maskedBlur(
    Float64Array.from(mask, (wet) => (wet ? 3 : 99)),
    mask,
    10,
    10,
    1.5,
  );
  out.forEach((value, k) => expect(value).toBeCloseTo(mask[k] ? 3 : 0, 10));
});

test("groups touch by their corners too", () => {
  const set = Uint8Array.from([1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 1]);
  expect(
    components(set, 4, 4)
      .map((group) => group.length)
      .sort(),
  ).toEqual([2, 2]);
  expect([smoothstep(0, 1, -1), smoothstep(0, 1, 0.5), smoothstep(0, 1, 2)]).toEqual([0, 0.5, 1]);
});

test("light: noon is day, midnight night, just after sunset twilight (53.2 N in June)", () => {
  const [latitude, longitude] = [53.2, -7.4];
  expect(lightAt(Date.UTC(2026, 5, 21, 12, 30), latitude, longitude)).toBe("day");
  expect(lightAt(Date.UTC(2026, 0, 15, 0), latitude, longitude)).toBe("night");
  expect(lightAt(Date.UTC(2026, 5, 21, 21, 20), latitude, longitude)).toBe("twilight");
  // At noon on the solstice the sun stands at 90 - latitude + 23.44 degrees (spherical astronomy).
  expect(sunAltitude(Date.UTC(2026, 5, 21, 12, 31), latitude, longitude)).toBeCloseTo(90 - latitude + 23.44, 0);
});

test("an unknown fish is refused with the known ones named", () => {
  expect(() => speciesById("pike")).toThrow(
    expect.objectContaining({
      fault: expect.objectContaining({
        code: "unknown-species",
        values: expect.objectContaining({ known: expect.arrayContaining(["brown-trout", "walleye"]) }),
      }),
    }),
  );
});
