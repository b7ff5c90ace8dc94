"use client";
import { useLogState } from "./log-state";
import { keyOf } from "../scenario/key";
import type { Learnt } from "../store/learn-api";
import { waterWorker } from "../store/water-client";
import { useKeptStage } from "./kept-answers";
import { type Stage, valueOf } from "./query";
import { usePreferences } from "./use-preferences";

/** What this river's own fish say of their places; worked out only where it is wanted. */
export function usePreference(species: string, station: string | null, wanted: boolean): Stage<Learnt> {
  const from = usePreferences().likings[species]?.from ?? null;
  const state = useLogState(wanted);
  return useKeptStage(
    "preference",
    wanted && state && keyOf("preference", species, station, from, state),
    async () => valueOf(await waterWorker.ask(async (api) => api.preference(species, station, from))),
    wanted && keyOf("preference", species, station),
  );
}

const NONE: never[] = [];

/** The likings that lies are ranked with: none unless the angler has switched them on for the fish. */
export function useLikings(species: string, station: string | null): Learnt["preference"]["likings"] {
  const on = usePreferences().likings[species]?.on ?? false;
  return usePreference(species, station, on).value?.preference.likings ?? NONE;
}
