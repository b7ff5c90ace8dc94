import { roughnessHeight, speedAtHeight, surfaceSpeed } from "./profile";

test("the mean speed runs at 0.368 of the depth above the bed: the hydrographers' 0.6-depth rule (ISO 748)", () => {
  for (const [depth, ks] of [
    [0.6, 0.05],
    [1.2, 0.15],
    [3, 0.3],
  ] as const) {
    expect(speedAtHeight(0.7, depth, ks, depth * Math.exp(-1))).toBeCloseTo(0.7, 10);
    expect(speedAtHeight(0.7, depth, ks, 0.4 * depth) / 0.7).toBeCloseTo(1, 1);
  }
});

test("the mean of the speeds at 0.2 and 0.8 depth is close to the mean (ISO 748 two-point method)", () => {
  const two = (speedAtHeight(1, 1.2, 0.1, 0.2 * 1.2) + speedAtHeight(1, 1.2, 0.1, 0.8 * 1.2)) / 2;
  expect(two).toBeGreaterThan(0.96);
  expect(two).toBeLessThan(1.04);
});

test("the surface runs at mean / 0.80 when the depth is five roughness heights (USGS float factor, rough and shallow)", () => {
  expect(1 / surfaceSpeed(1, 1, 0.2)).toBeCloseTo(0.8, 2);
});

test("the profile's own mean over the depth is the mean it was given", () => {
  const steps = 20_000;
  let sum = 0;
  for (let k = 0; k < steps; k++) sum += speedAtHeight(0.5, 1, 0.15, (k + 0.5) / steps);
  expect(sum / steps).toBeCloseTo(0.5, 2);
});

test("roughness height inverts Strickler's n, and never stands above half the water", () => {
  const ks = 0.1;
  expect(roughnessHeight(ks ** (1 / 6) / (8.1 * Math.sqrt(9.81)), 2)).toBeCloseTo(ks, 10);
  expect(roughnessHeight(0.08, 0.4)).toBe(0.2);
});
