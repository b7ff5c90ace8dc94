import { fetched } from "../core/quantity/fetched";
import { type Client, clientOf } from "../workers/client";
import { database } from "./database";
import type { LearnApi } from "./learn-api";
import type { WaterApi } from "./water-api";

type Api = WaterApi & LearnApi;

const worker = clientOf<Api>(() => new Worker(new URL("./water.worker.ts", import.meta.url), { type: "module" }));

/**
 * What reads, keeps and thinks about gauge records: a worker. A book in memory is seen from the page alone, and there
 * the page does it itself.
 */
export const waterWorker: Pick<Client<Api>, "ask"> = {
  ask: async (work) =>
    database().inMemory ? work((await apiHere()) as unknown as Parameters<typeof work>[0]) : worker.ask(work),
};

const apiHere = async (): Promise<Api> => ({
  ...(await fetched(import("./water-api"))).waterApi,
  ...(await fetched(import("./learn-api"))).learnApi,
});
