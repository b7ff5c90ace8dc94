import fc from "fast-check";
import { PRESENTATIONS } from "../tactics/purpose";
import { bottomDragged } from "./bottom";
import { contactOf, touchShare } from "./contact";

/** How a weight touches: monotone in all that an angler can change, whatever the model's own constants are. */

const body = { grams: 0.6, density: 1150, diameter: 0.012 };
const dragged = (piece: number) => bottomDragged({ pieces: 1, piece, metal: "tin" }, body);

const question = fc.record({
  presentation: fc.constantFrom(...PRESENTATIONS),
  depth: fc.double({ min: 0.4, max: 10, noNaN: true }),
  meanSpeed: fc.double({ min: 0.05, max: 1.6, noNaN: true }),
  bedRoughness: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
  grams: fc.double({ min: 0.1, max: 80, noNaN: true }),
  lineDiameter: fc.double({ min: 0.0001, max: 0.0004, noNaN: true }),
  distance: fc.double({ min: 4, max: 16, noNaN: true }),
});
type Question = typeof question extends fc.Arbitrary<infer T> ? T : never;
const touch = ({ presentation, grams, lineDiameter, distance, ...water }: Question) =>
  contactOf(water, dragged(grams), { lineDiameter, distance, tipHeight: 2, presentation }).touch;
/** Roots are found to a thousandth of the speed. */
const NEAR = 0.01;

test("contact falls when the water runs faster, rises with the weight, and falls with a thicker line", () => {
  fc.assert(
    fc.property(question, fc.double({ min: 1.05, max: 1.6, noNaN: true }), (asked, times) => {
      const plain = touch(asked);
      expect(plain).toBeGreaterThanOrEqual(0);
      expect(plain).toBeLessThanOrEqual(1);
      expect(touch({ ...asked, meanSpeed: times * asked.meanSpeed })).toBeLessThanOrEqual(plain + NEAR);
      expect(touch({ ...asked, grams: times * asked.grams })).toBeGreaterThanOrEqual(plain - NEAR);
      expect(touch({ ...asked, lineDiameter: times * asked.lineDiameter })).toBeLessThanOrEqual(plain + NEAR);
    }),
    { numRuns: 300 },
  );
});

test("a thicker line needs more weight to touch as often", () => {
  const least = (asked: Question) => {
    let [low, high] = [0.02, 2000];
    for (let n = 0; n < 40; n++) {
      const middle = Math.sqrt(low * high);
      if (touch({ ...asked, grams: middle }) >= 0.3) high = middle;
      else low = middle;
    }
    return high;
  };
  fc.assert(
    fc.property(question, (asked) => {
      const thick = { ...asked, lineDiameter: 1.5 * asked.lineDiameter };
      expect(least(thick)).toBeGreaterThanOrEqual(0.99 * least(asked));
    }),
    { numRuns: 40 },
  );
});

test("in still water everything lies; what the line takes off it whole never touches; an own factor over one touches less", () => {
  for (const presentation of PRESENTATIONS) {
    const still = { depth: 2, meanSpeed: 0, bedRoughness: 0.1 };
    const leash = { lineDiameter: 0.0002, distance: 9, tipHeight: 2, presentation };
    expect(contactOf(still, dragged(2), leash)).toMatchObject({ touch: 1, speed: 0, holds: true });
    const fast = { depth: 6, meanSpeed: 3, bedRoughness: 0.1 };
    if (presentation !== "up") expect(contactOf(fast, dragged(0.1), leash).touch).toBeLessThan(0.05);
    const water = { ...still, meanSpeed: 0.5 };
    const [less, more] = [0.7, 1.5].map((factor) => contactOf(water, dragged(0.4), { ...leash, factor }).touch);
    expect(more!).toBeLessThanOrEqual(less!);
  }
});

test("under a boat that drifts nothing holds; at the water's own speed everything touches", () => {
  const water = { depth: 6, meanSpeed: 0.5, bedRoughness: 0 };
  const under = (boatSpeed: number) =>
    contactOf(water, dragged(60), {
      lineDiameter: 0.0001,
      distance: 9,
      tipHeight: 2,
      presentation: "vertical",
      boatSpeed,
    });
  expect([under(0).holds, under(0.3).holds]).toEqual([true, false]);
  expect(under(0.5).touch).toBe(1);
});

test("the share on the stones: all of it at rest, none for what does not fall, less in gusts where it is nearly all", () => {
  expect(touchShare(0.5, 0, 0)).toBeCloseTo(1, 9);
  expect(touchShare(-0.1, 0.3, 0)).toBe(0);
  expect(touchShare(0.5, 3, 0)).toBe(0);
  expect(touchShare(0.5, 0.2, 0.3)).toBeLessThan(touchShare(0.5, 0.2, 0));
});
