"use client";
import type { RigAdvice } from "../../core/rig/advice";
import type { RigRequest } from "../../core/rig/request";
import { rigKey } from "../../scenario/rig";
import { reader } from "../../workers/clients";
import { useKeptStage } from "../kept-answers";
import { type Stage, useStage, valueOf } from "../query";

/** What can be chosen of a rig, and what each answer makes of it, from the worker. */
export const useChoices = (request: RigRequest | undefined) =>
  useKeptStage("choices", request && `choices ${rigKey(request)}`, async () =>
    valueOf(await reader.ask(async (api) => api.choices(request!))),
  );

/** Advice for a lie and the tackle, from the worker. */
export const useRig = (request: RigRequest | undefined): Stage<RigAdvice> =>
  useStage("rig", request && rigKey(request), async () => valueOf(await reader.ask(async (api) => api.rig(request!))));
