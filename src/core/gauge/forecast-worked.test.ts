import {
  forecastFlow,
  levelAt,
  analoguesOf,
  nearestNeighbours,
  stateAt,
  STEP,
  type Steps,
  timeUnder,
} from "./forecast";
import { hindcasts } from "./hindcast";
import { figures, nearestOf, pathOf, recordOf, start, STEPS, wandering, wholeOnes } from "../../testing/plain-forecast";
import { recessionLaw } from "./recession-law";
import { DAY, HOUR } from "./series";

/** The forecast against the same told plainly. */

const gapped = (seed: number) => {
  const lnQ = wandering(900, seed);
  lnQ[300] = NaN;
  lnQ[620] = NaN;
  return lnQ;
};

describe("neighbours", () => {
  const near = (paths: readonly ArrayLike<number>[]) => paths.map((path) => Array.from(path, (x) => x.toFixed(9)));

  test.each([11, 12, 13])("are those that every distance of record %i says, and their paths what came", (seed) => {
    const lnQ = gapped(seed);
    const steps: Steps = { start, lnQ };
    const library = analoguesOf(steps);
    expect(library.indices).toEqual(wholeOnes(lnQ));
    // From the middle of what it has been: some were lower, and their paths stand as they were.
    const k = wholeOnes(lnQ).find((n) => lnQ[n]! > 2 && n > 400)!;
    const taken = nearestOf(lnQ, figures(lnQ, k), wholeOnes(lnQ));
    expect(taken).toHaveLength(60);
    expect(taken.filter((n) => lnQ[n]! < lnQ[k]!).length).toBeGreaterThanOrEqual(6);
    expect(near(nearestNeighbours(library, stateAt(steps, k)))).toEqual(
      near(taken.map((n) => pathOf(lnQ, n, lnQ[k]!, 1))),
    );
  });

  test.each([11, 12])("from under all that record %i holds, falls bend by the river's own law", (seed) => {
    const lnQ = gapped(seed);
    const steps: Steps = { start, lnQ };
    const least = Math.min(...lnQ.filter((x) => !Number.isNaN(x)));
    const state = [least - 0.1, -0.02, -0.08] as const;
    const b = recessionLaw(
      [...lnQ.keys()].flatMap((n) => (Number.isNaN(lnQ[n]!) ? [] : { time: start + n * STEP, lnQ: lnQ[n]! })),
    )!.b;
    expect(b).toBeGreaterThan(1.05);
    const taken = nearestOf(lnQ, state, wholeOnes(lnQ));
    expect(near(nearestNeighbours(analoguesOf(steps), state))).toEqual(
      near(taken.map((n) => pathOf(lnQ, n, state[0], b))),
    );
  });

  test("a tenth of the neighbours lower is no base flow any more: their falls stand as they were", () => {
    const lnQ = wandering(900, 14);
    const steps: Steps = { start, lnQ };
    const whole = wholeOnes(lnQ);
    const lowestFirst = [...whole].sort((one, other) => lnQ[one]! - lnQ[other]!);
    const lowerOf = (k: number) => nearestOf(lnQ, figures(lnQ, k), whole).filter((n) => lnQ[n]! < lnQ[k]!).length;
    const law = recessionLaw([...lnQ.keys()].map((n) => ({ time: start + n * STEP, lnQ: lnQ[n]! })))!;
    for (const lower of [5, 6]) {
      const k = lowestFirst.find((n) => lowerOf(n) === lower)!;
      const paths = nearestOf(lnQ, figures(lnQ, k), whole).map((n) => pathOf(lnQ, n, lnQ[k]!, lower < 6 ? law.b : 1));
      expect(near(nearestNeighbours(analoguesOf(steps), stateAt(steps, k)))).toEqual(near(paths));
    }
  });

  test("two years' worth of half-days make a library; one state fewer does not", () => {
    // 730 states, four before the first and twenty after the last.
    const enough = wandering(730 + 4 + STEPS, 15);
    const state = figures(enough, 400) as unknown as readonly [number, number, number];
    expect(nearestNeighbours(analoguesOf({ start, lnQ: enough }), state)).toHaveLength(60);
    expect(nearestNeighbours(analoguesOf({ start, lnQ: enough.slice(0, -1) }), state)).toEqual([]);
    // The last outcome counts at its own instant.
    const last = start + (enough.length - 1) * STEP;
    expect(nearestNeighbours(analoguesOf({ start, lnQ: enough }), state, last)).toHaveLength(60);
    expect(nearestNeighbours(analoguesOf({ start, lnQ: enough }), state, last - 1)).toEqual([]);
  });
});

describe("a forecast of a short record", () => {
  const falling = (hours: number) =>
    recordOf(Float64Array.from({ length: hours / 6 }, (_, k) => 3 + (Math.floor(k / 24) % 2) - 0.04 * (k % 24)));

  test("its paths are its quantiles; a gap before it, or no water, leaves the fall alone to speak", () => {
    const record = falling(24 * 40);
    const at = record.times.at(-1)!;
    const forecast = forecastFlow(record, at)!;
    expect(forecast.method).toBe("recession");
    forecast.points.forEach(({ low, median, high }, h) => {
      expect([low, median, high]).toEqual(forecast.paths.map((path) => path[h]!));
    });
    expect(
      forecastFlow({ ...record, values: record.values.map((q, k) => (k === record.values.length - 1 ? 0 : q)) }, at),
    ).toBeNull();
    const passing = timeUnder(forecast, forecast.discharge);
    expect(passing).toEqual({ early: at, median: at, late: at, share: 1 });
  });

  test("levels: at a point its own, between two straight, before the first as at it, past the last none", () => {
    const points = [
      { time: 10, low: 1, median: 2, high: 3 },
      { time: 20, low: 2, median: 4, high: 7 },
    ];
    expect(levelAt(points, 10, "low")).toBe(1);
    expect(levelAt(points, 20, "high")).toBe(7);
    expect(levelAt(points, 12.5, "median")).toBe(2.5);
    expect(levelAt(points, 0, "high")).toBe(3);
    expect(levelAt(points, 21, "low")).toBeNull();
  });

  test("said a day before: what cannot be said or did not come is left out", () => {
    const record = falling(24 * 40);
    const at = record.times.at(-1)!;
    expect(hindcasts(record, [at])).toHaveLength(1);
    // It came to be read, but nothing was read the day before; and the other way.
    const gap = (from: number, to: number) => ({
      ...record,
      values: record.values.map((q, k) => (record.times[k]! >= from && record.times[k]! <= to ? NaN : q)),
    });
    expect(hindcasts(gap(at - DAY - 8 * HOUR, at - DAY + HOUR), [at])).toEqual([]);
    expect(hindcasts(gap(at - 8 * HOUR, at), [at])).toEqual([]);
  });
});
