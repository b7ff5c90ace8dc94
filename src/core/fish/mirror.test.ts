import type { Reach } from "../flow/reach-schema";
import type { Field } from "../flow/grid";
import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { driftConcentration, SETTLING } from "../water/drift";
import { readWater } from "./read";
import { speciesById } from "./species";

const [nx, ny] = [70, 24];
const bedAt = (i: number, j: number) =>
  0.003 * (nx - i) + (j < 1 || j > ny - 2 ? 3 : 0) - 0.5 * Math.exp(-((i - 45) ** 2) / 200);
const stone = (mirrored: boolean) => ({
  kind: "boulder" as const,
  x: 25.5,
  y: mirrored ? ny - 8.5 : 8.5,
  diameter: 4,
  height: 1.5,
  name: "stone",
});
const reach = (mirrored: boolean): Reach => ({
  schema: "low-heron/reach@1",
  id: "m",
  name: "m",
  roughness: 0.03,
  downstream: { kind: "normal", slope: 0.003 },
  features: [stone(mirrored)],
  bed: {
    kind: "grid",
    nx,
    ny,
    cell: 1,
    z: Array.from({ length: nx * ny }, (_, k) => bedAt(k % nx, Math.floor(k / nx))),
  },
});
const solved = [false, true].map((mirrored) => {
  const own = reach(mirrored);
  return { own, field: solveSteady(rasteriseReach(own), { discharge: 9, downstream: own.downstream }) };
});
const readOn = (mirrored: boolean, species = "brown-trout") => {
  const { own, field } = solved[mirrored ? 1 : 0]!;
  return readWater(field, {
    species: speciesById(species),
    visibleDepth: 0.8,
    temperature: 11,
    light: "day",
    features: own.features,
  });
};

test.each(["brown-trout", "smallmouth-bass", "channel-catfish", "king-salmon"])(
  "a mirrored reach has mirrored lies for a %s, and seams with their sides changed",
  (species) => {
    const [left, right] = [readOn(false, species), readOn(true, species)];
    expect(left.lies.length).toBeGreaterThan(0);
    // Ranks of near-equal places may change hands by rounding, so places are compared as sets; the last of a list may
    // lie on a plateau of the score.
    const places = (reading: typeof left, flip: boolean) =>
      reading.lies
        .filter((lie) => flip || lie.score > 0.25 * reading.lies[0]!.score)
        .map((lie) => [lie.x, flip ? ny - lie.y : lie.y, lie.score] as const);
    for (const [x, y, score] of places(left, false)) {
      const twin = places(right, true).find((other) => Math.hypot(other[0] - x, other[1] - y) < 1.1);
      expect(twin).toBeDefined();
      expect(twin![2] / score).toBeCloseTo(1, 1);
    }
    expect(left.seams.length).toBe(right.seams.length);
    expect(left.seams.filter((seam) => seam.slowSide === "left").length).toBe(
      right.seams.filter((seam) => seam.slowSide === "right").length,
    );
  },
);

test("the best lies are at the stone, not in the open run", () => {
  const [best] = readOn(false).lies;
  expect(best!.place).toMatchObject({ break: { kind: "stone" } });
  expect(Math.hypot(best!.x - 25.5, best!.y - 8.5)).toBeLessThan(6);
});

test("in slow water below fast, drift settles towards its new balance over the length h u / w (closed form of plug flow)", () => {
  const [columns, rows, cell, h] = [400, 5, 0.5, 0.8];
  const slow = 0.25;
  const make = (of: (i: number) => number) => Float32Array.from({ length: columns * rows }, (_, k) => of(k % columns));
  // The mixing term blurs along the current by far less than the settling length, so plug flow is the right limit.
  const field: Field = {
    nx: columns,
    ny: rows,
    cell,
    discharge: 1,
    bed: make(() => 0),
    roughness: make(() => 0.03),
    depth: make(() => h),
    u: make((i) => (i < 40 ? 1 : slow)),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
  const drift = driftConcentration(field);
  const at = (i: number) => drift[2 * columns + i]!;
  const balance = at(columns - 1);
  const length = (h * slow) / SETTLING.value;
  const ratio = (at(60 + Math.round(length / cell)) - balance) / (at(60) - balance);
  expect(at(60)).toBeGreaterThan(balance + 0.1);
  expect(ratio).toBeGreaterThan(Math.exp(-1) - 0.06);
  expect(ratio).toBeLessThan(Math.exp(-1) + 0.06);
});
