import { clientOf } from "./client";
import type { LandApi } from "./land.worker";

/** The worker that opens pictures and lays beds under what was drawn on them. */
export const land = clientOf<LandApi>(
  () => new Worker(new URL("./land.worker.ts", import.meta.url), { type: "module" }),
);
