/** Triangles between soundings: which are believed, their area, and the cells whose middles they hold. */
export interface Corner {
  x: number;
  y: number;
}

/** Triangles without a side longer than `join` m, which would bridge a bend or a gap. */
export function* believedTriangles<P extends Corner>(
  points: readonly P[],
  triangles: ArrayLike<number>,
  join = Infinity,
): Generator<[P, P, P]> {
  for (let t = 0; t < triangles.length; t += 3) {
    const three: [P, P, P] = [points[triangles[t]!]!, points[triangles[t + 1]!]!, points[triangles[t + 2]!]!];
    if (longestSide(three) <= join) yield three;
  }
}

const longestSide = ([a, b, c]: readonly [Corner, Corner, Corner]): number =>
  Math.max(Math.hypot(a.x - b.x, a.y - b.y), Math.hypot(b.x - c.x, b.y - c.y), Math.hypot(c.x - a.x, c.y - a.y));

/** Twice the area, signed, m2. */
export const twiceArea = ([a, b, c]: readonly [Corner, Corner, Corner]): number =>
  (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);

/**
 * Calls `visit` with every cell whose middle lies in a triangle, and the weights of its second and third corner there.
 */
export function eachCellIn(
  triangle: readonly [Corner, Corner, Corner],
  nx: number,
  ny: number,
  cell: number,
  visit: (k: number, wb: number, wc: number) => void,
): void {
  const [a, b, c] = triangle;
  const area = twiceArea(triangle);
  if (area === 0) return;
  const low = (values: readonly number[], most: number) =>
    Math.max(0, Math.min(most, Math.ceil(Math.min(...values) / cell - 0.5)));
  const high = (values: readonly number[], most: number) =>
    Math.max(0, Math.min(most, Math.floor(Math.max(...values) / cell - 0.5)));
  const [xs, ys] = [
    [a.x, b.x, c.x],
    [a.y, b.y, c.y],
  ];
  for (let j = low(ys, ny - 1); j <= high(ys, ny - 1); j++) {
    for (let i = low(xs, nx - 1); i <= high(xs, nx - 1); i++) {
      const [x, y] = [(i + 0.5) * cell, (j + 0.5) * cell];
      const wb = ((x - a.x) * (c.y - a.y) - (c.x - a.x) * (y - a.y)) / area;
      const wc = ((b.x - a.x) * (y - a.y) - (x - a.x) * (b.y - a.y)) / area;
      if (wb >= -1e-9 && wc >= -1e-9 && wb + wc <= 1 + 1e-9) visit(j * nx + i, wb, wc);
    }
  }
}
