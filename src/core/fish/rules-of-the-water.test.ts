import type { Reach } from "../flow/reach-schema";
import type { Phase } from "./phases";
import type { Field } from "../flow/grid";
import { rasteriseReach } from "../flow/rasterise";
import { checkReach } from "../flow/reach";
import { solveSteady } from "../flow/steady";
import { nearestLine } from "../water/polyline";
import { type Lie, type Reading, readWater } from "./read";
import { inSeason, seasonalHabitsIn } from "./season";
import { speciesById } from "./species";

/**
 * A reach made for each rule of the trade, solved, and read: the best lies must lie where the rule has them. Ledge,
 * stump and bend: species.test.ts.
 * The rules: common practice, no source.
 */
const step = (value: number, at: number, width: number) => 1 / (1 + Math.exp(-(value - at) / width));
/** Banks 2.5 m high on both sides of a channel of some breadth. */
const banks = (y: number, breadth: number) => -2.5 * (step(2 - y, 0, 0.4) + step(y - (breadth - 2), 0, 0.4));

interface Made {
  nx: number;
  ny: number;
  cell: number;
  depth: (x: number, y: number) => number;
  slope: number;
  n: number;
  features?: NonNullable<Reach["features"]>;
}
function solved(
  { nx, ny, cell, depth, slope, n, features = [] }: Made,
  discharge: number,
): { field: Field; reach: Reach } {
  const z = Array.from({ length: nx * ny }, (_, k) => {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    return slope * (nx * cell - x) - depth(x, y);
  });
  const reach = checkReach({
    schema: "low-heron/reach@1",
    id: "r",
    name: "r",
    roughness: n,
    downstream: { kind: "normal", slope },
    features,
    bed: { kind: "grid", nx, ny, cell, z },
  });
  return { field: solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream }), reach };
}
function read(
  { field, reach }: ReturnType<typeof solved>,
  species: string,
  more: { temperature?: number; visibleDepth?: number; phase?: Phase } = {},
): Reading {
  const known = speciesById(species);
  return readWater(field, {
    species: more.phase ? inSeason(known, seasonalHabitsIn(known, more.phase)) : known,
    visibleDepth: more.visibleDepth ?? 1,
    temperature: more.temperature ?? 14,
    light: "day",
    features: reach.features,
  });
}
const clearOfMedian = ({ lies, medianScore }: Reading, times: number) =>
  expect(lies[0]!.score).toBeGreaterThan(times * medianScore);
/** Within 1.5 m of a seam, or a break beside it. */
const byStructure = (lie: Lie) =>
  (lie.seamDistance ?? Infinity) <= 1.5 ||
  lie.reasons.some((reason) => reason.kind === "break" && reason.distance <= 1.5);

describe("the deep slot just below a riffle: never pass it by", () => {
  // Under the lip of a riffle at x = 40 a slot 16 m long, 7 m wide and 0.75 m deeper than the run beside and below it.
  const slot = solved(
    {
      nx: 90,
      ny: 20,
      cell: 1,
      slope: 0.006,
      n: 0.038,
      depth: (x, y) =>
        0.1 +
        0.35 * step(x, 40, 1.2) +
        0.75 * step(x, 40, 1) * step(56, x, 1.5) * step(y, 8, 0.7) * step(15, y, 0.7) +
        banks(y, 20),
    },
    5,
  );
  test.each(["brown-trout", "rainbow-trout"])("%s: the first lie lies in it, and it is named so", (species) => {
    const reading = read(slot, species);
    expect(reading.lies.length).toBeGreaterThanOrEqual(2);
    for (const lie of reading.lies.slice(0, 2)) {
      expect(lie.x).toBeGreaterThan(40);
      expect(lie.x).toBeLessThan(57);
      expect(lie.y).toBeGreaterThan(7);
      expect(lie.y).toBeLessThan(16);
    }
    expect(reading.structure.pools[0]!.slot).toBeDefined();
    expect(reading.lies.map(({ place }) => place.kind)).toContain("slot");
    clearOfMedian(reading, 1.5);
  });
});

describe("pocket water: a soft spot at each stone of a boulder garden", () => {
  const stones = [
    [20, 6, 2],
    [27, 11, 2.4],
    [20, 15, 1.8],
    [36, 7, 2],
    [35, 14, 2.4],
    [45, 11, 2],
    [52, 6, 2.2],
    [52, 15, 2],
  ] as const;
  const garden = solved(
    {
      nx: 140,
      ny: 40,
      cell: 0.5,
      slope: 0.007,
      n: 0.04,
      depth: (_, y) => 0.5 + banks(y, 20),
      features: stones.map(([x, y, diameter]) => ({ kind: "boulder", x, y, diameter, height: 0.9 })),
    },
    5,
  );
  test.each(["brown-trout", "smallmouth-bass"])(
    "%s: the top five are each within a stride of their stone, four at least of different stones, clear of the median",
    (species) => {
      const reading = read(garden, species);
      const own = reading.lies
        .slice(0, 5)
        .map((lie) =>
          stones
            .map(([x, y, diameter]) => Math.hypot(lie.x - x, lie.y - y) - diameter / 2)
            .reduce((best, d, k, all) => (d < all[best]! ? k : best), 0),
        );
      reading.lies.slice(0, 5).forEach((lie, k) => {
        const [x, y, diameter] = stones[own[k]!]!;
        expect(Math.hypot(lie.x - x, lie.y - y) - diameter / 2).toBeLessThan(1.5);
        // Out of the current that runs by.
        expect(lie.focalSpeed).toBeLessThan(0.5 * lie.adjacentSpeed);
      });
      expect(new Set(own).size).toBeGreaterThanOrEqual(4);
      expect(reading.lies.slice(0, 5).filter(byStructure).length).toBeGreaterThanOrEqual(4);
      clearOfMedian(reading, 2);
    },
  );
});

/** One of the templates on the screen, 120 m long. */
function template(
  name: string,
  width: number,
  discharge: number,
  features: NonNullable<Reach["features"]> = [],
): ReturnType<typeof solved> {
  const reach = checkReach({
    schema: "low-heron/reach@1",
    id: "r",
    name: "r",
    roughness: 0.032,
    downstream: { kind: "normal", slope: 0.001 },
    features,
    bed: { kind: "template", template: name, length: 120, width, poolDepth: 2.2, slope: 0.001, wiggle: 0, cell: 1 },
  });
  return { field: solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream }), reach };
}

describe("a wall across part of the channel", () => {
  const wall = template("weed-glide", 30, 22, [{ kind: "wall", x: 45, from: 0, to: 16, thickness: 2, height: 4 }]);
  test.each(["smallmouth-bass", "walleye"])(
    "a %s lies in the slack at its end or along the seam that it throws, most of the top five within 1.5 m of seam or wall",
    (species) => {
      const reading = read(wall, species);
      const [best] = reading.lies;
      // The end of the wall is at 45, 16; the slack is on its left, down-current.
      expect(Math.hypot(best!.x - 45, best!.y - 16)).toBeLessThan(4);
      expect(best!.focalSpeed).toBeLessThan(0.2);
      expect(reading.lies.slice(0, 5).filter(byStructure).length).toBeGreaterThanOrEqual(3);
      expect(reading.eddies[0]!.x).toBeGreaterThan(45);
      clearOfMedian(reading, 2);
    },
  );
});

test("a backwater: smallmouth lie on the saddle at its mouth, out of the main push but next to it; largemouth inside, in still water", () => {
  const water = template("backwater", 34, 20);
  // The saddle joins pocket and river at x from 74 to 86, y about 25 to 31 (template-waters.ts).
  const [saddle] = read(water, "smallmouth-bass").lies;
  expect(saddle!.x).toBeGreaterThan(72);
  expect(saddle!.x).toBeLessThan(88);
  expect(saddle!.y).toBeGreaterThan(24);
  expect(saddle!.y).toBeLessThan(31);
  const river = Array.from(water.field.u).filter(
    (_, k) => k % 120 === Math.floor(saddle!.x) && Math.floor(k / 120) < 20,
  );
  expect(saddle!.meanSpeed).toBeLessThan(0.35 * Math.max(...river));
  const bass = read(water, "largemouth-bass").lies;
  expect(bass.length).toBeGreaterThan(0);
  for (const lie of bass.slice(0, 3)) {
    expect(lie.y).toBeGreaterThan(26);
    expect(lie.meanSpeed).toBeLessThan(0.06);
  }
});

describe("autumn smallmouth: six to eight feet, where hard bottom meets soft or drops off, on the way to winter water", () => {
  // A shelf, a flat of about 1.9 m and a channel of 3.6 m; a patch of sand on the gravel of the flat.
  const flat = solved(
    {
      nx: 110,
      ny: 38,
      cell: 1,
      slope: 0.00008,
      n: 0.032,
      depth: (_, y) => 0.5 + 1.3 * step(y, 10, 0.8) + 1.8 * step(y, 26, 0.8) + banks(y, 38),
      features: [{ kind: "patch", x: 70, y: 18, length: 40, width: 12, angle: 0, substrate: "sand" }],
    },
    42,
  );
  const edge = (reading: Reading, lie: Lie) =>
    Math.min(
      nearestLine(reading.structure.bottoms, lie.x, lie.y).distance,
      nearestLine(reading.structure.ledges, lie.x, lie.y).distance,
    );

  test("they stage at the depth, at an edge", () => {
    const reading = read(flat, "smallmouth-bass", { temperature: 10, phase: "staging" });
    const places = reading.lies.flatMap((lie) => [lie, ...lie.others.map((one) => ({ ...lie, ...one }))]);
    expect(places.length).toBeGreaterThanOrEqual(2);
    for (const lie of places) {
      expect(edge(reading, lie)).toBeLessThan(2.5);
      // 6 to 8 ft, to within a foot.
      expect(lie.depth).toBeGreaterThan(5 * 0.3048);
      expect(lie.depth).toBeLessThan(9 * 0.3048);
    }
    expect(reading.lies[0]!.reasons).toContainEqual({ kind: "edge" });
    clearOfMedian(reading, 2);
  });

  test("in summer it is otherwise: the edge of the bottom is no reason, and shallower water serves", () => {
    const reading = read(flat, "smallmouth-bass", { temperature: 20 });
    for (const { reasons } of reading.lies) expect(reasons).not.toContainEqual({ kind: "edge" });
    expect(Math.min(...reading.lies.map(({ depth }) => depth))).toBeLessThan(5 * 0.3048);
  });
});
