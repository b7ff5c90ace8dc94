import type { Drawing } from "../core/trace/drawing-schema";
import type { TracedReach } from "../core/trace/traced-reach";
import { land } from "../workers/land";
import { useDrawing } from "./drawing";
import { layOptions } from "./lay-options";
import { valueOf } from "./query";

interface Called {
  id: string;
  name: string;
}

/** A drawing's reach as it is kept: its bed brought under the surface that the solver gives. Takes seconds. */
export const laySolved = async (drawing: Drawing, called: Called): Promise<TracedReach> =>
  valueOf(await land.ask(async (api) => api.trace(drawing, { ...called, ...layOptions({ drawing }), solved: true })));

/** The drawing that is open, and its reach: what is drawn meanwhile is in both. */
export async function laySolvedLast(called: Called): Promise<{ drawing: Drawing; laid: TracedReach }> {
  const { id, drawing } = useDrawing.getState();
  const laid = await laySolved(drawing, called);
  const now = useDrawing.getState();
  return now.id === id && now.drawing !== drawing ? laySolvedLast(called) : { drawing, laid };
}
