import { metresPerDegree } from "../flow/plane";
import type { Place } from "./channel";
import type { Position, Scale } from "./scale-schema";

export type { Position, Scale } from "./scale-schema";

/** A sheet laid on the ground. */
export interface Georeference {
  /** A place on the sheet in m east and north of the origin. */
  toPlane: (on: Place) => Place;
  toSheet: (plane: Place) => Place;
  /** Where the plane's origin lies; null where nobody said. */
  origin: Position | null;
  /** m for a unit of the sheet, as a mean. */
  unit: number;
}

/** m east and north of an origin: flattened about it, exact to millimetres over a reach. */
export function planeAbout(origin: Position): {
  toPlane: (at: Position) => Place;
  toPosition: (plane: Place) => Position;
} {
  const metres = metresPerDegree(origin[1]);
  return {
    toPlane: ([longitude, latitude]) => [
      (longitude - origin[0]) * metres.longitude,
      (latitude - origin[1]) * metres.latitude,
    ],
    toPosition: ([e, n]) => [origin[0] + e / metres.longitude, origin[1] + n / metres.latitude],
  };
}

/** Two points on the sheet this near tell no scale. */
const TOO_NEAR = 1e-6;

/** The ground under a sheet; undefined where its scale is not known, or two points lie on one another. */
export function georeferenceOf(scale: Scale): Georeference | undefined {
  switch (scale.kind) {
    case "unknown":
      return undefined;
    case "length": {
      const { from, to, metres, north, at } = scale;
      const units = Math.hypot(to[0] - from[0], to[1] - from[1]);
      if (!(units > TOO_NEAR)) return undefined;
      const middle: Place = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
      const turn = (north * Math.PI) / 180;
      const unit = metres / units;
      return affine(similarity(middle, [0, 0], unit * Math.cos(turn), unit * Math.sin(turn)), at);
    }
    case "points": {
      const { a, b } = scale;
      const { toPlane } = planeAbout(a.position);
      const [e, n] = toPlane(b.position);
      // With y down the sheet is (dx - i dy) for e + i n = c (dx - i dy).
      const [dx, dy] = [b.on[0] - a.on[0], -(b.on[1] - a.on[1])];
      const square = dx * dx + dy * dy;
      if (!(square > TOO_NEAR ** 2) || !(Math.hypot(e, n) > TOO_NEAR)) return undefined;
      return affine(similarity(a.on, [0, 0], (e * dx + n * dy) / square, (n * dx - e * dy) / square), a.position);
    }
    case "file":
      return affine({ east: scale.east, north: scale.north }, scale.origin);
  }
}

interface Affine {
  east: readonly [number, number, number];
  north: readonly [number, number, number];
}

/** The place `on` of the sheet lies at `plane`; a step right is (re, im), and y runs down. */
const similarity = (on: Place, plane: Place, re: number, im: number): Affine => ({
  east: [plane[0] - re * on[0] - im * on[1], re, im],
  north: [plane[1] - im * on[0] + re * on[1], im, -re],
});

function affine({ east, north }: Affine, origin: Position | null): Georeference | undefined {
  const determinant = east[1] * north[2] - east[2] * north[1];
  if (!(Math.abs(determinant) > 1e-12)) return undefined;
  return {
    toPlane: ([x, y]) => [east[0] + east[1] * x + east[2] * y, north[0] + north[1] * x + north[2] * y],
    toSheet: ([e, n]) => {
      const [de, dn] = [e - east[0], n - north[0]];
      return [(de * north[2] - dn * east[2]) / determinant, (dn * east[1] - de * north[1]) / determinant];
    },
    origin,
    unit: Math.sqrt(Math.abs(determinant)),
  };
}
