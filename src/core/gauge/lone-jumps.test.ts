import { leftOut, loneJumps } from "./lone-jumps";
import { sameRecord } from "./same-gauge";
import { HOUR, seriesFrom } from "./series";

/** All rules: common practice, no source. */
const of = (parameter: "discharge" | "stage", values: readonly number[], step = HOUR) =>
  seriesFrom(
    parameter,
    values.map((value, k) => [k * step, value] as const),
  );

describe("a reading that leaps alone", () => {
  const still = of("stage", [0.5, 0.5, 0.51, 0.5, 0.5]);
  test("is marked while the level stands still, and becomes a gap where it is left out", () => {
    const flow = of("discharge", [4, 4.1, 40, 4.1, 4]);
    const jumps = loneJumps([flow, still]);
    expect(jumps).toEqual([{ parameter: "discharge", at: 2 * HOUR, value: 40, around: 4.1 }]);
    expect([...leftOut(flow, jumps).values]).toEqual([4, 4.1, NaN, 4.1, 4]);
    expect(leftOut(still, jumps)).toBe(still);
    // A fall to nothing is a leap as well.
    expect(loneJumps([of("discharge", [4, 4.1, 0.1, 4.1, 4]), still])).toHaveLength(1);
  });

  test("is none where the level moves too, where the step lasts, where it is small, or where no level is read", () => {
    const flow = of("discharge", [4, 4.1, 40, 4.1, 4]);
    expect(loneJumps([flow, of("stage", [0.5, 0.5, 1.6, 0.5, 0.5])])).not.toContainEqual(
      expect.objectContaining({ parameter: "discharge" }),
    );
    expect(loneJumps([of("discharge", [4, 4.1, 40, 40, 40]), still])).toEqual([]);
    expect(loneJumps([of("discharge", [4, 4.1, 5, 4.1, 4]), still])).toEqual([]);
    expect(loneJumps([flow])).toEqual([]);
    expect(loneJumps([of("discharge", [4, 4.1, 40, 4.1, 4], 6 * HOUR), still])).toEqual([]);
  });

  test("of the level counts by metres, since its zero is anybody's", () => {
    const flow = of("discharge", [4, 4, 4.1, 4, 4]);
    expect(loneJumps([flow, of("stage", [-0.02, -0.02, 0.9, -0.01, -0.02])])).toMatchObject([{ parameter: "stage" }]);
    expect(loneJumps([flow, of("stage", [0.02, 0.02, 0.1, 0.02, 0.02])])).toEqual([]);
  });
});

test("two records are of one gauge where enough of their readings stand at the same instants and agree", () => {
  const values = Array.from({ length: 20 }, (_, k) => 3 + k / 7);
  const own = [of("discharge", values)];
  expect(sameRecord(own, [of("discharge", [...values, 9, 9])])).toBe(true);
  expect(sameRecord(own, [of("discharge", [0, ...values.slice(1)])])).toBe(true);
  expect(
    sameRecord(own, [
      of(
        "discharge",
        values.map((value) => value + 0.01),
      ),
    ]),
  ).toBe(false);
  expect(sameRecord(own, [of("stage", values)])).toBe(false);
  expect(sameRecord(own, [of("discharge", values.slice(0, 7))])).toBe(false);
  expect(sameRecord(own, [of("discharge", values, HOUR / 2 + 1)])).toBe(false);
});

describe("the rules of a lone leap, at their limits", () => {
  const flow = (leap: number, around = 10, after = around) => of("discharge", [around, around, leap, after, around]);
  const still = of("stage", [0.5, 0.5, 0.5, 0.5, 0.5]);

  test("more than four tenths of what is about it; neighbours within a tenth of each other", () => {
    expect(loneJumps([flow(14), still])).toEqual([]);
    expect(loneJumps([flow(14.01), still])).toHaveLength(1);
    expect(loneJumps([flow(40, 10, 10.9), still])).toHaveLength(1);
    expect(loneJumps([flow(40, 10, 11.2), still])).toEqual([]);
    // Of a small stream a tenth is less.
    expect(loneJumps([flow(2, 0.2, 0.225), still])).toEqual([]);
    expect(loneJumps([flow(2, 0.2, 0.215), still])).toHaveLength(1);
  });

  test("neighbours three hours from each other, and no more; gaps between them are passed over", () => {
    const every = (hours: number) => {
      const step = hours * HOUR;
      return loneJumps([of("discharge", [4, 4, 40, 4, 4], step), of("stage", [0.5, 0.5, 0.5, 0.5, 0.5], step)]);
    };
    expect(every(1.5)).toHaveLength(1);
    expect(every(1.6)).toEqual([]);
    const gapped = of("discharge", [4, 4, NaN, 40, 4, 4]);
    expect(loneJumps([gapped, of("stage", [0.5, 0.5, 0.5, 0.5, 0.5, 0.5])])).toMatchObject([
      { at: 3 * HOUR, around: 4 },
    ]);
  });

  test("the level may move by two centimetres meanwhile, flow by a twentieth; what it did before or after is nothing to it", () => {
    const leap = flow(40);
    expect(loneJumps([leap, of("stage", [3, 0.5, 0.519, 0.5, 9])])).toHaveLength(1);
    expect(loneJumps([leap, of("stage", [0.5, 0.5, 0.521, 0.5, 0.5])])).toEqual([]);
    const stage = of("stage", [0.1, 0.1, 0.6, 0.1, 0.1]);
    expect(loneJumps([of("discharge", [9, 4, 4.2, 4, 9]), stage])).toMatchObject([{ parameter: "stage" }]);
    expect(loneJumps([of("discharge", [4, 4, 4.3, 4, 4]), stage])).toEqual([]);
  });

  test("a witness of one reading, or of old ones, saw nothing", () => {
    const leap = flow(40);
    expect(loneJumps([leap, of("stage", [NaN, NaN, 0.5, NaN, NaN])])).toEqual([]);
    expect(loneJumps([leap, of("stage", [NaN, 0.5, NaN, 0.5, NaN])])).toHaveLength(1);
    // The reading before the stretch counts where it is no more than three hours old: the leap is from hour 4 to 6.
    const late = (hour: number) =>
      loneJumps([
        of("discharge", [4, 4, 4, 4, 4, 40, 4, 4]),
        seriesFrom("stage", [
          [hour * HOUR, 0.5],
          [5.5 * HOUR, 0.5],
        ]),
      ]);
    expect(late(1)).toHaveLength(1);
    expect(late(0.9)).toEqual([]);
  });

  test("those of both measures are told in order of time", () => {
    const both = loneJumps([
      of("discharge", [4, 4, 4, 4, 4, 4, 40, 4, 4]),
      of("stage", [0.1, 0.1, 0.9, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1]),
    ]);
    expect(both.map(({ parameter, at }) => [parameter, at / HOUR])).toEqual([
      ["stage", 2],
      ["discharge", 6],
    ]);
  });
});

describe("one gauge or two, at the limits", () => {
  const many = (count: number, change: (k: number) => number = (k) => 3 + k) =>
    of(
      "discharge",
      Array.from({ length: count }, (_, k) => change(k)),
    );

  test("eight shared instants, nine tenths of them equal, to a millionth of the greater", () => {
    expect(sameRecord([many(8)], [many(8)])).toBe(true);
    expect(sameRecord([many(7)], [many(7)])).toBe(false);
    expect(sameRecord([many(20)], [many(20, (k) => (k < 2 ? 0 : 3 + k))])).toBe(true);
    expect(sameRecord([many(20)], [many(20, (k) => (k < 3 ? 0 : 3 + k))])).toBe(false);
    const near = (share: number) => sameRecord([many(9, () => 400)], [many(9, () => 400 * (1 + share))]);
    expect(near(0.9e-6)).toBe(true);
    expect(near(1.1e-6)).toBe(false);
    // Of a figure near nought the millionth is of one.
    expect(sameRecord([many(9, () => 0)], [many(9, () => 0.9e-6)])).toBe(true);
    expect(sameRecord([many(9, () => 0)], [many(9, () => 1.1e-6)])).toBe(false);
  });

  test("gaps are no readings, and either may have more instants than the other, before, between and after", () => {
    const gaps = many(20, (k) => (k % 2 ? NaN : 3 + k));
    expect(sameRecord([gaps], [many(20)])).toBe(true);
    expect(sameRecord([many(20)], [gaps])).toBe(true);
    expect(sameRecord([many(14, (k) => (k % 2 ? NaN : 3 + k))], [many(14)])).toBe(false);
    const dense = seriesFrom(
      "discharge",
      Array.from({ length: 60 }, (_, k) => [(k - 10) * (HOUR / 2), k % 2 ? 77 : 3 + (k - 10) / 2] as const),
    );
    expect(sameRecord([many(12)], [dense])).toBe(true);
    expect(sameRecord([dense], [many(12)])).toBe(true);
  });
});
