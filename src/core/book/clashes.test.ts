import fc from "fast-check";
import { HOUR, MINUTE } from "../gauge/series";
import { isInBin, isOutside, overlapping, sameFish } from "./clashes";
import { sampleCatch, sampleSession } from "../../testing/book-samples";

const T0 = Date.UTC(2026, 4, 14, 8);
const iso = (time: number) => new Date(time).toISOString();

test("sessions overlap where they share a minute, by a count of minutes", () => {
  const span = fc.tuple(fc.nat({ max: 60 }), fc.integer({ min: 1, max: 40 }));
  fc.assert(
    fc.property(span, span, ([a, lengthA], [b, lengthB]) => {
      const session = sampleSession("s", { start: iso(T0 + a * MINUTE), end: iso(T0 + (a + lengthA) * MINUTE) });
      const shared = Array.from({ length: 120 }, (_, k) => k).some(
        (k) => k >= a && k < a + lengthA && k >= b && k < b + lengthB,
      );
      const found = overlapping([session], { start: T0 + b * MINUTE, end: T0 + (b + lengthB) * MINUTE });
      expect(found.length > 0).toBe(shared);
    }),
  );
  const one = sampleSession("s", { start: iso(T0), end: null });
  expect(overlapping([one], { start: T0 + 50 * HOUR, end: T0 + 51 * HOUR })).toEqual([one]);
  expect(overlapping([one], { start: T0, end: T0 + HOUR }, "s")).toEqual([]);
  expect(overlapping([{ ...one, deleted: true }], { start: T0, end: T0 + HOUR })).toEqual([]);
});

test("a fish is outside its session before it, and a while after it", () => {
  const session = { start: iso(T0), end: iso(T0 + HOUR) };
  expect([-1, 0, 60, 69, 71].map((minute) => isOutside(T0 + minute * MINUTE, session))).toEqual([
    true,
    false,
    false,
    false,
    true,
  ]);
  expect(isOutside(T0 + 90 * HOUR, { ...session, end: null })).toBe(false);
});

test("the same fish of a file is known again, another of that minute is not", () => {
  const known = [sampleCatch("a", "s", { at: iso(T0), length: 0.36 }), sampleCatch("b", "s", { at: iso(T0 + HOUR) })];
  const fish = (at: number, length: number | null, species = "brown-trout") => sameFish({ at, length, species }, known);
  expect(fish(T0 + 20_000, 0.3556)).toBe(true);
  expect(fish(T0, 0.41)).toBe(false);
  expect(fish(T0, 0.36, "chub")).toBe(false);
  expect(fish(T0 + 2 * MINUTE, 0.36)).toBe(false);
  expect(fish(T0 + HOUR, null)).toBe(true);
  expect(fish(T0, null)).toBe(false);
});

test("what was deleted lies in the bin for thirty days", () => {
  const gone = { deleted: true, updatedAt: iso(T0) };
  expect([29, 31].map((days) => isInBin(gone, T0 + days * 24 * HOUR))).toEqual([true, false]);
  expect(isInBin({ updatedAt: iso(T0) }, T0)).toBe(false);
});
