import { proxy } from "comlink";
import type { ReachFit } from "../core/flow/fit-reach";
import type { Field } from "../core/flow/grid";
import type { Reach } from "../core/flow/reach-schema";
import type { Progress } from "../core/flow/steady";
import type { FieldRequest } from "../scenario/field";
import type { ReachReading } from "../scenario/reading";
import type { EnsembleRequest, Robustness } from "../scenario/robustness";
import { type Client, clientOf } from "./client";
import { helpersFor } from "./thread-workers";
import type { Outcome } from "./drive";
import { untilAborted } from "./until-aborted";
import type { FlowApi } from "./flow.worker";
import type { ReadApi } from "./read.worker";

/** Beats that a worker may be silent which works in slices. */
const SLICED = 10;

const newFlowClient = (): Client<FlowApi> =>
  clientOf<FlowApi>(() => new Worker(new URL("./flow.worker.ts", import.meta.url), { type: "module" }), SLICED);

/** The worker that solves what is looked at. */
const looking = newFlowClient();
/** Others like it for the precomputed flows, one a lane, so that what is looked at never waits for the background. */
const background: Client<FlowApi>[] = [];
/** And one that fits a bed to readings: neither it nor what is looked at ends the other. */
const fitting = newFlowClient();
/** And one that asks how sure the answer is, while the background waits. */
const doubting = newFlowClient();

/** The worker that reads fields, gauge files and rigs. */
export const reader = clientOf<ReadApi>(
  () => new Worker(new URL("./read.worker.ts", import.meta.url), { type: "module" }),
);

type Solve = (
  request: FieldRequest,
  near: Field | undefined,
  onProgress: (progress: Progress) => void,
  signal: AbortSignal,
) => Promise<Outcome<Field>>;

/** Solves in the worker; aborting the signal ends it within a slice. Never rejects. */
export const solveInWorker: Solve = (...job) =>
  solveIn(looking, helpersFor(navigator.hardwareConcurrency || 1, window.crossOriginIsolated), ...job);
/** The same in a worker of the background's own, on one thread: these share the cores a worker each. */
export const solveInBackground = (lane: number, ...job: Parameters<Solve>): Promise<Outcome<Field>> =>
  solveIn((background[lane] ??= newFlowClient()), 0, ...job);

const solveIn = (client: Client<FlowApi>, threads: number, ...[request, near, onProgress, signal]: Parameters<Solve>) =>
  untilAborted(client, signal, () => client.ask(async (api) => api.solve(request, near, threads, proxy(onProgress))));

/** Of what nobody stops. */
const NEVER = new AbortController().signal;

/** A quick picture of a bed that is being shaped, from the field before. Never rejects. */
export const followInWorker = (request: FieldRequest, before: Field): Promise<Outcome<Field>> =>
  untilAborted(looking, NEVER, () => looking.ask(async (api) => api.follow(request, before)));

/** Fits a reach to its readings, in a worker of its own. Never rejects. */
export const fitInWorker = (
  reach: Reach,
  cell: number,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Outcome<ReachFit>> =>
  untilAborted(fitting, signal, () => fitting.ask(async (api) => api.fit(reach, cell, proxy(onProgress))));

/** How often what a field shows is there when all that is not known is moved. Never rejects. */
export const robustnessInWorker = (
  request: EnsembleRequest,
  reading: Pick<ReachReading, "lies" | "seams">,
  near: Field,
  signal: AbortSignal,
): Promise<Outcome<Robustness>> =>
  untilAborted(doubting, signal, () => doubting.ask(async (api) => api.robustness(request, reading, near)));
