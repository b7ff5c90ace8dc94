"use client";
import { lackingOf } from "../../core/trace/drawing";
import type { TracedReach } from "../../core/trace/traced-reach";
import { keyOf } from "../../scenario/key";
import { useDrawing } from "../../state/drawing";
import { layOptions } from "../../state/lay-options";
import { pause } from "../../state/pause";
import { Queue } from "../../state/queue";
import { type Stage, useStage, valueOf } from "../../state/query";
import { land } from "../../workers/land";

const queue = new Queue();
/** ms */
const REST = 300;

/** The bed under the drawing as it stands, laid in the worker; nothing while something lacks. */
export function useTraced(): Stage<TracedReach> {
  const { drawing, id } = useDrawing();
  const ready = lackingOf(drawing).length === 0;
  const { discharge, slope } = drawing;
  return useStage(
    "traced",
    ready && keyOf("traced", drawing.scale, drawing.marks, discharge, slope),
    async (signal) => {
      // A hand that draws is let rest first; what is overtaken is not laid.
      await pause(REST, signal);
      const options = { id: "drawn", name: "drawn", ...layOptions({ drawing }) };
      return valueOf(await queue.run(() => land.ask(async (api) => api.trace(drawing, options)), signal));
    },
    // While a point is moved the bed from before stays in sight.
    ready && id,
  );
}
