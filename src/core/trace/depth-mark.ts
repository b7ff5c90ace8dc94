import { InputError } from "../quantity/fault";
import type { Place } from "./channel";
import { georeferenceOf } from "./georeference";
import type { Mark } from "./marks";
import type { Drawing } from "./drawing-schema";
import { onPlane, type TracedPlace } from "./place-in-reach";

/** A flow within so much of the day's is the day's. */
const SAME_FLOW = 0.02;

/**
 * A depth that was taken at a place of the reach laid from a drawing, as a mark of it.
 * @param reading m down the reach and across it; depth, m; the flow it was taken at, m3/s
 * @throws InputError "no-scale"
 */
export function depthMark(
  { drawing, corner, heading }: TracedPlace & { drawing: Drawing },
  { id, at, depth, discharge }: { id: string; at: Place; depth: number; discharge: number },
): Mark {
  const ground = georeferenceOf(drawing.scale);
  if (!ground) throw new InputError("no-scale");
  const [x, y] = ground.toSheet(onPlane({ corner, heading }, at));
  const ofDay = drawing.discharge !== null && Math.abs(discharge / drawing.discharge - 1) <= SAME_FLOW;
  return { id, kind: "depth", places: [[x, y]], measures: { depth }, ...(!ofDay && { discharge }) };
}
