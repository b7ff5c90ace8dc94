import type { AveragingWindow } from "./averaging";
import { judge, whyUnsettled } from "./settled";

/** A window by its imbalance, depth and pulse: ten cells. */
function windowOf(imbalance: number, depth = 1, pulse = 0, clipped = 0): AveragingWindow {
  const fill = (value: number) => new Float32Array(10).fill(20 * value);
  return {
    seconds: 20,
    outflow: 20 * 10 * (1 + imbalance),
    clipped: 20 * 10 * clipped,
    h: fill(depth),
    qx: fill(1 + pulse),
    qy: fill(0),
    s: fill(1),
    s2: fill(1),
    meanOutflow: () => 10 * (1 + imbalance),
    imbalance: () => imbalance,
    massError: () => Math.abs(imbalance) + clipped,
    speedSpread: () => 0,
  };
}

test("two windows that agree and pass what comes in are settled; one alone, or two that differ, are not", () => {
  expect(judge([windowOf(0)], 10, 1)).toBeUndefined();
  expect(judge([windowOf(0.004), windowOf(-0.004)], 10, 1)?.verdict).toBe("converged");
  expect(judge([windowOf(0.006), windowOf(0)], 10, 1)).toBeUndefined();
  expect(judge([windowOf(0.006), windowOf(0)], 10, 2)?.verdict).toBe("converged");
  expect(judge([windowOf(0, 1), windowOf(0, 1.003)], 10, 1)).toBeUndefined();
  expect(judge([windowOf(0, 1, 0), windowOf(0, 1, 0.02)], 10, 1)).toBeUndefined();
  // Water that clipping made is water that did not come in.
  expect(judge([windowOf(0, 1, 0, 0.006), windowOf(0)], 10, 1)).toBeUndefined();
});

test("pulsing water is settled when four windows or six pass what comes in and both their halves stand alike", () => {
  const pulsing = [0.02, -0.02, 0.018, -0.019].map((imbalance, k) => windowOf(imbalance, 1, k % 2 ? 0.05 : -0.05));
  expect(judge(pulsing.slice(0, 3), 10, 1)).toBeUndefined();
  expect(judge(pulsing, 10, 1)).toMatchObject({ verdict: "shedding", windows: pulsing });
  const creeping = [1, 1.002, 1.006, 1.01].map((depth, k) => windowOf(0, depth, k % 2 ? 0.05 : -0.05));
  expect(judge(creeping, 10, 1)).toBeUndefined();
  const filling = [-0.01, -0.009, -0.008, -0.007].map((imbalance, k) => windowOf(imbalance, 1, k % 2 ? 0.05 : -0.05));
  expect(judge(filling, 10, 1)).toBeUndefined();
  const long = [0.03, 0.02, -0.01, -0.02, -0.03, 0.01].map((imbalance, k) =>
    windowOf(imbalance, 1, k % 2 ? 0.05 : -0.05),
  );
  expect(judge(long, 10, 1)?.windows).toHaveLength(6);
});

test("why water has not settled: it fills, runs out, or pulses", () => {
  expect(whyUnsettled([windowOf(-0.02), windowOf(-0.01)], 10)).toBe("filling");
  expect(whyUnsettled([windowOf(0.02), windowOf(0.01)], 10)).toBe("emptying");
  expect(whyUnsettled([windowOf(0.02), windowOf(-0.02)], 10)).toBe("pulsing");
});
