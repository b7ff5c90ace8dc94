"use client";
import { useMemo } from "react";
import type { Outlook } from "../../core/gauge/outlook";
import type { Reach } from "../../core/flow/reach-schema";
import type { ReadingRequest } from "../../scenario/reading";
import { ensembleKey, type EnsembleRequest, flowBandOf, type Robustness } from "../../scenario/robustness";
import { robustnessInWorker } from "../../workers/clients";
import { pause } from "../pause";
import { useKeptStage } from "../kept-answers";
import { type Stage, valueOf } from "../query";
import { useSettings } from "../settings";
import type { NumberedReading } from "./use-reading";

/** Waits a moment before it begins, ms: who only passes by asks for nothing. */
const MOMENT = 1500;

/**
 * How sure each lie and seam of a settled reading is, worked out in the background where the angler wants that: under
 * the river's own flow by the band of its forecast, under another by a tenth.
 */
export function useRobustness(
  reach: Reach | undefined,
  settled: NumberedReading | undefined,
  request: ReadingRequest,
  outlook: Stage<Outlook | null>,
  isNow: boolean,
): Stage<Robustness> {
  const first = isNow ? outlook.value?.flow?.points[0] : undefined;
  // Begun with one band and then another, all of it would be done twice.
  const ahead = useSettings((settings) => settings.ahead === "all");
  const known = ahead && (!isNow || !outlook.pending);
  const ask = useMemo(
    (): EnsembleRequest | undefined =>
      reach && known && settled?.of.origin === "solved"
        ? {
            reach,
            discharge: settled.of.field.discharge,
            band: flowBandOf(settled.of.field.discharge, first),
            reading: request,
          }
        : undefined,
    [reach, settled, request, first, known],
  );
  return useKeptStage("ensemble", ask && ensembleKey(settled!.of.key, ask), async (signal) => {
    await pause(MOMENT, signal);
    const { lies, seams, of } = settled!;
    const outcome = await robustnessInWorker(ask!, { lies, seams }, of.field, signal);
    if (!outcome.ok && outcome.cancelled) throw new DOMException("", "AbortError");
    return valueOf(outcome);
  });
}
