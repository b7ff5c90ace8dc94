import { blankField } from "../../testing/reach-samples";
import { DEMO_REACHES } from "../../demo/river";
import type { Field } from "../flow/grid";
import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { ROUGHNESS } from "../flow/substrate";
import { findBottomEdges } from "./bottoms";
import { findCorners } from "./corners";
import { breaksOf } from "./cover";
import { findEddies, streamFunction } from "./eddies";
import { findFoamLines } from "./foam-lines";
import { findLedges } from "./ledges";
import { lengthOf, nearestLine, rightOf, shiftOf } from "./polyline";
import { findPools, waterBy } from "./pools";
import { findSeams } from "./seams";
import { streamline } from "./streamline";
import { structureAt, structureOf } from "./structure";
import { findWakes } from "./wakes";

interface Place {
  depth: number;
  u: number;
  v: number;
  bed: number;
  n: number;
}
/** A field given by its place. */
function water(
  at: (x: number, y: number) => Partial<Place>,
  [nx, ny, cell]: [number, number, number] = [120, 40, 0.5],
): Field {
  const field = blankField(nx, ny, cell);
  for (let k = 0; k < nx * ny; k++) {
    const one = { depth: 1, u: 0.5, v: 0, n: 0.032, ...at(((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell) };
    [field.depth[k], field.u[k], field.v[k], field.bed[k], field.roughness[k]] = [
      one.depth,
      one.u,
      one.v,
      one.bed ?? -one.depth,
      one.n,
    ];
  }
  for (let j = 0; j < ny; j++) field.discharge += field.depth[j * nx]! * field.u[j * nx]! * cell;
  field.discharge -= 1;
  return field;
}

describe("eddies by closed streamlines", () => {
  // psi = Q (y/B)^2 - A sin^2(pi x/L) sin(pi y/B): a flow that leaves a closed eddy at the left bank (closed form).
  const [L, B, Q, A] = [60, 20, 8, 4];
  const psi = (x: number, y: number) =>
    Q * (y / B) ** 2 - A * Math.sin((Math.PI * x) / L) ** 2 * Math.sin((Math.PI * y) / B);
  const field = water((x, y) => ({
    u: (2 * Q * y) / B ** 2 - ((A * Math.PI) / B) * Math.sin((Math.PI * x) / L) ** 2 * Math.cos((Math.PI * y) / B),
    v: ((A * Math.PI) / L) * Math.sin((2 * Math.PI * x) / L) * Math.sin((Math.PI * y) / B),
  }));

  test("the stream function is that of the flow", () => {
    const own = streamFunction(field);
    for (const [i, j] of [
      [60, 5],
      [60, 20],
      [30, 30],
      [100, 12],
    ] as const)
      expect(own[j * 120 + i]!).toBeCloseTo(psi((i + 0.5) * 0.5, (j + 0.5) * 0.5), 1);
  });

  test("the eddy is the water inside the dividing streamline psi = 0: its area and middle by counting a grid ten times finer", () => {
    let [area, mx, my] = [0, 0, 0];
    for (let x = 0.025; x < L; x += 0.05)
      for (let y = 0.025; y < B; y += 0.05)
        if (psi(x, y) < 0) [area, mx, my] = [area + 0.0025, mx + 0.0025 * x, my + 0.0025 * y];
    const eddies = findEddies(field);
    expect(eddies).toHaveLength(1);
    expect(Math.abs(eddies[0]!.area / area - 1)).toBeLessThan(0.06);
    expect(Math.hypot(eddies[0]!.x - mx / area, eddies[0]!.y - my / area)).toBeLessThan(0.5);
    // Along the bank it runs back: anticlockwise, seen from above, on the left bank.
    expect(eddies[0]!.turns).toBe("anticlockwise");
    expect(eddies[0]!.returnSpeed).toBeCloseTo((A * Math.PI) / B, 1);
  });

  test("the streamlines traced by steps agree: one inside closes, one outside leaves", () => {
    const loop = streamline(
      field,
      30,
      3,
      400,
      1,
      (x, y) => x > 30 && x < 30.4 && y > 2.5 && y < 3.5 && Math.abs(psi(x, y) - psi(30, 3)) < 0.2,
    );
    expect(Math.max(...loop.map(([x, y]) => Math.abs(psi(x, y) - psi(30, 3))))).toBeLessThan(0.15);
    expect(loop.some(([, y]) => y > 6)).toBe(true);
    expect(streamline(field, 30, 15, 400).at(-1)![0]).toBeGreaterThan(58);
  });
});

test("foam gathers on the thread of the current and not in even water; up-current and down-current lead along the same line", () => {
  expect(findFoamLines(water(() => ({})))).toEqual([]);
  const thread = (x: number) => 10 + 3 * Math.sin(x / 12);
  // h u is largest on a winding thread; the way of the current follows it.
  const foam = findFoamLines(
    water((x, y) => {
      const s = Math.exp(-(((y - thread(x)) / 3) ** 2));
      return { depth: 0.4 + 1.2 * s, u: 0.2 + 0.5 * s, v: (0.2 + 0.5 * s) * 0.25 * Math.cos(x / 12) };
    }),
  );
  expect(foam.length).toBeGreaterThan(0);
  for (const [x, y] of foam[0]!.points) expect(Math.abs(y - thread(x))).toBeLessThan(1.6);
  expect(foam[0]!.gathers).toBeGreaterThan(1.5);
  const field = water((x) => ({ v: 0.2 * Math.cos(x / 8) }));
  const there = streamline(field, 5, 10, 20).at(-1)!;
  const back = streamline(field, ...there, 20, -1).at(-1)!;
  expect(Math.hypot(back[0] - 5, back[1] - 10)).toBeLessThan(0.05);
});

describe("ledges", () => {
  const step = (y: number) => 0.8 + 1.2 / (1 + Math.exp(-(y - 10) / 0.6));
  test("a step of 1.2 m under water is one ledge, at its place, with its depths and the deep side on the right", () => {
    const ledges = findLedges(water((_, y) => ({ depth: step(y) })));
    expect(ledges).toHaveLength(1);
    const [ledge] = ledges;
    expect(lengthOf(ledge!)).toBeGreaterThan(50);
    for (const [, y] of ledge!.points) expect(Math.abs(y - 10)).toBeLessThan(0.6);
    expect(ledge!.step).toBeCloseTo(step(12) - step(8), 1);
    expect(ledge!.deep).toBeGreaterThan(ledge!.shallow);
    expect(rightOf(ledge!, 30, 12)).toBe(true);
  });
  test("an even slope, and the foot of a bank, are none", () => {
    expect(findLedges(water((_, y) => ({ depth: 0.3 + 0.15 * y })))).toEqual([]);
    expect(findLedges(water((_, y) => ({ depth: Math.max(0, Math.min(1.6, 0.7 * (y - 4))) })))).toEqual([]);
  });
});

test("the nose of a bar is a corner where it meets the flow, at its place and radius, and none at its tail", () => {
  // A half-round nose of radius 3 m about (30, 10), the bar running on down-current; a gentle end at 52.
  const depth = (x: number, y: number) => {
    const r = x < 30 ? Math.hypot(x - 30, y - 10) : Math.abs(y - 10);
    const bar = 1.1 / (1 + Math.exp((r - 3) / 0.8));
    return 1.8 - bar * Math.min(1, Math.max(0, (56 - x) / 12));
  };
  const corners = findCorners(
    water((x, y) => ({ depth: depth(x, y) })),
    [],
  );
  expect(corners).toHaveLength(1);
  expect(Math.hypot(corners[0]!.x - 27, corners[0]!.y - 10)).toBeLessThan(1.6);
  expect(corners[0]!.radius).toBeGreaterThan(1.5);
  expect(corners[0]!.radius).toBeLessThan(6);
  const turned = findCorners(
    water((x, y) => ({ depth: depth(x, y), u: -0.5 })),
    [],
  );
  expect(turned.every((one) => Math.abs(one.x - 27) > 3)).toBe(true);
});

test("pools by residual depth: two pools between crests, with heads, deeps and tails where a sine puts them (closed form)", () => {
  // Bed falls 0.002 a metre under a sine of 0.8 m every 30 m; the surface is level with the fall.
  const bed = (x: number) => -0.002 * x - 0.8 * (1 - Math.cos((2 * Math.PI * x) / 30)) * 0.5;
  const field = water((x, y) => ({
    bed: bed(x) + 0.02 * (y - 10) ** 2,
    depth: Math.max(0.3 - 0.002 * x - bed(x) - 0.02 * (y - 10) ** 2, 0),
    u: 0.3 / (0.3 - 0.002 * x - bed(x)),
  }));
  const pools = findPools(field);
  expect(pools).toHaveLength(2);
  pools.forEach((pool, n) => {
    expect(Math.abs(pool.deep.x - (15 + 30 * n))).toBeLessThan(1.5);
    expect(Math.abs(pool.deep.y - 10)).toBeLessThan(0.6);
    expect(pool.head.x).toBeLessThan(pool.deep.x);
    expect(pool.tail.x).toBeGreaterThan(pool.deep.x);
    // Half of the residual depth is left a quarter of the wave from its crest, where the crest stands 0.06 m lower than
    // the head.
    expect(Math.abs(pool.tail.x - (22.5 + 30 * n))).toBeLessThan(1.5);
    expect(pool.residual).toBeGreaterThan(0.65);
    expect(pool.residual).toBeLessThan(0.8);
    // Fast water over the crest (Fr above 0.41) makes a slot of the deep water below it.
    expect(pool.slot === undefined).toBe(false);
  });
  expect([0.5, 0.3, 0.1].map(waterBy)).toEqual(["riffle", "run", "pool"]);
});

test("hard and soft bottom: the edge of a patch of weed in gravel is its outline, and one bottom has none", () => {
  const edges = findBottomEdges(
    water((x, y) => ({ n: x > 20 && x < 40 && y > 5 && y < 12 ? ROUGHNESS.value.weed : ROUGHNESS.value.gravel })),
  );
  expect(edges).toHaveLength(1);
  expect(edges[0]).toMatchObject({ hard: "gravel", soft: "weed" });
  // A rectangle of 20 by 7 m.
  expect(Math.abs(lengthOf(edges[0]!) / 54 - 1)).toBeLessThan(0.08);
  expect(findBottomEdges(water(() => ({})))).toEqual([]);
});

test("distance to lines, and their sides", () => {
  const line = {
    points: [
      [0, 0],
      [10, 0],
    ] as const,
  };
  expect(nearestLine([line], 4, 3).distance).toBe(3);
  expect(nearestLine([line], 13, 4).distance).toBe(5);
  expect(nearestLine([], 0, 0).distance).toBe(Infinity);
  expect([rightOf(line, 5, 1), rightOf(line, 5, -1)]).toEqual([true, false]);
  expect(
    shiftOf(line, [
      {
        points: [
          [-1, 2],
          [20, 2],
        ],
      },
    ]),
  ).toBe(2);
});

describe("on the made-up glide", () => {
  const reach = DEMO_REACHES[0]!;
  const solve = (discharge: number) =>
    solveSteady(rasteriseReach(reach, 1), { discharge, downstream: reach.downstream });
  const [now, little] = [solve(6), solve(6.24)];
  const breaks = breaksOf(now, reach.features);
  const structure = structureOf(now, breaks);

  test("every stone in the current has its wake, down-current of it", () => {
    const wakes = findWakes(now, breaks);
    const split = wakes.find((one) => one.name === "split stone")!;
    expect(split.length).toBeGreaterThan(2 * split.radius);
    expect(split.least).toBeLessThan(0.5 * split.free);
  });

  test("there is one pool below the riffle, with its slot; a place is told by the structure it belongs to", () => {
    expect(structure.pools).toHaveLength(1);
    const [{ slot, tail, deep }] = structure.pools as [NonNullable<(typeof structure.pools)[0]>];
    expect(slot!.x).toBeLessThan(deep.x);
    expect(structureAt(structure, slot!.x, slot!.y)).toBe("slot");
    expect(structureAt(structure, tail.x, tail.y)).toBe("tail");
    expect(structureAt(structure, 2, 2)).toBeUndefined();
  });

  test("a flow larger by 4 % moves seams, foam lines, eddies and the deepest line by a step at most", () => {
    for (const [before, after] of [
      [findSeams(now), findSeams(little)],
      [structure.foam, findFoamLines(little)],
    ] as const) {
      expect(before.length).toBeGreaterThan(0);
      const shifts = before
        .slice(0, 4)
        .map((line) => shiftOf(line, after))
        .sort((a, b) => a - b);
      expect(shifts[Math.floor(shifts.length / 2)]!).toBeLessThan(1.1);
    }
    const [large] = findEddies(now);
    const near = findEddies(little).map((one) => Math.hypot(one.x - large!.x, one.y - large!.y));
    expect(Math.min(...near)).toBeLessThan(4);
    const [one, other] = [structure.pools[0]!, findPools(little)[0]!];
    expect(Math.hypot(one.deep.x - other.deep.x, one.deep.y - other.deep.y)).toBeLessThan(2.1);
  });
});
