import { sampleOutlook, T0 } from "../../testing/plan-samples";
import { verdictWords, windowWords } from "../../words/verdict";
import type { GaugeNow } from "./summary";
import { rightWindow } from "./right-window";
import { HOUR } from "./series";
import { flowLimits, levelIn, NO_LIMITS, stateNow, type WaterState, verdictOf } from "./verdict";

const state = (change: Partial<WaterState> = {}): WaterState => ({
  discharge: 6,
  level: "usual",
  limb: "steady",
  risingFast: false,
  clarity: "clear",
  ...change,
});
const verdict = (change: Partial<WaterState>, limits = NO_LIMITS) => verdictOf(state(change), limits)?.verdict ?? null;

// Low and clear, coloured and dropping, high and dirty, rising fast: common practice, no source.
test("the four states of the trade: coloured and dropping is prime, rising fast is left, whatever its colour", () => {
  expect(verdict({ limb: "falling", clarity: "coloured" })).toBe("prime");
  expect(verdict({ limb: "falling", clarity: "green" })).toBe("prime");
  expect(verdict({ limb: "falling" })).toBe("fishable");
  expect(verdict({ limb: "rising", clarity: "coloured" })).toBe("fishable");
  expect(verdict({ level: "low" })).toBe("low-clear");
  expect(verdict({ level: "low", clarity: "green" })).toBe("fishable");
  expect(verdict({ clarity: "muddy", limb: "falling" })).toBe("high-dirty");
  expect(verdict({ level: "very-high", clarity: "coloured", limb: "falling" })).toBe("high-dirty");
  for (const clarity of ["muddy", "coloured", "clear"] as const)
    expect(verdict({ risingFast: true, limb: "rising", clarity })).toBe("leave");
  expect(verdict({ discharge: null, clarity: null, level: null })).toBeNull();
});

test("the angler's own limits go before the season: a large river is fished high, a small one is left early", () => {
  const own = { low: 3, high: 20 };
  expect(verdict({ level: "very-high", discharge: 18, limb: "falling", clarity: "green" }, own)).toBe("prime");
  expect(verdict({ level: "usual", discharge: 21 }, own)).toBe("high-dirty");
  expect(verdict({ level: "usual", discharge: 41 }, own)).toBe("leave");
  expect(verdict({ level: "usual", discharge: 2.5 }, own)).toBe("low-clear");
  expect(verdict({ level: "low", discharge: 3.5 }, own)).toBe("fishable");
});

test("limits are the widest range of the bands by flow; one that is open leaves it open", () => {
  const band = (low: number | null, high: number | null, measure: "discharge" | "stage" = "discharge") => ({
    spot: "a",
    measure,
    low,
    high,
  });
  expect(flowLimits([band(3, 9), band(5, 12), band(0, 1, "stage")])).toEqual({ low: 3, high: 12 });
  expect(flowLimits([band(3, 9), band(null, 12)])).toEqual({ low: null, high: 12 });
  expect(flowLimits([])).toEqual(NO_LIMITS);
});

test("now and at an hour ahead a season is read alike", () => {
  const season = Array.from({ length: 365 }, () => [1, 2, 4, 8, 16]);
  expect(["very-high", "usual", "low"]).toEqual([17, 5, 1.5].map((discharge) => levelIn(season, T0, discharge)));
  expect(levelIn(null, T0, 5)).toBeNull();
  const now = {
    discharge: 5,
    exceedance: 0.05,
    seasonYears: 6,
    trend: "falling",
    ratePerHour: -0.01,
    clarity: "green",
  };
  expect(stateNow(now as GaugeNow).level).toBe("very-high");
  expect(stateNow({ ...now, seasonYears: 1 } as GaugeNow).level).toBeNull();
});

describe("the window", () => {
  const STEPS = 96;
  /** Paths that fall from muddy to clear water over four days; in the first part of them a spate comes at an hour. */
  const outlook = (spates: number, at: number, { from = 0.2, to = 2.2 } = {}) => {
    const paths = Array.from({ length: 60 }, (_, n) =>
      Float64Array.from({ length: STEPS }, (_, h) => 10 * 0.99 ** h * (n < spates && h >= at ? 4 : 1) * (1 + n / 6000)),
    );
    const points = Array.from({ length: STEPS }, (_, h) => ({
      time: T0 + (h + 1) * HOUR,
      low: paths[0]![h]!,
      median: paths[30]![h]!,
      high: paths[59]![h]!,
    }));
    const visibleDepth = points.map(({ time }, h) => {
      const seen = from + ((to - from) * h) / STEPS;
      return { time, low: 0.9 * seen, median: seen, high: 1.1 * seen };
    });
    const flow = { from: T0, discharge: 10, method: "combined" as const, ways: [], step: HOUR, points, paths };
    return { ...sampleOutlook(), season: null, visibleDepth, flow };
  };

  test("it is where the level falls and colour is in: not while it is mud, nor when it has cleared", () => {
    const found = rightWindow(outlook(0, 0), NO_LIMITS, 96)!;
    expect(found.kind).toBe("prime");
    // 0.3 m is seen after 5 h, 1.2 m after 48 h.
    expect((found.from - T0) / HOUR).toBeGreaterThan(2);
    expect((found.from - T0) / HOUR).toBeLessThan(8);
    expect((found.to - T0) / HOUR).toBeGreaterThan(44);
    expect((found.to - T0) / HOUR).toBeLessThan(52);
    expect(found.probability).toBeGreaterThan(0.95);
  });

  test("its chance falls with the paths that spoil it, and it ends where most do", () => {
    const early = rightWindow(outlook(20, 12), { low: null, high: 15 }, 96)!;
    expect(early.probability).toBeGreaterThan(0.55);
    expect(early.probability).toBeLessThan(0.8);
    const cut = rightWindow(outlook(45, 20), { low: null, high: 12 }, 96)!;
    expect((cut.to - T0) / HOUR).toBeLessThanOrEqual(21);
  });

  test("it moves with the limits, and there is none where they are never kept, or the water stays mud", () => {
    const open = rightWindow(outlook(0, 0), NO_LIMITS, 96)!;
    const low = rightWindow(outlook(0, 0), { low: null, high: 8 }, 96)!;
    // 10 m3/s are down to 8 after 22 h.
    expect(low.from).toBeGreaterThan(open.from + 12 * HOUR);
    expect(rightWindow(outlook(0, 0), { low: null, high: 1 }, 96)).toBeNull();
    expect(rightWindow(outlook(0, 0, { from: 0.1, to: 0.2 }), NO_LIMITS, 96)).toBeNull();
    expect(rightWindow({ ...outlook(0, 0), flow: null }, NO_LIMITS, 96)).toBeNull();
  });

  test("without colour it is fishable, within the hours that are asked about", () => {
    const clear = rightWindow(outlook(0, 0, { from: 2, to: 2.4 }), NO_LIMITS, 24)!;
    expect(clear).toMatchObject({ kind: "fishable", from: T0, to: T0 + 24 * HOUR, probability: 1 });
  });
});

test("said in plain words, in either system", () => {
  expect(verdictWords({ verdict: "prime", rule: "falling-with-colour" }, "us")).toBe(
    "Prime. The level is falling, with colour still in.",
  );
  expect(verdictWords({ verdict: "high-dirty", rule: "muddy" }, "us")).toMatch(/1 ft/);
  expect(verdictWords({ verdict: "high-dirty", rule: "muddy" }, "metric")).toMatch(/30 cm/);
  expect(windowWords(null, T0)).toMatch(/^No fishable window/);
  const window = { kind: "prime" as const, from: T0, to: T0 + 9 * HOUR, probability: 0.766 };
  expect(windowWords(window, T0)).toMatch(/^Prime from now to .*, on 77 % of the forecast paths\.$/);
});
