"use client";
import type { FlowBand } from "../../core/fish/flow-band";
import { PRECOMPUTED_CELL } from "../../core/flow/precomputed";
import type { Reach } from "../../core/flow/reach-schema";
import { bedKey, cellOf } from "../../scenario/field";
import { keyOf } from "../../scenario/key";
import { lookKey, type ReadingRequest } from "../../scenario/reading";
import { database } from "../../store/database";
import { keptField } from "../../store/fields";
import { reader } from "../../workers/clients";
import { type Stage, useStage, valueOf } from "../query";
import type { Precomputed } from "./use-precomputed";

/** The flows at which each place fishes, from the precomputed ones so far; too few tell nothing. */
export function useBands(
  reach: Reach | undefined,
  { flows }: Precomputed,
  request: ReadingRequest | undefined,
  places: readonly { x: number; y: number }[] | undefined,
): Stage<(FlowBand | undefined)[]> {
  const solved = flows.filter((one) => one.solved).map((one) => one.discharge);
  const ready = reach && request && places && places.length > 0 && solved.length >= 3;
  const scope = ready ? keyOf(bedKey(reach), lookKey(request)) : "";
  const spots = places?.map(({ x, y }) => ({ x, y })) ?? [];
  return useStage("bands", ready && keyOf("bands", scope, solved, spots), async (signal) => {
    const known = await reader.ask(async (api) => api.scoredFlows(scope));
    const cell = Math.max(PRECOMPUTED_CELL, cellOf(reach!));
    for (const discharge of solved.filter((one) => !known.includes(one))) {
      const field = await keptField(database(), bedKey(reach!), discharge, cell);
      signal.throwIfAborted();
      if (field) valueOf(await reader.ask(async (api) => api.scoreFlow(scope, field, request!)));
    }
    return reader.ask(async (api) => api.bands(scope, spots));
  });
}
