"use client";
import type { Reach } from "../../core/flow/reach-schema";
import { type Approach, approachKey, type ApproachRequest } from "../../scenario/approach";
import { reader } from "../../workers/clients";
import { Lane } from "../lane";
import { type Stage, useStage, valueOf } from "../query";
import type { NumberedReading } from "./use-reading";

const lane = new Lane();

/** How to come to a lie of a settled field: stands, boat and time, worked out in the worker. */
export function useApproach(
  reach: Reach | undefined,
  reading: NumberedReading | undefined,
  request: ApproachRequest | undefined,
): Stage<Approach> {
  const ready = reach && reading && request && reading.of.origin === "solved";
  return useStage("approach", ready && approachKey(reading.key, request), async (signal) =>
    valueOf(
      await lane.run(
        () => reader.ask(async (api) => api.approach(reading!.of.field, plain(reading!), request!)),
        signal,
      ),
    ),
  );
}

/** A reading as the worker wants it: without the field that it is of. */
const plain = ({ of, key, ...reading }: NumberedReading) => reading;
