import { HOUR, type Series } from "./series";
import type { GaugeRecord } from "./summary";
import { usualClarity } from "./usual-clarity";

const series = (parameter: Series["parameter"], values: readonly number[]): Series => ({
  parameter,
  unit: "",
  times: Float64Array.from(values, (_, k) => k * HOUR),
  values: Float64Array.from(values),
});
/** A spate of 100 h: up from 4 to 16 m3/s over 25 h, with 60 NTU, and down again over 75 h with 6 NTU. */
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
