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
