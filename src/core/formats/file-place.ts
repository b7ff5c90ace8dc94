import proj4 from "proj4";
import { InputError } from "../quantity/fault";
import { planeAbout, type Position, type Scale } from "../trace/georeference";
import { coordinatesOf } from "./epsg";

/** A file's own coordinates of a place on its sheet: `x[0] + x[1] column + x[2] row`, and so for y. */
export interface FileAffine {
  x: readonly [number, number, number];
  y: readonly [number, number, number];
}

/** Coordinates of a file: what turns them into longitude and latitude and back; null for metres of no known place. */
interface FileCoordinates {
  toPosition: (at: readonly [number, number]) => Position;
  fromPosition: (at: Position) => [number, number];
}

/** @throws InputError "epsg-unknown" */
function fileCoordinates(epsg: number | null): FileCoordinates | null {
  if (epsg === null) return null;
  const found = coordinatesOf(epsg);
  if (!found) throw new InputError("epsg-unknown", { epsg });
  if (found === "degrees")
    return { toPosition: ([x, y]) => [x, y], fromPosition: ([longitude, latitude]) => [longitude, latitude] };
  const converter = proj4(found.definition, "WGS84");
  return {
    toPosition: ([x, y]) => converter.forward([x, y]) as [number, number],
    fromPosition: ([longitude, latitude]) => converter.inverse([longitude, latitude]) as [number, number],
  };
}

const inFile = ({ x, y }: FileAffine, column: number, row: number): [number, number] => [
  x[0] + x[1] * column + x[2] * row,
  y[0] + y[1] * column + y[2] * row,
];

/**
 * How a sheet with a file's own coordinates lies on the ground, m east and north of its middle: the affine through its
 * middle and a quarter of the sheet each way, which over a reach is exact to millimetres. Without known coordinates the
 * file's are taken for metres, and it lies nowhere.
 */
export function scaleOf(affine: FileAffine, epsg: number | null, width: number, height: number): Scale {
  const coordinates = fileCoordinates(epsg);
  const [column, row] = [width / 2, height / 2];
  const middle = inFile(affine, column, row);
  const origin = coordinates?.toPosition(middle) ?? null;
  const plane = (at: readonly [number, number]): readonly [number, number] =>
    coordinates && origin
      ? planeAbout(origin).toPlane(coordinates.toPosition(at))
      : [at[0] - middle[0], at[1] - middle[1]];
  const [quarterRight, quarterDown] = [width / 4, height / 4];
  const right = plane(inFile(affine, column + quarterRight, row));
  const down = plane(inFile(affine, column, row + quarterDown));
  const of = (axis: 0 | 1): [number, number, number] => {
    const [a, b] = [right[axis] / quarterRight, down[axis] / quarterDown];
    return [-a * column - b * row, a, b];
  };
  return { kind: "file", east: of(0), north: of(1), origin: origin && [origin[0], origin[1]] };
}
