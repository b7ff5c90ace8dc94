import type { Reach } from "../flow/reach-schema";
import type { Curve, Species } from "./species-schema";
import { standardWeight } from "./standard-weight";
import type { Field } from "../flow/grid";
import { rasteriseReach } from "../flow/rasterise";
import { checkReach } from "../flow/reach";
import { solveSteady } from "../flow/steady";
import type { TemplateName } from "../flow/template-waters";
import { swimmingCost } from "./foraging";
import { type Reading, readWater } from "./read";
import { speciesById } from "./species";
import { SPECIES } from "./species-list";
import { habitsOf } from "./species-habits";
import { isSpeciesId } from "../tactics/fished-with";
import { along, suits } from "./suitability";
import { scoreTravel } from "./travel";

/** A straight channel whose depth and speed depend on y only. */
function channel(at: (y: number) => { depth: number; u: number }, nx = 80, ny = 30, cell = 1): Field {
  const make = (of: (y: number) => number) =>
    Float32Array.from({ length: nx * ny }, (_, k) => of((Math.floor(k / nx) + 0.5) * cell));
  return {
    nx,
    ny,
    cell,
    discharge: 1,
    bed: make((y) => -at(y).depth),
    roughness: make(() => 0.03),
    depth: make((y) => at(y).depth),
    u: make((y) => at(y).u),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}
const look = { visibleDepth: 1, temperature: 16, light: "day" as const };
const read = (
  field: Field,
  species: string,
  more: Partial<typeof look> & { features?: Reach["features"] } = {},
): Reading => readWater(field, { ...look, ...more, species: speciesById(species) });

/** A template solved at bank-side size. */
function water(template: TemplateName, discharge = 25, wiggle = 0): { field: Field; reach: Reach } {
  const reach = checkReach({
    schema: "low-heron/reach@1",
    id: "t",
    name: "t",
    roughness: 0.032,
    downstream: { kind: "normal", slope: 0.001 },
    bed: { kind: "template", template, length: 120, width: 30, poolDepth: 2.2, slope: 0.001, wiggle, cell: 1 },
  });
  return { field: solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream }), reach };
}

test("the fish as data: the ids of the contract, curves that ascend and stay within 0 and 1, a source for each", () => {
  const ids = SPECIES.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const id of [
    "brown-trout",
    "rainbow-trout",
    "steelhead",
    "king-salmon",
    "smallmouth-bass",
    "walleye",
    "zander",
    "channel-catfish",
    "flathead-catfish",
  ])
    expect(ids).toContain(id);
  for (const fish of SPECIES) {
    expect(fish.source.length).toBeGreaterThan(10);
    if (fish.model === "drift") continue;
    for (const { warm, cold } of [fish.suitability.depth, fish.suitability.speed])
      for (const curve of [warm, cold])
        curve.forEach(([x, y], k) => {
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(1);
          if (k > 0) expect(x).toBeGreaterThan(curve[k - 1]![0]);
        });
  }
  // A smallmouth of 400 mm weighs about a kilogram (standard weight; Anderson & Neumann 1996, from memory).
  expect(standardWeight(speciesById("smallmouth-bass"), 400)).toBeCloseTo(10 ** (-5.329 + 3.2 * Math.log10(400)), 6);
  expect(standardWeight(speciesById("zander"), 400)).toBeUndefined();
});

test("curves are straight between their points and level beyond; cold fish want deeper, slower water", () => {
  const curve: Curve = [
    [1, 0],
    [2, 1],
    [4, 0.5],
  ];
  expect([0, 1, 1.5, 2, 3, 9].map((x) => along(curve, x))).toEqual([0, 0, 0.5, 1, 0.75, 0.5]);
  const bass = speciesById("smallmouth-bass") as Extract<Species, { model: "ambush" }>;
  const [cold, warm] = [suits(bass.suitability, 5), suits(bass.suitability, 20)];
  expect(cold.depth(1)).toBeLessThan(warm.depth(1));
  expect(cold.depth(2.2)).toBe(1);
  expect(cold.speed(0.3)).toBeLessThan(warm.speed(0.3));
  expect(suits(bass.suitability, 11.5).speed(0.3)).toBeCloseTo((cold.speed(0.3) + warm.speed(0.3)) / 2, 6);
});

test.each(SPECIES.map(({ id }) => id))("even water has no lies but at its edges: %s", (id) => {
  const { lies } = read(
    channel(() => ({ depth: 1.5, u: 0.35 })),
    id,
  );
  for (const { y, x } of lies) expect(Math.min(y, 30 - y, x, 80 - x)).toBeLessThan(4);
});

test.each(["smallmouth-bass", "walleye", "channel-catfish", "chub"])(
  "across a straight seam a %s lies on the slow side, within its reach of the fast",
  (id) => {
    const seam = channel((y) => ({ depth: 1.5, u: 0.12 + 0.9 / (1 + Math.exp(-(y - 15) / 0.5)) }));
    const [best] = read(seam, id).lies;
    expect(best!.y).toBeLessThan(15.1);
    expect(best!.y).toBeGreaterThan(10.5);
    expect(best!.reasons[2]).toMatchObject({ kind: "ambush" });
  },
);

test("channel catfish: on the step of the ledge or of the deep channel's edge, beside the current, not dead slack (common practice, no source)", () => {
  const { field } = water("two-channels");
  const { lies } = read(field, "channel-catfish");
  const { nx, ny, cell, depth } = field;
  expect(lies.length).toBeGreaterThanOrEqual(3);
  for (const lie of lies.slice(0, 3)) {
    let [low, high] = [Infinity, 0];
    for (let j = 0; j < ny; j++) {
      const h = depth[j * nx + Math.floor(lie.x / cell)]!;
      if (h > 0.05 && Math.abs((j + 0.5) * cell - lie.y) <= 2.6) [low, high] = [Math.min(low, h), Math.max(high, h)];
    }
    // 4 ft dropping to 7 or 8 is a step of about a metre.
    expect(high - low).toBeGreaterThan(0.9);
    expect(lie.focalSpeed).toBeGreaterThan(0.08);
  }
});

test("walleye: behind a stump at the head of a sand bar, on its down-current side, in less than 8 ft (common practice, no source)", () => {
  const { field } = water("sand-bar");
  const { lies } = read(field, "walleye");
  const behind = lies.slice(0, 3).filter(({ place }) => place.kind === "below" || place.kind === "beside");
  expect(behind.length).toBeGreaterThan(0);
  for (const lie of behind) {
    expect(lie.x).toBeGreaterThan(0.32 * 120);
    expect(lie.x).toBeLessThan(0.42 * 120);
    expect(lie.depth).toBeLessThan(8 * 0.3048);
  }
});

test("king salmon on the run: on the cheapest way through a bend, in the current and not in the slack (common practice, no source)", () => {
  const { field } = water("bend", 25, 8);
  const { lies } = read(field, "king-salmon");
  expect(lies.length).toBeGreaterThanOrEqual(3);
  for (const lie of lies) {
    expect(lie.factors.lane).toBeGreaterThan(0.4);
    expect(lie.meanSpeed).toBeGreaterThan(0.3);
  }
});

/** No cover anywhere. */
const bareOf = (field: Field) => ({ total: new Float32Array(field.depth.length) });

describe("the way up", () => {
  const salmon = speciesById("king-salmon") as Extract<Species, { model: "travel" }>;

  test("in even water every straight way costs the same, and twice the speed costs by the respiration formula (closed form)", () => {
    const even = channel(() => ({ depth: 2, u: 0.5 }));
    const { factors } = scoreTravel(even, salmon, bareOf(even), { temperature: 12 });
    for (const share of factors.lane as Float32Array) expect(share).toBeCloseTo(1, 5);
    expect(swimmingCost(8000, 12, 1) / swimmingCost(8000, 12, 0.5)).toBeCloseTo(Math.exp(0.0234 * 50), 10);
  });

  test("it bends out of a torrent, and a bar too shallow to pass has no way over it", () => {
    const fast = channel((y) => ({ depth: 2, u: y > 10 && y < 20 ? 1.6 : 0.5 }));
    const { factors } = scoreTravel(fast, salmon, bareOf(fast), { temperature: 12 });
    const lane = factors.lane as Float32Array;
    expect(lane[15 * 80 + 40]!).toBeLessThan(0.05);
    expect(lane[5 * 80 + 40]!).toBeCloseTo(1, 5);
    const barred = channel(() => ({ depth: 1.5, u: 0.4 }));
    for (let j = 0; j < 30; j++) barred.depth[j * 80 + 40] = 0.15;
    expect(read(barred, "king-salmon").lies).toEqual([]);
  });
});

test("light: a walleye lies deeper, or has less of a score, by day in clear water than at dusk", () => {
  const shelf = channel((y) => ({ depth: 0.8 + 0.08 * y, u: 0.12 + 0.6 / (1 + Math.exp(-(y - 15) / 2)) }));
  const [day, dusk] = [
    read(shelf, "walleye", { visibleDepth: 3 }),
    readWater(shelf, { ...look, visibleDepth: 3, light: "twilight", species: speciesById("walleye") }),
  ];
  expect(day.lies[0]!.score).toBeLessThan(dusk.lies[0]!.score);
  expect(day.lies[0]!.depth).toBeGreaterThanOrEqual(dusk.lies[0]!.depth - 0.01);
});

test("habits are those of a fish that ships; no name that every object has passes for one", () => {
  for (const { id } of SPECIES) expect(isSpeciesId(id)).toBe(true);
  for (const id of ["constructor", "toString", "eel", ""]) {
    expect(isSpeciesId(id)).toBe(false);
    expect(habitsOf(id).family).toBe("trout");
  }
});
