import { MEMBERS, membersOf } from "../core/flow/ensemble";
import type { Reach } from "../core/flow/reach-schema";
import { rasteriseReach } from "../core/flow/rasterise";
import { solveSteady } from "../core/flow/steady";
import { speciesById } from "../core/fish/species";
import { readReach } from "./read";
import { ensembleKey, flowBandOf, robustnessOf, type Sighting } from "./robustness";
import { sightings, unsureOf } from "./sightings";

const unsure = { roughness: 0.2, discharge: [8, 12], level: 0.05, cell: [1, 1.25] } as const;

test("ten members take each slice of each figure once, and no two figures go together (Korobov 1959)", () => {
  const members = membersOf(unsure);
  expect(members).toHaveLength(MEMBERS);
  const columns = (["roughness", "discharge", "level", "cell"] as const).map((key) => members.map((one) => one[key]));
  const bounds = [
    [0.8, 1.2],
    [8, 12],
    [-0.05, 0.05],
    [1, 1.25],
  ] as const;
  columns.forEach((column, k) => {
    const [low, high] = bounds[k]!;
    const slices = column.map((value) => Math.floor(((value - low) / (high - low)) * MEMBERS));
    expect([...slices].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  });
  const rank = (column: readonly number[]) => column.map((value) => column.filter((other) => other < value).length);
  for (const [a, b] of [
    [0, 1],
    [0, 2],
    [0, 3],
    [1, 2],
    [1, 3],
    [2, 3],
  ] as const) {
    const [x, y] = [rank(columns[a]!), rank(columns[b]!)];
    const correlation = x.reduce((sum, value, k) => sum + (value - 4.5) * (y[k]! - 4.5), 0) / 82.5;
    expect(Math.abs(correlation)).toBeLessThan(0.34);
  }
});

test("the band is the forecast's, holding the flow itself; a tenth either way without one", () => {
  expect(flowBandOf(10, undefined)).toEqual([9, 11]);
  expect(flowBandOf(10, { low: 8, high: 9.5 })).toEqual([8, 10]);
});

const lie = (x: number, y: number, score: number) => ({ x, y, score });
const seen = (...lies: ReturnType<typeof lie>[]): Sighting => ({
  lies,
  seams: [
    [
      [0, 0],
      [4, 0],
    ],
  ],
});

test("a lie is counted where one lies within two metres; a seam where half of it does", () => {
  const reading = {
    lies: [lie(10, 5, 3), lie(30, 5, 2), lie(60, 5, 1)],
    seams: [
      {
        points: [
          [0, 1],
          [2, 1],
          [4, 1],
        ],
      },
      {
        points: [
          [0, 1],
          [20, 1],
          [40, 1],
        ],
      },
    ],
  };
  const members = [seen(lie(11.9, 5, 3), lie(30, 5, 2)), seen(lie(12.1, 5, 3), lie(30, 6, 2)), seen(lie(10, 5, 3))];
  const found = robustnessOf(reading as never, members);
  expect(found.lies).toEqual([
    { found: 2, of: 3 },
    { found: 2, of: 3 },
    { found: 0, of: 3 },
  ]);
  expect(found.seams).toEqual([
    { found: 3, of: 3 },
    { found: 0, of: 3 },
  ]);
});

test("lies tie where their order turns round in a third of the members; those rarely seen together do not", () => {
  const reading = { lies: [lie(10, 5, 3), lie(30, 5, 2.9), lie(50, 5, 1), lie(70, 5, 0.9)], seams: [] };
  const members = Array.from({ length: 6 }, (_, k) =>
    seen(lie(10, 5, 3), lie(30, 5, k < 2 ? 3.1 : 2.5), lie(50, 5, 1), ...(k === 0 ? [lie(70, 5, 9)] : [])),
  );
  expect(robustnessOf(reading as never, members).tied).toEqual([null, 0, null, null]);
});

const reach: Reach = {
  schema: "low-heron/reach@1",
  id: "t",
  name: "t",
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 60,
    width: 16,
    poolDepth: 1.2,
    slope: 0.003,
    wiggle: 1.5,
    cell: 1,
  },
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  features: [{ kind: "boulder", x: 30, y: 10, diameter: 3, height: 1.6 }],
};

test("a reach solved and read ten times: the stone's lie holds, and progress runs to the end", () => {
  const discharge = 5;
  const field = solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream });
  const reading = {
    species: speciesById("brown-trout"),
    visibleDepth: 1,
    temperature: 12,
    light: "day",
    features: reach.features,
  } as const;
  const whole = readReach(field, reading);
  const request = { reach, discharge, band: flowBandOf(discharge, undefined), reading };
  const work = sightings(request, field);
  let last = 0;
  let step = work.next();
  for (; !step.done; step = work.next()) {
    expect(step.value).toBeGreaterThanOrEqual(last - 1e-9);
    last = step.value;
  }
  expect(step.value).toHaveLength(MEMBERS);
  const found = robustnessOf(whole, step.value);
  expect(found.lies).toHaveLength(whole.lies.length);
  // The best lie of a reach with one stone in it stands on firm ground; not everything does.
  expect(Math.max(...found.lies.map((one) => one.found))).toBeGreaterThanOrEqual(8);
  expect(found.lies.every(({ found: times, of }) => of === MEMBERS && times >= 0 && times <= of)).toBe(true);
  expect(unsureOf(request)).toEqual({ roughness: 0.2, level: 0.05, discharge: [4.5, 5.5], cell: [1, 1.25] });
  expect(ensembleKey("a", request)).not.toBe(ensembleKey("a", { ...request, band: [4, 6] }));
});

test("a bed that is guessed holds fewer of its lies than the same bed measured", () => {
  const discharge = 5;
  const { nx, ny, z } = rasteriseReach({ ...reach, features: [] }, 1);
  const grid = (deviation?: number) => ({
    ...reach,
    features: reach.features,
    bed: {
      kind: "grid" as const,
      nx,
      ny,
      cell: 1,
      z: Array.from(z),
      ...(deviation !== undefined && { deviation: Array.from(z, () => deviation) }),
    },
  });
  const reading = {
    species: speciesById("brown-trout"),
    visibleDepth: 1,
    temperature: 12,
    light: "day",
    features: reach.features,
  } as const;
  const held = (of: Reach) => {
    const field = solveSteady(rasteriseReach(of), { discharge, downstream: of.downstream });
    const whole = readReach(field, reading);
    const work = sightings({ reach: of, discharge, band: [discharge, discharge], reading }, field);
    let step = work.next();
    while (!step.done) step = work.next();
    return robustnessOf(whole, step.value).lies.reduce((sum, { found }) => sum + found, 0);
  };
  const [measured, guessed] = [held(grid()), held(grid(0.35))];
  expect(guessed).toBeLessThan(measured);
});
