import type { Place } from "./channel";
import type { Drawing } from "./drawing-schema";
import { georeferenceOf, planeAbout, type Position } from "./georeference";

/** A reach that was drawn, on the ground: its corner on the drawing's plane, m, and where its x runs, degrees. */
export interface TracedPlace {
  drawing: Pick<Drawing, "scale">;
  corner: Place;
  heading: number;
}

/** Is it known where on earth a drawn reach lies? */
export const isPlaced = (traced: TracedPlace | undefined): traced is TracedPlace =>
  traced !== undefined && georeferenceOf(traced.drawing.scale)?.origin != null;

type Frame = Omit<TracedPlace, "drawing">;

/** Where x runs to, east and north. */
function ahead(heading: number): readonly [number, number] {
  const turn = (heading * Math.PI) / 180;
  return [Math.sin(turn), Math.cos(turn)];
}

/** A place on the drawing's plane in the reach's own m, x downstream and y to the right. */
export function inReach({ corner, heading }: Frame, [e, n]: Place): Place {
  const [de, dn] = ahead(heading);
  const [x, y] = [e - corner[0], n - corner[1]];
  return [x * de + y * dn, x * dn - y * de];
}

/** And back: a place of the reach on the drawing's plane. */
export function onPlane({ corner, heading }: Frame, [x, y]: Place): Place {
  const [de, dn] = ahead(heading);
  return [corner[0] + x * de + y * dn, corner[1] + x * dn - y * de];
}

/** A position on earth in the reach's own m; undefined where nobody said where it lies. */
export function positionInReach(traced: TracedPlace, at: Position): Place | undefined {
  const origin = georeferenceOf(traced.drawing.scale)?.origin;
  return origin ? inReach(traced, planeAbout(origin).toPlane(at)) : undefined;
}

/** How far a place is from a reach so long and so wide, m; 0 within it. */
export const distanceFromReach = ([x, y]: Place, [length, width]: Place): number =>
  Math.max(-x, x - length, -y, y - width, 0);
