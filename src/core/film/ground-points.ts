import { InputError } from "../quantity/fault";
import { type Homography, type Point, project, turnOf } from "./homography";

/** Distances between four points A, B, C and D that go round, m: the four sides, and one across. */
export interface Distances {
  ab: number;
  bc: number;
  cd: number;
  da: number;
  ac: number;
}

/**
 * Where four points lie by their distances, A at (0, 0) and C to the right of it; B and D to the sides that the film
 * shows. From `film` px to the water's plane, m.
 * @throws InputError "distances-do-not-close" where two sides are shorter than what lies between their ends
 */
export function fromDistances(film: readonly Point[], { ab, bc, cd, da, ac }: Distances): Point[] {
  const [a, b, c, d] = film as [Point, Point, Point, Point];
  const apex = (left: number, right: number, side: number, names: string): Point => {
    const x = (left ** 2 - right ** 2 + ac ** 2) / (2 * ac);
    const square = left ** 2 - x ** 2;
    if (!(square > 0)) throw new InputError("distances-do-not-close", { names });
    return [x, Math.sign(side) * Math.sqrt(square)];
  };
  return [[0, 0], apex(ab, bc, turnOf(a, c, b), "A, B and C"), [ac, 0], apex(da, cd, turnOf(a, c, d), "A, D and C")];
}

/** Two points of known distance, m, and a level line at the height of the camera, such as the horizon. */
export interface Levelled {
  points: readonly [Point, Point];
  distance: number;
  level: readonly [Point, Point];
  /** What the camera sees from its left edge to its right, degrees. */
  fieldOfView: number;
}

/**
 * From a film's px to the plane by a level line: it is where the plane ends for the eye, so with the focal length it
 * gives the plane's tilt against the camera; two points give the scale (Hartley & Zisserman 2004, section 8.6:
 * vanishing line and plane normal). Pixels are square and the camera's axis runs through the middle of the picture.
 * @throws InputError "not-below-the-level" where the points are not both on the same side below the line
 */
export function planeByLevel(
  { points, distance, level: [l, m], fieldOfView }: Levelled,
  { width, height }: { width: number; height: number },
): Homography {
  const focal = width / (2 * Math.tan((fieldOfView * Math.PI) / 360));
  // Rays x right, y down, z ahead.
  const ray = ([x, y]: Point): Vector => [(x - width / 2) / focal, (y - height / 2) / focal, 1];
  let down = unit(cross(ray(l), ray(m)));
  const [p, q] = points.map(ray) as [Vector, Vector];
  if (dot(down, p) < 0) down = scaled(down, -1);
  if (!(dot(down, p) > 1e-3 && dot(down, q) > 1e-3 && down[1] > 0)) throw new InputError("not-below-the-level", {});
  const right = unit(cross(down, [0, 0, 1]));
  const back = cross(down, right);
  const toPlane = (by: number): Homography => {
    const row = ([a, b, c]: Vector, k: number) => {
      const [x, y] = [a / focal, b / focal];
      return [k * x, k * y, k * (c - (x * width) / 2 - (y * height) / 2)];
    };
    return [...row(right, by), ...row(back, by), ...row(down, 1)];
  };
  const [from, to] = points.map((point) => project(toPlane(1), point)) as [Point, Point];
  return toPlane(distance / Math.hypot(to[0] - from[0], to[1] - from[1]));
}

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const unit = (a: Vector): Vector => scaled(a, 1 / Math.hypot(...a));
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
