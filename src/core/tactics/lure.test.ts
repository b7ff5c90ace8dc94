import { OUNCE } from "../quantity/units";
import { CLARITY_CLASSES, clarityClass } from "../gauge/clarity";
import { SPECIES } from "../fish/species-list";
import { METHODS } from "./methods";
import { methodsFor } from "./fished-with";
import { isTooWarm } from "../gauge/warmth";
import { chooseLure, type LureWater } from "./lure";

/** Rules of craft, as float fishers for trout tell them: common practice, no source. */
const water = (change: Partial<LureWater> = {}): LureWater => ({
  visibleDepth: 1,
  temperature: 10,
  light: "day",
  ...change,
});
const codes = (change?: Partial<LureWater>) => chooseLure(water(change)).reasons.map((one) => one.code);

test("dark first in clear water; in coloured water dark, then the neon ones", () => {
  expect(clarityClass(1.6)).toBe("clear");
  expect(chooseLure(water({ visibleDepth: 1.6 })).colours).toEqual(["black", "brown", "green", "pink", "chartreuse"]);
  const coloured = chooseLure(water({ visibleDepth: 0.3 })).colours;
  expect(coloured[0]).toBe("black");
  expect(coloured.indexOf("chartreuse")).toBeLessThan(coloured.indexOf("pink"));
  expect(coloured).not.toContain("brown");
});

test("what smells in murky water, a tiny jig in the clearest, a jig between", () => {
  expect(chooseLure(water({ visibleDepth: 0.05 })).category).toBe("worm");
  expect(chooseLure(water({ visibleDepth: 0.3 })).category).toBe("worm");
  expect(chooseLure(water({ visibleDepth: 1 })).category).toBe("small-jig");
  // In the clearest water a tiny jig, 1/100 oz; natural bait where insects are seen.
  expect(chooseLure(water({ visibleDepth: 6 })).size).toEqual({ head: OUNCE / 100, body: 0.02 });
  expect(chooseLure(water({ visibleDepth: 6, prey: "insects" })).category).toBe("natural-bait");
  expect(codes({ visibleDepth: 0.05 })).toContain("worm-smells");
  expect(codes({ visibleDepth: 1 })).not.toContain("worm-smells");
});

test("in low light the darkest comes first, and what looks natural by day is left out", () => {
  for (const light of ["twilight", "night"] as const) {
    const { colours, reasons } = chooseLure(water({ visibleDepth: 6, light }));
    expect(colours[0]).toBe("black");
    expect(colours).not.toContain("natural");
    expect(new Set(colours).size).toBe(colours.length);
    expect(reasons.map((one) => one.code)).toContain(light === "night" ? "night-dark" : "low-light");
  }
  expect(chooseLure(water({ visibleDepth: 6 })).colours[0]).toBe("natural");
  expect(codes({ visibleDepth: 6 })).toContain("daylight-on-clear");
  expect(codes({ visibleDepth: 0.05 })).not.toContain("daylight-on-clear");
});

test("smaller in cold water, larger in warm: a thirty-second to a sixteenth of an ounce, hooks by number", () => {
  const jig = (temperature: number) => chooseLure(water({ temperature })).size as { head: number };
  expect(jig(5).head).toBeCloseTo(OUNCE / 32, 9);
  expect(jig(14).head).toBeCloseTo(OUNCE / 32, 9);
  expect(jig(14.1).head).toBeCloseTo(OUNCE / 16, 9);
  const worm = (temperature: number) => chooseLure(water({ visibleDepth: 0.05, temperature })).size;
  expect(worm(10)).toEqual({ hook: 10, bait: "half-worm" });
  expect(worm(16)).toEqual({ hook: 8, bait: "whole-worm" });
  const natural = (temperature: number) => chooseLure(water({ visibleDepth: 6, temperature, prey: "insects" })).size;
  // Larger numbers are smaller hooks.
  expect(natural(5)).toEqual({ hook: 14, bait: "grub-or-nymph" });
  expect(natural(7)).toEqual({ hook: 12, bait: "grub-or-nymph" });
  expect(
    [codes({ temperature: 5 }), codes({ temperature: 10 }), codes({ temperature: 15 })].map((all) =>
      all.find((code) => ["cold-smaller", "usual-size", "warm-larger"].includes(code)),
    ),
  ).toEqual(["cold-smaller", "usual-size", "warm-larger"]);
});

test("what it is to the water is heavier than water, and the heavier the larger", () => {
  for (const visibleDepth of [0.05, 1, 6]) {
    const bodies = [5, 10, 16].map((temperature) => chooseLure(water({ visibleDepth, temperature })).body);
    for (const body of bodies) {
      expect(body.density).toBeGreaterThan(1000);
      expect(body.diameter).toBeGreaterThan(0.003);
      expect(body.diameter).toBeLessThan(0.03);
    }
    expect(bodies[0]!.grams).toBeLessThanOrEqual(bodies[1]!.grams);
    expect(bodies[1]!.grams).toBeLessThanOrEqual(bodies[2]!.grams);
  }
});

test("every class of clarity has its order of colours and its reason", () => {
  for (const { name, below } of CLARITY_CLASSES.value) {
    const depth = Number.isFinite(below) ? below * 0.999 : 20;
    expect(clarityClass(depth)).toBe(name);
    const { colours, reasons } = chooseLure(water({ visibleDepth: depth }));
    expect(colours.length).toBeGreaterThanOrEqual(4);
    expect(reasons[0]!.code).toBe(`colours-${name}`);
  }
});

test("a fish is left alone from its own limit on", () => {
  expect(isTooWarm({ restAbove: 20 }, 19.99)).toBe(false);
  expect(isTooWarm({ restAbove: 20 }, 20)).toBe(true);
});

test("no input is ignored: varying any of them changes the choice or its reasons", () => {
  const all: Required<LureWater> = {
    species: "walleye",
    method: "jig",
    visibleDepth: 1,
    temperature: 12,
    light: "day",
    phase: "staging",
    prey: "bait-fish",
    preyLength: 0.06,
    snags: "none",
    weed: false,
    tough: false,
    school: "dark-first",
    hook: "open",
  };
  const others: { [K in keyof LureWater]: LureWater[K][] } = {
    // Two fish may be given the same lure; these three are not.
    species: ["brown-trout", "channel-catfish", "yellow-perch"],
    method: ["float", "plug", "spinner", "drop-shot"],
    visibleDepth: [0.2, 0.5, 2, 4],
    temperature: [3, 25],
    light: ["twilight", "night"],
    phase: ["summer", "winter", "after"],
    prey: ["crayfish", "insects", "worms", "none"],
    preyLength: [0.1],
    snags: ["some"],
    tough: [true],
    school: ["bright-first"],
    hook: ["weedless"],
  };
  const told = (question: LureWater) => JSON.stringify(chooseLure(question));
  for (const [name, values] of Object.entries(others))
    for (const value of values) expect(told({ ...all, [name]: value })).not.toBe(told(all));
  // Of snags and weed where the hook is left to them.
  const { hook: _, ...free } = all;
  for (const change of [{ snags: "many" as const }, { weed: true }])
    expect(told({ ...free, ...change })).not.toBe(told(free));
});

test("in dirty water both schools: dark first, or bright first; in clear water neither changes the order", () => {
  const dirty = (school: "dark-first" | "bright-first") => chooseLure(water({ visibleDepth: 0.2, school })).colours;
  expect(dirty("dark-first")[0]).toBe("black");
  expect(dirty("bright-first")[0]).toBe("chartreuse");
  expect([...dirty("bright-first")].sort()).toEqual([...dirty("dark-first")].sort());
  const clear = (school: "dark-first" | "bright-first") => chooseLure(water({ visibleDepth: 2, school })).colours;
  expect(clear("bright-first")).toEqual(clear("dark-first"));
});

test("a hard day: a size down, darker first, and the loudest last", () => {
  const usual = chooseLure(water({ species: "walleye", method: "jig" }));
  const tough = chooseLure(water({ species: "walleye", method: "jig", tough: true }));
  expect((tough.size as { length: number }).length).toBeLessThan((usual.size as { length: number }).length);
  expect(["chartreuse", "orange", "white", "pink"]).toContain(tough.colours.at(-1));
  expect(["black", "brown", "two-tone"]).toContain(tough.colours[0]);
});

test("what is seen is matched: bait fish by length, crayfish by colour and on the bottom", () => {
  const fish = chooseLure(water({ species: "walleye", method: "jig", prey: "bait-fish", preyLength: 0.065 }));
  expect(fish.size).toEqual({ length: 0.065 });
  expect(fish.colours[0]).toBe("bait-fish");
  const crayfish = chooseLure(water({ species: "smallmouth-bass", method: "jig", prey: "crayfish" }));
  expect(crayfish).toMatchObject({ category: "tube", colours: expect.arrayContaining(["crayfish"]) });
  expect(crayfish.colours[0]).toBe("crayfish");
});

test("weedless where the snags demand it, and not otherwise; what cannot be is said to be open", () => {
  const style = (change: Partial<LureWater>) => chooseLure(water({ species: "walleye", method: "jig", ...change }));
  expect(style({}).hookStyle).toBe("open");
  expect(style({ snags: "some" }).hookStyle).toBe("open");
  expect(style({ snags: "many" }).hookStyle).toBe("weedless");
  expect(style({ weed: true }).hookStyle).toBe("weedless");
  const spinner = style({ method: "spinner", snags: "many" });
  expect(spinner.hookStyle).toBe("open");
  expect(spinner.reasons.map((one) => one.code)).toContain("snags-open");
});

test("every way that is usual for a fish has a lure with a size, a body and colours, in all waters", () => {
  for (const { id } of SPECIES)
    for (const method of methodsFor(id))
      for (const visibleDepth of [0.2, 0.5, 1, 2, 4])
        for (const temperature of [3, 12, 24]) {
          const { colours, body } = chooseLure(water({ species: id, method, visibleDepth, temperature }));
          expect(colours.length).toBeGreaterThan(0);
          expect(new Set(colours).size).toBe(colours.length);
          expect(body.grams).toBeGreaterThan(0);
          expect(body.diameter).toBeGreaterThan(0);
        }
});

test("every method is offered for some fish, and no fish is offered one twice", () => {
  const offered = SPECIES.map(({ id }) => methodsFor(id));
  for (const method of METHODS) expect([method, offered.some((list) => list.includes(method))]).toEqual([method, true]);
  for (const list of offered) expect(new Set(list).size).toBe(list.length);
});
