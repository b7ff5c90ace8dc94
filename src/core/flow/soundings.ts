import type { Soundings } from "./reach-schema";
import { Delaunay } from "d3-delaunay";
import { InputError } from "../quantity/fault";
import { demandCells, type Grid } from "./grid";
import { nearestIn } from "./nearest";
import { believedTriangles, eachCellIn, twiceArea } from "./triangles";

/** Rise of the land beyond the soundings, m per m: closes the sides as banks do. Common practice, no source. */
const BANK_RISE = 0.5;

/**
 * A bed from soundings: linear on the Delaunay triangles between them (d3-delaunay), true to their plan, those with too
 * long a side (`join`) left out; beyond them the nearest
 * height between them, rising as a bank. x and y are shifted so that the least of both (or the first of `ends`, or the
 * edge of the `margin`) is 0. Refuses soundings in one line.
 */
export function rasteriseSoundings(bed: Soundings, roughness: number, cell = bed.cell): Grid {
  const { x0, y0, length, breadth } = withMargin(extentOf(bed), bed.margin ?? 0);
  const nx = Math.max(4, bed.ends ? Math.floor(length / cell) : Math.ceil(length / cell));
  const ny = Math.max(3, Math.ceil(breadth / cell));
  demandCells(nx, ny);
  const points = distinct(bed, x0, y0);
  const delaunay = Delaunay.from(
    points,
    (point) => point.x,
    (point) => point.y,
  );
  const covered = [...believedTriangles(points, delaunay.triangles)].reduce(
    (sum, three) => sum + Math.abs(twiceArea(three)) / 2,
    0,
  );
  if (covered < THINNEST * Math.max(length, breadth) ** 2)
    throw new InputError(
      "soundings-in-line",
      {},
      {
        path: "bed.points",
      },
    );
  const z = new Float64Array(nx * ny);
  const inside = new Uint8Array(nx * ny);
  for (const three of believedTriangles(points, delaunay.triangles, bed.join)) {
    const [a, b, c] = three;
    eachCellIn(three, nx, ny, cell, (k, wb, wc) => {
      z[k] = a.z + wb * (b.z - a.z) + wc * (c.z - a.z);
      inside[k] = 1;
    });
  }
  if (!inside.includes(1)) throw new InputError("nothing-joined", { join: bed.join }, { path: "bed.join" });
  const [nearest, apart] = nearestIn(inside, nx, ny);
  for (let k = 0; k < nx * ny; k++) if (!inside[k]) z[k] = z[nearest[k]!]! + BANK_RISE * cell * apart[k]!;
  return { nx, ny, cell, z, roughness: new Float64Array(nx * ny).fill(roughness) };
}

/** Soundings whose triangles cover less than this share of the square of their extent lie in a line. */
const THINNEST = 1e-4;

function extentOf({ points, ends }: Soundings): { x0: number; y0: number; length: number; breadth: number } {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of points)
    [x0, x1, y0, y1] = [Math.min(x0, x), Math.max(x1, x), Math.min(y0, y), Math.max(y1, y)];
  return { x0: ends?.[0] ?? x0, y0, length: ends ? ends[1] - ends[0] : x1 - x0, breadth: y1 - y0 };
}

/** `margin` m of land kept on both sides. */
const withMargin = (extent: ReturnType<typeof extentOf>, margin: number): ReturnType<typeof extentOf> => ({
  ...extent,
  y0: extent.y0 - margin,
  breadth: extent.breadth + 2 * margin,
});

interface Point {
  x: number;
  y: number;
  z: number;
}

/** Soundings of one place as one, by their mean. */
function distinct(bed: Soundings, x0: number, y0: number): Point[] {
  const places = new Map<string, Point & { count: number }>();
  for (const { x, y, z } of bed.points) {
    const key = `${x.toFixed(3)},${y.toFixed(3)}`;
    const own = places.get(key);
    if (own) {
      own.z += z;
      own.count++;
    } else places.set(key, { x: x - x0, y: y - y0, z, count: 1 });
  }
  return [...places.values()].map(({ x, y, z, count }) => ({ x, y, z: z / count }));
}
