import { FAMILIES } from "../fish/species-record";
import { BAIT_KINDS, BAITS, baitBody, hookForLength, liveBaitFor } from "./baits";

/** Baits as things: facts of the trade (common practice, no source). */

test("15 cm of bait fish go on a 1/0; longer ones on larger hooks, and nothing is out of the numbers that hooks have", () => {
  expect(hookForLength(0.15)).toBe(0);
  const hooks = [0.03, 0.05, 0.07, 0.1, 0.12, 0.15, 0.18, 0.21, 0.25, 0.3].map(hookForLength);
  for (let k = 1; k < hooks.length; k++) expect(hooks[k]!).toBeLessThan(hooks[k - 1]!);
  expect(baitBody({ kind: "live-fish", length: 0.15 })).toMatchObject({ hook: 0, piece: "live-bait-fish" });
});

test("every kind has measures in order: mass by the cube of its length, a ball no thicker than it is long, its hours", () => {
  for (const kind of BAIT_KINDS) {
    const usual = baitBody({ kind });
    const twice = baitBody({ kind, length: 2 * usual.length });
    expect(twice.body.grams / usual.body.grams).toBeCloseTo(8, 6);
    expect(twice.body.diameter / usual.body.diameter).toBeCloseTo(2, 6);
    expect(usual.body.diameter).toBeLessThanOrEqual(usual.length);
    expect(usual.lasts).toBeGreaterThan(0);
    expect(usual.body.grams).toBeLessThan(60);
    // A mass that was weighed gives the length that has it.
    expect(baitBody({ kind, grams: usual.body.grams }).length).toBeCloseTo(usual.length, 6);
  }
  // An angler's own figure for how long it lasts goes before the kind's.
  expect(baitBody({ kind: "bread", lasts: 12 }).lasts).toBe(12);
  expect(baitBody({ kind: "bread" }).lasts).toBe(BAITS.value.bread.lasts);
  // A 10 cm bait fish weighs about 11 g, 15 cm some 35 to 40.
  expect(baitBody({ kind: "whole-fish", length: 0.1 }).body.grams).toBeCloseTo(11, 6);
  expect(baitBody({ kind: "whole-fish", length: 0.15 }).body.grams).toBeGreaterThan(33);
});

test("what floats floats, what swims lifts, and one's own measures go first", () => {
  expect(baitBody({ kind: "buoyant" }).body.density).toBeLessThan(1000);
  for (const kind of BAIT_KINDS)
    expect(baitBody({ kind }).body.lift === undefined).toBe(BAITS.value[kind].swims === undefined);
  expect(baitBody({ kind: "live-fish" }).body.lift!).toBeGreaterThan(0);
  const own = baitBody({ kind: "worm", grams: 3, density: 1010, diameter: 0.02, length: 0.2, hook: 2 });
  expect(own).toMatchObject({ hook: 2, length: 0.2, body: { grams: 3, density: 1010, diameter: 0.02 } });
});

test("a live bait for each family: none longer than catfish and stripers take", () => {
  for (const family of FAMILIES) {
    const { kind, length } = liveBaitFor(family);
    expect(kind).toBe("live-fish");
    expect(length).toBeLessThanOrEqual(liveBaitFor("catfish").length);
    expect(length).toBeGreaterThanOrEqual(0.03);
  }
});
