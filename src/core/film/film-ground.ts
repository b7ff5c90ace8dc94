import { InputError } from "../quantity/fault";
import type { FilmMarks } from "./film-reader";
import { type Distances, fromDistances, planeByLevel } from "./ground-points";
import { homographyOf, type Point } from "./homography";

/** How the ground of a film is known; points are px of its first frame. */
export type FilmGround =
  | {
      knownBy: "distances";
      /** A to D, round the water that is measured. */
      points: readonly Point[];
      /** m; null where it is not known yet. */
      distances: Readonly<Record<keyof Distances, number | null>>;
    }
  | {
      knownBy: "level";
      /** A and B, from one to the other so far, m. */
      points: readonly Point[];
      distance: number | null;
      /** Two points of the level line. */
      level: readonly Point[];
      fieldOfView: number;
      /** Corners of the water that is measured. */
      water: readonly Point[];
    };

/**
 * What a film is read by, from what is known of its ground.
 * @throws InputError "film-distance-missing", and as fromDistances, planeByLevel and homographyOf
 */
export function filmMarks(ground: FilmGround, size: { width: number; height: number }): FilmMarks {
  if (ground.knownBy === "distances") {
    const { points, distances } = ground;
    const missing = Object.entries(distances).find(([, metres]) => metres === null);
    if (missing) throw new InputError("film-distance-missing", { from: missing[0][0]!, to: missing[0][1]! });
    const plane = fromDistances(points, distances as Distances);
    return { toPlane: homographyOf(points, plane), water: points, still: points };
  }
  const { points, distance, level, fieldOfView, water } = ground;
  if (distance === null) throw new InputError("film-distance-missing", { from: "a", to: "b" });
  const [a, b] = points as [Point, Point];
  const [l, m] = level as [Point, Point];
  const toPlane = planeByLevel({ points: [a, b], distance, level: [l, m], fieldOfView }, size);
  return { toPlane, water, still: [a, b] };
}
