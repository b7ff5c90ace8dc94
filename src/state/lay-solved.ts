import { proxy } from "comlink";
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

/**
 * A drawing's reach as it is kept: its bed brought under the surface that the solver gives. Takes seconds; `onProgress`
 * hears 0..1. Where another was begun meanwhile, it is laid without that.
 */
export async function laySolved(
  drawing: Drawing,
  called: Called,
  onProgress: (done: number) => void = () => undefined,
): Promise<TracedReach> {
  const options = { ...called, ...layOptions({ drawing }) };
  const outcome = await land.ask(async (api) => api.traceSolved(drawing, options, proxy(onProgress)));
  if (outcome.ok || !outcome.cancelled) return valueOf(outcome);
  return valueOf(await land.ask(async (api) => api.trace(drawing, options)));
}

/** The drawing that is open, and its reach: what is drawn meanwhile is in both. */
export async function laySolvedLast(
  called: Called,
  onProgress: (done: number) => void,
): Promise<{ drawing: Drawing; laid: TracedReach }> {
  const { id, drawing } = useDrawing.getState();
  const laid = await laySolved(drawing, called, onProgress);
  const now = useDrawing.getState();
  return now.id === id && now.drawing !== drawing ? laySolvedLast(called, onProgress) : { drawing, laid };
}
