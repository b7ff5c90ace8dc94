"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState } from "react";
import type { ReachRecord, StationRecord } from "../core/book/records";
import { STALE_AFTER } from "../core/gauge/series";
import { gaugeNow, type GaugeNow, type GaugeRecord, lastInstant } from "../core/gauge/summary";
import { type Light } from "../core/fish/foraging";
import { lightAt } from "../core/gauge/light";
import { database } from "../store/database";
import { gaugeAtReach, gaugeOf } from "../store/river";
import { useSettings } from "./settings";

/** The present minute, ms; ticks. */
export function useMinute(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

export interface River {
  /** False until the browser's database has answered. */
  ready: boolean;
  reaches: ReachRecord[];
  stations: StationRecord[];
  reach: ReachRecord | undefined;
  station: StationRecord | undefined;
  gauge: GaugeRecord | undefined;
  /** What the gauge says, at the present minute or, when the record has ended, at its last reading. */
  now: GaugeNow | undefined;
  /** The record ended more than six hours ago. */
  stale: boolean;
  /** The reach that the record is transferred to; undefined where it is the gauge's own. */
  atReach: string | undefined;
  light: Light;
  /** Where it lies, degrees, where that is known. */
  place: { latitude: number; longitude: number } | undefined;
  minute: number;
}

/** The chosen reach with its gauge, and the state of the river; or with another gauge where one is asked for. */
export function useRiver(otherStation: string | null = null): River {
  const chosen = useSettings((settings) => settings.reach);
  const minute = useMinute();
  const lists = useLiveQuery(
    async () => ({
      reaches: (await database().reaches.toArray()).filter((one) => !one.deleted),
      stations: await database().stations.toArray(),
    }),
    [],
  );
  const reach = lists?.reaches.find((one) => one.id === chosen) ?? lists?.reaches[0];
  const own = reach ? reach.station : (lists?.stations[0]?.id ?? null);
  const stationId = otherStation && lists?.stations.some((one) => one.id === otherStation) ? otherStation : own;
  const station = lists?.stations.find((one) => one.id === stationId);
  // Water looks at the gauge itself; every other station at the river where the reach is.
  const atReach = reach !== undefined && stationId === reach.station && otherStation === null ? reach : undefined;
  const gauge = useLiveQuery(
    () => (atReach ? gaugeAtReach(database(), atReach) : gaugeOf(database(), stationId)),
    [stationId, atReach],
  );
  const state = useMemo(() => {
    if (!gauge) return { now: undefined, stale: false };
    const last = lastInstant(gauge);
    if (last === null) return { now: undefined, stale: false };
    const stale = minute - last > STALE_AFTER;
    return { now: gaugeNow(gauge, stale ? last : minute), stale };
  }, [gauge, minute]);
  const place =
    reach?.reach.latitude !== undefined && reach.reach.longitude !== undefined
      ? { latitude: reach.reach.latitude, longitude: reach.reach.longitude }
      : station?.latitude != null && station.longitude != null
        ? { latitude: station.latitude, longitude: station.longitude }
        : undefined;
  const light = place ? lightAt(minute, place.latitude, place.longitude) : "day";
  return {
    ready: lists !== undefined,
    reaches: lists?.reaches ?? [],
    stations: lists?.stations ?? [],
    reach,
    station,
    gauge,
    ...state,
    atReach: atReach?.transfer ? atReach.id : undefined,
    light,
    place,
    minute,
  };
}
