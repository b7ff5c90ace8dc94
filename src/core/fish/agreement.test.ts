import type { Field } from "../flow/grid";
import { agreementOf, irwinHall, onLies, percentileOf, placesOf } from "./agreement";
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

describe("counted anew, cell by cell, on a small grid with dry land in it", () => {
  const small = {
    nx: 11,
    ny: 7,
    cell: 0.5,
    depth: Float32Array.from({ length: 77 }, (_, k) => (k % 5 === 1 || k > 70 ? 0 : 1)),
  };
  const score = Float64Array.from({ length: 77 }, (_, k) => ((k * 37) % 23) + 1);
  const places = Array.from(
    { length: 77 },
    (_, k) => [((k % 11) + 0.5) * 0.5, (Math.floor(k / 11) + 0.5) * 0.5] as const,
  );
  const near = ([x, y]: readonly [number, number]) =>
    Math.max(...places.map(([a, b], k) => (Math.hypot(a - x, b - y) <= 1.5 ? score[k]! : 0)));

  test.each([
    [0.3, 0.4],
    [2.9, 1.7],
    [5.2, 3.3],
  ])("the percentile at %d, %d is the share of every second wet cell that has less, ties half", (x, y) => {
    const own = near([x, y]);
    let [less, all] = [0, 0];
    places.forEach((place, k) => {
      if ((k % 11) % 2 || Math.floor(k / 11) % 2 || small.depth[k]! === 0) return;
      all++;
      less += near(place) < own ? 1 : near(place) === own ? 0.5 : 0;
    });
    expect(percentileOf(score, small, x, y)).toBeCloseTo(less / all, 12);
  });

  test("the share near lies is that of the wet cells within reach of any; the nearest lie counts", () => {
    const lies = [
      { x: 4.25, y: 2.25, rank: 1 },
      { x: 1.25, y: 1.25, rank: 2 },
      { x: 2.25, y: 1.25, rank: 3 },
    ];
    const wet = places.filter((_, k) => small.depth[k]! > 0);
    const reached = wet.filter(([x, y]) => lies.some((one) => Math.hypot(one.x - x, one.y - y) <= 1));
    const found = onLies(lies, small, 2.05, 1.25, 1);
    expect(found.nearLies).toBeCloseTo(reached.length / wet.length, 12);
    expect(found.rank).toBe(3);
    // On the rim it still counts.
    expect(onLies(lies.slice(0, 2), small, 1.25, 2.25, 1).rank).toBe(2);
  });

  test("without wet water nothing is said, and chance is even", () => {
    const dry = { ...small, depth: new Float32Array(77) };
    expect(percentileOf(score, dry, 2, 2)).toBe(0.5);
    expect(onLies([], dry, 2, 2, 1)).toEqual({ rank: null, nearLies: 0 });
  });
});

test("the places of a lie carry its rank", () => {
  expect(placesOf([{ x: 1, y: 2, rank: 3, others: [{ x: 4, y: 5 }] }])).toEqual([
    { x: 1, y: 2, rank: 3 },
    { x: 4, y: 5, rank: 3 },
  ]);
});

test("the ends of the sum are sure, and sixteen draws go by the normal law", () => {
  expect(irwinHall(0, 4)).toBe(0);
  expect(irwinHall(4, 4)).toBe(1);
  expect(irwinHall(-0.5, 20)).toBe(0);
  expect(irwinHall(20.5, 20)).toBe(1);
  // Of the normal law of mean 8 and variance 16/12: one deviation under the mean.
  expect(irwinHall(8 - Math.sqrt(16 / 12), 16)).toBeCloseTo(0.158655, 5);
  // Fifteen are summed exactly: the normal law gives 0.158655 there.
  expect(irwinHall(7.5 - Math.sqrt(15 / 12), 15)).not.toBeCloseTo(0.158655, 4);
});

test("holds do not hang on where the reach begins: the same lies a way off are held the same", () => {
  const lies = [
    { x: 0, y: 0 },
    { x: 3, y: 1 },
    { x: 9, y: 0 },
    { x: 5, y: -4 },
    { x: 20, y: 3 },
  ];
  expect(holdsOf(lies.map(({ x, y }) => ({ x: x + 31, y: y + 17 })))).toEqual(holdsOf(lies));
});
