"use client";
import { useCallback, useMemo } from "react";
import type { Reach } from "../../core/flow/reach-schema";
import { HOUR } from "../../core/gauge/series";
import type { Lie } from "../../core/fish/read";
import { positionOf } from "../../scenario/approach";
import { type Conditions, conditionsOf, plannedConditions } from "../../scenario/conditions";
import { livingFish, type LivingFish } from "../../scenario/fish";
import { lieAt, type Numbered, SAME_LIE } from "../../scenario/lie-identity";
import { readingRequest, type ReadingRequest } from "../../scenario/reading";
import type { Stage } from "../query";
import { useLikings } from "../use-preference";
import { activePlan, useSettings } from "../settings";
import { type Safety, useSafety } from "../use-cautions";
import { type Fish, useFishes } from "../use-fishes";
import { type River, useRiver } from "../use-river";
import { type FieldState, useField } from "./use-field";
import { useUsualClarity } from "./use-usual-clarity";
import { useDraftOf, useLive } from "./use-live";
import { type NumberedReading, readInTurn, useReading } from "./use-reading";

/** The scenario as the Reach and Rig stations share it: conditions, field, reading, and the chosen lie. */
export interface ScenarioView {
  river: River;
  safety: Safety;
  conditions: Conditions;
  /** The flow is the river's own, now. */
  isNow: boolean;
  fish: Fish;
  living: LivingFish;
  field: FieldState;
  request: ReadingRequest;
  reading: Stage<NumberedReading>;
  lie: Numbered<Lie> | undefined;
  /** The chosen place is no lie at this flow: the first is shown instead. */
  strayed: boolean;
}

export function useScenario(): ScenarioView {
  const river = useRiver();
  const safety = useSafety(river);
  const settings = useSettings();
  const { flow: chosen, species, lie: wanted, light, season } = settings;
  const fishes = useFishes();
  const fish = fishes.of(species);
  const { now, minute, station, gauge, ready, stale } = river;
  const reach = river.reach?.reach;
  // Hours change what is read; minutes do not.
  const hour = Math.floor(minute / HOUR) * HOUR;
  const position = useMemo(() => (reach && positionOf(reach)) ?? river.place, [reach, river.place]);
  const usual = useUsualClarity(river, chosen);
  const planned = activePlan({ ...settings, reach: river.reach?.id ?? null });
  const conditions = useMemo(() => {
    const base = conditionsOf(now, hour, position, { discharge: chosen, light }, usual);
    return planned ? plannedConditions(base, planned, position, light) : base;
  }, [now, hour, position, chosen, light, usual, planned]);
  const living = useMemo(
    () => livingFish(fish.species, season, conditions, position?.latitude),
    [fish, season, conditions, position],
  );
  const likings = useLikings(fish.id, river.reach?.station ?? null);
  const requestOf = useCallback(
    (own: Reach | undefined) => readingRequest(living.species, conditions, own?.features, likings),
    [living, conditions, likings],
  );
  const request = useMemo(() => requestOf(reach), [requestOf, reach]);
  // Until the gauge has been read its flow is not known: nothing is solved for a guess.
  const known = ready && (chosen !== null || station === undefined || gauge !== undefined);
  const flow = known ? conditions.discharge : undefined;
  const solved = useField(reach, flow);
  // A bed under the hand is read with its objects where the hand has them.
  const draft = useDraftOf(reach);
  const live = useLive(draft, flow, solved.shown, (shown, own) =>
    readInTurn(shown, own, requestOf(own), new AbortController().signal),
  );
  const settledReading = useReading(fishes.ready ? solved.shown : undefined, reach, request);
  const field = useMemo(
    () => (live ? { ...solved, shown: live.shown, settled: false, progress: undefined, cancelled: false } : solved),
    [live, solved],
  );
  const reading = useMemo(
    () => (live ? { ...settledReading, value: live.reading, earlier: false, pending: false } : settledReading),
    [live, settledReading],
  );
  return {
    river,
    safety,
    conditions,
    isNow: chosen === null && now?.discharge != null && !stale,
    fish,
    living,
    field,
    request,
    reading,
    // A plan is read on coarser cells: its place may be a step beside.
    ...chosenLie(reading.value?.lies ?? [], wanted, planned ? 2 * SAME_LIE : SAME_LIE),
  };
}

/** The lie at the wanted place, or else the first; and whether the wanted one is none. */
function chosenLie(
  lies: readonly Numbered<Lie>[],
  wanted: { x: number; y: number } | null,
  within: number,
): Pick<ScenarioView, "lie" | "strayed"> {
  const at = wanted ? lieAt(lies, wanted, within) : undefined;
  return { lie: at ?? lies[0], strayed: wanted !== null && lies.length > 0 && at === undefined };
}
