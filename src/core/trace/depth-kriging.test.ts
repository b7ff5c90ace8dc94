import fc from "fast-check";
import { KRIGING, krige } from "./depth-kriging";

const channel = { meanWidth: 10 };

test("with no depth the outline stands, as uncertain as beds are about it", () => {
  const { mean, deviation } = krige(channel, [])(50, 0.5);
  expect(mean).toBe(0);
  const { section, local } = KRIGING;
  expect(deviation).toBeCloseTo(Math.sqrt(KRIGING.mean ** 2 + section.spread ** 2 + local.spread ** 2), 12);
});

test("one depth: simple kriging's closed form, there and far away", () => {
  const at = krige(channel, [{ s: 40, across: 0.5, ratio: 0.3 }]);
  const prior = KRIGING.mean ** 2 + KRIGING.section.spread ** 2 + KRIGING.local.spread ** 2;
  // Cressie 1993: weight = covariance / (variance + that of the reading).
  expect(at(40, 0.5).mean).toBeCloseTo((0.3 * prior) / (prior + KRIGING.reading ** 2), 12);
  expect(at(40, 0.5).deviation ** 2).toBeCloseTo(prior - prior ** 2 / (prior + KRIGING.reading ** 2), 12);
  // Out of range only the mean of the reach has been learnt.
  expect(at(400, 0.5).mean).toBeCloseTo((0.3 * KRIGING.mean ** 2) / (prior + KRIGING.reading ** 2), 9);
});

test("depths are met within their own error, and each makes no place less sure; any readings", () => {
  const reading = fc.record({
    s: fc.double({ min: 0, max: 150, noNaN: true }),
    across: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    ratio: fc.double({ min: -0.8, max: 0.8, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(reading, { minLength: 1, maxLength: 14 }), (taken) => {
      const [before, after] = [krige(channel, taken.slice(1)), krige(channel, taken)];
      for (const { s, across } of [...taken, { s: 75, across: 0.5 }]) {
        expect(after(s, across).deviation).toBeLessThanOrEqual(before(s, across).deviation + 1e-9);
        expect(Number.isFinite(after(s, across).mean)).toBe(true);
      }
      for (const { s, across } of taken) expect(after(s, across).deviation).toBeLessThanOrEqual(KRIGING.reading + 1e-9);
    }),
    { numRuns: 60 },
  );
});
