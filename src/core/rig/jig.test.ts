import { OUNCE } from "../quantity/units";
import { adviseRig } from "./advise";
import { submergedWeight } from "./drag";
import { dressed } from "./dressing";
import { bodyWeight, dragOf, fallSpeed, weightInWater } from "./fall";
import { headDragged, pendulumSeconds } from "./jig";
import { headsFor } from "./ladders";
import type { RigRequest } from "./request";
import { sinkThrough } from "./sink";

/** Heads and spoons: which one of a ladder, and how it is let down. Common practice, no source, unless said. */

const ask = (method: "jig" | "spoon", at: Partial<RigRequest["water"]> = {}, change: Partial<RigRequest> = {}) =>
  adviseRig({
    species: "walleye",
    ...change,
    method,
    water: { depth: 2, meanSpeed: 0.5, bedRoughness: 0.1, visibleDepth: 1, temperature: 14, ...at },
  });
const codes = (advice: { reasons: readonly { code: string }[] }) => advice.reasons.map(({ code }) => code);

describe("the head that is chosen", () => {
  test("for what it is wanted: heavier to go down fast and to hold than to touch, lighter to fall slowly", () => {
    const grams = (purpose: "touch" | "down" | "hold" | "slow") =>
      ask("jig", { depth: 4, meanSpeed: 0.9 }, { style: { purpose } }).head.grams;
    expect(grams("touch")).toBeGreaterThanOrEqual(grams("slow"));
    expect(grams("down")).toBeGreaterThan(grams("touch"));
    expect(grams("hold")).toBeGreaterThan(grams("touch"));
  });

  test("short bites and fish off the bottom ask for a slow fall, stripers in the current for a fast one", () => {
    expect(ask("jig").purpose).toBe("touch");
    expect(ask("jig", {}, { style: { short: true } }).purpose).toBe("slow");
    expect(ask("jig", { fishHeight: 0.8 }).purpose).toBe("slow");
    expect(ask("jig", {}, { species: "striped-bass" }).purpose).toBe("down");
    expect(codes(ask("jig", {}, { style: { short: true } }))).toContain("purpose-short-bites");
  });

  test("no lighter than is felt in the wind: 1.8 g at 6 m/s, 5 g at 10", () => {
    const trout = (wind: number) => ask("jig", { wind, depth: 0.8, meanSpeed: 0.2 }, { species: "brown-trout" });
    expect(trout(0).head.grams).toBeCloseTo((OUNCE * 1000) / 32, 6);
    expect(trout(5.9).head.grams).toBeCloseTo((OUNCE * 1000) / 16, 6);
    expect(trout(10).head.grams).toBeGreaterThanOrEqual(5);
    expect(codes(trout(10))).toContain("jig-wind");
    expect(codes(trout(0))).not.toContain("jig-wind");
  });

  test("each of one's own once, from the lightest; of tungsten unless the angler says otherwise, a spoon of brass", () => {
    expect(ask("jig", {}, { tackle: { heads: [20, 7, 12, 7] } }).ladder.map(({ grams }) => grams)).toEqual([7, 12, 20]);
    expect(ask("jig").head.metal).toBe("tungsten");
    expect(ask("spoon").head.metal).toBe("brass");
    const lead = ask("jig", {}, { tackle: { metal: "lead" } });
    expect(lead.head.metal).toBe("lead");
    expect(codes(lead)).toContain("lead-banned");
    expect(codes(ask("jig"))).not.toContain("lead-banned");
    expect(ask("jig").ladder.map(({ grams }) => grams)).toEqual(headsFor("walleye"));
    // Perch heads of 4 to 5 and of 9 g, for perch alone of their family.
    expect(headsFor("yellow-perch")).toEqual(expect.arrayContaining([4.5, 9]));
    expect(headsFor("black-crappie")).not.toContain(9);
  });

  test("what it is worked out with is what it prints: one size of head and lure", () => {
    for (const wind of [0, 9]) {
      const trout = ask("jig", { wind }, { species: "brown-trout" });
      expect((trout.lure.size as { head: number }).head * 1000).toBeCloseTo(trout.head.grams, 9);
      const spoon = ask("spoon", { wind, depth: 4 });
      expect((spoon.lure.size as { mass: number }).mass * 1000).toBeCloseTo(spoon.head.grams, 9);
    }
  });
});

describe("how it is let down", () => {
  test("two layers: the next lighter above, half a metre or half of the water apart", () => {
    const tandem = (at: Partial<RigRequest["water"]> = {}) => ask("jig", at, { style: { tandem: true } });
    const deep = tandem({ depth: 5, meanSpeed: 1.2 });
    const lighter = deep.ladder.filter(({ grams }) => grams < deep.head.grams);
    expect(lighter.length).toBeGreaterThan(0);
    expect(deep.tandem).toEqual({ upper: lighter.at(-1)!.grams, apart: 0.5, layers: [0, 0.5] });
    expect(tandem({ depth: 0.8, meanSpeed: 0.1 }).tandem).toMatchObject({ apart: 0.4, layers: [0, 0.4] });
    expect(ask("jig").tandem).toBeNull();
    expect(codes(deep)).toContain("jig-tandem");
  });

  test("on a slack line, a tight one, or between; counted down to the fish, and no farther than the bed", () => {
    const rig = ask("jig", { distance: 9 });
    expect(rig.falls.slack).toBe(rig.seconds);
    expect(rig.falls.tight).toBeGreaterThan(rig.seconds);
    expect(rig.falls["semi-slack"]).toBeCloseTo((rig.falls.slack + rig.falls.tight) / 2, 9);
    expect(rig.fallOn).toBe("semi-slack");
    expect(codes(ask("jig", {}, { style: { fall: "tight" } }))).toContain("jig-tight");
    // Under the rod it falls straight, tight or slack.
    const under = ask("jig", { presentation: "vertical" });
    expect(under.falls.tight).toBe(under.falls.slack);
    expect(under.angle).toBeGreaterThan(0);
    const water = { depth: 2, meanSpeed: 0.5, bedRoughness: 0.1 };
    for (const fishHeight of [0.1, 0.4])
      expect(ask("jig", { fishHeight }).countdown).toBeCloseTo(sinkThrough(water, rig.fall, fishHeight).seconds, 9);
  });

  test("a spoon's depth, and snags where there are any", () => {
    expect(codes(ask("spoon"))).toContain("spoon-deep");
    expect(codes(ask("jig"))).not.toContain("spoon-deep");
    expect(codes(ask("jig"))).not.toContain("jig-snags");
    expect(codes(ask("jig", { snags: "some" }))).toContain("jig-snags");
  });
});

test("a fall on a tight line: the circle's arc over the speed that its slant leaves, in a thousand steps", () => {
  const plain = (fall: number, distance: number, tip: number, depth: number) => {
    const radius = Math.hypot(distance, tip);
    const [from, to] = [Math.acos(tip / radius), Math.acos(Math.min(1, (tip + depth) / radius))];
    let seconds = 0;
    for (let k = 0; k < 1000; k++) {
      const angle = from + ((to - from) * (k + 0.5)) / 1000;
      seconds += (radius * (from - to)) / 1000 / (fall * Math.sqrt(Math.sin(angle)));
    }
    return seconds;
  };
  for (const [fall, distance, tip, depth] of [
    [0.5, 9, 2, 2],
    [0.8, 12, 2.5, 1],
    [0.3, 6, 1.5, 3],
  ] as const)
    expect(pendulumSeconds(fall, { distance, tipHeight: tip }, depth) / plain(fall, distance, tip, depth)).toBeCloseTo(
      1,
      2,
    );
  // Where the bed is out of reach of the circle it swings in to nearly under the rod.
  expect(pendulumSeconds(0.5, { distance: 2, tipHeight: 2 }, 3)).toBeLessThan(60);
  expect(pendulumSeconds(1, { distance: 2, tipHeight: 2 }, 3) * 2).toBeCloseTo(
    pendulumSeconds(0.5, { distance: 2, tipHeight: 2 }, 3),
    9,
  );
});

describe("what dresses a head", () => {
  const sized = (size: object, body = { grams: 2, density: 1200, diameter: 0.02 }) => ({ size, body }) as never;
  test("soft bodies drag by their length squared and weigh by its cube; a timed drop goes before", () => {
    const weight = (length: number) => bodyWeight(4 * (length / 0.075) ** 3, 1100);
    expect(dressed(3, "lead", "curl-tail", sized({ length: 0.06 }))).toEqual({
      grams: 3,
      metal: "lead",
      dragArea: 0.054 * 0.06 ** 2,
      dressing: weight(0.06),
    });
    expect(dressed(3, "lead", "tube", sized({ body: 0.05, length: 0.09 }))).toMatchObject({
      dragArea: 0.06 * 0.05 ** 2,
      dressing: weight(0.05),
    });
    expect(dressed(3, "lead", "finesse-worm", sized({ hook: 2 })).dragArea).toBeCloseTo(0.03 * 0.04 ** 2, 12);
    expect(dressed(3, "lead", "tube", sized({ body: 0.05 }), 0.0007).dragArea).toBe(0.0007);
  });

  test("a spoon is its own weight and flutters by its mass; a bait is a ball of its own", () => {
    expect(dressed(12, "lead", "spoon", sized({ length: 0.06 }))).toEqual({
      grams: 12,
      metal: "brass",
      dragArea: 0.0044 * 0.012 ** (2 / 3),
    });
    expect(dressed(12, "lead", "spoon", sized({ length: 0.06 }), 0.0001).dragArea).toBe(0.0001);
    expect(dressed(30, "tin", "dead-fish" as never, sized({ length: 0.1 }))).toEqual({
      grams: 30,
      metal: "tin",
      dragArea: 0.45 * ((Math.PI * 0.02 ** 2) / 4),
      dressing: submergedWeight(0.002, 1200),
    });
    expect(dressed(30, "tin", "dead-fish" as never, sized({ length: 0.1 }), 0.0002).dragArea).toBe(0.0002);
  });

  test("along the bed it has its weight and its fall, and the area of its drag at a metre a second", () => {
    const falling = dressed(3, "lead", "curl-tail", sized({ length: 0.06 }));
    expect(headDragged(falling)).toEqual({
      weight: weightInWater(falling),
      fall: fallSpeed(falling),
      area: dragOf(falling, 1) / (0.5 * 999.7),
    });
  });
});
