"use client";
import { isShelter } from "../../core/fish/judgement";
import type { Lie } from "../../core/fish/read";
import type { FlowBand } from "../../core/fish/flow-band";
import { PRECOMPUTED_CELL } from "../../core/flow/precomputed";
import type { Reach } from "../../core/flow/reach-schema";
import type { Field } from "../../core/flow/grid";
import { bedKey, cellOf, contentOf } from "../../scenario/field";
import { keyOf } from "../../scenario/key";
import { lookKey, type ReadingRequest } from "../../scenario/reading";
import { database } from "../../store/database";
import { keptField } from "../../store/fields";
import { reader } from "../../workers/clients";
import { answered } from "../kept-answers";
import { type Stage, useStage, valueOf } from "../query";
import type { Precomputed } from "./use-precomputed";

/** The flows at which each lie of a flow fishes, from the precomputed ones so far; too few tell nothing. */
export function useBands(
  reach: Reach | undefined,
  { flows }: Precomputed,
  request: ReadingRequest | undefined,
  lies: readonly Lie[] | undefined,
  flow: number | undefined,
): Stage<(FlowBand | undefined)[]> {
  const solved = flows.filter((one) => one.solved).map((one) => one.discharge);
  const ready = reach && request && lies && lies.length > 0 && flow !== undefined && solved.length >= 3;
  const scope = ready ? keyOf(bedKey(reach), lookKey(request)) : "";
  const spots = lies?.map((lie) => ({ x: lie.x, y: lie.y, pays: !isShelter(lie) }));
  return useStage("bands", ready && keyOf("bands", scope, solved, spots, flow), async (signal) => {
    const cell = Math.max(PRECOMPUTED_CELL, cellOf(reach!));
    const fields = await Promise.all(solved.map((one) => keptField(database(), bedKey(reach!), one, cell)));
    const there = fields.filter((field): field is Field => field !== undefined);
    const key = keyOf(scope, there.map(contentOf), spots, flow);
    const work = async () => {
      const known = await reader.ask(async (api) => api.scoredFlows(scope));
      for (const field of there.filter((one) => !known.includes(one.discharge))) {
        signal.throwIfAborted();
        valueOf(await reader.ask(async (api) => api.scoreFlow(scope, field, request!)));
      }
      return reader.ask(async (api) => api.bands(scope, spots!, flow!));
    };
    // Overtaken by another question the worker has forgotten the scores: such an answer is not kept.
    return answered("bands", key, work, signal);
  });
}
