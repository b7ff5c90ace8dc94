import { clientOf } from "../workers/client";
import type { WaterApi } from "./water.worker";

/** The worker that reads, keeps and thinks about gauge records. */
export const waterWorker = clientOf<WaterApi>(
  () => new Worker(new URL("./water.worker.ts", import.meta.url), { type: "module" }),
);
