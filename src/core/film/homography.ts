import { Matrix, solve } from "ml-matrix";
import { InputError } from "../quantity/fault";

/** A place in a picture, px, x to the right and y down; or on the water's plane, m, seen from above. */
export type Point = readonly [x: number, y: number];

/**
 * A plane seen through a camera without lens distortion: (x, y, 1) times this 3 x 3 matrix, by rows, is (u, v, w), and
 * the point (u/w, v/w) (Hartley & Zisserman 2004, Multiple View Geometry, chapter 2).
 */
export type Homography = readonly number[];

/** Three of the points within this share of the figure's size from one line make no plane. Own choice. */
const IN_LINE = 0.03;

/** The point that a point is mapped to. */
export function project(h: Homography, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}

/**
 * The homography that takes four points to four others, exactly: the direct linear transformation.
 * @throws InputError "points-in-line" where three of either four lie nearly in a line
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography {
  if (nearlyInLine(from) || nearlyInLine(to)) throw new InputError("points-in-line", {});
  const [a, b] = [centred(from), centred(to)];
  const rows: number[][] = [];
  const right: number[][] = [];
  a.points.forEach(([x, y], k) => {
    const [u, v] = b.points[k]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]);
    right.push([u], [v]);
  });
  const h = [...solve(new Matrix(rows), new Matrix(right)).getColumn(0), 1];
  return composed(inverse(b.by), composed(h, a.by));
}

/** First `first`, then `second`. */
export function composed(second: Homography, first: Homography): Homography {
  return Array.from({ length: 9 }, (_, k) => {
    const [row, column] = [3 * Math.floor(k / 3), k % 3];
    return (
      second[row]! * first[column]! + second[row + 1]! * first[column + 3]! + second[row + 2]! * first[column + 6]!
    );
  });
}

/** The way back, by cofactors. */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  const adjoint = [
    e! * i! - f! * h!,
    c! * h! - b! * i!,
    b! * f! - c! * e!,
    f! * g! - d! * i!,
    a! * i! - c! * g!,
    c! * d! - a! * f!,
    d! * h! - e! * g!,
    b! * g! - a! * h!,
    a! * e! - b! * d!,
  ];
  const determinant = a! * adjoint[0]! + b! * adjoint[3]! + c! * adjoint[6]!;
  return adjoint.map((one) => one / determinant);
}

/** m of the plane to a px there, by the change of area (Jacobian). */
export function scaleAt(h: Homography, [x, y]: Point): number {
  const [o, p, q] = [project(h, [x, y]), project(h, [x + 1, y]), project(h, [x, y + 1])];
  return Math.sqrt(Math.abs((p[0] - o[0]) * (q[1] - o[1]) - (p[1] - o[1]) * (q[0] - o[0])));
}

/** Points about their middle at unit distance, for a sound system of equations, and what took them there. */
function centred(points: readonly Point[]): { points: Point[]; by: Homography } {
  const [mx, my] = [0, 1].map((axis) => points.reduce((sum, one) => sum + one[axis]!, 0) / points.length) as [
    number,
    number,
  ];
  const spread = points.reduce((sum, [x, y]) => sum + Math.hypot(x - mx, y - my), 0) / points.length || 1;
  const by = [1 / spread, 0, -mx / spread, 0, 1 / spread, -my / spread, 0, 0, 1];
  return { points: points.map((one) => project(by, one)), by };
}

/** Twice the area of the triangle of three points; above 0 where they run clockwise as seen (y down). */
export const turnOf = (a: Point, b: Point, c: Point): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

function nearlyInLine(points: readonly Point[]): boolean {
  const size = Math.max(...points.flatMap((a) => points.map((b) => Math.hypot(a[0] - b[0], a[1] - b[1]))));
  return points.some((_, left) => {
    const [a, b, c] = points.filter((_, k) => k !== left) as [Point, Point, Point];
    return !(Math.abs(turnOf(a, b, c)) > IN_LINE * size ** 2);
  });
}
