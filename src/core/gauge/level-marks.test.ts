import fc from "fast-check";
import { flowsByMark, levelMarks, type LevelReading } from "./level-marks";
import { gaugeNow, isStale } from "./summary";
import { HOUR } from "./series";

const T = Date.parse("2026-05-14T08:00:00Z");
const read = (hours: number, level: number, discharge: number | null, mark = "Flat stone"): LevelReading => ({
  at: T + hours * HOUR,
  mark,
  level,
  discharge,
});
/** A broad weir's law, closed form: Q = 8 (h + 0.4)^1.5 (ISO 18320's power law). */
const weir = (level: number) => 8 * (level + 0.4) ** 1.5;

test("readings at several flows become a rating; a level alone is a flow then", () => {
  fc.assert(
    fc.property(fc.double({ min: -0.25, max: 0.45, noNaN: true }), (level) => {
      const readings = [-0.2, 0, 0.15, 0.3].map((one, k) => read(k, one, weir(one)));
      const [mark] = levelMarks([...readings, read(9, level, null, " flat STONE ")]);
      expect(mark).toMatchObject({ readings: 5, pairs: 4 });
      expect(mark!.flow!.value / weir(level)).toBeCloseTo(1, 2);
      const flows = flowsByMark([...readings, read(9, level, null)]);
      expect(flows).toHaveLength(5);
      expect(flows[4]!.discharge / weir(level)).toBeCloseTo(1, 2);
    }),
  );
});

test("two flows, one level, or flows that fall as the water rises bear no rating, and say so", () => {
  expect(levelMarks([read(0, 0, 3), read(1, 0.1, 4), read(2, 0.2, null)])[0]).toMatchObject({
    pairs: 2,
    rating: null,
    flow: null,
  });
  expect(levelMarks([read(0, 0, 3), read(1, 0, 4), read(2, 0, 5)])[0]!.rating).toBeNull();
  expect(levelMarks([read(0, 0, 5), read(1, 0.1, 4), read(2, 0.2, 3)])[0]!.rating).toBeNull();
});

test("a level far over all that was rated is a guess, and stands in for nothing", () => {
  const readings = [-0.2, 0, 0.15].map((one, k) => read(k, one, weir(one)));
  expect(levelMarks([...readings, read(5, 1.4, null)])[0]!.flow!.extrapolated).toBe(true);
  expect(flowsByMark([...readings, read(5, 1.4, null)])).toHaveLength(3);
});

test("marks are apart, the newest first", () => {
  const marks = levelMarks([read(0, 0, 3), read(4, 0.1, null, "Staff"), read(2, 0.2, null)]);
  expect(marks.map(({ name, readings }) => [name, readings])).toEqual([
    ["Staff", 1],
    ["Flat stone", 2],
  ]);
});

test("a mark stands in for a gauge that has ended, for six hours", () => {
  const series = {
    parameter: "discharge" as const,
    unit: "m3/s",
    times: new Float64Array([T - 100 * HOUR]),
    values: new Float64Array([5]),
  };
  const record = { station: { id: "g", name: "Gauge" }, series: [series] };
  const marked = { ...record, byMark: [{ at: T, discharge: 7.2, mark: "Staff" }] };
  expect(isStale(record, T + HOUR)).toBe(true);
  expect(isStale(marked, T + HOUR)).toBe(false);
  expect(gaugeNow(marked, T + HOUR)).toMatchObject({ discharge: 7.2, dischargeFrom: "mark", trend: null });
  expect(isStale(marked, T + 7 * HOUR)).toBe(true);
  expect(gaugeNow(marked, T + 7 * HOUR).discharge).toBeNull();
  // A gauge that tells is believed before a stone.
  const live = { ...marked, series: [{ ...series, times: new Float64Array([T]), values: new Float64Array([5]) }] };
  expect(gaugeNow(live, T + HOUR).discharge).toBe(5);
});
