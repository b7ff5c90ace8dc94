import { InputError } from "../quantity/fault";
import { fishWeights, girthWeight, totalLength } from "./weights";
import { answerByRules, isOpen, type LocalRule, type RulesRequest } from "./local-rules";

describe("weights", () => {
  /**
   * Standard weights, g at mm, worked from the published intercepts and slopes (Anderson & Neumann 1996; Neumann et al.
   * 2012; from memory) with a pocket calculator: log10 W = a + b log10 L.
   */
  test.each([
    ["smallmouth-bass", 400, 997],
    ["walleye", 500, 1348],
    ["brown-trout", 350, 461],
    ["rainbow-trout", 400, 701],
    ["channel-catfish", 500, 1231],
    ["largemouth-bass", 400, 974],
    ["yellow-perch", 250, 229],
    ["king-salmon", 800, 5786],
  ])("a %s of %i mm weighs %i g by the standard", (species, mm, grams) => {
    const { standardWeight } = fishWeights({ species, length: mm / 1000 });
    expect(standardWeight! * 1000).toBeGreaterThan(0.985 * grams);
    expect(standardWeight! * 1000).toBeLessThan(1.015 * grams);
  });

  test("relative weight is 100 at the standard, and goes with the weight; null where none is published, or nothing weighed", () => {
    const { standardWeight } = fishWeights({ species: "walleye", length: 0.5 });
    expect(fishWeights({ species: "walleye", length: 0.5, weight: standardWeight! }).relativeWeight).toBeCloseTo(
      100,
      9,
    );
    expect(fishWeights({ species: "walleye", length: 0.5, weight: 0.9 * standardWeight! }).relativeWeight).toBeCloseTo(
      90,
      9,
    );
    expect(fishWeights({ species: "walleye", length: 0.5 }).relativeWeight).toBeNull();
    expect(fishWeights({ species: "zander", length: 0.5, weight: 1 })).toMatchObject({
      standardWeight: null,
      relativeWeight: null,
    });
  });

  test("the girth rule: 30 in long and 18 in round is 12.15 lb (30 x 324 / 800)", () => {
    expect(girthWeight(30 * 0.0254, 18 * 0.0254) / 0.45359237).toBeCloseTo(12.15, 9);
    expect(fishWeights({ species: "steelhead", length: 0.762, girth: 0.4572 }).girthWeight!).toBeCloseTo(5.5112, 3);
    expect(fishWeights({ species: "steelhead", length: 0.762 }).girthWeight).toBeNull();
  });

  test("a fork length is made a total one, by how deep the tail is forked; square tails have none", () => {
    expect(totalLength("channel-catfish", 0.5, "fork")).toBeCloseTo(0.545, 9);
    expect(totalLength("flathead-catfish", 0.5, "fork")).toBe(0.5);
    expect(totalLength("walleye", 0.5, "pinched")).toBe(0.5);
    const fork = fishWeights({ species: "walleye", length: 0.5, lengthKind: "fork" });
    expect(fork.standardWeight!).toBeCloseTo(fishWeights({ species: "walleye", length: 0.53 }).standardWeight!, 9);
  });

  test.each([
    [{ species: "walleye", length: 0 }, "bad-fish"],
    [{ species: "walleye", length: 9 }, "bad-fish"],
    [{ species: "walleye", length: 0.5, weight: -1 }, "bad-fish"],
    [{ species: "pig", length: 0.5 }, "unknown-species"],
  ])("%j is refused", (fish, code) => {
    expect.assertions(1);
    try {
      fishWeights(fish);
    } catch (error) {
      expect((error as InputError).fault.code).toBe(code);
    }
  });
});

describe("local rules", () => {
  const ask = (rule: Partial<LocalRule>, fish: Partial<RulesRequest["fish"]> = {}, more: Partial<RulesRequest> = {}) =>
    answerByRules({
      rules: [{ species: "walleye", ...rule }],
      fish: { species: "walleye", length: 0.45, fin: "whole", ...fish },
      kept: 0,
      at: "2026-06-10T12:00:00Z",
      ...more,
    });

  test("no rule for the fish is no answer; a rule that asks for nothing lets it be kept", () => {
    expect(ask({}, { species: "zander" })).toEqual({ answer: "no-rule", rule: null, index: null });
    expect(ask({})).toEqual({ answer: "keep", rule: null, index: null });
  });

  test.each<[string, Partial<LocalRule>, Partial<RulesRequest["fish"]>, "keep" | "release"]>([
    ["at the least length it may be kept", { minLength: 0.45 }, {}, "keep"],
    ["under it not", { minLength: 0.46 }, {}, "release"],
    ["at the greatest it may be kept", { maxLength: 0.45 }, {}, "keep"],
    ["over it not", { maxLength: 0.44 }, {}, "release"],
    ["within the slot it is protected", { slot: { from: 0.45, to: 0.6 } }, {}, "release"],
    ["at its upper end it is protected too", { slot: { from: 0.3, to: 0.45 } }, {}, "release"],
    ["over the slot it may be kept", { slot: { from: 0.3, to: 0.44 } }, {}, "keep"],
    ["a slot and no measure is release", { slot: { from: 0.3, to: 0.44 } }, { length: null }, "release"],
    ["a greatest length and no measure is release", { maxLength: 0.9 }, { length: null }, "release"],
    ["under the slot it may be kept", { slot: { from: 0.46, to: 0.6 } }, {}, "keep"],
    ["a limit of length and no measure is release", { minLength: 0.2 }, { length: null }, "release"],
    ["no limit of length needs none", {}, { length: null }, "keep"],
    ["clipped only: a whole fin is released", { clippedOnly: true }, {}, "release"],
    ["clipped only: a partial clip is released", { clippedOnly: true }, { fin: "partial" }, "release"],
    ["clipped only: a clipped one may be kept", { clippedOnly: true }, { fin: "clipped" }, "keep"],
    ["a partial clip matters only where clips do", {}, { fin: "partial" }, "keep"],
  ])("%s", (_, rule, fish, answer) => {
    const found = ask(rule, fish);
    expect(found.answer).toBe(answer);
    if (answer === "release") expect(Object.keys(rule)).toContain(found.rule);
  });

  test("the bag is full when as many are kept", () => {
    expect(ask({ bag: 2 }, {}, { kept: 1 }).answer).toBe("keep");
    expect(ask({ bag: 2 }, {}, { kept: 2 })).toEqual({ answer: "release", rule: "bag", index: 0 });
    expect(ask({ bag: 0 }).answer).toBe("release");
  });

  test("seasons: both ends are open; over the turn of the year; of one year alone", () => {
    const summer = { from: "05-01", to: "09-30" };
    expect(["2026-04-30", "2026-05-01", "2026-09-30", "2026-10-01"].map((day) => isOpen(summer, day))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const winter = { from: "11-15", to: "02-28" };
    expect(["2026-11-14", "2026-11-15", "2027-01-01", "2027-03-01"].map((day) => isOpen(winter, day))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const once = { from: "2026-05-01", to: "2026-09-30" };
    expect(["2026-06-01", "2027-06-01"].map((day) => isOpen(once, day))).toEqual([true, false]);
    // Where one day has a year, the other is the nearest that makes a season with it: over New Year too.
    const open = (season: { from: string; to: string }, ...days: string[]) => days.map((day) => isOpen(season, day));
    expect(open({ from: "2026-05-01", to: "09-30" }, "2026-04-30", "2026-05-01", "2026-10-01", "2027-06-05")).toEqual([
      false,
      true,
      false,
      false,
    ]);
    for (const turning of [
      { from: "2026-10-01", to: "03-31" },
      { from: "10-01", to: "2027-03-31" },
      { from: "2026-10-01", to: "2027-03-31" },
    ])
      expect(open(turning, "2026-09-30", "2026-10-01", "2026-11-15", "2027-03-31", "2027-04-01")).toEqual([
        false,
        true,
        true,
        true,
        false,
      ]);
    const until = { from: "05-01", to: "2026-09-30" };
    expect(open(until, "2026-04-30", "2026-05-01", "2026-09-30", "2026-10-01")).toEqual([false, true, true, false]);
    expect(open(once, "2026-05-01", "2026-09-30", "2026-10-01")).toEqual([true, true, false]);
    expect(isOpen(winter, "2027-02-28")).toBe(true);
    // One day alone.
    expect(open({ from: "05-01", to: "05-01" }, "2026-04-30", "2026-05-01", "2026-05-02")).toEqual([
      false,
      true,
      false,
    ]);
    expect(ask({ open: { from: "06-10", to: "06-10" } }).answer).toBe("keep");
    expect(ask({ open: { from: "07-01", to: "09-30" } })).toMatchObject({ answer: "release", rule: "open" });
  });

  test("of several rules the first that is not met decides, and is named by its place", () => {
    const answer = answerByRules({
      rules: [
        { species: "zander", minLength: 2 },
        { species: "walleye", minLength: 0.3 },
        { species: "walleye", bag: 1 },
      ],
      fish: { species: "walleye", length: 0.5 },
      kept: 3,
      at: "2026-06-10T12:00:00Z",
    });
    expect(answer).toEqual({ answer: "release", rule: "bag", index: 2 });
  });

  test("rules that are none are refused", () => {
    for (const bad of [{ minLength: -1 }, { open: { from: "13-01", to: "02-01" } }, { bag: 1.5 }])
      expect(() => ask(bad as Partial<LocalRule>)).toThrow("bad-rules");
  });
});
