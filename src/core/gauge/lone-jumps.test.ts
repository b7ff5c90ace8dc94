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
