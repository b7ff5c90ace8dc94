import fc from "fast-check";
import { OUNCE } from "../quantity/units";
import { castLength } from "./cast-length";

/** How far is cast: figures of the trade on a 2.1 m rod and 0.2 mm line (common practice, no source). */

test.each([
  [1 / 32, 9],
  [1 / 16, 14],
  [1 / 8, 20],
  [1 / 4, 27],
  [1 / 2, 35],
  [1, 43],
])("%f oz: about %f m", (ounces, metres) => {
  const cast = castLength(ounces * OUNCE * 1000, 2.1, 0.0002);
  expect(cast / metres).toBeGreaterThan(0.85);
  expect(cast / metres).toBeLessThan(1.15);
});

test("heavier, a longer rod and a thinner line go farther; never farther than without any drag", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 80, noNaN: true }),
      fc.double({ min: 1.6, max: 4, noNaN: true }),
      fc.double({ min: 0.0001, max: 0.0004, noNaN: true }),
      (grams, rod, line) => {
        const cast = castLength(grams, rod, line);
        expect(castLength(1.2 * grams, rod, line)).toBeGreaterThanOrEqual(cast);
        expect(castLength(grams, 1.1 * rod, line)).toBeGreaterThanOrEqual(cast);
        expect(castLength(grams, rod, 1.2 * line)).toBeLessThanOrEqual(cast);
        // A body thrown at v under 40 degrees from a height h: v cos (v sin + root((v sin)^2 + 2 g h)) / g.
        const v = 28 * Math.sqrt(Math.min(1.5, rod / 2.1));
        const [up, on] = [v * Math.sin((40 * Math.PI) / 180), v * Math.cos((40 * Math.PI) / 180)];
        const free = (on * (up + Math.sqrt(up ** 2 + 2 * 9.81 * 0.7 * rod))) / 9.81;
        expect(cast).toBeLessThanOrEqual(Math.max(free + 1, 2 * rod + 3));
        expect(cast).toBeGreaterThanOrEqual(2 * rod + 3);
      },
    ),
    { numRuns: 80 },
  );
});
