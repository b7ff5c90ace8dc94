import { distanceTo } from "../flow/features";
import type { Field } from "../flow/grid";
import type { Feature } from "../flow/reach-schema";
import { landingPlace, woodNear } from "./fish-on";
import { headingTo, onLine, SPOT_WIDTH } from "./heading";

const log = { kind: "log", x: 50, y: 10, length: 6, width: 1, height: 0.5, angle: 90 } as Feature;

test("distance to a turned rectangle and to a disc, by hand", () => {
  // Turned a quarter: 6 m along y, 1 m along x.
  expect(distanceTo(log, 52.5, 10)).toBeCloseTo(2, 9);
  expect(distanceTo(log, 50, 14)).toBeCloseTo(1, 9);
  expect(distanceTo(log, 50.2, 11)).toBe(0);
  expect(distanceTo({ kind: "boulder", x: 0, y: 0, diameter: 2, height: 1 } as Feature, 3, 4)).toBeCloseTo(4, 9);
  expect(woodNear([log], { x: 53.5, y: 10 })).toEqual({ kind: "log", away: expect.closeTo(3, 9) as number });
  expect(woodNear([log], { x: 70, y: 10 })).toBeUndefined();
});

/** A river running to larger x between banks at y < 4 and y > 26; deep and quick but for a shelf on the near bank. */
function river(shelf: readonly [number, number]): Field {
  const [nx, ny, cell] = [120, 60, 0.5];
  const make = (of: (x: number, y: number) => number) =>
    Float32Array.from({ length: nx * ny }, (_, k) => of(((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell));
  const onShelf = (x: number, y: number) => x > shelf[0] && x < shelf[1] && y > 4 && y < 8;
  const depth = (x: number, y: number) => (y <= 4 || y >= 26 ? 0 : onShelf(x, y) ? 0.09 + 0.08 * (y - 4) : 1.4);
  return {
    nx,
    ny,
    cell,
    discharge: 5,
    bed: make((x, y) => (depth(x, y) > 0 ? -depth(x, y) : 0.3)),
    roughness: make(() => 0.03),
    depth: make(depth),
    u: make((x, y) => (depth(x, y) === 0 ? 0 : onShelf(x, y) ? 0.1 : 0.9)),
    v: make(() => 0),
    speedDeviation: make(() => 0),
    verdict: "converged",
    massError: 0,
    steps: 0,
  };
}

test("a fish is landed on a slack, shelving place within a walk, rather below than above, and not beside wood", () => {
  const from = [30, 3] as const;
  const below = landingPlace(river([35, 40]), [], from, [1, 0])!;
  expect([below.x > 35 && below.x < 40, below.below > 4, below.depth < 0.45, below.speed < 0.3]).toEqual([
    true,
    true,
    true,
    true,
  ]);
  const above = landingPlace(river([20, 25]), [], from, [1, 0])!;
  expect(above.below).toBeLessThan(-4);
  const wood = { ...log, x: 37.5, y: 6, angle: 0 } as Feature;
  expect(landingPlace(river([35, 40]), [wood], from, [1, 0])).toBeUndefined();
  // Farther than a walk, or nothing but deep and quick water.
  expect(landingPlace(river([58, 59]), [], [5, 3], [1, 0])).toBeUndefined();
  expect(landingPlace(river([0, 0]), [], from, [1, 0])).toBeUndefined();
});

test("a line to a spot: distance and bearing by the haversine (a minute of latitude is a nautical mile), and how far off it one is", () => {
  const from = { latitude: 53, longitude: -7 };
  // One minute of arc on a sphere of the earth's mean radius is 1853 m.
  const north = headingTo(from, { latitude: 53 + 1 / 60, longitude: -7 });
  expect([north.distance, north.bearing]).toEqual([expect.closeTo(1853.2, 0), expect.closeTo(0, 6)]);
  const east = headingTo(from, { latitude: 53, longitude: -7 + 1 / 60 });
  expect(east.distance).toBeCloseTo(1853.2 * Math.cos((53 * Math.PI) / 180), 0);
  expect(east.bearing).toBeCloseTo(90, 1);
  const spot = { latitude: 53.001, longitude: -7 };
  // Two metres to the east of a line that runs north: to its right.
  const off = onLine(from, spot, { latitude: 53.0005, longitude: -7 + 2 / (111_195 * Math.cos((53 * Math.PI) / 180)) });
  expect([off.off, off.there]).toEqual([expect.closeTo(2, 2), false]);
  expect(onLine(from, spot, { ...spot, latitude: spot.latitude - SPOT_WIDTH / 2.1 / 111_195 }).there).toBe(true);
});
