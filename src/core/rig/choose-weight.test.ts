import fc from "fast-check";
import { PURPOSES, type Purpose } from "../tactics/purpose";
import { castRoom, chooseStep, type Step, stepOf, TOUCHING } from "./choose-weight";
import type { Contact } from "./contact";
import { PRESENTATIONS } from "../tactics/purpose";

/** What a size serves, and which one is chosen: by rules of the trade (common practice, no source). */

const contact = fc.record({
  speed: fc.double({ min: 0, max: 1, noNaN: true }),
  touch: fc.double({ min: 0, max: 1, noNaN: true }),
  lifted: fc.constant(0),
  holds: fc.boolean(),
  angle: fc.double({ min: 0, max: 90, noNaN: true }),
});
const question = fc.record({
  water: fc.record({
    depth: fc.double({ min: 0.4, max: 12, noNaN: true }),
    meanSpeed: fc.double({ min: 0, max: 1.6, noNaN: true }),
    // The same speed at every height: what sinks is swept by the speed times its time.
    bedRoughness: fc.constant(0),
  }),
  leash: fc.record({
    lineDiameter: fc.constant(0.0002),
    distance: fc.double({ min: 3, max: 16, noNaN: true }),
    tipHeight: fc.constant(2),
    presentation: fc.constantFrom(...PRESENTATIONS),
  }),
  room: fc.record({
    up: fc.double({ min: 1, max: 12, noNaN: true }),
    drift: fc.double({ min: 6, max: 40, noNaN: true }),
  }),
  fishHeight: fc.double({ min: 0, max: 3, noNaN: true }),
});

test("a size serves what it does: its contact in the band, down in the first third and within the throw, its angle", () => {
  fc.assert(
    fc.property(question, contact, fc.double({ min: 0.1, max: 2, noNaN: true }), (asked, of, fall) => {
      const step = stepOf(asked, 5, fall, of);
      const { water, room, fishHeight } = asked;
      const vertical = asked.leash.presentation === "vertical";
      const plain = (drop: number) => {
        const seconds = drop / fall;
        return (
          seconds <= 25 && (vertical ? of.angle <= 45 : water.meanSpeed * seconds <= Math.min(room.up, room.drift / 3))
        );
      };
      expect(step.seconds).toBeCloseTo(water.depth / fall, 6);
      expect(step.swept).toBeCloseTo((water.meanSpeed * water.depth) / fall, 6);
      const inTime = plain(water.depth);
      const lies = of.holds || (!vertical && of.speed < 0.02 && of.touch > 0.5);
      const straight = vertical ? of.angle <= 30 : step.swept <= water.depth;
      const wanted: Purpose[] = [
        ...(inTime && of.touch >= 0.2 && of.touch <= 0.5 ? (["touch"] as const) : []),
        ...(inTime && of.touch >= 0.2 && straight ? (["down"] as const) : []),
        ...(inTime && lies ? (["hold"] as const) : []),
        ...(plain(water.depth - Math.min(fishHeight, water.depth)) && fall <= 0.6 ? (["slow"] as const) : []),
      ];
      expect(step.serves).toEqual(wanted);
    }),
    { numRuns: 400 },
  );
});

test("the lightest that serves; else the lightest that does more, and else the heaviest", () => {
  const step = fc.record({
    touch: fc.double({ min: 0, max: 1, noNaN: true }),
    reaches: fc.boolean(),
    meets: fc.boolean(),
    serves: fc.subarray([...PURPOSES]),
  });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), fc.constantFrom(...PURPOSES), (found, purpose) => {
      const steps = found.map((one, k): Step => ({ ...one, grams: k, seconds: 1, swept: 1, angle: 0, holds: false }));
      const { at, fit } = chooseStep(steps, purpose);
      const serving = steps.filter(({ serves }) => serves.includes(purpose)).map(({ grams }) => grams);
      if (serving.length > 0) return expect([at, fit]).toEqual([Math.min(...serving), "serves"]);
      const more = steps
        .filter(({ touch, reaches, meets }) =>
          purpose === "touch" ? reaches && touch > TOUCHING.most : purpose === "slow" && meets,
        )
        .map(({ grams }) => grams);
      expect([at, fit]).toEqual(more.length > 0 ? [Math.min(...more), "more"] : [steps.length - 1, "less"]);
    }),
    { numRuns: 300 },
  );
});

test("a throw goes up-current as far as the cast allows, half of the way off at least, and 12 m at most", () => {
  // A cast of 15 m at a fish 12 m off leaves 9 m along the current (3-4-5).
  expect(castRoom(15, 12)).toEqual({ up: 9, drift: 24 });
  expect(castRoom(10, 12).up).toBe(6);
  expect(castRoom(40, 12).up).toBe(12);
  expect(castRoom(9, 2)).toEqual(castRoom(9, 9));
});

test("what is down in time has a contact that is worked out", () => {
  const of: Contact = { speed: 0, touch: 1, lifted: 0, holds: true, angle: 20 };
  const water = { depth: 2, meanSpeed: 0, bedRoughness: 0.1 };
  const leash = { lineDiameter: 0.0002, distance: 9, tipHeight: 2, presentation: "across" as const };
  expect(stepOf({ water, leash, room: castRoom(12, 9), fishHeight: 0.1 }, 3, 0.01, of).serves).toEqual([]);
});
