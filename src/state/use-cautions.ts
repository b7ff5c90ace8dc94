"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { type Caution, cautionsOf, leaveTheWater } from "../core/gauge/cautions";
import { database } from "../store/database";
import { useSettings } from "./settings";
import type { River } from "./use-river";
import { useTide } from "./use-tide";
import { useAirNow } from "./use-weather";

export interface Safety {
  cautions: readonly Caution[];
  /** The river is to be left: nobody is sent to the water, on any station. */
  leave: boolean;
}

/** The cautions of now: one voice for every station. */
export function useSafety(river: River): Safety {
  const { station, now, stale, light, minute } = river;
  const thunderAt = useSettings((settings) => settings.thunderAt);
  const water = useLiveQuery(
    async () => (station ? await database().waters.get(station.id) : undefined),
    [station?.id],
  );
  const constituents = water?.deleted ? undefined : water?.constituents;
  const tide = useTide(constituents, minute);
  const weather = useAirNow({ station, minute });
  const cautions = cautionsOf({
    now: stale ? undefined : now,
    damNote: water?.deleted ? "" : (water?.damNote ?? ""),
    tide: stale ? null : tide,
    light,
    sinceThunder: thunderAt === null ? null : minute - thunderAt,
    weather,
  });
  return { cautions, leave: leaveTheWater(cautions) };
}
