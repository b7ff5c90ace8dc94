import { type BoxShot, SHOT_SIZES, shotMass, shotPlan } from "./shot";
import { SHOTTINGS } from "./shotting";
import { snagChance } from "./snag";
import { strikeZone } from "./strike-zone";
import { type Fish, inZone } from "./zones";

/** Small parts of the rig by hand: shot that is counted, where a fish takes a lure, what a snag's chance grows with. */

describe("shot of a box that is counted", () => {
  const box = (...counts: (number | undefined)[]): BoxShot[] =>
    [1.6, 0.8, 0.4, 0.2, 0.1].map((grams, k) => ({
      size: `${grams}`,
      grams,
      ...(counts[k] !== undefined && { count: counts[k] }),
    }));
  const used = (plan: ReturnType<typeof shotPlan>) =>
    Object.fromEntries(
      box().map(({ size }) => [
        size,
        plan.filter((one) => one.size === size).reduce((sum, { count }) => sum + count, 0),
      ]),
    );

  test("no more of a size than there are, none of what is used up, and the float as full as that lets it", () => {
    for (const style of SHOTTINGS)
      for (const capacity of [0.3, 0.9, 1.5, 2.4, 3.3])
        for (const counts of [
          [1, 1, 2, 1, 4],
          [0, 0, 3, 3, 9],
          [0, 2, 0, 1, 1],
          [2, 0, 1, 0, 3],
        ]) {
          const plan = shotPlan(capacity, style, 1.2, box(...counts));
          const found = used(plan);
          box(...counts).forEach(({ size, count }) => expect(found[size]).toBeLessThanOrEqual(count!));
          expect(shotMass(plan)).toBeLessThanOrEqual(capacity + 0.031);
          // Of all runs of six at most from what there is none fills it better by more than is looked at.
          let fullest = 0;
          const fill = (k: number, left: number, sum: number) => {
            if (sum <= capacity + 1e-9) fullest = Math.max(fullest, sum);
            if (k === 5) return;
            for (let n = 0; n <= Math.min(left, counts[k]!); n++) fill(k + 1, left - n, sum + n * box()[k]!.grams);
          };
          fill(0, 6, 0);
          expect(shotMass(plan)).toBeGreaterThan(fullest - 0.05);
        }
  });

  test("with more of each than it takes a counted box is one that is not", () => {
    for (const style of SHOTTINGS)
      for (const capacity of [0.7, 1.9, 3, 14])
        expect(shotPlan(capacity, style, 1, box(40, 40, 40, 40, 40))).toEqual(shotPlan(capacity, style, 1, box()));
  });

  test("what six cannot carry sits under the float as the heaviest there are, and those are gone for the rest", () => {
    const plan = shotPlan(9, "bulk", 1, box(4, 2, 2, 2, 2));
    expect(plan[0]).toMatchObject({ size: "1.6", below: 0.1 });
    expect(used(plan)["1.6"]).toBeLessThanOrEqual(4);
    const few = shotPlan(20, "bulk", 1, box(3, 9, 0, 0, 0));
    expect(few[0]).toMatchObject({ size: "1.6", count: 3 });
    expect(used(few)).toMatchObject({ "1.6": 3, "0.8": 6 });
    expect(shotPlan(20, "bulk", 1, box(0, 0, 0, 0, 0))).toEqual([]);
    expect(shotPlan(0, "bulk", 1)).toEqual([]);
    expect(SHOT_SIZES.value.length).toBeGreaterThan(5);
  });
});

describe("where a fish takes it", () => {
  test("by its length and what it sees, less in cold water; ahead farther than to the sides, over and behind (common practice)", () => {
    const zone = (visibleDepth: number, temperature: number) =>
      strikeZone({ forkLength: 30 }, { visibleDepth, temperature });
    const clear = zone(2, 12);
    // A quarter of a metre and a fifth more than its own length.
    const reach = 0.25 + 1.2 * 0.3;
    expect(clear.ahead).toBeCloseTo(2.4 * reach, 9);
    expect(clear.behind).toBeCloseTo(0.6 * reach, 9);
    expect(clear.side).toBeCloseTo(0.71 * reach, 9);
    expect(clear.height).toBeCloseTo(0.6 * reach, 9);
    expect(zone(2, 6.9).ahead / clear.ahead).toBeCloseTo(0.7, 9);
    expect(zone(2, 7)).toEqual(clear);
  });

  test("a box that faces up-current, aslant over the plan, about its own height", () => {
    const zone = { ahead: 2, behind: 0.5, side: 0.8, height: 0.3 };
    const fish: Fish = { x: 10, y: 20, focalHeight: 0.4, upCurrent: [-0.8, 0.6] };
    // So far up its current, so far to its right.
    const at = (along: number, right: number, height = 0.4) =>
      inZone(zone, fish, 10 - 0.8 * along + 0.6 * right, 20 + 0.6 * along + 0.8 * right, height);
    for (const [along, right] of [
      [1.99, 0],
      [-0.49, 0],
      [1, 0.79],
      [1, -0.79],
      [1.9, 0.7],
    ] as const)
      expect(at(along, right)).toBe(true);
    for (const [along, right] of [
      [2.01, 0],
      [-0.51, 0],
      [1, 0.81],
      [1, -0.81],
    ] as const)
      expect(at(along, right)).toBe(false);
    expect([0.11, 0.69, 0.09, 0.71].map((height) => at(1, 0, height))).toEqual([true, true, false, false]);
  });
});

test("a snag's chance grows with the metres on the stones, aslant or along, with the bed's roughness, and with weight", () => {
  const path = (touch: number) =>
    [0, 1, 2].map((k) => ({ t: k, x: 3 * k, y: 40 + 4 * k, z: 0, bed: 0, depth: 1, touch }));
  const chance = (change: object = {}, touch = 1) =>
    snagChance(
      { path: path(touch) },
      {
        snags: "some",
        weed: false,
        bedRoughness: 0.15,
        grams: 0,
        weedless: false,
        ...change,
      },
    );
  const hazard = (...of: Parameters<typeof chance>) => -Math.log(1 - chance(...of));
  // Twice five metres: each metre is one more throw, so that its hazards add up.
  expect(hazard({}, 0.4) / hazard()).toBeCloseTo(0.4, 9);
  expect(hazard({}, 0)).toBeCloseTo(0, 9);
  // Stones four times as rough, or a weight of 20 g, are twice as greedy; no more than one in five in ten metres.
  expect(hazard({ bedRoughness: 0.6 }) / hazard()).toBeCloseTo(2, 9);
  expect(hazard({ grams: 20 }) / hazard()).toBeCloseTo(2, 9);
  expect(chance()).toBeGreaterThan(0.1);
  expect(chance()).toBeLessThan(0.2);
});
