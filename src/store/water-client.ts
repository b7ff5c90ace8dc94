import { fetched } from "../core/quantity/fetched";
import { type Client, clientOf } from "../workers/client";
import { database } from "./database";
import type { WaterApi } from "./water-api";

const worker = clientOf<WaterApi>(() => new Worker(new URL("./water.worker.ts", import.meta.url), { type: "module" }));

/**
 * What reads, keeps and thinks about gauge records: a worker. A book in memory is seen from the page alone, and there
 * the page does it itself.
 */
export const waterWorker: Pick<Client<WaterApi>, "ask"> = {
  ask: async (work) =>
    database().inMemory
      ? work((await fetched(import("./water-api"))).waterApi as unknown as Parameters<typeof work>[0])
      : worker.ask(work),
};
