import { HOUR, type Series } from "./series";
import type { GaugeRecord } from "./summary";
import { usualClarity } from "./usual-clarity";

const series = (parameter: Series["parameter"], values: readonly number[]): Series => ({
  parameter,
  unit: "",
  times: Float64Array.from(values, (_, k) => k * HOUR),
  values: Float64Array.from(values),
});
/** A flood of 100 h: up from 4 to 16 m3/s over 25 h, with 60 NTU, and down again over 75 h with 6 NTU. */
const flow = (k: number) => (k < 25 ? 4 * 4 ** (k / 25) : 16 * 4 ** (-(k - 25) / 75));
const hours = Array.from({ length: 100 }, (_, k) => k);
const record = (change: Partial<GaugeRecord> = {}): GaugeRecord => ({
  station: { id: "g", name: "G" },
  series: [
    series("discharge", hours.map(flow)),
    series(
      "turbidity",
      hours.map((k) => (k < 25 ? 60 : 6)),
    ),
  ],
  ...change,
});
const DEPTH = (ntu: number) => 3.4 * ntu ** -0.71;

test("the same flow is coloured on its way up and clear on its way down", () => {
  expect(usualClarity(record(), 8, "falling")).toMatchObject({
    visibleDepth: expect.closeTo(DEPTH(6), 6) as number,
    from: "turbidity",
    limb: "falling",
  });
  // ln 1.15 either side at ln 4 in 75 h: 15 h of the fall.
  expect(usualClarity(record(), 8, "falling")!.readings).toBeCloseTo((2 * Math.log(1.15) * 75) / Math.log(4), -1);
  // Five hours of the rise are too few to speak for it: both limbs together, and that is said.
  expect(usualClarity(record(), 8, "rising")).toMatchObject({ limb: null });
  const slow = record({
    series: [
      series(
        "discharge",
        hours.map((k) => 4 * 4 ** (k / 100)),
      ),
      series(
        "turbidity",
        hours.map(() => 60),
      ),
    ],
  });
  expect(usualClarity(slow, 8, "rising")).toMatchObject({
    visibleDepth: expect.closeTo(DEPTH(60), 6) as number,
    limb: "rising",
  });
});

test("a flow that was never read, a record without turbidity and one without flow tell nothing", () => {
  expect(usualClarity(record(), 40, "falling")).toBeNull();
  const [discharge, turbidity] = record().series as [Series, Series];
  expect(usualClarity(record({ series: [discharge] }), 8, "falling")).toBeNull();
  expect(usualClarity(record({ series: [turbidity] }), 8, "falling")).toBeNull();
  // Gaps are no readings.
  expect(
    usualClarity(
      record({ series: [discharge, { ...turbidity, values: turbidity.values.map(() => NaN) }] }),
      8,
      "falling",
    ),
  ).toBeNull();
});

test("three readings of the angler's own stand before the gauge's, two do not", () => {
  const seen = [60, 62, 64].map((k) => ({ at: k * HOUR, visibleDepth: 1 + k / 100 }));
  expect(usualClarity(record({ seen }), flow(62), "falling")).toMatchObject({
    visibleDepth: 1.62,
    from: "reading",
    readings: 3,
  });
  expect(usualClarity(record({ seen: seen.slice(1) }), flow(62), "falling")!.from).toBe("turbidity");
});

describe("which readings count", () => {
  /** Flow by hour over 40 hours, and readings of the angler's own at some of them. */
  const seenAt = (flowAt: (k: number) => number, ...readings: readonly (readonly [hour: number, depth: number])[]) =>
    usualClarity(
      record({
        series: [
          series(
            "discharge",
            Array.from({ length: 40 }, (_, k) => flowAt(k)),
          ),
        ],
        seen: readings.map(([hour, visibleDepth]) => ({ at: hour * HOUR, visibleDepth })),
      }),
      10,
      "rising",
    );

  test("those at 1.15 of the flow either way; the middle one of them, in whatever order they came", () => {
    const at = (q: number) => seenAt(() => q, [20, 3], [21, 1], [22, 1.5]);
    expect(at(10 * 1.149)).toMatchObject({ visibleDepth: 1.5, readings: 3, limb: null });
    expect(at(10 / 1.149)).toMatchObject({ visibleDepth: 1.5 });
    expect(at(10 * 1.151)).toBeNull();
    expect(at(10 / 1.151)).toBeNull();
  });

  test("the flow is that of the hour before the reading; older, or no flow at all, is none", () => {
    const until = (last: number, hours: readonly [number, number, number]) =>
      seenAt((k) => (k > last ? NaN : 10), [hours[0], 1], [hours[1], 2], [hours[2], 3]);
    expect(until(20, [18, 19, 20])).not.toBeNull();
    expect(until(20, [18, 19, 21.1])).toBeNull();
    const sparse = (late: number) =>
      usualClarity(
        {
          station: { id: "g", name: "G" },
          series: [{ ...series("discharge", [10, 10, 10]), times: Float64Array.of(0, 10 * HOUR, 20 * HOUR) }],
          seen: [0, 10, 20].map((hour) => ({ at: (hour + late) * HOUR, visibleDepth: 1 })),
        },
        10,
        "rising",
      );
    expect(sparse(1)).toMatchObject({ readings: 3, limb: null });
    expect(sparse(1.01)).toBeNull();
    expect(sparse(-0.5)).toBeNull();
    expect(seenAt((k) => (k === 0 ? 10 : -10), [0, 1], [0.5, 1], [0.9, 1])).not.toBeNull();
    expect(seenAt(() => -10, [20, 1], [21, 1], [22, 1])).toBeNull();
  });

  test("the limb by the flow of six hours before: 1.2 per cent up or down, else neither", () => {
    const limbOf = (change: number) =>
      seenAt((k) => 10 * Math.exp((change / 6) * (k - 21)), [20, 1], [21, 1], [22, 1])?.limb;
    expect(limbOf(0.0125)).toBe("rising");
    expect(limbOf(0.0115)).toBeNull();
    const steady = seenAt((k) => 10 * Math.exp((-0.0115 / 6) * (k - 21)), [20, 1], [21, 2], [22, 3]);
    expect(steady).toMatchObject({ readings: 3, limb: null });
    const falls = (limb: "rising" | "falling") =>
      usualClarity(
        record({
          series: [
            series(
              "discharge",
              Array.from({ length: 40 }, (_, k) => 10 * Math.exp((-0.0125 / 6) * (k - 21))),
            ),
          ],
          seen: [20, 21, 22].map((hour) => ({ at: hour * HOUR, visibleDepth: hour })),
        }),
        10,
        limb,
      );
    expect(falls("falling")).toMatchObject({ limb: "falling", readings: 3, visibleDepth: 21 });
    expect(falls("rising")).toMatchObject({ limb: null, readings: 3 });
  });

  test("three of one limb are its own; of two and some of the other all count together", () => {
    // Up for twenty hours and down again, about 10.
    const hill = (k: number) => 10 * Math.exp(0.005 * (20 - Math.abs(k - 20)) - 0.05);
    expect(seenAt(hill, [12, 1], [13, 2], [14, 3], [30, 9], [31, 9])).toMatchObject({
      limb: "rising",
      visibleDepth: 2,
    });
    expect(seenAt(hill, [12, 1], [13, 2], [30, 9], [31, 9])).toMatchObject({
      limb: null,
      readings: 4,
      visibleDepth: 5.5,
    });
  });

  test("twelve readings of turbidity tell, eleven do not", () => {
    const of = (count: number) =>
      usualClarity(
        record({
          series: [
            series(
              "discharge",
              Array.from({ length: 30 }, () => 10),
            ),
            series(
              "turbidity",
              Array.from({ length: 30 }, (_, k) => (k < count ? 5 : NaN)),
            ),
          ],
        }),
        10,
        "rising",
      );
    expect(of(12)).toMatchObject({ readings: 12, from: "turbidity" });
    expect(of(11)).toBeNull();
  });
});
