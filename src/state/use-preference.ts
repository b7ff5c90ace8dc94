"use client";
import { useLiveAnswer } from "./live-answer";
import { keyOf, shortName } from "../scenario/key";
import { database } from "../store/database";
import type { Learnt } from "../store/learn-api";
import { waterWorker } from "../store/water-client";
import { type Stage, useStage, valueOf } from "./query";
import { useSettings } from "./settings";

/** What fishing is kept, by when it was changed. */
const fishingState = async (): Promise<string> => {
  const db = database();
  const [sessions, catches, stretches] = await Promise.all([
    db.sessions.toArray(),
    db.catches.toArray(),
    db.stretches.toArray(),
  ]);
  return shortName(JSON.stringify([sessions, catches, stretches].map((part) => part.map((one) => one.updatedAt))));
};

/** What this river's own fish say of their places; worked out only where it is wanted. */
export function usePreference(species: string, station: string | null, wanted: boolean): Stage<Learnt> {
  const from = useSettings((settings) => settings.learnFrom[species] ?? null);
  const state = useLiveAnswer(async () => (wanted ? fishingState() : undefined), [wanted]);
  return useStage(
    "preference",
    wanted && state && keyOf("preference", species, station, from, state),
    async () => valueOf(await waterWorker.ask(async (api) => api.preference(species, station, from))),
    wanted && keyOf("preference", species, station),
  );
}

const NONE: never[] = [];

/** The likings that lies are ranked with: none unless the angler has switched them on for the fish. */
export function useLikings(species: string, station: string | null): Learnt["preference"]["likings"] {
  const on = useSettings((settings) => settings.liked.includes(species));
  return usePreference(species, station, on).value?.preference.likings ?? NONE;
}
