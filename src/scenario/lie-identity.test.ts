import fc from "fast-check";
import { lieAt, numberLies, type NumberedPlace, SAME_LIE } from "./lie-identity";

const at = (x: number, y: number) => ({ x, y });

test("with no data the numbers are the ranks", () => {
  const { lies, known } = numberLies([at(10, 2), at(20, 4), at(30, 6)], []);
  expect(lies.map((one) => one.number)).toEqual([1, 2, 3]);
  expect(known).toEqual(lies);
});

test("a lie keeps its number when the ranks change, and a new place takes the next one", () => {
  const first = numberLies([at(10, 2), at(20, 4), at(30, 6)], []);
  const second = numberLies([at(30.5, 6.2), at(44, 3), at(9, 2)], first.known);
  expect(second.lies.map((one) => one.number)).toEqual([3, 4, 1]);
  // The place of lie 2 is remembered while it is none: it comes back as lie 2.
  const third = numberLies([at(20.2, 4), at(44, 3)], second.known);
  expect(third.lies.map((one) => one.number)).toEqual([2, 4]);
});

test("of two lies at one known place the nearer keeps the number", () => {
  const known: NumberedPlace[] = [{ x: 10, y: 5, number: 7 }];
  const { lies } = numberLies([at(12, 5), at(10.5, 5)], known);
  expect(lies.map((one) => one.number)).toEqual([8, 7]);
});

test("whatever comes and goes, no two lies share a number and none moves farther than the same lie may", () => {
  const place = fc.record({
    x: fc.double({ min: 0, max: 60, noNaN: true }),
    y: fc.double({ min: 0, max: 12, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(fc.array(place, { maxLength: 12 }), { maxLength: 6 }), (steps) => {
      let known: NumberedPlace[] = [];
      for (const lies of steps) {
        const before = new Map(known.map((one) => [one.number, one]));
        const next = numberLies(lies, known);
        const numbers = next.lies.map((one) => one.number);
        expect(new Set(numbers).size).toBe(numbers.length);
        expect(new Set(next.known.map((one) => one.number)).size).toBe(next.known.length);
        for (const lie of next.lies) {
          const was = before.get(lie.number);
          if (was) expect(Math.hypot(was.x - lie.x, was.y - lie.y)).toBeLessThanOrEqual(SAME_LIE);
        }
        known = next.known;
      }
    }),
    { seed: 7, numRuns: 200 },
  );
});

test("the lie at a place is the nearest within reach, and none beyond", () => {
  const lies = [at(10, 2), at(12, 2)];
  expect(lieAt(lies, at(11.4, 2))).toBe(lies[1]);
  expect(lieAt(lies, at(10 - SAME_LIE, 2))).toBe(lies[0]);
  expect(lieAt(lies, at(10 - SAME_LIE - 0.01, 2))).toBeUndefined();
});
