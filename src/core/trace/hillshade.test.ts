import { hillshade } from "./hillshade";

const grid = (of: (x: number, y: number) => number) => {
  const [nx, ny] = [9, 7];
  return {
    nx,
    ny,
    cell: 2,
    z: Float32Array.from({ length: nx * ny }, (_, k) => of(2 * (k % nx), 2 * Math.floor(k / nx))),
  };
};
/** In the middle, where no edge is near. */
const lit = (of: (x: number, y: number) => number) => hillshade(grid(of))[3 * 9 + 4]!;

test("planes are as light as the cosine of their angle to the light (Lambert); y runs south", () => {
  expect(lit(() => 5)).toBeCloseTo(Math.SQRT1_2, 5);
  // Facing the light squarely: falling to the north-west at 45 degrees.
  expect(lit((x, y) => (x + y) * Math.SQRT1_2)).toBeCloseTo(1, 5);
  // Falling away from it at 45 degrees: in its own shadow's edge.
  expect(lit((x, y) => -(x + y) * Math.SQRT1_2)).toBeCloseTo(0, 5);
  // Rising to the east at 20 %: normal (-0.2, 0, 1), light from the north-west.
  const [e, n, u] = [-0.5, 0.5, Math.SQRT1_2];
  expect(lit((x) => 0.2 * x)).toBeCloseTo((-0.2 * e + 0 * n + u) / Math.hypot(0.2, 1), 5);
});
