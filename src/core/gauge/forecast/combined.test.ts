import { stream } from "../../quantity/seeded";
import { leadsOf } from "./leads";
import { LEAST_TRIALS, mixed, weightsAhead, weightsOf } from "./combined";
import { scoreOf, stretchOf } from "./dressed";
import type { Trials } from "./trials";

/** Trials of ways that err by given amounts about a truth that is 0 throughout. */
function trialsOf(errors: readonly (readonly number[])[], ahead = 1): Trials {
  const count = errors[0]!.length;
  return {
    at: Int32Array.from({ length: count }, (_, n) => 10 * n),
    ahead,
    names: errors.map((_, n) => (["persistence", "yesterday", "weekly"] as const)[n]!),
    said: errors.map((own) => Float32Array.from(own)),
    came: new Float32Array(count),
    states: new Float64Array(count),
    size: 1,
    rain: null,
  };
}
const normal = (count: number, seed: number) => {
  const random = stream(seed);
  return Array.from({ length: count }, () => random() + random() + random() - 1.5);
};

describe("weights", () => {
  test("two ways whose errors know nothing of each other are mixed by halves (Bates & Granger 1969)", () => {
    const weights = weightsOf(trialsOf([normal(500, 1), normal(500, 2), normal(500, 3).map((e) => 4 * e)]), [1], 500);
    expect(weights!.of).toEqual([[0.5, 0.5, 0]]);
  });

  test("a way that is always right stands alone, and so does one that another only repeats", () => {
    const own = normal(500, 1);
    expect(weightsOf(trialsOf([own, own.map(() => 0)]), [1], 500)!.of).toEqual([[0, 1]]);
    expect(weightsOf(trialsOf([own, own.map((e) => 1.5 * e)]), [1], 500)!.of).toEqual([[1, 0]]);
  });

  test("only what is known counts; too few trials make none; a way that mostly cannot tell is left out", () => {
    const turned = [...new Array<number>(100).fill(0), ...new Array<number>(400).fill(1)];
    const trials = trialsOf([turned, turned.map((e) => 1 - e)]);
    expect(weightsOf(trials, [1], 100)!.of).toEqual([[1, 0]]);
    expect(weightsOf(trials, [1], 500)!.of).toEqual([[0, 1]]);
    expect(weightsOf(trials, [1], LEAST_TRIALS - 1)).toBeNull();
    const silent = trialsOf([normal(200, 4), normal(200, 5).map((e, n) => (n < 150 ? NaN : 0 * e))]);
    expect(weightsOf(silent, [1], 200)!.of).toEqual([[1, 0]]);
  });

  test("leads are those that the record's own steps have; between them weights run straight", () => {
    expect(leadsOf({ step: 86_400_000 })).toEqual([1, 2, 3, 4, 5]);
    expect(leadsOf({ step: 3_600_000 }).slice(0, 3)).toEqual([1, 3, 6]);
    const weights = { leads: [1, 3, 6], of: [[1, 0], [0, 1], [0.5, 0.5]] }; // prettier-ignore
    for (const [steps, first] of [
      [1, 1],
      [2, 0.5],
      [3, 0],
      [5, 1 / 3],
      [9, 0.5],
    ] as const) {
      // prettier-ignore
      const [one, other] = weightsAhead(weights, steps) as [number, number];
      expect(one).toBeCloseTo(first, 12);
      expect(one + other).toBeCloseTo(1, 12);
    }
  });

  test("a way that is silent leaves its weight to the others, step by step", () => {
    const weights = { leads: [1], of: [[0.25, 0.75]] };
    // Two forecasts of three steps, one behind the other.
    const said = [[8, 8, NaN, 8, 0, NaN], [4, NaN, 4, 0, 8, NaN]]; // prettier-ignore
    expect(Array.from(mixed(said, weights, 3))).toEqual([5, 8, 4, 2, 6, NaN]);
  });
});

describe("bands", () => {
  test("half bands off: by the side that the error is on, about the mixed forecast", () => {
    const band = { low: -1, middle: 1, high: 2 };
    expect(scoreOf(-1, band)).toBe(0.5);
    expect(scoreOf(3, band)).toBe(3);
    expect(scoreOf(0, { low: 0, middle: 0, high: 0 })).toBe(0);
    expect(scoreOf(1, { low: 0, middle: 0, high: 0 })).toBe(100);
    expect(scoreOf(1, { low: NaN, middle: NaN, high: NaN })).toBeNaN();
  });

  test("stretched to hold four of five of the newest; not for a while, and within bounds", () => {
    const even = Array.from({ length: 1000 }, (_, n) => (2 * ((n * 37) % 1000)) / 1000);
    expect(stretchOf(even, 1e9)).toBeCloseTo(1.6, 1);
    expect(stretchOf(even.slice(0, 10), 1e9)).toBeCloseTo(1, 3);
    expect(stretchOf([...even, ...new Array<number>(250).fill(1)], 1e9)).toBeCloseTo(1, 3);
    expect(stretchOf(new Array<number>(99).fill(100), 1e9)).toBe(6);
    expect(stretchOf(new Array<number>(99).fill(0), 1e9)).toBeCloseTo(0.5, 6);
  });

  test("few errors that tell of different hours: Student's t at 0.9 over the normal (table of t: 1.533, 1.372, 1.310)", () => {
    for (const [spans, t] of [
      [5, 1.533],
      [11, 1.372],
      [31, 1.31],
    ] as const)
      // prettier-ignore
      expect(stretchOf([], spans)).toBeCloseTo((t / 1.2816) * Math.sqrt(1 + 1 / spans), 2);
  });
});
