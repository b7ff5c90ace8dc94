"use client";
import { useLiveAnswer } from "./live-answer";
import { useLogState } from "./log-state";
import { useMemo } from "react";
import type { Lie } from "../core/fish/read";
import type { Species } from "../core/fish/species-schema";
import { PRECOMPUTED_CELL } from "../core/flow/precomputed";
import { DAY, HOUR } from "../core/gauge/series";
import { type Plan, type PlanAsk, planOf } from "../core/plan/plan";
import type { PlanReach } from "../core/plan/plan-reach";
import { fetched } from "../core/quantity/fetched";
import { bedKey, cellOf, contentOf } from "../scenario/field";
import { keyOf } from "../scenario/key";
import type { ReachOutlook } from "../scenario/plan";
import { fishedLies, liesAsked, type PlanWater, reachInPlan } from "../scenario/plan-lies";
import { clockZone } from "../words/clock-zone";
import { dayKey } from "../words/river";
import { database } from "../store/database";
import { keepField, keptField, solvedFlows } from "../store/fields";
import { waterWorker } from "../store/water-client";
import { WORKER_LOST } from "../workers/client";
import { reader, solveInBackground } from "../workers/clients";
import { answered, useKeptStage } from "./kept-answers";
import { type Stage, useStage, valueOf } from "./query";
import { usePreferences } from "./use-preferences";
import { useLikings } from "./use-preference";
import { useRunning } from "./use-running";
import { useSettings } from "./settings";
import type { River } from "./use-river";
import { useExpectedSky } from "./use-weather";

/** Lies of a reach in one water that the forecast comes by. */
export interface LiesThen extends PlanWater {
  lies: Lie[];
}

export interface Planning {
  plan: Plan | undefined;
  reaches: readonly PlanReach[];
  ask: PlanAsk | undefined;
  /** By reach, as far as they are known. */
  lies: Stage<Record<string, LiesThen[]>>;
  stages: readonly Stage<unknown>[];
}

const NONE: never[] = [];
/** The forecast is worked out anew every half hour, or when anything of the book changes. */
const ANEW = HOUR / 2;

/** The plan for a fish over a span of time: first without the lies, then with them. */
export function usePlan(river: River, species: Species, span: { from: number; to: number }): Planning {
  const { farthest } = useSettings();
  const { travel } = usePreferences();
  const sky = useExpectedSky(dayKey(river.minute));
  const state = useLogState();
  const minute = Math.floor(river.minute / ANEW) * ANEW;
  const planned = useKeptStage(
    "planned",
    state && keyOf(state, minute),
    async () => valueOf(await waterWorker.ask(async (api) => api.planned(river.minute))),
    "planned",
  );
  // What the log says changes by itself from day to day, or while something is fished.
  const running = useRunning();
  const since = running === null ? Math.floor(river.minute / DAY) * DAY : minute;
  const logs = useKeptStage(
    "logs",
    state && running !== undefined && keyOf(state, species.id, since),
    async () => valueOf(await waterWorker.ask(async (api) => api.logs(species.id, river.minute))),
    keyOf("logs", species.id),
  );
  const lies = useLies(river, planned.value, species, span.to);
  const rules = useLiveAnswer(() => database().rules.toArray(), []);
  const reaches = useMemo(
    () =>
      (planned.value ?? NONE).map((river) =>
        reachInPlan(river, {
          rules: rules ?? NONE,
          log: logs.value?.[river.id],
          lies: lies.value?.[river.id] ?? NONE,
          travel: travel[river.id] ?? null,
        }),
      ),
    [planned.value, logs.value, lies.value, rules, travel],
  );
  const { from, to } = span;
  const zone = clockZone();
  const ask = useMemo(
    (): PlanAsk => ({ species, from, to, farthest, zone, sky }),
    [species, from, to, farthest, zone, sky],
  );
  // Nobody is sent to a water before its rules are known.
  const known = planned.value !== undefined && rules !== undefined;
  const plan = useMemo(() => (known ? planOf(reaches, ask) : undefined), [known, reaches, ask]);
  return { plan, reaches, ask, lies, stages: [planned, logs, lies] };
}

/** The lies of every reach at the flows that the forecast comes by: from kept water, or solved now. */
function useLies(
  river: River,
  planned: readonly ReachOutlook[] | undefined,
  species: Species,
  to: number,
): Stage<Record<string, LiesThen[]>> {
  // What was learnt is of the river whose reach is looked at.
  const station = river.reach?.station ?? null;
  const likings = useLikings(species.id, station);
  const hour = Math.floor(river.minute / HOUR) * HOUR;
  const asked = useMemo(
    () =>
      river.reaches.flatMap((record) => {
        const own = planned?.find((one) => one.id === record.id);
        const liked = record.station === station ? likings : undefined;
        return own ? [{ record, flows: liesAsked(record.reach, own, species, { at: hour, to, likings: liked }) }] : [];
      }),
    [river.reaches, planned, species, hour, to, station, likings],
  );
  return useStage(
    "plan-lies",
    planned &&
      keyOf(
        "lies",
        species.id,
        asked.map(({ record, flows }) => [bedKey(record.reach), flows]),
      ),
    async (signal) => {
      const found: Record<string, LiesThen[]> = {};
      for (const { record, flows } of asked) {
        found[record.id] = [];
        for (const { discharge, visibleDepth, request } of flows) {
          const field = await fieldFor(record.reach, discharge, signal);
          signal.throwIfAborted();
          if (!field) continue;
          const lies = await answered("plan-lies", keyOf(bedKey(record.reach), contentOf(field), request), async () =>
            fishedLies(valueOf(await reader.ask(async (api) => api.read(field, request))).lies),
          );
          found[record.id]!.push({ discharge, visibleDepth, lies });
        }
      }
      return found;
    },
    planned && keyOf("lies", species.id),
  );
}

/** Kept water within this ratio of a flow stands for it. Own choice. */
const NEAR = 1.06;

/** The water of a reach at a flow on the precomputed cells; undefined where its bed cannot carry it. */
async function fieldFor(reach: River["reaches"][number]["reach"], discharge: number, signal: AbortSignal) {
  const [bed, cell] = [bedKey(reach), Math.max(PRECOMPUTED_CELL, cellOf(reach))];
  const known = (await solvedFlows(database(), bed)).filter((one) => one.cell === cell);
  const near = known.find((one) => Math.abs(Math.log(one.discharge / discharge)) < Math.log(NEAR));
  if (near) return keptField(database(), bed, near.discharge, cell);
  const outcome = await solveInBackground(0, { reach, discharge, cell }, undefined, () => undefined, signal);
  if (!outcome.ok) {
    if (outcome.cancelled) throw new DOMException("", "AbortError");
    // A worker that broke down says nothing of the bed: it is a fault that can be tried again.
    return outcome.fault.code === WORKER_LOST ? valueOf<never>({ ok: false, fault: outcome.fault }) : undefined;
  }
  await keepField(database(), bed, outcome.value);
  return outcome.value;
}

/** The plan's hours as a calendar file. The writer comes with the first press. */
export const calendarFile = async (
  ...args: Parameters<typeof import("../core/formats/calendar").writeCalendar>
): Promise<string> => (await fetched(import("../core/formats/calendar"))).writeCalendar(...args);
