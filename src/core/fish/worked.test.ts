import type { Field } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { bottomOf } from "../water/bottoms";
import { breaksOf, coverOf, froude } from "../water/cover";
import { scoreAmbush } from "./ambush";
import { flowBand, scoreNear } from "./flow-band";
import {
  captureHalfWidth,
  coldFactor,
  type Columns,
  DRIFT_DENSITY,
  energyIntake,
  foragerOf,
  LIGHT_FACTOR,
  maximumSpeed,
  preyEnergy,
  reactionDistance,
  swimmingCost,
  turbidityFactor,
} from "./foraging";
import { focalHeightIn, netEnergy } from "./net-energy";
import { readWater, type ReadOptions, scoreWater } from "./read";
import { medianOf } from "./score";
import { speciesById } from "./species";
import type { Ambusher, DriftFeeder, Traveller } from "./species-schema";
import { scoreTravel } from "./travel";

/** No cover anywhere. */
const bareOf = (field: Field) => ({ total: new Float32Array(field.depth.length) });

/**
 * Worked figures: every model of where fish hold, put together again cell by cell from the formulas named beside it, on
 * waters made by hand.
 */
const trout = speciesById("brown-trout") as DriftFeeder;
const bass = speciesById("smallmouth-bass") as Ambusher;
const salmon = speciesById("king-salmon") as Traveller;
const N = 0.035;

interface Made {
  nx?: number;
  ny?: number;
  cell?: number;
  depth?: (x: number, y: number) => number;
  u?: (x: number, y: number) => number;
  v?: (x: number, y: number) => number;
  n?: (x: number, y: number) => number;
}
function water({
  nx = 40,
  ny = 24,
  cell = 0.5,
  depth = () => 1,
  u = () => 0.4,
  v = () => 0,
  n = () => N,
}: Made): Field {
  const make = (of: (x: number, y: number) => number) =>
    Float32Array.from({ length: nx * ny }, (_, k) => of(((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell));
  const h = make(depth);
  const wet = (values: Float32Array) => values.map((value, k) => (h[k]! > 0 ? value : 0));
  return {
    nx,
    ny,
    cell,
    discharge: 5,
    bed: h.map((value) => -value),
    roughness: make(n),
    depth: h,
    u: wet(make(u)),
    v: wet(make(v)),
    speedDeviation: new Float32Array(nx * ny),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}
const at = (field: Field, x: number, y: number) => Math.floor(y / field.cell) * field.nx + Math.floor(x / field.cell);

// Every source named here is told from memory.
describe("drift foraging (Hughes & Dill 1990; constants from memory)", () => {
  test("a juvenile coho of 10 cm takes prey of 3 mm from about 30 cm off (Dunbrack & Dill 1983; from memory)", () => {
    expect(reactionDistance(3, 10)).toBeCloseTo(0.3, 1);
    // Large fish see twice the prey twice as far, and none farther than their eyes can make it out.
    expect(reactionDistance(6, 60) / reactionDistance(3, 60)).toBeCloseTo(2, 6);
    expect(reactionDistance(3, 60)).toBeLessThan(0.37);
  });

  test("a trout of 30 cm swims two to three lengths a second for long (Beamish 1978), and less in the cold", () => {
    const lengths = maximumSpeed(30, 20) / 0.3;
    expect(lengths).toBeGreaterThan(2);
    expect(lengths).toBeLessThan(3);
    expect([-5, 2, 8.5, 15, 25].map((at) => maximumSpeed(30, at) / maximumSpeed(30, 20))).toEqual(
      [0.55, 0.6, 0.8, 1, 1].map((share) => expect.closeTo(share, 9) as number),
    );
    expect([-5, 2, 8.5, 15, 25].map(coldFactor)).toEqual([0.55, 0.6, 0.8, 1, 1]);
  });

  test("a salmonid of 300 g at rest at 12 to 15 C breathes 50 to 95 mg of oxygen a kg and hour (Brett & Glass 1973)", () => {
    const milligrams = (temperature: number, speed: number) =>
      (swimmingCost(300, temperature, speed) * 3600 * 1000) / 13_560 / 0.3;
    for (const temperature of [12, 15]) {
      expect(milligrams(temperature, 0)).toBeGreaterThan(50);
      expect(milligrams(temperature, 0)).toBeLessThan(95);
    }
    // At a length and a third a second it has more than doubled (Brett 1964: about twofold for a length a second).
    expect(milligrams(12, 0.4) / milligrams(12, 0)).toBeGreaterThan(2);
    expect(milligrams(12, 0.4) / milligrams(12, 0)).toBeLessThan(3);
    // Ten degrees double it (Q10 of fish about 2, Clarke & Johnston 1999).
    expect(milligrams(15, 0) / milligrams(5, 0)).toBeCloseTo(2, 1);
  });

  test("capture and turbidity: by Pythagoras, and a third left of what is seen at 34 NTU", () => {
    expect(captureHalfWidth(0.5, 0.6, 1)).toBeCloseTo(0.4, 12);
    expect(captureHalfWidth(0.5, 1.2, 1)).toBe(0);
    expect([0, -4].map(turbidityFactor)).toEqual([1, 1]);
    expect(turbidityFactor(33.9)).toBeCloseTo(0.37, 2);
  });

  test("a mayfly nymph of 6 mm holds some 10 to 20 J that a fish can use (0.9 mg dry at 21 J a mg; Cummins & Wuycheck 1971)", () => {
    expect(preyEnergy(6)).toBeGreaterThan(10);
    expect(preyEnergy(6)).toBeLessThan(20);
  });

  test("a forager of its species: turbid water and dusk shorten its reach, each by its factor", () => {
    const clear = foragerOf(trout, { temperature: 12, turbidity: 0, light: "day" });
    expect(clear.reaction).toBeCloseTo(reactionDistance(trout.preyLength, trout.forkLength), 12);
    const murk = foragerOf(trout, { temperature: 6, turbidity: 20, light: "twilight" });
    expect(murk.reaction).toBeCloseTo(clear.reaction * turbidityFactor(20) * LIGHT_FACTOR.value.twilight, 12);
    expect(murk.fastest).toBeCloseTo(maximumSpeed(trout.forkLength, 6), 12);
    expect(clear.weight).toBeCloseTo(10 ** (-4.867 + 2.96 * Math.log10(trout.forkLength * 10)), 6);
  });

  test("intake: drift x speed x area over the layers that can be met, column by column", () => {
    const fish = { reaction: 0.6, fastest: 1, weight: 300, energy: 20, temperature: 12 };
    const columns: Columns = {
      count: 3,
      width: 0.2,
      offset: Float64Array.of(-0.5, 0, 0.7),
      depth: Float64Array.of(0.8, 1, 1),
      mean: Float64Array.of(0.5, 0.3, 0.4),
      lnDepth: Float64Array.of(4, 4.2, 4.2),
      drift: Float64Array.of(1.5, 1, 2),
    };
    let prey = 0;
    for (let c = 0; c < 3; c++)
      for (let layer = 0; layer < 8; layer++) {
        const share = (layer + 0.5) / 8;
        const speed = Math.max(
          0,
          (columns.mean[c]! * (columns.lnDepth[c]! + Math.log(share))) / (columns.lnDepth[c]! - 1),
        );
        const away = Math.hypot(columns.offset[c]!, share * columns.depth[c]! - 0.1);
        if (away <= captureHalfWidth(0.6, speed, 1)) prey += columns.drift[c]! * speed * (columns.depth[c]! / 8) * 0.2;
      }
    expect(prey).toBeGreaterThan(0);
    expect(energyIntake(fish, 0.1, columns)).toBeCloseTo(prey * DRIFT_DENSITY.value * 20, 12);
    // The third column lies out of reach altogether.
    expect(energyIntake(fish, 0.1, { ...columns, count: 2 })).toBeCloseTo(energyIntake(fish, 0.1, columns), 12);
  });

  test("net energy of even water: its columns either side, less the cost at the fish's own height", () => {
    const field = water({ cell: 0.25, nx: 24, ny: 36, u: () => 0.35 });
    const fish = foragerOf(trout, { temperature: 12, turbidity: 0, light: "day" });
    const { net, focalSpeed } = netEnergy(field, new Float64Array(864).fill(1), fish, trout);
    const k = 18 * 24 + 12;
    const ks = roughnessHeight(N, 1);
    const height = focalHeightIn(trout, 1);
    expect(height).toBe(trout.focalHeight);
    expect(focalHeightIn(trout, 0.2)).toBeCloseTo(0.06, 12);
    expect(focalSpeed[k]).toBeCloseTo(speedAtHeight(0.35, 1, ks, height), 5);
    const each = Math.ceil(fish.reaction / 0.12);
    const count = 2 * each + 1;
    const fill = (value: number) => new Float64Array(count).fill(value);
    const columns: Columns = {
      count,
      width: 0.12,
      offset: Float64Array.from({ length: count }, (_, n) => (n - each) * 0.12),
      depth: fill(1),
      mean: fill(0.35),
      lnDepth: fill(Math.log(30 / ks)),
      drift: fill(1),
    };
    const expected = energyIntake(fish, height, columns) - swimmingCost(fish.weight, 12, focalSpeed[k]!);
    expect(net[k]! / expected).toBeCloseTo(1, 4);
    // The current may run any way: the columns lie across it.
    const turned = water({ cell: 0.25, nx: 36, ny: 24, u: () => 0, v: () => 0.35 });
    expect(netEnergy(turned, new Float64Array(864).fill(1), fish, trout).net[12 * 36 + 18]! / net[k]!).toBeCloseTo(
      1,
      6,
    );
    // Twice the drift on one side brings half as much again.
    const richer = Float64Array.from({ length: 864 }, (_, c) => (Math.floor(c / 24) > 18 ? 2 : 1));
    const gain = netEnergy(field, richer, fish, trout).net[k]! - net[k]!;
    expect(gain / energyIntake(fish, height, columns)).toBeGreaterThan(0.35);
    expect(gain / energyIntake(fish, height, columns)).toBeLessThan(0.55);
  });

  test("too thin, and too fast at its own height, is no place; the river's edge brings nothing", () => {
    const fish = foragerOf(trout, { temperature: 12, turbidity: 0, light: "day" });
    const field = water({
      cell: 0.25,
      nx: 40,
      ny: 48,
      depth: (_, y) => (y < 5 ? 0 : y < 6 ? trout.leastDepth * 0.9 : 1),
      u: (x) => (x > 7 ? 4 : 0.35),
    });
    const { net } = netEnergy(field, new Float64Array(1920).fill(1), fish, trout);
    expect(net[at(field, 3, 4.5)]).toBeNaN();
    expect(net[at(field, 3, 5.5)]).toBeNaN();
    expect(net[at(field, 8.5, 10)]).toBeNaN();
    expect(net[at(field, 3, 6.4)]!).toBeLessThan(net[at(field, 3, 11)]!);
    expect(net[at(field, 3, 6.4)]!).toBeGreaterThan(-1);
  });
});

describe("waiting beside the current", () => {
  const options = { temperature: 20, visibleDepth: 1.5, light: "day" } as const;
  const along = (curve: readonly (readonly [number, number])[], x: number) => {
    for (let k = 1; k < curve.length; k++)
      if (x <= curve[k]![0]) {
        if (k === 1 && x <= curve[0]![0]) return curve[0]![1];
        const [[x0, y0], [x1, y1]] = [curve[k - 1]!, curve[k]!];
        return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
      }
    return curve.at(-1)![1];
  };

  test("every factor by its formula, in even water beside fast water; the score is their product", () => {
    // 0.2 m/s above y = 6 m, 0.9 m/s below it.
    const field = water({ nx: 60, ny: 40, depth: () => 1.4, u: (_, y) => (y < 6 ? 0.2 : 0.9) });
    const cover = coverOf(field, [], options.visibleDepth, []);
    const found = scoreAmbush(field, bass, cover, options);
    const share = Math.min(
      1,
      Math.max(0, (20 - bass.suitability.turn[0]) / (bass.suitability.turn[1] - bass.suitability.turn[0])),
    );
    const suit = (
      curves: { warm: readonly (readonly [number, number])[]; cold: readonly (readonly [number, number])[] },
      x: number,
    ) => share * along(curves.warm, x) + (1 - share) * along(curves.cold, x);
    const reach = Math.max(1, Math.round(bass.ambush.reach / 0.5)) * 0.5;
    const close = Math.max(1, Math.round(bass.ambush.reach / 2 / 0.5)) * 0.5;
    for (const y of [1.25, 4.25, 5.25, 5.75]) {
      const k = at(field, 15, y);
      const focal = speedAtHeight(0.2, 1.4, roughnessHeight(N, 1.4), focalHeightIn(bass, 1.4));
      expect(found.focalSpeed[k]).toBeCloseTo(focal, 5);
      const near = (far: number) => (y + far > 6 ? 0.9 : 0.2);
      const difference = 0.5 * (near(reach) + near(close)) - 0.2;
      const parts = {
        depth: suit(bass.suitability.depth, 1.4),
        speed: suit(bass.suitability.speed, focal),
        ambush: 1 - bass.ambush.weight * Math.exp(-difference / 0.3),
        light: 1 - bass.shy * Math.exp(-1.4 / 1.5),
      };
      for (const [name, value] of Object.entries(parts)) expect(found.factors[name]![k]).toBeCloseTo(value, 4);
      // No stone, wood or ledge: what a bare place keeps.
      const most = Math.max(bass.cover.stone, bass.cover.wood, bass.cover.ledge, bass.cover.edge ?? 0);
      expect(found.factors.cover![k]).toBeCloseTo(1 - most, 5);
      const product = Object.values(found.factors).reduce((all, values) => all * values[k]!, 1);
      expect(found.score[k]).toBeCloseTo(product, 5);
    }
    const k = at(field, 15, 5.75);
    expect(found.reasons(k)[0]).toEqual({
      kind: "ambush",
      fast: expect.closeTo(0.9, 5) as number,
      slow: expect.closeTo(0.2, 5) as number,
      reach: bass.ambush.reach,
    });
    expect(found.reasons(k).some((one) => one.kind === "bright")).toBe(found.factors.light![k]! < 0.75);
    expect(found.reasons(k).some((one) => ["ledge", "edge", "bottom"].includes(one.kind))).toBe(false);
  });

  test("light by the hour: a shy fish loses less by dusk and by night, and under a roof nothing", () => {
    const shy = { ...bass, shy: 0.8 };
    const field = water({ depth: () => 0.8 });
    const of = (light: "day" | "twilight" | "night", roofs: Parameters<typeof coverOf>[3] = []) =>
      scoreAmbush(field, shy, coverOf(field, [], 2, roofs), { temperature: 18, visibleDepth: 2, light }).factors.light!;
    const k = at(field, 10, 6);
    const dim = Math.exp(-0.4);
    expect(of("day")[k]).toBeCloseTo(1 - 0.8 * dim, 5);
    expect(of("twilight")[k]).toBeCloseTo(1 - 0.8 * 0.35 * dim, 5);
    expect(of("night")[k]).toBeCloseTo(1 - 0.8 * 0.05 * dim, 5);
    const roof = of("day", [{ kind: "overhang", x: 10, y: 6, length: 6, width: 6, angle: 0 }]);
    expect(roof[k]!).toBeGreaterThan(of("day")[k]! + 0.2);
  });

  test("a step of the bed counts by its height over an even slope; an even slope is none", () => {
    const keen = { ...bass, cover: { stone: 0, wood: 0, ledge: 0.6 } };
    const of = (depth: (x: number, y: number) => number) => {
      const field = water({ nx: 40, ny: 40, depth });
      const found = scoreAmbush(field, keen, coverOf(field, [], 2, []), options);
      const k = at(field, 10, 9.75);
      return { factor: found.factors.cover![k]!, told: found.reasons(k).find((one) => one.kind === "ledge") };
    };
    // Within 2 m: 1.2 and 2.9 m of water; an even bank of one in four would give 1 m (2 x 2 m / 4).
    const step = of((_, y) => (y < 10 ? 1.2 : 2.9));
    expect(step.factor).toBeCloseTo(1 - 0.6 * (1 - 0.7), 4);
    expect(step.told).toMatchObject({ kind: "ledge", step: expect.closeTo(0.7, 4) as number });
    expect(of((_, y) => 1 + 0.2 * y).factor).toBeCloseTo(0.4, 4);
    expect(of((_, y) => (y < 10 ? 1.2 : 1.5)).told).toBeUndefined();
    expect(of((_, y) => (y < 10 ? 1 : 9)).factor).toBeCloseTo(1, 4);
  });

  test("stones and wood by their weights: the one liked best may make a place whole", () => {
    const features = [{ kind: "boulder", x: 10, y: 6, diameter: 2, height: 1.5 }] as const;
    const field = water({ depth: (x, y) => (Math.hypot(x - 10, y - 6) < 1 ? 0.05 : 1) });
    const cover = coverOf(field, breaksOf(field, features), 2, []);
    const liking = { ...bass, cover: { stone: 0.5, wood: 0.25, ledge: 0 } };
    const found = scoreAmbush(field, liking, cover, options).factors.cover!;
    for (const [x, y] of [
      [12.25, 6.25],
      [13.25, 6.25],
      [18.25, 6.25],
    ] as const) {
      const k = at(field, x, y);
      const stone = Math.min(1, cover.stone[k]! / 0.6);
      const wood = Math.max(cover.wood[k]!, cover.overhead[k]!);
      expect(found[k]).toBeCloseTo(1 - 0.5 * (1 - stone) * (1 - 0.5 * wood), 4);
    }
    expect(found[at(field, 12.25, 6.25)]!).toBeGreaterThan(found[at(field, 18.25, 6.25)]! + 0.03);
  });

  test("bottoms count where there are several; hard and soft side by side make an edge; too thin is no place", () => {
    const picky: Ambusher = {
      ...bass,
      substrate: { [bottomOf(0.022)]: 0.4 },
      cover: { stone: 0, wood: 0, ledge: 0, edge: 0.5 },
    };
    const field = water({ n: (x) => (x < 10 ? 0.022 : 0.045), depth: (_, y) => (y < 2 ? bass.leastDepth / 2 : 1.2) });
    const found = scoreAmbush(field, picky, coverOf(field, [], 2, []), options);
    const [soft, border, hard] = [at(field, 3, 6), at(field, 9.75, 6), at(field, 16, 6)];
    expect(found.factors.bottom![soft]).toBeLessThan(1);
    expect(found.factors.bottom![hard]).toBe(1);
    expect(found.factors.cover![border]).toBeCloseTo(1, 4);
    expect(found.factors.cover![soft]).toBeCloseTo(0.5, 4);
    expect(found.reasons(border).some((one) => one.kind === "edge")).toBe(true);
    expect(found.reasons(soft).find((one) => one.kind === "bottom")).toBeDefined();
    expect(found.reasons(hard).find((one) => one.kind === "bottom")).toBeUndefined();
    expect(found.score[at(field, 5, 1)]).toBeNaN();
  });
});

describe("on the run", () => {
  test("in an even channel every way costs the same: full lanes, half a rest, and the cost of a metre by its formula", () => {
    const field = water({ nx: 30, ny: 10, cell: 1, depth: () => 1.6, u: () => 0.6 });
    const found = scoreTravel(field, salmon, bareOf(field), { temperature: 8 });
    const k = at(field, 15.5, 4.5);
    expect(found.factors.lane![k]).toBeCloseTo(1, 4);
    expect(found.factors.rest![k]).toBeCloseTo(0.5, 6);
    expect(found.score[k]).toBeCloseTo(
      // In the open: six tenths of what it would be worth hidden.
      found.factors.lane![k]! * found.factors.depth![k]! * found.factors.speed![k]! * 0.5 * 0.6,
      6,
    );
    const [lane, rest] = found.reasons(k);
    expect(lane).toMatchObject({ kind: "lane", dearer: expect.closeTo(0, 4) as number });
    expect(rest).toMatchObject({ kind: "rest", share: expect.closeTo(1, 6) as number });
    expect(found.focalSpeed[k]).toBeCloseTo(
      speedAtHeight(0.6, 1.6, roughnessHeight(N, 1.6), focalHeightIn(salmon, 1.6)),
      5,
    );
  });

  test("the cheap lane is taken, a dear one by exp(-extra / 5 %); before fast water fish rest", () => {
    // 0.5 m/s for y > 5 m, 0.9 m/s above it; a rapid of 1.6 m/s in x < 10 m.
    const field = water({
      nx: 60,
      ny: 10,
      cell: 1,
      depth: () => 1.6,
      u: (x, y) => (x < 10 ? 1.6 : y < 5 ? 0.9 : 0.5),
    });
    const found = scoreTravel(field, salmon, bareOf(field), { temperature: 8 });
    const [cheap, dear] = [at(field, 40.5, 7.5), at(field, 40.5, 1.5)];
    expect(found.factors.lane![cheap]).toBeCloseTo(1, 2);
    expect(found.factors.lane![dear]!).toBeLessThan(0.8);
    const extra = (found.reasons(dear)[0] as { dearer: number }).dearer;
    expect(found.factors.lane![dear]).toBeCloseTo(Math.exp(-extra / 0.05), 4);
    // Eight metres below the rapid: of the twelve ahead some are in it, at a cost of exp(2.34 x 1.1) as much a metre.
    const dearer = Math.exp(0.0234 * 100 * 1.1);
    const rested = at(field, 17.5, 7.5);
    const share = (found.reasons(rested)[1] as { share: number }).share;
    const cells = 12;
    const slow = 8;
    expect(share).toBeCloseTo((slow + (cells - slow) * dearer) / cells, 1);
    expect(found.factors.rest![rested]).toBeCloseTo(0.5 + 0.5 * Math.min(1, (share - 1) / 0.5), 4);
    expect(found.factors.rest![at(field, 45.5, 7.5)]).toBeCloseTo(0.5, 3);
  });

  test("a lane of another depth or speed costs what swimming there does, in water that turns back less", () => {
    // Two long lanes that never meet: each costs its own metre all the way.
    const lanes = (depth: number, u: number, temperature = 8) => {
      const field = water({
        nx: 40,
        ny: 11,
        cell: 1,
        depth: (_, y) => (y > 5 && y < 6 ? 0 : y < 5 ? depth : 1.6),
        u: (_, y) => (y < 5 ? u : 0.5),
      });
      const found = scoreTravel(field, salmon, bareOf(field), { temperature });
      return (found.reasons(at(field, 20.5, 2.5))[0] as { dearer: number }).dearer + 1;
    };
    // Power goes with exp(2.34 v) of the speed through the water, at a pace of 0.4 m/s over the ground.
    const speeds = (u: number) => Math.exp(2.34 * (Math.max(0, u + 0.4) - 0.9));
    for (const u of [0.7, 0.5, 0.3, -0.1]) expect(lanes(1.6, u) * Math.min(1, speeds(u))).toBeCloseTo(speeds(u), 3);
    // Turning back faster than the pace it costs what lying still does.
    expect(lanes(1.6, -0.8)).toBeCloseTo(1, 6);
    // 0.4 of what is wanting of 1.2 m, 3 of what is wanting of 0.6.
    for (const [depth, dearer] of [
      [1.2, 1],
      [0.9, 1.12],
      [0.6, 1.24],
      [0.4, 1.92],
    ] as const)
      expect(lanes(depth, 0.5)).toBeCloseTo(dearer, 3);
  });

  test("no place in water too thin to hold in, at the first column either; its worth is the product of its parts", () => {
    const field = water({ nx: 40, ny: 10, cell: 1, depth: (x) => (x < 1 ? 0.3 : x > 30 ? 0.9 : 1.6), u: () => 0.5 });
    const total = new Float32Array(400).fill(0.5);
    const found = scoreTravel(field, salmon, { total }, { temperature: 8 });
    expect(found.score[at(field, 0.5, 4.5)]).toBeNaN();
    for (const x of [5.5, 20.5, 35.5]) {
      const k = at(field, x, 4.5);
      const { lane, depth, speed, rest, cover } = found.factors;
      expect(cover![k]).toBeCloseTo(0.8, 6);
      expect(found.score[k]).toBeCloseTo(lane![k]! * depth![k]! * speed![k]! * rest![k]! * cover![k]!, 6);
    }
    // The way ahead ends with the reach: what is left of it is what counts.
    const ahead = (x: number) => (found.reasons(at(field, x, 4.5))[1] as { share: number }).share;
    const thin = 1 + 0.4 * 0.9 + 3 * 0.3;
    expect(ahead(4.5)).toBeCloseTo((4 + thin) / 5, 3);
    expect(ahead(20.5)).toBeCloseTo(1, 6);
  });

  test("thin water is dear and then no way at all; a bar that cannot be passed stops every lane", () => {
    const thin = (depth: number) => {
      const half = water({ nx: 40, ny: 10, cell: 1, depth: (_, y) => (y < 5 ? depth : 1.6), u: () => 0.5 });
      return scoreTravel(half, salmon, bareOf(half), { temperature: 8 });
    };
    const field = water({ nx: 40, ny: 10, cell: 1 });
    const k = at(field, 20.5, 1.5);
    // 1 + 3 (0.6 - h) + 0.4 (1.2 - h): 0.5 m of water costs 1.58 as much.
    const dearer = (thin(0.5).reasons(k)[0] as { dearer: number }).dearer;
    expect(dearer).toBeGreaterThan(0.1);
    expect(dearer).toBeLessThan(0.58);
    expect(thin(salmon.passage.depth * 0.9).score[k]).toBeNaN();
  });

  test.each([
    ["a bar too thin to pass", (x: number) => (Math.abs(x - 20) < 1 ? 0.1 : 1.6), () => 0.5],
    ["a torrent too fast to pass", () => 1.6, (x: number) => (Math.abs(x - 20) < 1 ? salmon.passage.speed + 0.1 : 0.5)],
  ])("with %s fish are held up: in the deepest water, hidden, and that is said", (_, depth, u) => {
    const shelf = (x: number, y: number) => (y < 5 ? 0.5 : 1) * depth(x);
    const field = water({ nx: 40, ny: 10, cell: 1, depth: shelf, u });
    const total = Float32Array.from(field.depth, (_h, k) => (k === at(field, 30.5, 7.5) ? 1 : 0));
    const found = scoreTravel(field, salmon, { total }, { temperature: 8 });
    const [deep, thin, hidden] = [at(field, 10.5, 7.5), at(field, 10.5, 2.5), at(field, 30.5, 7.5)];
    expect(found.factors).not.toHaveProperty("lane");
    expect(found.factors.depth![deep]).toBeCloseTo(1, 6);
    // Half of the deepest: t = 1/6 of the way from 0.4 to 1.
    expect(found.factors.depth![thin]).toBeCloseTo((1 / 6) ** 2 * (3 - 2 / 6), 5);
    expect(found.factors.cover![deep]).toBeCloseTo(0.6, 6);
    expect(found.score[hidden]! / found.score[deep]!).toBeCloseTo(1 / 0.6, 5);
    expect(found.reasons(deep)).toEqual([{ kind: "heldUp", passage: salmon.passage.depth }]);
  });
});

describe("the flows of a place", () => {
  test("the best within a metre and a half of it, and not beyond", () => {
    const score = new Float64Array(400).fill(1);
    const grid = { nx: 20, ny: 20, cell: 0.5 };
    score[10 * 20 + 13] = 5;
    // That cell's middle is 6.75, 5.25.
    expect(scoreNear(score, grid, 5.26, 5.25)).toBe(5);
    expect(scoreNear(score, grid, 5.24, 5.25)).toBe(1);
    expect(scoreNear(score, grid, 6.75, 6.74)).toBe(5);
    expect(scoreNear(score, grid, 6.75, 6.76)).toBe(1);
    score[0] = NaN;
    score[399] = 7;
    expect(scoreNear(score, grid, 0.1, 0.1)).toBe(1);
    expect(scoreNear(score, grid, 9.9, 9.9)).toBe(7);
  });

  test("ends between flows by the logarithm, at half of the best place or a tenth over the middle of the water", () => {
    const points = [2, 4, 8, 16, 32].map((discharge, k) => ({
      discharge,
      score: [1, 3, 10, 3, 1][k]!,
      medianScore: 1,
      best: 10,
    }));
    const band = flowBand(points)!;
    // Need 5: between 8 (10) and 4 (3) at 5/7 of the way, in ln Q.
    expect(band.low).toBeCloseTo(8 * 0.5 ** (5 / 7), 9);
    expect(band.high).toBeCloseTo(8 * 2 ** (5 / 7), 9);
    expect(band).toMatchObject({ best: 8, openBelow: false, openAbove: false });
    expect(flowBand([...points].reverse())).toEqual(band);
    const high = points.map((one) => ({ ...one, medianScore: 8 }));
    // Need 8.8 throughout.
    expect(flowBand(high)!.high).toBeCloseTo(8 * 2 ** (1.2 / 7), 9);
    expect(flowBand(points.map((one) => ({ ...one, medianScore: 10 })))).toBeUndefined();
    expect(flowBand(points.map((one) => ({ ...one, score: 0, medianScore: 0, best: 0 })))).toBeUndefined();
    expect(flowBand(points.slice(0, 2))).toBeUndefined();
    const open = flowBand(points.map((one) => ({ ...one, score: 6 })))!;
    expect(open).toMatchObject({ low: 2, high: 32, openBelow: true, openAbove: true });
  });

  test("the median is the upper of the middle two, 0 of none", () => {
    expect(medianOf(Float64Array.of(5, 1, 3))).toBe(3);
    expect(medianOf(Float64Array.of(4, 1, 3, 2))).toBe(3);
    expect(medianOf(new Float64Array(0))).toBe(0);
  });
});

describe("a made water read whole", () => {
  // Slack 0.15 m/s beside a run of 0.9 over half a metre, a stone in the slack; dry banks.
  const made = (depth = 0.9) =>
    water({
      nx: 64,
      ny: 40,
      cell: 0.25,
      depth: (x, y) => (y < 1 || y > 9 ? 0 : Math.hypot(x - 8, y - 3.5) < 0.7 ? 0.05 : depth),
      u: (_, y) => 0.15 + 0.75 / (1 + Math.exp(-(y - 5) / 0.12)),
    });
  const features = [{ kind: "boulder", x: 8, y: 3.5, diameter: 1.4, height: 1, name: "grey" }] as const;
  const options = (id: string): ReadOptions => ({
    species: speciesById(id),
    visibleDepth: 1,
    temperature: id === "brown-trout" ? 12 : 20,
    light: "day",
    features,
  });

  test.each(["brown-trout", "smallmouth-bass"])(
    "%s: rank by score, clear of each other, each figure as the field has it",
    (id) => {
      const field = made();
      const { lies, medianScore, seams } = readWater(field, options(id));
      const { score, medianScore: again } = scoreWater(field, options(id));
      expect(medianScore).toBeCloseTo(again, 12);
      expect(lies.length).toBeGreaterThan(0);
      const { territory } = speciesById(id);
      lies.forEach((lie, index) => {
        const k = at(field, lie.x, lie.y);
        expect(lie.rank).toBe(index + 1);
        if (index > 0) expect(lie.score).toBeLessThanOrEqual(lies[index - 1]!.score);
        expect(lie.score).toBe(score[k]);
        expect(lie.depth).toBeCloseTo(field.depth[k]!, 6);
        expect(lie.meanSpeed).toBeCloseTo(Math.hypot(field.u[k]!, field.v[k]!), 6);
        expect(lie.upCurrent[0]).toBeCloseTo(-1, 6);
        expect(lie.focalHeight).toBe(focalHeightIn(speciesById(id), lie.depth));
        expect(Object.values(lie.factors).reduce((all, value) => all * value, 1) / lie.score).toBeCloseTo(1, 5);
        for (const other of lies.slice(0, index))
          expect(Math.hypot(other.x - lie.x, other.y - lie.y)).toBeGreaterThanOrEqual(territory - 1e-9);
        // The fastest water within an arm's length, 0.75 m.
        let fastest = 0;
        for (let c = 0; c < field.u.length; c++) {
          const [x, y] = [((c % 64) + 0.5) * 0.25, (Math.floor(c / 64) + 0.5) * 0.25];
          if (Math.hypot(x - lie.x, y - lie.y) <= 0.75 + 1e-6) fastest = Math.max(fastest, field.u[c]!);
        }
        expect(lie.adjacentSpeed).toBeCloseTo(fastest, 5);
        if (lie.kind !== "resting") expect(lie.score).toBeGreaterThan(1.1 * medianScore);
        const kinds = lie.reasons.map(({ kind }) => kind);
        expect(kinds[0]).toBe("speeds");
        expect(kinds[1]).toBe(lie.seamDistance !== null && lie.seamDistance < 3 ? "seam" : "noSeam");
        expect(kinds).toContain("depth");
        expect(kinds.includes("exposed")).toBe(lie.cover < 0.2);
        expect(kinds.includes("refuge")).toBe(lie.cover >= 0.2);
        const stone = Math.max(0, Math.hypot(lie.x - 8, lie.y - 3.5) - 0.7);
        expect(kinds.includes("break")).toBe(stone < 3);
        if (stone < 3) {
          const above = -(lie.x - 8) / Math.hypot(lie.x - 8, lie.y - 3.5);
          expect(lie.place).toMatchObject({ kind: above > 0.6 ? "above" : above < -0.5 ? "below" : "beside" });
          expect(lie.reasons.find((one) => one.kind === "break")).toMatchObject({
            distance: expect.closeTo(stone, 1) as number,
            break: { name: "grey" },
          });
        }
        expect(kinds.includes("brokenSurface")).toBe(false);
        expect(froude(lie.depth, lie.meanSpeed)).toBeLessThan(0.35);
      });
      expect(seams.length).toBeGreaterThan(0);
      // The first lies on the slow side of the seam, near it.
      expect(lies[0]!.y).toBeLessThan(5.3);
      expect(lies[0]!.kind === "prime" || lies[0]!.kind === "feeding").toBe(true);
    },
  );

  test("trout rest where it is slack and covered; fish on the run never feed; as many lies as are asked for", () => {
    const field = made();
    const trouts = readWater(field, options("brown-trout")).lies;
    for (const lie of trouts.filter((one) => one.kind === "resting" && one.focalSpeed < 0.18)) {
      expect(lie.cover).toBeGreaterThanOrEqual(0.55);
    }
    const deep = made(1.6);
    const runners = readWater(deep, { ...options("king-salmon"), temperature: 8 }).lies;
    expect(runners.every((one) => one.kind === "resting" && one.drift === null)).toBe(true);
    expect(trouts.every((one) => one.drift !== null && one.drift > 0)).toBe(true);
    const two = readWater(field, { ...options("brown-trout"), most: 2 }).lies;
    expect(two.filter((one) => one.score > 0 && one.kind !== "resting").length).toBeLessThanOrEqual(2);
    // None lies within two cells of the grid's edge.
    for (const lie of [...trouts, ...runners]) {
      expect(lie.x > 0.5 && lie.x < 15.5 && lie.y > 0.5 && lie.y < 9.5).toBe(true);
    }
  });
});
