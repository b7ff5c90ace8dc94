import fc from "fast-check";
import type { Place } from "./channel";
import { distanceTo } from "./channel";
import { type Fix, walkedLine } from "./walked";

/** A walk along a bend at 1.2 m/s with a fix every three seconds, off by a metre or so. */
const bend = (s: number): Place => [60 * Math.sin(s / 60), 60 - 60 * Math.cos(s / 60)];
const walk = (noise: (k: number) => number): Fix[] =>
  Array.from({ length: 40 }, (_, k) => {
    const [x, y] = bend(3.6 * k);
    return { at: [x + noise(2 * k), y + noise(2 * k + 1)], time: 3000 * k };
  });
const TRUE = Array.from({ length: 400 }, (_, k) => bend(0.4 * k));

test("a walk becomes a line of few points that lies along it", () => {
  const { line, jumps, gap } = walkedLine(walk((k) => 0.6 * Math.sin(12.9898 * k)));
  expect(jumps).toBe(0);
  expect(gap).toBeLessThan(6);
  expect(line.length).toBeLessThan(20);
  for (const at of line) expect(distanceTo(TRUE, at)).toBeLessThan(1);
});

test("jumps are left out and counted, with times and without, wherever they come", () => {
  const clean = walk(() => 0);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 2, max: 37 }), { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 60, max: 900 }),
      fc.boolean(),
      (at, off, timed) => {
        // Jumps are single: between two of them the walk is heard of again.
        const places = at.filter((one, k) => at.every((other, j) => j === k || Math.abs(one - other) > 4));
        const jumping = clean.map(({ at: [x, y], time }, k): Fix => ({
          at: places.includes(k) ? [x + off, y - off] : [x, y],
          ...(timed && { time: time! }),
        }));
        const { line, jumps } = walkedLine(jumping);
        expect(jumps).toBe(places.length);
        for (const one of line) expect(distanceTo(TRUE, one)).toBeLessThan(1);
      },
    ),
  );
});

test("a device that lost the sky and found it farther on has a gap that is told; a wrong first fix goes", () => {
  const clean = walk(() => 0);
  const without = [...clean.slice(0, 12), ...clean.slice(24).map((one) => ({ ...one, time: one.time! }))];
  const { jumps, gap } = walkedLine(without);
  expect(jumps).toBe(0);
  expect(gap).toBeGreaterThan(40);
  const wrong: Fix[] = [{ at: [900, 900], time: -3000 }, ...clean];
  expect(walkedLine(wrong)).toMatchObject({ jumps: 1 });
  expect(walkedLine(wrong).line[0]).toEqual(clean[0]!.at);
});
