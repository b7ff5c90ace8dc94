import fc from "fast-check";
import type { Place } from "./channel";
import { smoothLine } from "./smooth-line";

test("it passes through every place, begins and ends where the line does", () => {
  const coordinate = fc.integer({ min: -500, max: 500 });
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.tuple(coordinate, coordinate), { minLength: 2, maxLength: 20, selector: String }),
      (line) => {
        const smooth = smoothLine(line);
        for (const [x, y] of line)
          expect(Math.min(...smooth.map(([a, b]) => Math.hypot(a - x, b - y)))).toBeLessThan(1e-6);
        expect(smooth[0]).toEqual(line[0]);
        expect(smooth.at(-1)).toEqual(line.at(-1));
        expect(smooth.flat().every(Number.isFinite)).toBe(true);
      },
    ),
  );
});

test("through eight places of a circle it stays within 2 % of the circle; a polygon is 8 % off", () => {
  const ring = Array.from({ length: 8 }, (_, k): Place => [Math.cos((k * Math.PI) / 4), Math.sin((k * Math.PI) / 4)]);
  for (const [x, y] of smoothLine(ring, true)) expect(Math.abs(Math.hypot(x, y) - 1)).toBeLessThan(0.02);
});

test("places on a straight line stay on it; one spot tapped twice is one place", () => {
  const line: Place[] = [
    [0, 0],
    [1, 2],
    [1, 2],
    [4, 8],
    [5, 10],
  ];
  for (const [x, y] of smoothLine(line)) expect(y).toBeCloseTo(2 * x, 9);
});
