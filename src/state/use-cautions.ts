"use client";
import { type Caution, cautionsOf, leaveTheWater } from "../core/gauge/cautions";
import { isTooWarm } from "../core/gauge/warmth";
import { database } from "../store/database";
import { useLiveAnswer } from "./live-answer";
import { useSettings } from "./settings";
import { useFishes } from "./use-fishes";
import type { River } from "./use-river";
import { useTide } from "./use-tide";
import { useAirNow } from "./use-weather";

export interface Safety {
  cautions: readonly Caution[];
  /** The river is to be left: nobody is sent to the water, on any station. */
  leave: boolean;
}

/** Is the water too warm for a fish, by the last reading? Unknown water is not. */
export const isWarmFor = (fish: { restAbove: number }, { now, stale }: Pick<River, "now" | "stale">): boolean =>
  !stale && now?.waterTemperature != null && isTooWarm(fish, now.waterTemperature);

/** The cautions of now: one voice for every station. */
export function useSafety(river: River): Safety {
  const { station, now, stale, light, minute } = river;
  const { thunderAt, species } = useSettings();
  const fish = useFishes().of(species);
  const water = useLiveAnswer(
    async () => (station ? await database().waters.get(station.id) : undefined),
    [station?.id],
  );
  const constituents = water?.deleted ? undefined : water?.constituents;
  const tide = useTide(constituents, minute);
  const weather = useAirNow({ station, minute });
  const cautions = cautionsOf({
    now: stale ? undefined : now,
    damNote: water?.deleted ? "" : (water?.damNote ?? ""),
    tide: stale ? null : (tide?.flow ?? null),
    light,
    sinceThunder: thunderAt === null ? null : minute - thunderAt,
    fish: { id: fish.base, name: fish.name, restAbove: fish.species.restAbove },
    weather,
  });
  return { cautions, leave: leaveTheWater(cautions) };
}
