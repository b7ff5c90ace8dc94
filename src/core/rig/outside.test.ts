import { OUNCE } from "../quantity/units";
import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { speedAtHeight } from "../flow/profile";
import { adviseRig } from "./advise";
import { touchShare } from "./contact";
import { DENSITY, LINE_NORMAL, LINE_TANGENTIAL, sphereForce } from "./drag";
import { dressed } from "./dressing";
import { bodyWeight, dragAreaFromDrop, fallSpeed, weightInWater } from "./fall";
import { FLOAT_TACKLE, fishFloat } from "./float";
import { hang } from "./hang";
import { pendulumSeconds } from "./jig";
import { lineShape } from "./line-shape";
import { lineDiameter, lineTest, lineWeight } from "./lines";
import { lipForce, plugDepth, suspendWeight, waterDensity } from "./plug";
import { sink, sinkThrough } from "./sink";
import { setSpinner, spinnerDepth, type SpinnerQuestion, spinnerWays } from "./spinner";

/**
 * The library ships its source, which this project's stricter compiler would check: it is taken by its surface alone.
 */
const { Solver } = jest.requireActual<{
  Solver: new (equations: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    solve: (slope: (x: number, y: number[]) => number[], from: number, y: number[], to: number) => { y: number[] };
  };
}>("odex");

/** Models of the rig held to closed forms, handbooks, a general-purpose integrator, and figures of the trade. */

describe("the line, against a general-purpose integrator (odex: Hairer & Wanner's extrapolation method)", () => {
  // The same equilibrium told as an ordinary differential equation in tension and angle, with jumps at the weights.
  const integrate = (
    passing: (z: number) => number,
    length: number,
    diameter: number,
    weights: readonly { fromEnd: number; weight: number; diameter: number }[],
    z0: number,
  ): { x: number; z: number } => {
    let state = [0, z0, 0, 0];
    const solver = new Solver(4);
    solver.absoluteTolerance = 1e-10;
    solver.relativeTolerance = 1e-9;
    const stops = [...new Set([...weights.map(({ fromEnd }) => fromEnd), length])].sort((a, b) => a - b);
    let s = 0;
    for (const stop of stops) {
      if (stop > s) {
        const slope = (_: number, [, z, tension, angle]: number[]) => {
          const v = passing(z!);
          const [along, across] = [v * Math.sin(angle!), v * Math.cos(angle!)];
          const ft = 0.5 * WATER_DENSITY * LINE_TANGENTIAL * Math.PI * diameter * along * Math.abs(along);
          const fn = 0.5 * WATER_DENSITY * LINE_NORMAL * diameter * across * Math.abs(across);
          return [Math.sin(angle!), Math.cos(angle!), -ft, -fn / tension!];
        };
        state = solver.solve(slope, s, state, stop).y;
        s = stop;
      }
      for (const one of weights.filter(({ fromEnd }) => fromEnd === stop)) {
        const [, z, tension, angle] = state as [number, number, number, number];
        const x = tension * Math.sin(angle) - sphereForce(one.diameter, passing(z));
        const up = tension * Math.cos(angle) + one.weight;
        state = [state[0]!, z, Math.hypot(x, up), Math.atan2(x, up)];
      }
    }
    return { x: state[0]!, z: state[1]! };
  };

  test.each([
    [0.4, 0.25, 0.0002],
    [0.8, 0.5, 0.0002],
    [1.2, 0.9, 0.00016],
  ])("a float's line at a mean speed of %f m/s, the float at %f m/s", (mean, floatSpeed, diameter) => {
    const depth = 1.2;
    const speed = (z: number) => speedAtHeight(mean, depth, 0.15, z);
    const weights = [
      { fromEnd: 0, weight: 0.002, diameter: 0.008 },
      { fromEnd: 0.4, weight: 0.006, diameter: 0.005 },
      { fromEnd: 0.8, weight: 0.009, diameter: 0.006 },
    ];
    const found = hang({ speed, floatSpeed, depth, length: 1.3, lineDiameter: diameter, weights });
    const top = found.shape.at(-1)!;
    const passing = (z: number) => speed(Math.min(Math.max(z, 0), depth)) - floatSpeed;
    const told = integrate(passing, 1.3, diameter, weights, found.endHeight);
    // Sixty pieces against the curve: within a centimetre on 1.3 m, as near as a shot sits at a joint.
    expect(Math.abs(told.x - top.x)).toBeLessThan(0.012);
    expect(Math.abs(told.z - top.z)).toBeLessThan(0.012);
    expect(Math.abs(top.x)).toBeGreaterThan(0.02);
  });

  test("in still water a line with weight hangs in a catenary: z = a (cosh(x/a) - 1), s = a sinh(x/a)", () => {
    // From its lowest point, where the tension is level: a = tension over weight (textbook statics).
    const [tension, weight, length] = [0.05, 0.04, 2];
    const { shape } = lineShape(
      {
        passing: () => 0,
        length,
        lineDiameter: 0.0003,
        lineWeight: weight,
        weights: [],
        end: { along: -tension, down: 0 },
        steps: 2000,
      },
      0,
    );
    const a = tension / weight;
    for (const { x, z, s } of shape.filter((_, k) => k % 400 === 0)) {
      expect(s).toBeCloseTo(a * Math.sinh(x / a), 2);
      expect(z).toBeCloseTo(a * (Math.cosh(x / a) - 1), 2);
    }
    expect(shape.at(-1)!.z).toBeGreaterThan(0.5);
  });
});

describe("sinking", () => {
  test("in even water the sweep is speed times time to the last bit, and time is depth over fall", () => {
    const { terminalSpeed, seconds, swept, profile } = sink({
      massGrams: 7,
      material: "lead",
      depth: 3,
      meanSpeed: 0.6,
      bedRoughness: 0,
    });
    expect(swept).toBeCloseTo(0.6 * seconds, 9);
    expect(seconds).toBeCloseTo(3 / terminalSpeed, 9);
    expect(profile.at(-1)!.z).toBeCloseTo(0, 9);
    expect(profile.at(-1)!.x).toBe(swept);
  });

  test("down a log profile the sweep is the mean speed times the time: the profile's mean is the depth's", () => {
    const { seconds, swept } = sinkThrough({ depth: 2, meanSpeed: 0.7, bedRoughness: 0.1 }, 0.5);
    expect(swept / (0.7 * seconds)).toBeCloseTo(1, 1);
    // Only the upper half: faster than the mean.
    const half = sinkThrough({ depth: 2, meanSpeed: 0.7, bedRoughness: 0.1 }, 0.5, 1);
    expect(half.swept / (0.7 * half.seconds)).toBeGreaterThan(1.1);
    expect(half.seconds).toBeCloseTo(2, 9);
  });

  test("a 1/16 oz head with a small curl tail falls 7 to 8 ft in about four seconds, and is ten down on a count of five (common practice, no source)", () => {
    const lure = adviseRig({
      method: "jig",
      species: "brown-trout",
      water: { depth: 2, meanSpeed: 0, visibleDepth: 1, temperature: 16 },
    }).lure;
    const fall = fallSpeed(
      dressed((OUNCE / 16) * 1000, "lead", "small-jig", { size: { head: 1, body: 0.04 }, body: lure.body }),
    );
    expect((4 * fall) / 0.3048).toBeGreaterThan(7);
    expect((4 * fall) / 0.3048).toBeLessThan(8);
    expect((5 * fall) / 0.3048).toBeGreaterThan(9);
    expect((5 * fall) / 0.3048).toBeLessThan(10.5);
  });

  test("a timed drop gives back the dressing that it was made with; one faster than the bare head gives none", () => {
    const head = { grams: 3.5, metal: "tungsten" as const, dressing: bodyWeight(1, 1100) };
    const speed = fallSpeed({ ...head, dragArea: 2e-4 });
    expect(dragAreaFromDrop(head, { depth: 3, seconds: 3 / speed })).toBeCloseTo(2e-4, 8);
    expect(dragAreaFromDrop(head, { depth: 3, seconds: 0.5 })).toBeUndefined();
    expect(fallSpeed({ grams: 1, metal: "tin", dressing: -1 })).toBe(0);
  });

  test("weights in water by Archimedes: 10 g of lead 0.08945 N, of tungsten 0.0925, of steel 0.0856", () => {
    for (const [metal, newtons] of [
      ["lead", 0.08945],
      ["tungsten", 0.0925],
      ["steel", 0.0856],
    ] as const)
      expect(weightInWater({ grams: 10, metal })).toBeCloseTo(newtons, 4);
  });

  test("on a tight line a lure swings in on a circle: with a long line over shallow water it falls as on a slack one", () => {
    // Nearly level: the arc is the depth and the pull along it the whole weight.
    expect(pendulumSeconds(0.5, { distance: 200, tipHeight: 0.5 }, 2) / (2 / 0.5)).toBeCloseTo(1, 1);
    // Close by it has to come round, and is slower.
    expect(pendulumSeconds(0.5, { distance: 3, tipHeight: 1.5 }, 2)).toBeGreaterThan(4.4);
  });
});

describe("line", () => {
  test("nylon of 0.20 mm holds about 2.9 kg, braid of a test is about half as thick (from memory)", () => {
    expect(lineTest("mono", 0.0002)).toBeCloseTo(2.87, 1);
    expect(lineDiameter("braid", 5) / lineDiameter("mono", 5)).toBeCloseTo(0.51, 1);
    expect(lineTest("fluorocarbon", lineDiameter("fluorocarbon", 4))).toBeCloseTo(4, 9);
  });

  test("braid floats, nylon hardly sinks, fluorocarbon sinks", () => {
    expect(lineWeight("braid", 0.0002)).toBeLessThan(0);
    const nylon = lineWeight("mono", 0.0002);
    expect(nylon).toBeCloseTo(((Math.PI * 4e-8) / 4) * 140.3 * GRAVITY, 9);
    expect(lineWeight("fluorocarbon", 0.0002) / nylon).toBeGreaterThan(5);
  });
});

describe("plug", () => {
  const plug = { grams: 10, dives: 3, buoyancy: 1.5, least: 0.3, best: 0.8, length: 0.09 };

  test("dives to what is told of it on the line and at the speed that it is told at; deeper on thinner line, less on less", () => {
    const lip = lipForce(plug);
    expect(plugDepth(plug, lip, 0.0003, 1.2, 30)).toBeCloseTo(3, 2);
    expect(plugDepth(plug, lip, 0.0002, 1.2, 30)).toBeGreaterThan(3.3);
    expect(plugDepth(plug, lip, 0.0003, 1.2, 10)).toBeLessThan(2.4);
    // Pull and drag both grow with the square of the speed: the depth hangs little on it.
    expect(plugDepth(plug, lip, 0.0003, 1.6, 30) / 3).toBeCloseTo(1, 1);
    // Too slow to pull its own buoyancy under, it does not dive.
    expect(plugDepth(plug, lip, 0.0003, 0.05, 30)).toBe(0);
  });

  test("water is 999.97 kg/m3 at 4 C, 999.70 at 10, 998.21 at 20 and 995.65 at 30 (CRC Handbook)", () => {
    for (const [t, density] of [
      [4, 999.97],
      [10, 999.7],
      [20, 998.21],
      [30, 995.65],
    ] as const)
      expect(waterDensity(t)).toBeCloseTo(density, 1);
  });

  test("what makes it hang still is its buoyancy, put right for what tungsten displaces; more in cold water", () => {
    expect(suspendWeight(plug, 20)).toBeCloseTo(1.5 / (1 - WATER_DENSITY / DENSITY.tungsten), 3);
    expect(suspendWeight(plug, 5)!).toBeGreaterThan(suspendWeight(plug, 25)!);
    expect(suspendWeight({ ...plug, buoyancy: -2 }, 10)).toBeNull();
  });
});

describe("a spinner's run, by hand", () => {
  const zone = { ahead: 0.6, behind: 0.3, side: 0.45, height: 0.38 };
  /** On a straight line without drag of its own: the weight in water (brass, 8500 kg/m3) against the blade's drag. */
  const straight = (grams: number, speed: number, length: number) => {
    const weight = (grams / 1000) * 9.81 * (1 - 999.7 / 8500);
    const drag = 0.5 * 999.7 * 0.00016 * grams ** (2 / 3) * speed ** 2;
    return (length * weight) / Math.hypot(weight, drag);
  };
  const hair = 1e-7;

  test("it rides as deep as its weight and its drag leave a straight line, less the height of the tip; never above", () => {
    const depth = (grams: number, speed: number, tip: number) =>
      spinnerDepth({ grams, distance: 15, lineDiameter: hair }, speed, tip);
    for (const [grams, speed] of [
      [6, 1],
      [3, 0.4],
      [12, 0.7],
    ] as const)
      // The line is followed in steps: to half a per cent.
      expect((depth(grams, speed, 0.2) + 0.2) / straight(grams, speed, 15)).toBeCloseTo(1, 2);
    expect(depth(6, 1, 0.2) - depth(6, 1, 1.2)).toBeCloseTo(1, 9);
    expect(depth(1, 3, 2)).toBe(0);
  });

  test("down and across: what is reeled, what crosses and what drops back, at 45 degrees", () => {
    const half = Math.SQRT1_2;
    const { down } = spinnerWays(0.2, 0.4, zone, {});
    const reeled = 0.4 - 0.2 * half;
    expect(down.retrieve).toBeCloseTo(reeled, 12);
    const [crosses, drops] = [0.2 / 2 + reeled * half, Math.abs(0.2 / 2 - reeled * half)];
    expect(down.secondsInZone).toBeCloseTo(Math.min(0.9 / crosses, 0.9 / drops), 12);
    // In a long, narrow zone it leaves by the side, in a wide, short one by the end.
    const wide = { ...zone, side: 50 };
    expect(spinnerWays(0.6, 0.4, wide, {}).down.secondsInZone).toBeCloseTo(0.9 / 0.3, 9);
    // Where the current neither drops it back nor it gains, nothing but the side ends it.
    const even = 0.4 / (2 * half);
    expect(spinnerWays(even, 0.4, wide, {}).down.secondsInZone).toBeGreaterThan(100);
  });

  test("at the speed of its way, with the tip that brings it nearer to the fish; no deeper than the water", () => {
    const ask = (meanSpeed: number, fishDepth: number, depth = 9, near = zone) =>
      setSpinner({
        water: { depth, meanSpeed },
        zone: near,
        tackle: {},
        fishDepth,
        grams: 6,
        blade: 3,
        distance: 15,
        lineDiameter: hair,
      } as unknown as SpinnerQuestion);
    const fast = ask(0.9, 0.2);
    expect(fast.rig.advice).toBe("down");
    const through = 0.9 * Math.SQRT1_2;
    expect(fast.rig.depthTipLow).toBeCloseTo(straight(6, through, 15) - 0.2, 2);
    expect(fast.rig.depthTipHigh).toBeCloseTo(straight(6, through, 15) - 2, 2);
    expect(fast.rig.tip).toBe("high");
    expect(ask(0.9, 8).rig.tip).toBe("low");
    // Up in slow water it goes at its blade's own speed.
    const slow = ask(0.05, 5, 20, { ...zone, ahead: 3 });
    expect(slow.rig.advice).toBe("up");
    expect((slow.rig.depthTipLow + 0.2) / straight(6, 0.42, 15)).toBeCloseTo(1, 2);
    const thin = ask(0.9, 1, 1);
    expect([thin.rig.depthTipLow, thin.rig.depthTipHigh]).toEqual([1, 1]);
    expect(thin.reasons.map(({ code }) => code)).toContain("spinner-bottom");
    expect(fast.reasons.map(({ code }) => code)).toEqual(expect.arrayContaining(["spinner-down", "spinner-tip"]));
  });
});

describe("spinner", () => {
  const zone = { ahead: 1.52, behind: 0.38, side: 0.45, height: 0.38 };

  test("cast up, line comes in at the current and the blade's speed: 0.5 + 0.35 m/s, 1.21 turns of 0.7 m a second, 1.9 m in 2.2 s", () => {
    const { up } = spinnerWays(0.5, 0.35, zone, { perTurn: 0.7 });
    expect(up.retrieve).toBeCloseTo(0.85, 9);
    expect(up.turns).toBeCloseTo(0.85 / 0.7, 9);
    expect(up.secondsInZone).toBeCloseTo(1.9 / 0.85, 9);
  });

  test("down and across the current turns the blade: 0.71 of it goes past, what lacks is reeled", () => {
    expect(spinnerWays(0.6, 0.35, zone, {}).down.retrieve).toBe(0);
    expect(spinnerWays(0.3, 0.35, zone, {}).down.retrieve).toBeCloseTo(0.35 - 0.3 * Math.SQRT1_2, 9);
    // Carried round by U sin 45, of which cos 45 goes across: 0.3 m/s over 0.9 m.
    expect(spinnerWays(0.6, 0.35, zone, {}).down.secondsInZone).toBeCloseTo(0.9 / 0.3, 6);
  });

  test("slow water: upstream is right; in current down and across; past what the reel can do never up", () => {
    const advice = (current: number, reel = {}) => spinnerWays(current, 0.35, zone, reel).advice;
    expect([0, 0.05, 0.1].map((current) => advice(current))).toEqual(["up", "up", "up"]);
    expect([0.3, 0.6, 1, 1.5].map((current) => advice(current))).toEqual(["down", "down", "down", "down"]);
    expect(advice(0.1, { perTurn: 0.1 })).toBe("down");
    expect(spinnerWays(0.1, 0.35, zone, { perTurn: 0.1 }).up.feasible).toBe(false);
  });
});

describe("along the bottom", () => {
  test("heavier touches more, faster less; what does not fall never does; in still water it lies", () => {
    expect(touchShare(0.5, 0.2, 0.03)).toBeGreaterThan(touchShare(0.3, 0.2, 0.03));
    expect(touchShare(0.3, 0.2, 0.03)).toBeGreaterThan(touchShare(0.3, 0.6, 0.03));
    expect(touchShare(0, 0.3, 0)).toBe(0);
    // Without gusts the closed form: 1 - v/(3 w).
    expect(touchShare(0.4, 0.6, 0)).toBeCloseTo(1 - 0.6 / 1.2, 9);
  });

  test("one small shot taps in a gentle run, more is wanted in strong water, and a second of the same size in place of one larger", () => {
    const at = (meanSpeed: number, depth = 1) =>
      adviseRig({
        method: "drift",
        species: "brown-trout",
        water: { depth, meanSpeed, bedRoughness: 0.15, visibleDepth: 0.5, temperature: 12 },
      });
    const [gentle, strong] = [at(0.4), at(0.9)];
    expect(gentle.pieces).toBe(1);
    expect(strong.grams).toBeGreaterThan(gentle.grams);
    expect(strong.pieces).toBe(2);
    for (const one of [gentle, strong]) expect(one.touchFraction).toBeGreaterThan(0.2);
    // 12 in above a small bait, 16 in above a live one (common practice, no source).
    expect(gentle.hookDistance).toBeCloseTo(12 * 0.0254, 3);
  });
});

describe("the ladders of the trade (common practice, no source)", () => {
  const jig = (species: string, depth: number, meanSpeed: number, more: object = {}) =>
    adviseRig({
      method: "jig",
      species,
      water: { depth, meanSpeed, bedRoughness: 0.1, visibleDepth: 1, temperature: 14, ...more },
    });

  test("walleye in current: 3/16, 1/4, 3/8, until it just touches; deeper and faster takes more", () => {
    const ladder = jig("walleye", 2, 0.4).ladder.map(({ grams }) => grams / 1000 / OUNCE);
    expect(ladder.slice(0, 3).map((share) => share.toFixed(4))).toEqual(["0.1875", "0.2500", "0.3750"]);
    const shallow = jig("walleye", 1.5, 0.3).head.grams;
    const deep = jig("walleye", 6, 1).head.grams;
    expect(shallow / 1000 / OUNCE).toBeCloseTo(3 / 16, 3);
    expect(deep).toBeGreaterThan(shallow);
  });

  test("perch 4 to 5 g, 9 g to hold bottom in flow; stand-up finesse heads 1/10, 1/6, 1/5", () => {
    const perch = jig("yellow-perch", 2, 0.2).ladder.map(({ grams }) => grams);
    expect(perch).toEqual(expect.arrayContaining([4.5, 9]));
    const bass = jig("smallmouth-bass", 2, 0.2).ladder.map(({ grams }) => grams / 1000 / OUNCE);
    expect(bass.slice(0, 3).map((share) => share.toFixed(3))).toEqual(["0.100", "0.167", "0.200"]);
  });

  test("trout minis: a 1/32 oz head in a gentle run; the next one up is felt in wind", () => {
    expect(jig("brown-trout", 0.8, 0.3).head.grams / 1000 / OUNCE).toBeCloseTo(1 / 32, 4);
    expect(jig("brown-trout", 0.8, 0.3, { wind: 6 }).head.grams / 1000 / OUNCE).toBeGreaterThanOrEqual(1 / 16 - 1e-6);
  });

  test("a jigging spoon of 1 3/4 oz for 40 ft of current", () => {
    const spoon = adviseRig({
      method: "spoon",
      species: "walleye",
      water: { depth: 12.2, meanSpeed: 0.6, bedRoughness: 0.1, visibleDepth: 1, temperature: 14 },
    });
    expect(spoon.ladder.some(({ grams }) => Math.abs(grams / 1000 / OUNCE - 1.75) < 1e-3)).toBe(true);
    expect(spoon.head.grams).toBeGreaterThanOrEqual(28);
    expect(spoon.head.grams).toBeLessThanOrEqual(60);
    expect(spoon.touches).toBe(true);
  });

  test("sliding sinkers begin at 1/4 to 1/2 oz; drop shots at 20 to 30 g with the hook 15 to 20 cm up; dead baits on 30 to 50 g", () => {
    const at = (method: "sinker" | "drop-shot" | "dead-bait") =>
      adviseRig({
        method,
        species: "walleye",
        water: { depth: 2, meanSpeed: 0.25, bedRoughness: 0.1, visibleDepth: 1, temperature: 14 },
      });
    expect(at("sinker").grams / 1000 / OUNCE).toBeCloseTo(1 / 4, 3);
    expect(at("sinker").leader).toBeGreaterThanOrEqual(0.3);
    expect(at("sinker").leader).toBeLessThanOrEqual(0.46);
    const drop = adviseRig({
      method: "drop-shot",
      species: "walleye",
      water: { depth: 6, meanSpeed: 0.5, bedRoughness: 0.1, visibleDepth: 1, temperature: 14 },
    });
    expect(drop.grams).toBeGreaterThanOrEqual(20);
    expect(drop.grams).toBeLessThanOrEqual(30);
    expect(drop.hookDistance).toBeGreaterThanOrEqual(0.15);
    expect(drop.hookDistance).toBeLessThanOrEqual(0.2);
    expect(at("dead-bait").grams).toBeGreaterThanOrEqual(30);
  });
});

test("the surface runs at 1 / 0.85 of the mean over a bed of middling roughness (USGS practice)", () => {
  const rig = fishFloat({ depth: 1.5, meanSpeed: 0.6, bedRoughness: 0.12 }, FLOAT_TACKLE.value, 1.2, "tapered");
  expect(0.6 / rig.surfaceSpeed).toBeGreaterThan(0.8);
  expect(0.6 / rig.surfaceSpeed).toBeLessThan(0.9);
});

test("in water of one speed at every height a free float goes with it and its bait hangs straight under it", () => {
  const rig = adviseRig({
    method: "float",
    species: "brown-trout",
    water: { depth: 1.2, meanSpeed: 0.4, bedRoughness: 0 },
  });
  expect(rig.surfaceSpeed).toBe(0.4);
  expect(rig.floatSpeed).toBeCloseTo(0.4, 3);
  expect(Math.abs(rig.lead)).toBeLessThan(0.01);
  expect(Math.abs(rig.lift)).toBeLessThan(0.01);
});
