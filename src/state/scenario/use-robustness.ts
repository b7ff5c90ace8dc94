"use client";
import { useMemo } from "react";
import type { Outlook } from "../../core/gauge/outlook";
import type { Reach } from "../../core/flow/reach-schema";
import type { ReadingRequest } from "../../scenario/reading";
import {
  ensembleKey,
  type EnsembleRequest,
  flowBandOf,
  type Robustness,
  robustnessOf,
} from "../../scenario/robustness";
import { sightingsInWorker } from "../../workers/clients";
import { pause } from "../pause";
import { type Stage, useStage, valueOf } from "../query";
import type { NumberedReading } from "./use-reading";

/** Waits a moment before it begins, ms: who only passes by asks for nothing. */
const MOMENT = 1500;

/**
 * How sure each lie and seam of a settled reading is, worked out in the background: under the river's own flow by the
 * band of its forecast, under another by a tenth.
 */
export function useRobustness(
  reach: Reach | undefined,
  settled: NumberedReading | undefined,
  request: ReadingRequest,
  outlook: Outlook | null | undefined,
  isNow: boolean,
): Stage<Robustness> {
  const first = isNow ? outlook?.flow?.points[0] : undefined;
  const ask = useMemo(
    (): EnsembleRequest | undefined =>
      reach && settled?.of.origin === "solved"
        ? {
            reach,
            discharge: settled.of.field.discharge,
            band: flowBandOf(settled.of.field.discharge, first),
            reading: request,
          }
        : undefined,
    [reach, settled, request, first],
  );
  return useStage("ensemble", ask && ensembleKey(settled!.of.key, ask), async (signal) => {
    await pause(MOMENT, signal);
    const outcome = await sightingsInWorker(ask!, settled!.of.field, () => undefined, signal);
    if (!outcome.ok && outcome.cancelled) throw new DOMException("", "AbortError");
    return robustnessOf(settled!, valueOf(outcome));
  });
}
