"use client";
import { useMemo } from "react";
import { type Approach, approachKey, type ApproachRequest, approachRequest } from "../../scenario/approach";
import type { Ways } from "../../scenario/ways";
import { waysKey, type WaysRequest } from "../../scenario/ways-request";
import { reader } from "../../workers/clients";
import { Queue } from "../queue";
import { useKeptStage } from "../kept-answers";
import { type Stage, valueOf } from "../query";
import { activePlan, useSettings } from "../settings";
import type { NumberedReading } from "./use-reading";
import type { ScenarioView } from "./use-scenario";

const queue = new Queue();

/** Sun and shadows move: so often the approach is asked anew, ms. */
const ANEW = 600_000;

/** A reading that is asked on about: neither an earlier one nor a quick picture under the hand. */
export const settledReading = ({ reading }: ScenarioView): NumberedReading | undefined =>
  reading.earlier || reading.value?.of.origin !== "solved" ? undefined : reading.value;

/** How to come to the chosen lie of a settled field: stands, boat and time, worked out in the worker. */
export function useApproach(view: ScenarioView): Stage<Approach> {
  const { river, lie, request, fish, safety, isNow } = view;
  const settings = useSettings();
  const { height, fall, style, feeding } = settings;
  const reach = river.reach?.reach;
  const leave = safety.leave && isNow;
  const planned = activePlan({ ...settings, reach: river.reach?.id ?? null });
  const minute = planned ? (planned.from + planned.to) / 2 : Math.floor(river.minute / ANEW) * ANEW;
  const ask = useMemo((): ApproachRequest | undefined => {
    if (!reach || !lie) return undefined;
    const angler = { height, fall, style, ...(feeding !== "none" && { feeding }) };
    const about = { lie, reading: request, base: fish.base };
    return approachRequest(reach, { ...about, angler, leave, at: minute, place: river.place });
  }, [reach, lie, minute, river.place, request, height, fall, style, feeding, fish.base, leave]);
  const reading = settledReading(view);
  const ready = reach && reading && ask;
  return useKeptStage("approach", ready && approachKey(reading.key, ask), async (signal) =>
    valueOf(
      await queue.run(() => reader.ask(async (api) => api.approach(reading!.of.field, plain(reading!), ask!)), signal),
    ),
  );
}

/** Every way to fish the chosen lie, worked out in the worker. */
export const useWays = (reading: NumberedReading | undefined, request: WaysRequest | undefined): Stage<Ways> =>
  useKeptStage("ways", reading && request && waysKey(reading.key, request), async (signal) =>
    valueOf(
      await queue.run(() => reader.ask(async (api) => api.ways(reading!.of.field, plain(reading!), request!)), signal),
    ),
  );

/** A reading as the worker wants it: without the field that it is of. */
const plain = ({ of, key, ...reading }: NumberedReading) => reading;
