import { type Field, sample } from "../flow/grid";
import { roughnessHeight } from "../flow/profile";

/** The water of one place. */
export interface PlaceWater {
  depth: number;
  /** Depth-mean velocity, m/s. */
  u: number;
  v: number;
  meanSpeed: number;
  bed: number;
  bedRoughness: number;
}

/** The water at a place of a field, m, its speeds multiplied by `pace`. */
export function placeWater(field: Field, x: number, y: number, pace = 1): PlaceWater {
  const { nx, ny, cell } = field;
  const at = (values: ArrayLike<number>) => sample(values, nx, ny, cell, x, y);
  const depth = at(field.depth);
  const [u, v] = [pace * at(field.u), pace * at(field.v)];
  return {
    depth,
    u,
    v,
    meanSpeed: Math.hypot(u, v),
    bed: at(field.bed),
    bedRoughness: roughnessHeight(at(field.roughness), Math.max(depth, 0.05)),
  };
}

/** Is a place within the grid? */
export const within = ({ nx, ny, cell }: Field, x: number, y: number): boolean =>
  x >= 0 && y >= 0 && x <= nx * cell && y <= ny * cell;
