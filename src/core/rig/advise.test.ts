import { speciesById } from "../fish/species";
import { adviseFor, adviseRig, parseRigRequest } from "./advise";
import type { RigRequest } from "./request";
import { setPlug } from "./plug";
import { sinkThrough } from "./sink";
import { setSpinner } from "./spinner";
import { strikeZone } from "./strike-zone";
import { chooseLure } from "../tactics/lure";

/** What an advice is put together from: the lure, one's own bait and hooks, the rig of its way, what to mind. */

const water = { depth: 1.5, meanSpeed: 0.4, bedRoughness: 0.1, visibleDepth: 0.6, temperature: 12 };
const ask = <M extends RigRequest["method"]>(method: M, change: Partial<RigRequest> = {}, at = {}) =>
  adviseRig({ species: "brown-trout", ...change, water: { ...water, ...at }, method });
const codes = (advice: { reasons: readonly { code: string }[] }) => advice.reasons.map(({ code }) => code);
const cautions = (advice: { cautions: readonly { code: string }[] }) => advice.cautions.map(({ code }) => code);

describe("one's own bait and hooks", () => {
  const bait = { grams: 1.5, density: 1070, diameter: 0.012, name: "worm from the heap" };

  test("a bait goes on where bait is fished, under its own name, and never on a lure", () => {
    const own = ask("sinker", { tackle: { bait } });
    expect(own.lure).toMatchObject({
      bait: "worm from the heap",
      body: { grams: 1.5, density: 1070, diameter: 0.012 },
    });
    expect(ask("sinker", { tackle: { bait: { ...bait, name: undefined } } }).lure).not.toHaveProperty("bait");
    const lure = ask("plug", { tackle: { bait } }).lure;
    expect(lure).not.toHaveProperty("bait");
    expect(lure.body).toEqual(ask("plug").lure.body);
    expect(ask("sinker").lure).not.toHaveProperty("bait");
  });

  test("of the hooks carried the nearest by number; the first of two as near; told where it is another than is usual", () => {
    const usual = ask("sinker");
    const { hook } = usual.lure.size as { hook: number };
    const of = (...hooks: number[]) => ask("sinker", { tackle: { hooks } });
    const sizeOf = (advice: { lure: { size: object } }) => (advice.lure.size as { hook: number }).hook;
    expect(sizeOf(of(hook + 6, hook - 1, hook + 3))).toBe(hook - 1);
    expect(sizeOf(of(hook - 1, hook + 6))).toBe(hook - 1);
    expect(sizeOf(of(hook + 2, hook - 2))).toBe(hook + 2);
    expect(sizeOf(of(hook - 2, hook + 2))).toBe(hook - 2);
    expect(codes(of(hook + 2))).toContain("hook-nearest");
    expect(codes(of(hook, hook + 2))).not.toContain("hook-nearest");
    expect(codes(usual)).not.toContain("hook-nearest");
    expect(sizeOf(usual)).toBe(hook);
    // A lure that has no such hook keeps what it has.
    expect(ask("spinner", { tackle: { hooks: [2] } }).lure.size).toEqual(ask("spinner").lure.size);
  });
});

describe("the rig of each way, from the same question", () => {
  const asked = (method: RigRequest["method"], at: object = {}, change: Partial<RigRequest> = {}) => {
    const request = parseRigRequest({ species: "brown-trout", ...change, water: { ...water, ...at }, method });
    const { line, lure } = adviseFor(request, speciesById("brown-trout"));
    return { request, line, lure };
  };

  test("the fish lies where it is seen, or where its kind does, in eight tenths of the water: counted down to there", () => {
    const trout = speciesById("brown-trout");
    for (const fishHeight of [undefined, 0.4, 1.4]) {
      const height = Math.min(fishHeight ?? trout.focalHeight, 0.8 * 1.5);
      const { request } = asked("jig", { fishHeight, distance: 7 });
      const jig = adviseFor(request, trout) as ReturnType<typeof adviseRig<"jig">>;
      expect(jig.countdown).toBeCloseTo(sinkThrough(request.water, jig.fall, height).seconds, 9);
    }
  });

  test("a plug of its lure's length on the line that is fished, at the distance of the fish", () => {
    for (const distance of [undefined, 16]) {
      const { request, lure, line } = asked("plug", { distance });
      const { length } = lure.size as { length: number };
      const { rig, reasons } = setPlug({
        species: "brown-trout",
        water: request.water,
        distance: distance ?? 9,
        lineDiameter: line.main.diameter,
        rod: line.rod,
        length,
        tackle: {},
      });
      const found = adviseFor(request, speciesById("brown-trout"));
      expect(found).toMatchObject(rig);
      expect(found.reasons.slice(0, reasons.length)).toEqual(reasons);
    }
  });

  test("a spinner of its lure's blade and mass, for a fish as deep as it lies", () => {
    for (const fishHeight of [undefined, 0.9]) {
      const { request, lure, line } = asked("spinner", { fishHeight });
      const { blade, mass } = lure.size as { blade: number; mass: number };
      const height = fishHeight ?? speciesById("brown-trout").focalHeight;
      const { rig } = setSpinner({
        water: request.water,
        zone: strikeZone(speciesById("brown-trout"), request.water),
        grams: mass * 1000,
        blade,
        distance: 9,
        fishDepth: 1.5 - height,
        lineDiameter: line.main.diameter,
        tackle: {},
      });
      expect(adviseFor(request, speciesById("brown-trout"))).toMatchObject(rig);
    }
  });

  test("what is asked of the water chooses the lure", () => {
    const waters: Partial<RigRequest["water"]>[] = [
      {},
      { temperature: 4 },
      { visibleDepth: 3 },
      { snags: "many" },
      { prey: "bait-fish" },
    ];
    for (const at of waters) {
      const { lure } = ask("jig", { style: { tough: true, school: "dark-first" } }, at);
      const chosen = chooseLure({
        species: "brown-trout",
        method: "jig",
        light: "day",
        tough: true,
        school: "dark-first",
        ...water,
        ...at,
      });
      expect(lure).toMatchObject({ category: chosen.category, size: chosen.size, colours: chosen.colours });
    }
    // Light is that of the water where both are given.
    const night = ask("float", { light: "night" });
    expect(ask("float", { light: "day" }, { light: "night" }).lure.colours).toEqual(night.lure.colours);
  });
});

describe("what to mind", () => {
  test("lines overhead with a rod over three metres; hooks near eyes with what is cast and hooked; the water's rules always", () => {
    expect(cautions(ask("float", { tackle: { rodLength: 3.1 } }))).toContain("overhead-lines");
    expect(cautions(ask("float", { tackle: { rodLength: 3 } }))).not.toContain("overhead-lines");
    expect(cautions(ask("plug"))).toContain("hooks-eyes");
    expect(cautions(ask("sinker"))).not.toContain("hooks-eyes");
    // A jig under a float is swung, not thrown.
    const float = ask("float");
    expect(float.lure.category).toBe("small-jig");
    expect(cautions(float)).not.toContain("hooks-eyes");
    for (const method of ["float", "plug", "sinker"] as const)
      expect(cautions(ask(method)).at(-1)).toBe("barbless-by-rule");
  });

  test("fish that are too warm to be played", () => {
    expect(cautions(ask("float", {}, { temperature: 23 }))[0]).toBe("too-warm-to-play");
    expect(cautions(ask("float"))).not.toContain("too-warm-to-play");
  });
});
