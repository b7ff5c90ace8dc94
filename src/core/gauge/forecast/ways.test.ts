import fc from "fast-check";
import { stream } from "../../quantity/seeded";
import { bendAt, recededFlow, recessionLaw } from "../recession-law";
import { HORIZON } from "../forecast";
import { DAY, HOUR, seriesFromColumns, type Series } from "../series";
import { type FlowGrid, flowGrid, stepsIn } from "./flow-grid";
import { flowScale } from "./flow-scale";
import { nearestApart } from "./nearest";
import { statesOf } from "./neighbours";
import type { FlowWay } from "./way-names";
import { flowWays } from "./ways";

/** Each way against the same told plainly. */

const start = Date.UTC(2024, 0, 1);
const record = (values: readonly number[], step = HOUR): Series =>
  seriesFromColumns(
    "discharge",
    values.map((_, k) => start + k * step),
    values,
  );
const gridOf = (values: readonly number[], step = HOUR) =>
  flowGrid(record(values, step), start + (values.length - 1) * step);

/** ln Q that wanders and jumps up now and then. */
function wandering(count: number, seed: number): number[] {
  const random = stream(seed);
  let x = 2;
  return Array.from({ length: count }, () => {
    x += random() < 0.01 ? 0.5 + random() : -0.01 * (x - 0.4) * (0.6 + random());
    return Math.exp(x);
  });
}

function said(grid: FlowGrid, way: FlowWay, k: number): number[] {
  const out = new Float64Array(stepsIn(grid, HORIZON));
  flowWays(grid, statesOf(grid))[way]!(k, out);
  return Array.from(out, grid.back);
}

describe("scale of flow", () => {
  test("a river that always runs is on ln Q: a doubling is ln 2, to a thousandth, wherever it is", () => {
    const { of, back } = flowScale(Float64Array.of(2, 40, 300));
    for (const q of [2, 17, 300]) {
      expect(of(2 * q) - of(q)).toBeCloseTo(Math.LN2, 2);
      expect(back(of(q))).toBeCloseTo(q, 9);
    }
  });

  test("no flow and ebb flow have a place: zero is zero, what runs back is the mirror of what runs on", () => {
    const dry = flowScale(Float64Array.of(0, 0, 1, 2, 4));
    expect(dry.of(0)).toBe(0);
    expect(dry.least).toBeCloseTo(0.08, 9);
    const tidal = flowScale(Float64Array.of(-30, -10, 10, 30, 50));
    expect(tidal.of(-20)).toBe(-tidal.of(20));
    // asinh(Q / 2s), s half the median of |Q| (closed form).
    expect(tidal.of(30)).toBeCloseTo(Math.log(1 + Math.SQRT2), 9);
    expect(flowScale(new Float64Array(0)).of(0)).toBe(0);
  });
});

test("steps run back from the reading that is forecast from: hourly of quarter hours, daily of daily means; a gap is a gap", () => {
  const quarters = gridOf(
    Array.from({ length: 41 }, (_, k) => (k >= 17 && k <= 20 ? NaN : 1 + k)),
    HOUR / 4,
  );
  expect(quarters.step).toBe(HOUR);
  expect(Array.from(quarters.y, (y) => Math.round(quarters.back(y)))).toEqual([
    1,
    5,
    9,
    13,
    17,
    NaN,
    25,
    29,
    33,
    37,
    41,
  ]);
  const daily = gridOf([3, 4, NaN, 6], DAY);
  expect([daily.step, daily.y.length, Math.round(daily.back(daily.y[3]!))]).toEqual([DAY, 4, 6]);
  expect(daily.y[2]).toBeNaN();
});

test("one wrong date far back costs no more than fifteen years of hours", () => {
  const wrong = seriesFromColumns("discharge", [-60 * 1e12, ...Array.from({ length: 50 }, (_, k) => start + k * HOUR)], new Array<number>(51).fill(3)); // prettier-ignore
  const grid = flowGrid(wrong, start + 49 * HOUR);
  expect([grid.step, grid.y.length]).toEqual([HOUR, 131_072]);
  expect(grid.y.filter((y) => !Number.isNaN(y))).toHaveLength(50);
});

describe("plain ways", () => {
  const values = wandering(24 * 80, 3).map((q, k) => q * (1 + 0.2 * Math.sin((2 * Math.PI * k) / 24)));
  const grid = gridOf(values);
  const k = 24 * 75 + 5;

  test("no change, yesterday and last week at the same hour are those readings", () => {
    const ahead = Array.from({ length: 120 }, (_, h) => h + 1);
    const near = (one: number[], other: number[]) => one.forEach((q, h) => expect(q / other[h]!).toBeCloseTo(1, 9));
    near(said(grid, "persistence", k), ahead.map(() => values[k]!)); // prettier-ignore
    near(said(grid, "yesterday", k), ahead.map((h) => values[k + h - 24 * Math.ceil(h / 24)]!)); // prettier-ignore
    near(said(grid, "lastWeek", k), ahead.map((h) => values[k + h - 168]!)); // prettier-ignore
  });

  test("the weekly pattern and the last two weeks are medians", () => {
    const middle = (some: number[]) => some.sort((a, b) => a - b)[some.length >> 1]!;
    said(grid, "weekly", k).forEach((q, h) => {
      const weeks = Array.from({ length: 8 }, (_, w) => values[k + h + 1 - 168 * (w + 1)]!);
      expect(q / middle(weeks)).toBeCloseTo(1, 9);
    });
    expect(said(grid, "recent", k)[0]! / middle(values.slice(k + 1 - 336, k + 1))).toBeCloseTo(1, 9);
  });

  test("a daily pattern on a steady flow repeats itself, from wherever the flow is now", () => {
    const melt = (k: number) => 5 * Math.exp(0.3 * Math.sin((2 * Math.PI * k) / 24)) * (k > 24 * 15 ? 1.5 : 1);
    const rising = gridOf(Array.from({ length: 24 * 20 + 10 }, (_, k) => melt(k)));
    said(rising, "daily", 24 * 20 + 5).forEach((q, h) => expect(q / melt(24 * 20 + 6 + h)).toBeCloseTo(1, 2));
  });

  test("too little before it says nothing; a gap in one week leaves the others", () => {
    expect(said(grid, "lastWeek", 100)[0]).toBeNaN();
    expect(said(grid, "weekly", 168 * 3)[0]).toBeNaN();
    expect(said(grid, "neighbours", 24 * 60)[0]).toBeNaN();
    const gapped = gridOf(values.map((q, n) => (n === k + 1 - 168 ? NaN : q)));
    expect(said(gapped, "weekly", k)[0]).toBeGreaterThan(0);
  });
});

describe("neighbours", () => {
  const values = wandering(24 * 240, 5);
  values[2000] = NaN;
  const grid = gridOf(values);
  const { figures, size } = statesOf(grid);

  /** Level, and changes over 2, 6 and 24 h: the last is in units of its spread over the first half of the record. */
  test("a state is its level and its changes, each by its spread", () => {
    expect(size).toBe(4);
    const of = (n: number) => [0, 2, 6, 24].map((lag) => grid.y[n]! - (lag ? grid.y[n - lag]! : 0));
    const half = Array.from({ length: grid.y.length / 2 }, (_, n) => n).filter((n) => !of(n).some(Number.isNaN));
    const level = half.map((n) => grid.y[n]!);
    const mean = level.reduce((a, b) => a + b) / level.length;
    const spread = Math.sqrt(level.reduce((a, b) => a + (b - mean) ** 2, 0) / level.length);
    const scale = of(3000)[0]! / figures[4 * 3000]!;
    expect(Math.abs(scale / spread - 1)).toBeLessThan(0.02);
  });

  test.each([24 * 200, 24 * 220 + 7])(
    "of step %i are those that every distance says, none whose outcome came later",
    (k) => {
      const far = (n: number) =>
        [0, 1, 2, 3].reduce((sum, f) => sum + (figures[4 * n + f]! - figures[4 * k + f]!) ** 2, 0);
      const known = Array.from({ length: Math.floor((k - 120 - 24) / 6) + 1 }, (_, n) => k - 120 - 6 * n)
        .filter((n) => !Number.isNaN(far(n)))
        .sort((a, b) => far(a) - far(b));
      const taken: number[] = [];
      for (const n of known)
        if (taken.length < 24 && taken.filter((other) => Math.abs(other - n) < 24).length < 2) taken.push(n);
      const lower = taken.filter((n) => grid.y[n]! < grid.y[k]!).length;
      expect(lower).toBeGreaterThan(3);
      said(grid, "neighbours", k).forEach((q, h) => {
        const changes = taken.map((n) => grid.y[n + h + 1]! - grid.y[n]!).filter((one) => !Number.isNaN(one));
        // Of 24 the mean of the middle six.
        changes.sort((a, b) => a - b);
        const six = changes.slice(Math.floor((3 * changes.length) / 8), Math.ceil((5 * changes.length) / 8));
        const middle = six.reduce((a, b) => a + b) / six.length;
        expect(q / grid.back(grid.y[k]! + middle)).toBeCloseTo(1, 9);
      });
    },
  );

  test("from a flow lower than nearly all of them, falls bend as the river's law says", () => {
    // Fifty falls of ten days, and one that goes on for thirteen more.
    const falling = gridOf(
      Array.from({ length: 24 * 523 }, (_, hour) => {
        const since = hour < 12_000 ? hour % 240 : hour - 12_000;
        return since < 12 ? 20 + since : recededFlow(20, (since - 12) / 24, 0.005, 2);
      }),
    );
    const last = falling.y.length - 1;
    const now = falling.back(falling.y[last]!);
    // The law's own integral (Brutsaert & Nieber 1977).
    expect(said(falling, "recession", last).at(-1)! / recededFlow(now, 5, 0.005, 2)).toBeCloseTo(1, 1);
    const bent = said(falling, "neighbours", last).at(-1)! / now;
    // Its neighbours, at the ends of the fifty falls, lost more of their flow in five days than the law leaves it to.
    expect(bent).toBeGreaterThan(0.9 * (recededFlow(now, 5, 0.005, 2) / now));
    expect(bendAt(5, 10, 2)).toBe(0.5);
    expect(recessionLaw([])).toBeNull();
  });
});

test("nearest first, few within a day of each other: as by sorting all of them", () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.double({ min: 0, max: 9, noNaN: true }), fc.constant(NaN)), { maxLength: 300 }),
      fc.integer({ min: 1, max: 3 }),
      (far, together) => {
        const at = far.map((_, n) => 3 * n);
        const found = nearestApart(at, Float64Array.from(far), { most: 60, together, apart: 7 });
        const plain: number[] = [];
        for (const n of [...far.keys()]
          .filter((n) => !Number.isNaN(far[n]!))
          .sort((a, b) => far[a]! - far[b]! || a - b))
          if (plain.length < 60 && plain.filter((other) => Math.abs(at[other]! - at[n]!) < 7).length < together)
            plain.push(n);
        // Where it looks through fewer than all, it may end sooner; never in another order.
        expect(found).toEqual(far.length <= 240 ? plain : plain.slice(0, found.length));
      },
    ),
  );
});
