import fc from "fast-check";
import { InputError } from "../quantity/fault";
import { cameraPlane } from "../../testing/film-scene";
import { fromDistances, planeByLevel } from "./ground-points";
import { composed, homographyOf, inverse, type Point, project, scaleAt } from "./homography";

const SIZE = { width: 960, height: 540 };
/** Cameras as they are held from a bank or a bridge. */
const camera = fc.record({
  width: fc.constant(SIZE.width),
  height: fc.constant(SIZE.height),
  fieldOfView: fc.double({ min: 45, max: 90, noNaN: true }),
  at: fc.tuple(fc.double({ min: -20, max: 20, noNaN: true }), fc.double({ min: -20, max: 20, noNaN: true })),
  high: fc.double({ min: 1.5, max: 12, noNaN: true }),
  heading: fc.double({ min: -180, max: 180, noNaN: true }),
  tilt: fc.double({ min: 12, max: 60, noNaN: true }),
  roll: fc.double({ min: -8, max: 8, noNaN: true }),
});
/** Four places of the frame, round its middle. */
const QUAD: Point[] = [
  [280, 240],
  [690, 255],
  [860, 480],
  [110, 450],
];
const apart = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);

test("four points make the whole plane, whatever the camera; the way back leads back", () => {
  fc.assert(
    fc.property(camera, fc.double({ min: 100, max: 850, noNaN: true }), (one, x) => {
      const truth = cameraPlane(one);
      const found = homographyOf(
        QUAD,
        QUAD.map((point) => project(truth, point)),
      );
      const point: Point = [x, 400];
      const on = project(truth, point);
      expect(apart(project(found, point), on)).toBeLessThan(1e-6 * (1 + Math.hypot(...on)));
      expect(apart(project(composed(inverse(found), found), point), point)).toBeLessThan(1e-6);
    }),
  );
});

test("a camera that looks straight down sees all at one scale: height times pixel over focal length", () => {
  const plane = cameraPlane({ ...SIZE, fieldOfView: 60, at: [0, 0], high: 10, heading: 0, tilt: 90, roll: 0 });
  const focal = SIZE.width / 2 / Math.tan(Math.PI / 6);
  for (const point of QUAD) expect(scaleAt(plane, point)).toBeCloseTo(10 / focal, 6);
});

test("points in a line are refused", () => {
  const line: Point[] = [
    [0, 0],
    [10, 10],
    [20, 20],
    [0, 30],
  ];
  expect(() => homographyOf(line, QUAD)).toThrow(InputError);
  expect(() => homographyOf(QUAD, line)).toThrow(InputError);
});

test("five distances give back the four points, turned and moved, never mirrored", () => {
  fc.assert(
    fc.property(camera, (one) => {
      const ground = QUAD.map((point) => project(cameraPlane(one), point)) as [Point, Point, Point, Point];
      const [a, b, c, d] = ground;
      const found = fromDistances(QUAD, {
        ab: apart(a, b),
        bc: apart(b, c),
        cd: apart(c, d),
        da: apart(d, a),
        ac: apart(a, c),
      }) as [Point, Point, Point, Point];
      expect(apart(found[1], found[3])).toBeCloseTo(apart(b, d), 6);
      const turn = ([p, q, r]: readonly Point[]) =>
        (q![0] - p![0]) * (r![1] - p![1]) - (q![1] - p![1]) * (r![0] - p![0]);
      expect(Math.sign(turn(found))).toBe(Math.sign(turn(ground)));
    }),
  );
});

test("distances that cannot be are refused, with the points named", () => {
  const distances = { ab: 5, bc: 4, cd: 6, da: 5, ac: 20 };
  expect(() => fromDistances(QUAD, distances)).toThrow(
    expect.objectContaining({
      fault: expect.objectContaining({ code: "distances-do-not-close", values: { names: "A, B and C" } }),
    }),
  );
});

test("two points and the horizon give the same plane as the camera's own place", () => {
  fc.assert(
    fc.property(camera, (one) => {
      const truth = cameraPlane(one);
      // The horizon is where the plane's third coordinate is nought.
      const [a, b, c] = truth.slice(6) as [number, number, number];
      const horizon = (x: number): Point => [x, -(a * x + c) / b];
      const [p, q] = [QUAD[3]!, QUAD[2]!];
      const found = planeByLevel(
        {
          points: [p, q],
          distance: apart(project(truth, p), project(truth, q)),
          level: [horizon(0), horizon(960)],
          fieldOfView: one.fieldOfView,
        },
        SIZE,
      );
      const [e, f, g] = [QUAD[0]!, QUAD[2]!, QUAD[3]!];
      for (const [from, to] of [
        [e, f],
        [f, g],
        [g, e],
      ] as const)
        expect(apart(project(found, from), project(found, to))).toBeCloseTo(
          apart(project(truth, from), project(truth, to)),
          4,
        );
    }),
  );
});

test("points above the level line are refused", () => {
  const level: [Point, Point] = [
    [0, 500],
    [960, 500],
  ];
  expect(() => planeByLevel({ points: [QUAD[0]!, QUAD[1]!], distance: 5, level, fieldOfView: 60 }, SIZE)).toThrow(
    InputError,
  );
});
