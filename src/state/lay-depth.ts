import type { ReachRecord } from "../core/book/records";
import { depthMark } from "../core/trace/depth-mark";
import type { WaterReading } from "../core/flow/reach-schema";
import type { Undo } from "../store/change";
import { database } from "../store/database";
import { deepenTraced } from "../store/drawings";
import { newId } from "../store/identity";
import { closeDraft, draftWritten, useDrawing } from "./drawing";
import { laySolved } from "./lay-solved";
// What is refused of a drawing is told here too.
import "../words/drawing";

/** A depth that was taken on a reach that was drawn: it joins the drawing, and the bed is laid anew by it. */
export async function layDepth({ id, reach, traced }: ReachRecord, reading: WaterReading): Promise<Undo> {
  const { drawing } = traced!;
  const at = [reading.x, reading.y] as const;
  const mark = depthMark(traced!, { id: newId(), at, depth: reading.value, discharge: reading.discharge });
  const next = { ...drawing, marks: [...drawing.marks, mark] };
  const laid = await laySolved(next, { id, name: reach.name });
  await draftWritten();
  const undo = await deepenTraced(database(), id, { before: drawing, mark }, laid);
  // What is open of the drawing lacks the depth; it is read anew.
  if (useDrawing.getState().id === id) closeDraft();
  return undo;
}
