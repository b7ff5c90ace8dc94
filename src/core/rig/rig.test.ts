import { OUNCE } from "../quantity/units";
import { InputError } from "../quantity/fault";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { DENSITY, sphereDrag, sphereForce, submergedWeight, terminalSpeed, VISCOSITY } from "./drag";
import { FLOAT_TACKLE, fishFloat, setFloat } from "./float";
import { hang } from "./hang";
import { shotMass, shotPlan, SHOT_SIZES } from "./shot";
import { root } from "./solve";

test("sphere drag: Stokes at small Re, 0.40 to 0.47 between 1e3 and 1e5 (Brown & Lawler 2003)", () => {
  expect(sphereDrag(1e-4) * 1e-4).toBeCloseTo(24, 1);
  for (const re of [1e3, 3e3, 1e4, 3e4, 1e5]) {
    expect(sphereDrag(re)).toBeGreaterThan(0.38);
    expect(sphereDrag(re)).toBeLessThan(0.48);
  }
  // At Re 1000 the standard drag curve has 0.47 (Clift, Grace & Weber 1978).
  expect(sphereDrag(1000)).toBeCloseTo(0.47, 1);
});

test("the drag of a sphere follows the standard drag curve", () => {
  // Standard drag curve, Clift, Grace & Weber 1978, table 5.1; from memory.
  for (const [reynolds, standard] of [
    [1, 27],
    [10, 4.15],
    [100, 1.09],
    [1e3, 0.47],
    [1e4, 0.405],
    [1e5, 0.48],
  ] as const)
    expect(Math.abs(sphereDrag(reynolds) / standard - 1)).toBeLessThan(0.06);
});

test("terminal speed balances weight and drag; a grain falls by Stokes' law v = (s-1) g d^2 / 18 nu", () => {
  const mass = 0.002;
  const diameter = Math.cbrt((6 * mass) / (Math.PI * DENSITY.tin));
  expect(sphereForce(diameter, terminalSpeed(mass, DENSITY.tin))).toBeCloseTo(submergedWeight(mass, DENSITY.tin), 6);
  const d = 2e-5;
  const grain = (2650 * Math.PI * d ** 3) / 6;
  const stokes = ((2650 / 999.7 - 1) * 9.81 * d ** 2) / (18 * VISCOSITY);
  expect(terminalSpeed(grain, 2650) / stokes).toBeCloseTo(1, 1);
});

test("0.6 g of lead weighs 0.005 N under water (arithmetic of densities)", () => {
  expect(submergedWeight(0.0006, DENSITY.lead)).toBeCloseTo(0.0054, 4);
});

test("root finds cube roots", () => {
  expect(root((x) => x ** 3 - 2, 0, 2, 1e-12)).toBeCloseTo(Math.cbrt(2), 9);
});

test("in still water the line hangs straight: length, depth and pull are those of the weights", () => {
  const found = hang({
    speed: () => 0,
    floatSpeed: 0,
    depth: 2,
    length: 1.5,
    lineDiameter: 0.0002,
    weights: [{ fromEnd: 0, weight: 0.01, diameter: 0.005 }],
  });
  expect(found.endHeight).toBeCloseTo(0.5, 3);
  expect(found.pullDown).toBeCloseTo(0.01, 9);
  expect(Math.abs(found.pullAlong)).toBeLessThan(1e-9);
});

test("a weightless line in even flow: the drag across its length leans it by the closed form of a normal-drag line", () => {
  // Equilibrium of a light line with end load W in even flow: normal drag f sin^2(phi) per metre turns the direction
  // without
  // changing the tension, so cot(phi) = f s / W from the loaded end (Berteaux 1976, Buoy Engineering; tangential drag
  // left out).
  const [v, d, length, weight] = [0.5, 0.0004, 1, 0.05];
  const f = 0.5 * 999.7 * 1.2 * d * v * v;
  const found = hang({
    speed: () => v,
    floatSpeed: 0,
    depth: 3,
    length,
    lineDiameter: d,
    weights: [{ fromEnd: 0, weight, diameter: 1e-6 }],
  });
  const top = found.shape.at(-1)!,
    before = found.shape.at(-3)!;
  const cot = Math.abs((top.x - before.x) / (top.z - before.z));
  expect(cot / ((f * length) / weight)).toBeCloseTo(1, 1);
});

/** Shapes of physics section 4: 1.2 m, ks 0.15 m, 0.2 mm line. */
const tackle = (capacity: number) => ({ ...FLOAT_TACKLE.value, capacity, metal: "lead" as const });
const water = (meanSpeed: number) => ({ depth: 1.2, meanSpeed, bedRoughness: 0.15 });

test("a free float runs at 83 to 93 % of the surface's speed", () => {
  for (const speed of [0.4, 1])
    for (const capacity of [0.6, 3]) {
      const rig = fishFloat(water(speed), tackle(capacity), 0.75, "bulk");
      expect(rig.floatSpeed / rig.surfaceSpeed).toBeGreaterThan(0.82);
      expect(rig.floatSpeed / rig.surfaceSpeed).toBeLessThan(0.94);
    }
});

test("in slow water the bait stays within a hand of the bed; in fast water it rides up, and holding back to 75 % nearly halves that", () => {
  expect(fishFloat(water(0.4), tackle(0.6), 0.75, "bulk").baitHeight).toBeLessThan(0.15);
  const free = fishFloat(water(1), tackle(3), 0.75, "bulk");
  const held = fishFloat(water(1), tackle(3), 0.75, "bulk", 0.25);
  expect(free.baitHeight).toBeGreaterThan(0.2);
  expect(held.lift / free.lift).toBeLessThan(0.65);
});

test("more depth, more setting; the shot ends where it was wanted and never in the bed", () => {
  const settings = [0.6, 1, 1.5, 2.5].map((depth) => setFloat({ depth, meanSpeed: 0.4, bedRoughness: 0.1 }));
  settings.forEach((rig, k) => {
    if (k > 0) expect(rig.setting).toBeGreaterThan(settings[k - 1]!.setting);
    expect(rig.shotHeight).toBeGreaterThan(0.1);
    expect(rig.touches).toBe(false);
  });
});

test("shot fills the float with few whole shot, for floats from dust to stones", () => {
  for (const capacity of [0.4, 1, 1.7, 2, 3.5, 6, 14])
    for (const style of ["tapered", "bulk", "even"] as const) {
      const plan = shotPlan(capacity, style, 1);
      expect(Math.abs(shotMass(plan) - capacity)).toBeLessThanOrEqual(0.06);
      for (const shot of plan) {
        expect(SHOT_SIZES.value.some((one) => one.size === shot.size)).toBe(true);
        expect(shot.below).toBeLessThanOrEqual(1);
      }
      if (capacity <= 6) expect(plan.reduce((sum, shot) => sum + shot.count, 0)).toBeLessThanOrEqual(8);
    }
});

test("tapered grows lighter to the hook, bulk sits low with a small dropper, even is alike (common practice, no source)", () => {
  const tapered = shotPlan(3, "tapered", 1);
  tapered.forEach((shot, k) => k > 0 && expect(shot.grams).toBeLessThanOrEqual(tapered[k - 1]!.grams));
  expect(tapered[0]!.grams).toBeGreaterThan(tapered.at(-1)!.grams);
  const bulk = shotPlan(3, "bulk", 1);
  expect(bulk[0]!.below).toBe(0.75);
  expect(bulk.at(-1)!.below).toBe(1);
  expect(bulk.at(-1)!.grams * bulk.at(-1)!.count).toBeLessThan(0.3 * 3);
  const even = shotPlan(1.6, "even", 1);
  expect(Math.max(...even.map((shot) => shot.grams)) / Math.min(...even.map((shot) => shot.grams))).toBeLessThan(1.6);
  expect(shotPlan(0, "even", 1)).toEqual([]);
});

const request = (change: Partial<RigRequest["water"]> = {}, more: object = {}): RigRequest & { method: "float" } => ({
  method: "float",
  species: "brown-trout",
  water: { depth: 1.2, meanSpeed: 0.4, visibleDepth: 1.5, temperature: 10, ...change },
  ...more,
});

test("colours in clear water: black, brown, green, pink, chartreuse; dark first and loud in colour (common practice, no source)", () => {
  expect(adviseRig(request()).lure.colours).toEqual(["black", "brown", "green", "pink", "chartreuse"]);
  const muddy = adviseRig(request({ visibleDepth: 0.2 })).lure;
  expect(muddy.colours.slice(0, 2)).toEqual(["black", "chartreuse"]);
  expect(muddy.category).toBe("worm");
  expect(adviseRig(request({ visibleDepth: 3 })).lure.colours[0]).toBe("natural");
  expect(adviseRig(request({ visibleDepth: 3 }, { light: "twilight" })).lure.colours[0]).toBe("black");
});

test("the lure hangs on the line as what it is: a jig takes its share of the float from the shot, and sinks the leader", () => {
  const jig = adviseRig(request());
  const bait = adviseRig(request({ visibleDepth: 3, prey: "insects" }));
  expect(jig.lure.category).toBe("small-jig");
  expect(jig.capacity - shotMass(jig.shot)).toBeGreaterThan(0.9);
  expect(bait.capacity - shotMass(bait.shot)).toBeLessThan(0.15);
  expect(jig.setting).toBeLessThan(bait.setting);
});

test("warm water brings the caution, cold water a smaller size", () => {
  const codes = (temperature: number) => adviseRig(request({ temperature })).cautions.map((one) => one.code);
  expect(codes(21)).toContain("too-warm-to-play");
  expect(codes(18)).not.toContain("too-warm-to-play");
  expect(adviseRig(request({ temperature: 18 })).lure.size).toEqual({ head: OUNCE / 16, body: 0.04 });
  expect(adviseRig(request({ temperature: 4 })).lure.size).toEqual({ head: OUNCE / 32, body: 0.03 });
});

test.each<[unknown, string]>([
  [{}, "bad-rig"],
  [{ ...request(), method: "trolling" }, "bad-rig"],
  [{ ...request(), species: "pike" }, "unknown-species"],
  [request({ depth: -1 }), "bad-water"],
  [request({ depth: 0.15 }), "too-shallow"],
  [request({ visibleDepth: 0 }), "bad-visible-depth"],
  [{ ...request(), tackle: { capacity: 500 } }, "bad-rig"],
  [{ ...request(), tackle: { capacity: 0.5 } }, "float-too-small"],
])("bad request %# is refused", (bad, code) => {
  expect.assertions(1);
  try {
    adviseRig(bad as RigRequest);
  } catch (error) {
    expect((error as InputError).fault.code).toBe(code);
  }
});
