import { clientOf } from "../../workers/client";
import type { PictureApi } from "./picture.worker";

/** The worker that draws the water. */
export const painter = clientOf<PictureApi>(
  () => new Worker(new URL("./picture.worker.ts", import.meta.url), { type: "module" }),
);
