import type { Field } from "../flow/grid";
import { agreementOf, irwinHall, onLies, percentileOf } from "./agreement";
import { holdsOf } from "./holds";

const [nx, ny, cell] = [40, 20, 1];
const grid: Pick<Field, "nx" | "ny" | "cell" | "depth"> = {
  nx,
  ny,
  cell,
  depth: Float32Array.from({ length: nx * ny }, (_, k) => (Math.floor(k / nx) < 2 ? 0 : 1)),
};

test("the sum of n even draws (Irwin 1927, Hall 1927): one is even, two make a triangle, three the known middle, many the normal law", () => {
  for (const x of [0.1, 0.5, 0.9]) expect(irwinHall(x, 1)).toBeCloseTo(x, 12);
  expect(irwinHall(0.6, 2)).toBeCloseTo(0.6 ** 2 / 2, 12);
  expect(irwinHall(1.4, 2)).toBeCloseTo(1 - 0.6 ** 2 / 2, 12);
  expect(irwinHall(1.5, 3)).toBeCloseTo(0.5, 12);
  expect(irwinHall(1, 3)).toBeCloseTo(1 / 6, 12);
  expect(irwinHall(8.4, 15)).toBeCloseTo(irwinHall(8.4 + 0.5, 16), 1);
  // The two ways meet where one gives over to the other.
  const exact = irwinHall(9, 15);
  expect(exact).toBeGreaterThan(0.9);
  expect(exact).toBeLessThan(0.92);
  expect([irwinHall(-1, 3), irwinHall(5, 3)]).toEqual([0, 1]);
});

test("a place's percentile: the best is above nearly all, the worst above nearly none, and on even water all are at half", () => {
  const slope = Float64Array.from({ length: nx * ny }, (_, k) => (k % nx) + 1);
  expect(percentileOf(slope, grid, 39.5, 10)).toBeGreaterThan(0.93);
  expect(percentileOf(slope, grid, 0.5, 10)).toBeLessThan(0.07);
  expect(percentileOf(slope, grid, 20, 10)).toBeCloseTo(0.5, 1);
  expect(percentileOf(new Float64Array(nx * ny).fill(3), grid, 20, 10)).toBe(0.5);
});

test("fish from lies: the nearest lie in reach, and the share of the water that a lie covers (area of a circle)", () => {
  const lies = [
    { x: 10, y: 10, rank: 1 },
    { x: 30, y: 10, rank: 2 },
  ];
  const found = onLies(lies, grid, 31, 11, 3);
  expect(found.rank).toBe(2);
  expect(Math.abs(found.nearLies / ((2 * Math.PI * 9) / (40 * 18)) - 1)).toBeLessThan(0.15);
  expect(onLies(lies, grid, 20, 10, 3).rank).toBeNull();
});

test("agreement: fish that all lie high are no luck, fish spread evenly are", () => {
  const fish = (percentiles: number[]) =>
    percentiles.map((percentile, k) => ({ percentile, rank: k % 2 ? 1 : null, nearLies: 0.2 }));
  const good = agreementOf(fish([0.95, 0.9, 0.97, 0.88, 0.92]))!;
  expect(good.mean).toBeCloseTo(0.924, 6);
  expect(good.pValue).toBeLessThan(0.001);
  expect(good).toMatchObject({ fish: 5, onLies: 2 });
  expect(good.expected).toBeCloseTo(1, 12);
  expect(agreementOf(fish([0.1, 0.3, 0.5, 0.7, 0.9]))!.pValue).toBeCloseTo(0.5, 10);
  expect(agreementOf([])).toBeUndefined();
});

test("holds: first, second and third lies about a first one, three at most, then a new hold", () => {
  const holds = holdsOf([
    { x: 0, y: 0 },
    { x: 5, y: 0 },
    { x: 30, y: 0 },
    { x: 0, y: 6 },
    { x: 2, y: 2 },
    { x: 12, y: 0 },
  ]);
  expect(holds.map(({ name, place, of }) => `${name}${place}/${of}`)).toEqual([
    "A1/3",
    "A2/3",
    "B1/1",
    "A3/3",
    "C1/1",
    "D1/1",
  ]);
});
