import { type Remote, wrap } from "comlink";
import type { WaterApi } from "./water.worker";

let water: Remote<WaterApi> | undefined;

/** The worker that reads, keeps and thinks about gauge records; made when first wanted. */
export const waterWorker = (): Remote<WaterApi> =>
  (water ??= wrap<WaterApi>(new Worker(new URL("./water.worker.ts", import.meta.url), { type: "module" })));
