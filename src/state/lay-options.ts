import type { ReachRecord } from "../core/book/records";
import type { TraceOptions } from "../core/trace/traced-reach";
import { USUAL_ROUGHNESS } from "../core/trace/drawing-schema";

/** What a drawing is laid by anew: the water of its own day. */
export const layOptions = ({
  drawing,
}: Pick<NonNullable<ReachRecord["traced"]>, "drawing">): Omit<TraceOptions, "id" | "name"> => ({
  discharge: drawing.discharge!,
  slope: drawing.slope!,
  roughness: USUAL_ROUGHNESS,
});
