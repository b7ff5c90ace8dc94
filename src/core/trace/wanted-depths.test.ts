import fc from "fast-check";
import { bestReadings, krige, type TakenDepth } from "./depth-kriging";
import { normalDepth } from "./traced-depth";
import { knowledgeOf, type Outline } from "./traced-bed";
import { type DepthsAsked, wantedDepths } from "./wanted-depths";
import type { Place } from "./channel";

/** A straight river, 10 m wide and 120 m long. */
const straight = (depths: Outline["depths"] = []): Outline => ({
  left: [
    [0, 0],
    [120, 0],
  ],
  right: [
    [0, 10],
    [120, 10],
  ],
  riffles: [],
  pools: [],
  flow: { discharge: 3, slope: 0.003, roughness: 0.035 },
  depths,
});
const ask = (asked: Partial<DepthsAsked>, depths: Outline["depths"] = [], count = 3) =>
  wantedDepths(straight(depths), { lies: [{ x: 60, y: 9, weight: 1 }], canStand: () => true, ...asked }, count);

test("each reading is the one that leaves the least error, by kriging anew with each candidate", () => {
  const at = fc.record({
    s: fc.double({ min: 0, max: 80, noNaN: true }),
    across: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
  });
  const several = (most: number) => fc.array(at, { minLength: 1, maxLength: most });
  const channel = { meanWidth: 10 };
  fc.assert(
    fc.property(several(5), several(6), several(5), (before, candidates, places) => {
      const taken = before.map((one): TakenDepth => ({ ...one, ratio: 0.1 }));
      const targets = places.map((one, k) => ({ ...one, weight: k + 1 }));
      const total = targets.reduce((sum, { weight }) => sum + weight, 0);
      const error = (more: readonly TakenDepth[]) => {
        const known = krige(channel, [...taken, ...more]);
        return (
          targets.reduce((sum, { s, across, weight }) => sum + weight * known(s, across).deviation ** 2, 0) / total
        );
      };
      const design = bestReadings(channel, taken, { targets, candidates, count: 2 });
      expect(design.before).toBeCloseTo(error([]), 9);
      const read: TakenDepth[] = [];
      for (const k of design.chosen) {
        const errors = candidates.map((one) => error([...read, { ...one, ratio: 0 }]));
        expect(errors[k]).toBeLessThanOrEqual(Math.min(...errors) + 1e-9);
        read.push({ ...candidates[k]!, ratio: 0 });
      }
      expect(design.after).toBeCloseTo(error(read), 9);
    }),
    { numRuns: 60 },
  );
});

test("one lie: the first depth is asked beside it, and what is known of the bed there grows with each", () => {
  const one = ask({}, [], 1);
  // In the reach's own m: 4 m of land on its left side.
  const [[x, y]] = one.places as [Place];
  expect(Math.hypot(x - 60, y - 9)).toBeLessThan(4);
  expect(one.after).toBeLessThan(0.8 * one.now);
  const three = ask({});
  expect(three.now).toBeCloseTo(one.now, 9);
  expect(three.after).toBeLessThan(one.after);
  // Taken where it was asked, the next asks elsewhere.
  const next = ask({}, [{ at: [x, y - 4], depth: 0.6 }], 1);
  expect(next.now).toBeCloseTo(one.after, 2);
  const [[nextX, nextY]] = next.places as [Place];
  expect(Math.hypot(nextX - x, nextY - y)).toBeGreaterThan(1);
});

test("two lies: the one that is not sure comes first", () => {
  const lies = (weights: readonly [number, number]) => [
    { x: 20, y: 9, weight: weights[0] },
    { x: 100, y: 9, weight: weights[1] },
  ];
  expect(ask({ lies: lies([1, 0.1]) }, [], 1).places[0]![0]).toBeLessThan(35);
  expect(ask({ lies: lies([0.1, 1]) }, [], 1).places[0]![0]).toBeGreaterThan(85);
});

test("only water that can be stood in is asked for, unless none can", () => {
  const left = ask({ canStand: ([, y]) => y < 8 });
  expect(left.places.every(([, y]) => y < 8)).toBe(true);
  expect(left.afloat).toBe(false);
  const none = ask({ canStand: () => false });
  expect(none.afloat).toBe(true);
  expect(none.places).toEqual(ask({}).places);
});

test("without a lie nothing is asked", () => {
  expect(ask({ lies: [] }).places).toEqual([]);
});

test("a depth taken at another flow counts as it would on the day, by normal depth", () => {
  const of = (depths: Outline["depths"]) => knowledgeOf(straight(depths)).said[0]!.ratio;
  // Chow 1959: the depth of a wide channel, by hand: (q n / sqrt S)^(3/5).
  const [day, low] = [3, 1].map((q) => (((q / 10) * 0.035) / Math.sqrt(0.003)) ** 0.6) as [number, number];
  expect(normalDepth(10, straight().flow)).toBeCloseTo(day, 12);
  const at: Place = [60, 5];
  expect(of([{ at, depth: 0.3, discharge: 1 }])).toBeCloseTo(of([{ at, depth: 0.3 + day - low }]), 2);
  expect(of([{ at, depth: 0.3, discharge: 3 }])).toBeCloseTo(of([{ at, depth: 0.3 }]), 12);
});
