import type { Field } from "./grid";
import { probeAt } from "./probe";

const [nx, ny] = [10, 6];
const fill = (of: (i: number, j: number) => number) =>
  Float32Array.from({ length: nx * ny }, (_, k) => of(k % nx, Math.floor(k / nx)));
const field: Field = {
  nx,
  ny,
  cell: 1,
  discharge: 1,
  bed: fill(() => 0),
  roughness: fill(() => 0.028),
  depth: fill((i, j) => (j === 0 ? 0 : 0.8 + 0.1 * i)),
  u: fill(() => 0.3),
  v: fill(() => 0.4),
  speedDeviation: fill(() => 0.05),
  verdict: "converged",
  massError: 0,
  steps: 1,
};

test("between cells the depth is read linearly; speed, heading and Froude number follow", () => {
  const probe = probeAt(field, 4, 3.5);
  expect(probe.depth).toBeCloseTo(0.8 + 0.1 * 3.5, 6);
  expect(probe.mean).toBeCloseTo(0.5, 6);
  expect(probe.heading).toBeCloseTo(53.13, 2);
  expect(probe.froude).toBeCloseTo(0.5 / Math.sqrt(9.81 * 1.15), 6);
  expect(probe.pulse).toBeCloseTo(0.05, 6);
});

test("the surface runs faster than the mean by the float factor 0.8 to 0.9 (USGS practice), the bed slower", () => {
  const { mean, surface, nearBed } = probeAt(field, 5, 3.5);
  expect(mean / surface).toBeGreaterThan(0.78);
  expect(mean / surface).toBeLessThan(0.92);
  expect(nearBed).toBeLessThan(0.8 * mean);
  expect(nearBed).toBeGreaterThan(0);
});

test("dry ground is dry; off the reach is its edge", () => {
  expect(probeAt(field, 3, 0.4)).toMatchObject({ depth: 0, mean: 0, surface: 0, froude: 0 });
  expect(probeAt(field, 99, -5)).toMatchObject({ x: 10, y: 0 });
});
