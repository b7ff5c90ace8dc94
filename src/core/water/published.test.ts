import { wadingClass } from "./wading";
import { froude } from "./cover";
import { waterBy } from "./pools";

/** The reading of water, held against what is published. */

const FOOT = 0.3048;

test.each([
  [3, 3.4, 4],
  [2, 5, 4],
  [3, 3.2, 3],
  [4, 1, 4],
])(
  "the rule of ten of US hydrographers (USGS, Techniques of Water-Resources Investigations 9-A9): %d ft by %d ft/s is class %d",
  (depth, speed, expected) => {
    // Four feet at one are past the depth that anybody is sent into, whatever the product.
    expect(wadingClass(depth * FOOT, speed * FOOT)).toBe(expected);
  },
);

test("nobody is told to wade easily or with care where adults have been toppled, or are in moderate hazard", () => {
  for (let depth = 0.05; depth <= 1.5; depth += 0.05)
    for (let speed = 0.05; speed <= 3; speed += 0.05) {
      const [found, product] = [wadingClass(depth, speed), depth * speed];
      // Abt et al. 1989 (Water Resources Bulletin 25): people in a flume lost their footing from 0.71 m2/s up.
      if (product >= 0.71) expect(found).toBeGreaterThanOrEqual(3);
      // Cox, Shand & Blacka 2010 (Australian Rainfall and Runoff, project 10): low hazard for adults under 0.6 m2/s.
      if (found <= 2) expect(product).toBeLessThan(0.6);
      // The same: nobody is safe over 1.2 m or 3 m/s.
      if (depth > 1.2 || speed > 3) expect(found).toBe(4);
    }
});

test.each([
  ["pool", 0.8, 0.3],
  ["pool", 1.5, 0.6],
  ["run", 0.4, 0.6],
  ["riffle", 0.2, 0.7],
])("%s by Froude number (Jowett 1993: pools under 0.18, riffles over 0.41): %d m, %d m/s", (kind, depth, speed) => {
  expect(waterBy(froude(depth, speed))).toBe(kind);
});

test("the Froude number is one at the critical depth of a unit discharge, the cube root of q2/g (Chow 1959, 3-2)", () => {
  for (const discharge of [0.2, 1, 4]) {
    const critical = Math.cbrt(discharge ** 2 / 9.80665);
    expect(froude(critical, discharge / critical)).toBeCloseTo(1, 3);
  }
});
