import type { EffortInterval } from "../../core/book/bank-records";

/** "float, 1.10 m · worm, brown". */
export const tackleLine = (rod: Pick<EffortInterval, "lure" | "colour" | "piece">): string =>
  [[rod.lure, rod.colour].filter(Boolean).join(", "), rod.piece].filter(Boolean).join(" · ") || "no lure set";
