import { chooseLure } from "../tactics/lure";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { carriedBy, FLOAT_TACKLE, type FloatRig, type FloatTackle, fishFloat, setFloat } from "./float";
import { floatReasons, moreOfFloat } from "./float-advice";

/** What is told of a set float beyond its shape, by its own rules (common practice, no source). */

const water = { depth: 1.4, meanSpeed: 0.5, bedRoughness: 0.15, light: "day" as const };
const tackle: FloatTackle = FLOAT_TACKLE.value;
const rig = setFloat(water, tackle);
const more = (change: Partial<FloatRig> = {}, own: Partial<FloatTackle> = {}, rod = 3.9, light = {}) =>
  moreOfFloat({ ...rig, ...change }, { ...water, ...light }, { ...tackle, ...own }, rod);

test("steps of the float's own length, four and a half inches where it is not known, down to where the bait first touches", () => {
  expect(more({}, { floatLength: undefined }).deepenBy).toBe(0.114);
  expect(more({}, { floatLength: 0.2 }).deepenBy).toBe(0.2);
  const short = more({}, { floatLength: 0.05 });
  expect(short.deepenBy).toBe(0.05);
  const touches = (setting: number) => fishFloat(water, tackle, setting, rig.shotting, rig.holdBack).touches;
  expect(rig.touches).toBe(false);
  const settings = Array.from({ length: 12 }, (_, k) => rig.setting + (k + 1) * 0.05);
  const first = settings.find(touches)!;
  expect(short.touchesAt).toBeCloseTo(first, 9);
  expect(short.drag[0]).toBeCloseTo(first + 0.1, 9);
  expect(short.drag[1]).toBeCloseTo(first + 0.305, 9);
  // One that touches already does so where it is; where twelve steps do not reach the bed nothing is said of it.
  expect(more({ touches: true }).touchesAt).toBe(rig.setting);
  const high = more({ setting: 0.3 }, { floatLength: 0.02 });
  expect(high.touchesAt).toBeNull();
  expect(high.drag).toEqual([expect.closeTo(0.4, 9), expect.closeTo(0.605, 9)]);
});

test("it slides where setting and leader are longer than the rod less a foot; seen as far as rod and light let it", () => {
  const limit = rig.setting + tackle.leader + 0.3;
  expect(more({}, {}, limit + 1e-6).sliding).toBe(false);
  expect(more({}, {}, limit - 1e-6).sliding).toBe(true);
  expect(more({}, {}, 3.6).seenTo).toBe(13.7);
  expect(more({}, {}, 3.59).seenTo).toBe(9.1);
  expect(more({}, {}, 3, { light: "twilight" }).seenTo).toBeCloseTo(0.6 * 9.1, 9);
  expect(more({}, {}, 3, { light: "night" }).seenTo).toBeCloseTo(0.3 * 9.1, 9);
});

test("the hold-back from which the bait runs two centimetres ahead: that of the rig where it does; none without a current", () => {
  const lead = (holdBack: number) => fishFloat(water, tackle, rig.setting, rig.shotting, holdBack).lead;
  const { leadsAt } = more();
  expect(rig.lead).toBeLessThan(0.02);
  expect(Math.abs(lead(leadsAt!) - 0.02)).toBeLessThan(0.02);
  expect(lead(leadsAt! - 0.05)).toBeLessThan(0.02);
  expect(lead(leadsAt! + 0.05)).toBeGreaterThan(0.02);
  expect(more({ lead: 0.02, holdBack: 0.07 }).leadsAt).toBe(0.07);
  expect(more({ lead: 0.019, holdBack: 0.07 }).leadsAt).not.toBe(0.07);
  expect(more({ surfaceSpeed: 0 }).leadsAt).toBeNull();
  // A bait that hardly weighs anything never comes ahead in a hand's depth of slow water.
  const slow = { depth: 0.3, meanSpeed: 0.02, bedRoughness: 0.05, light: "day" as const };
  const set = setFloat(slow, tackle);
  expect(fishFloat(slow, tackle, set.setting, set.shotting, 0.6).lead).toBeLessThan(0.02);
  expect(moreOfFloat(set, slow, tackle, 3.9).leadsAt).toBeNull();
});

describe("reasons", () => {
  const lure = chooseLure({ species: "brown-trout", method: "float", visibleDepth: 1, temperature: 12, light: "day" });
  const reasons = (change: object = {}, own: Partial<FloatTackle> = {}, distance?: number, body = lure.body) =>
    floatReasons({ ...rig, ...more(), ...change }, water, { ...tackle, ...own }, { ...lure, body }, distance);
  const value = (code: string, of: ReturnType<typeof reasons>) => of.find((one) => one.code === code)?.values;
  const codes = (of: ReturnType<typeof reasons>) => of.map(({ code }) => code);

  test("held or free; before, behind or under its float by two centimetres", () => {
    expect(codes(reasons({ holdBack: 0 }))).toContain("run-free");
    expect(value("float-read", reasons({ holdBack: 0 }))).toEqual({ leaning: false });
    expect(value("hold-back", reasons({ holdBack: 0.25 }))).toEqual({ pace: 0.75 });
    expect(value("float-read", reasons({ holdBack: 0.25 }))).toEqual({ leaning: true });
    expect(value("bait-leads", reasons({ lead: 0.02, leadsAt: 0.2 }))).toEqual({ lead: 0.02, pace: 0.8, can: true });
    expect(value("bait-trails", reasons({ lead: -0.02, leadsAt: null }))).toEqual({
      lead: 0.02,
      pace: null,
      can: false,
    });
    for (const lead of [0.019, 0, -0.019]) expect(codes(reasons({ lead }))).toContain("bait-under");
  });

  test("a bait under a quarter of what the float carries hardly counts; one that is pinned is told why", () => {
    const carried = carriedBy(tackle);
    expect(carried).toBeGreaterThan(0);
    // A jig by its head, from 1/32 oz on; a bait by its share of the float.
    const counted = (size: typeof lure.size, capacity = tackle.capacity) => {
      const bare = { ...lure, size };
      return codes(floatReasons({ ...rig, ...more() }, water, { ...tackle, capacity }, bare, 9));
    };
    const ounce = 0.028349523125;
    expect(counted({ head: ounce / 32, body: 0.03 })).toContain("jig-counts");
    expect(counted({ head: ounce / 64, body: 0.03 })).toContain("shot-counts");
    const hook = { hook: 10, bait: "whole-worm" } as const;
    expect(counted(hook, carried / 0.25 + 1e-6)).toContain("shot-counts");
    expect(counted(hook, carried / 0.25 - 1e-6)).toContain("jig-counts");
    expect(codes(reasons({}, { pinned: true }, undefined, { ...lure.body, density: 999 }))).toContain("bait-pinned");
    expect(codes(reasons({}, { pinned: true }, undefined, { ...lure.body, density: 1000 }))).toContain("leader-shot");
    const free = codes(reasons({}, { pinned: false }));
    expect(free.includes("bait-pinned") || free.includes("leader-shot")).toBe(false);
  });

  test("how far off it is read, and whether that is too far; sliding and lead where they are", () => {
    const seen = (distance?: number) => value("float-seen", reasons({ seenTo: 9.1 }, {}, distance));
    expect(seen()).toEqual({ seenTo: 9.1, distance: undefined, beyond: false });
    expect(seen(9.1)).toMatchObject({ beyond: false });
    expect(seen(9.2)).toMatchObject({ beyond: true, distance: 9.2 });
    expect(codes(reasons({ sliding: true }))).toContain("float-slides");
    expect(codes(reasons({ sliding: false }))).not.toContain("float-slides");
    expect(codes(reasons({}, { metal: "lead" }))).toContain("lead-banned");
    expect(codes(reasons({}, { metal: "tin" }))).not.toContain("lead-banned");
  });
});

describe("the float of the advice", () => {
  const asked = (change: Partial<RigRequest> = {}, at: Partial<RigRequest["water"]> = {}) =>
    adviseRig({
      species: "brown-trout",
      water: { depth: 1.4, meanSpeed: 0.4, bedRoughness: 0.15, visibleDepth: 0.7, temperature: 12, ...at },
      ...change,
      method: "float" as const,
    });
  const usual = asked();

  test("of those carried the lightest that bears bait and shot, with its own length; the heaviest where none does", () => {
    const floats = [{ capacity: 6, length: 0.09 }, { capacity: 3 }, { capacity: 20, length: 0.3 }, { capacity: 1 }];
    const bears = usual.capacity;
    expect(bears).toBeGreaterThan(1);
    expect(bears).toBeLessThanOrEqual(3);
    expect(asked({ tackle: { floats } })).toMatchObject({ capacity: 3, hung: { capacity: 3 } });
    expect(asked({ tackle: { floats: floats.filter(({ capacity }) => capacity !== 3) } })).toMatchObject({
      capacity: 6,
      hung: { floatLength: 0.09 },
    });
    expect(asked({ tackle: { floats: [{ capacity: bears }, { capacity: 9 }] } }).capacity).toBe(bears);
    // One that bears nothing like it is refused as too small; what was said of a float goes before what is carried.
    expect(() => asked({ tackle: { floats: [{ capacity: 0.3 }] } })).toThrow();
    expect(asked({ tackle: { floats, capacity: 4.5, floatLength: 0.12 } })).toMatchObject({
      capacity: 4.5,
      hung: { capacity: 4.5, floatLength: 0.12 },
    });
    expect(asked({ tackle: { floats: [{ capacity: 3 }] } }).hung.floatLength).toBe(usual.hung.floatLength);
  });

  test("what is said of shot, shotting, hold, setting and height is taken, and nothing else moves", () => {
    const shot = [{ size: "own", grams: 0.25, count: 40 }];
    expect(asked({ tackle: { shot } }).shot.every(({ size }) => size === "own")).toBe(true);
    for (const shotting of ["bulk", "even", "tapered"] as const)
      expect(asked({ style: { shotting } }).shotting).toBe(shotting);
    expect(asked({ style: { holdBack: 0.2 } }).holdBack).toBe(0.2);
    expect(asked({ style: { setting: 0.9 } }).setting).toBe(0.9);
    expect(asked({ style: { shotHeight: 0.7 } }).shotHeight).toBeGreaterThan(usual.shotHeight + 0.2);
    expect(asked({ tackle: { leader: 0.6 } }).leader).toBe(0.6);
    expect(asked({ tackle: { metal: "tungsten" } }).hung.metal).toBe("tungsten");
    expect(usual.hung.lineDiameter).toBe(usual.line.main.diameter);
  });

  test("the bait comes to a fish that lies over the usual height, and to six tenths of the water at the most", () => {
    const at = (fishHeight: number | undefined, change = {}) => asked(change, { fishHeight }).shotHeight;
    expect(at(0.15)).toBeCloseTo(at(undefined), 9);
    expect(at(0.1)).toBeCloseTo(at(undefined), 9);
    expect(at(0.7)).toBeCloseTo(asked({ style: { shotHeight: 0.7 } }).shotHeight, 9);
    expect(at(0.7)).toBeGreaterThan(at(undefined) + 0.2);
    expect(at(1.3)).toBeCloseTo(asked({ style: { shotHeight: 0.6 * 1.4 } }).shotHeight, 9);
    // What is asked for goes before where the fish is.
    expect(at(0.7, { style: { shotHeight: 0.5 } })).toBeCloseTo(asked({ style: { shotHeight: 0.5 } }).shotHeight, 9);
  });
});
