import { expose } from "comlink";
import type { Alive } from "./client";

/** Offers a worker's work to the page, and tells when asked that it lives. */
export const offer = (api: object): void => expose({ ...api, alive: () => undefined } satisfies Alive);
