import { InputError } from "../quantity/fault";
import { georeferenceOf, planeAbout, type Scale } from "../trace/georeference";
import type { HeightGrid } from "../trace/flat-water";
import { type FileAffine, scaleOf } from "./file-place";

/** One file of heights in its own coordinates; NaN where it says nothing. */
export interface HeightTile {
  width: number;
  height: number;
  z: Float32Array;
  affine: FileAffine;
  epsg: number | null;
}

/** Heights of one or several files on square cells, and how those lie on the ground; a cell is a unit of the sheet. */
export interface LaidHeights {
  grid: HeightGrid;
  scale: Scale;
}

/** Cells of the joined grid along its longer side: a reach and its land at half a metre. */
const MOST_ALONG = 1600;

/** Coordinates that can only be degrees, in a file that does not say. */
const isDegrees = ({ x, y }: FileAffine) =>
  Math.abs(x[0]) <= 180 && Math.abs(y[0]) <= 90 && Math.abs(x[1]) < 0.01 && Math.abs(y[2]) < 0.01;

/** A part of the ground, degrees: west, south, east, north. */
export type Box = readonly [number, number, number, number];

/**
 * Tiles joined on square cells, north up, cut to a box where one is given. Cells are as fine as the finest tile, or
 * coarser where there would be too many.
 * @throws InputError "tiles-apart", "box-outside", "epsg-unknown"
 */
export function layHeights(tiles: readonly HeightTile[], box?: Box): LaidHeights {
  const codes = new Set(tiles.map(({ epsg, affine }) => epsg ?? (isDegrees(affine) ? 4326 : null)));
  if (codes.size > 1) throw new InputError("tiles-apart");
  const epsg = [...codes][0]!;
  const placed = tiles.map((tile) => ({ tile, ground: groundOf(tile, epsg, tiles[0]!) }));
  const corners = placed.flatMap(({ tile, ground }) =>
    [
      [0, 0],
      [tile.width, 0],
      [0, tile.height],
      [tile.width, tile.height],
    ].map(([x, y]) => ground.toPlane([x!, y!])),
  );
  const origin = placed[0]!.ground.origin;
  const ends = (axis: 0 | 1): [number, number] => {
    const values = corners.map((one) => one[axis]);
    return [Math.min(...values), Math.max(...values)];
  };
  let [[west, east], [south, north]] = [ends(0), ends(1)];
  if (box) {
    if (!origin) throw new InputError("box-outside");
    const { toPlane } = planeAbout(origin);
    const [a, b] = [toPlane([box[0], box[1]]), toPlane([box[2], box[3]])];
    [west, south, east, north] = [
      Math.max(west, a[0]),
      Math.max(south, a[1]),
      Math.min(east, b[0]),
      Math.min(north, b[1]),
    ];
    if (!(east > west && north > south)) throw new InputError("box-outside");
  }
  const finest = Math.min(...placed.map(({ ground }) => ground.unit));
  const cell = Math.max(finest, Math.max(east - west, north - south) / MOST_ALONG);
  const [nx, ny] = [Math.max(1, Math.round((east - west) / cell)), Math.max(1, Math.round((north - south) / cell))];
  const z = new Float32Array(nx * ny).fill(NaN);
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const at = [west + (i + 0.5) * cell, north - (j + 0.5) * cell] as const;
      for (const { tile, ground } of placed) {
        const [column, row] = ground.toSheet(at).map(Math.floor) as [number, number];
        if (column < 0 || row < 0 || column >= tile.width || row >= tile.height) continue;
        const height = tile.z[row * tile.width + column]!;
        if (Number.isNaN(height)) continue;
        z[j * nx + i] = height;
        break;
      }
    }
  return {
    grid: { nx, ny, cell, z },
    scale: { kind: "file", east: [west, cell, 0], north: [north, 0, -cell], origin: origin && [origin[0], origin[1]] },
  };
}

/** A tile on the plane of the first one. */
function groundOf(tile: HeightTile, epsg: number | null, first: HeightTile) {
  const own = georeferenceOf(scaleOf(tile.affine, epsg, tile.width, tile.height))!;
  const plane = georeferenceOf(scaleOf(first.affine, epsg, first.width, first.height))!;
  if (own.origin && plane.origin) {
    const [to, from] = [planeAbout(plane.origin), planeAbout(own.origin)];
    return {
      ...own,
      origin: plane.origin,
      toPlane: (on: readonly [number, number]) => to.toPlane(from.toPosition(own.toPlane(on))),
      toSheet: (at: readonly [number, number]) => own.toSheet(from.toPlane(to.toPosition(at))),
    };
  }
  // Metres of no known place: the files' own, from the middle of the first.
  const middle = (one: HeightTile, axis: "x" | "y") =>
    one.affine[axis][0] + (one.affine[axis][1] * one.width) / 2 + (one.affine[axis][2] * one.height) / 2;
  const [de, dn] = [middle(tile, "x") - middle(first, "x"), middle(tile, "y") - middle(first, "y")];
  return {
    ...own,
    toPlane: (on: readonly [number, number]) => {
      const [e, n] = own.toPlane(on);
      return [e + de, n + dn] as const;
    },
    toSheet: ([e, n]: readonly [number, number]) => own.toSheet([e - de, n - dn]),
  };
}
