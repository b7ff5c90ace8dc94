import { HOUR, MINUTE } from "../gauge/series";
import type { RiverState } from "./record-base";
import { isOther, riverRuns } from "./river-runs";

const T0 = Date.UTC(2026, 4, 1, 6);
const state = (at: number, change: Partial<RiverState> = {}): RiverState => ({
  at: new Date(at).toISOString(),
  discharge: 10,
  stage: 1,
  waterTemperature: 11,
  visibleDepth: 1,
  exceedance: 0.4,
  trend: "steady",
  ...change,
});

test("a river that stays as it is makes one run; the runs are the whole span, end to start", () => {
  expect(riverRuns(T0, T0 + 8 * HOUR, state)).toHaveLength(1);
  const runs = riverRuns(T0, T0 + 8 * HOUR, (at) => state(at, { discharge: at < T0 + 3 * HOUR ? 10 : 14 }));
  expect(runs.map(({ start, end }) => [start - T0, end - T0])).toEqual([
    [0, 3 * HOUR],
    [3 * HOUR, 8 * HOUR],
  ]);
  expect(runs.map(({ river }) => river!.discharge)).toEqual([10, 14]);
  expect(riverRuns(T0, T0, state)).toEqual([{ start: T0, end: T0, river: state(T0) }]);
});

test("an exponential fall Q = Q0 exp(-k t) is cut each ln(1.05)/k, to the quarter hour (closed form)", () => {
  const k = 0.05 / HOUR;
  const runs = riverRuns(T0, T0 + 24 * HOUR, (at) =>
    state(at, { discharge: 20 * Math.exp(-k * (at - T0)), trend: "falling" }),
  );
  const each = Math.ceil(Math.log(1.05) / k / (15 * MINUTE)) * 15 * MINUTE;
  runs.slice(0, -1).forEach(({ start, end }) => expect(end - start).toBe(each));
  expect(runs.at(-1)!.end).toBe(T0 + 24 * HOUR);
});

test("another limb, another class of clarity or a gauge that falls silent is another river; a hand of level where there is no flow", () => {
  const now = state(T0);
  expect(isOther(now, state(T0, { trend: "falling" }))).toBe(true);
  expect(isOther(now, state(T0, { visibleDepth: 0.2 }))).toBe(true);
  expect(isOther(now, state(T0, { waterTemperature: 15 }))).toBe(false);
  expect(isOther(now, null)).toBe(true);
  expect(isOther(null, null)).toBe(false);
  const level = (stage: number | null) => state(T0, { discharge: null, stage });
  expect(isOther(level(1), level(1.04))).toBe(false);
  expect(isOther(level(1), level(1.06))).toBe(true);
  expect(isOther(level(1), level(null))).toBe(true);
  expect(isOther(state(T0, { discharge: 0 }), state(T0, { discharge: 0.1 }))).toBe(true);
});

test("another river, at its limits: a twentieth of the flow, five centimetres of level; what is not read is another", () => {
  const flow = (discharge: number | null, stage: number | null = 1) => state(T0, { discharge, stage });
  expect(isOther(flow(10), flow(10.49))).toBe(false);
  expect(isOther(flow(10), flow(10.5))).toBe(true);
  expect(isOther(flow(10.5), flow(10))).toBe(true);
  expect(isOther(flow(10), flow(9.6))).toBe(false);
  // A change of level is nothing where the flow is read.
  expect(isOther(flow(10, 1), flow(10, 3))).toBe(false);
  for (const [a, b, other] of [
    [10, null, true],
    [null, 10, true],
    [null, null, false],
    [0, 0, false],
    [0, 3, true],
    [3, 0, true],
    [-1, -1, false],
    [-1, 3, true],
    [3, -1, true],
  ] as const)
    expect(isOther(flow(a), flow(b))).toBe(other);
  expect(isOther(flow(null, 1), flow(null, 1.0625))).toBe(true);
  expect(isOther(flow(null, null), flow(null, null))).toBe(false);
  expect(isOther(flow(null, null), flow(null, 1))).toBe(true);
  expect(isOther(flow(null, 1), flow(null, null))).toBe(true);
  const clear = (visibleDepth: number | null) => state(T0, { visibleDepth });
  expect(isOther(clear(null), clear(null))).toBe(false);
  expect(isOther(clear(null), clear(1))).toBe(true);
  expect(isOther(clear(1), clear(null))).toBe(true);
  expect(isOther(null, state(T0))).toBe(true);
});

test("the river is looked at each quarter of an hour after the start, and not at the end", () => {
  const asked: number[] = [];
  riverRuns(T0, T0 + HOUR, (at) => {
    asked.push((at - T0) / MINUTE);
    return null;
  });
  expect(asked).toEqual([0, 15, 30, 45]);
});
