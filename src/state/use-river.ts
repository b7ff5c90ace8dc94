"use client";
import type { Light } from "../core/gauge/light";
import { useLiveAnswer } from "./live-answer";
import { useMemo } from "react";
import type { ReachRecord, StationRecord } from "../core/book/records";
import { gaugeNow, type GaugeNow, gaugeNowOrLast, type GaugeRecord } from "../core/gauge/summary";
import { lightAt } from "../core/gauge/light";
import { database } from "../store/database";
import { gaugeAtReach, gaugeOf, ownAtReach } from "../store/river";
import { useMinute } from "./clock";
import { useSettings } from "./settings";

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

/** Where something lies, if it says. */
const placeOf = (
  one: { latitude?: number | null; longitude?: number | null } | undefined,
): { latitude: number; longitude: number } | undefined =>
  one?.latitude != null && one.longitude != null ? { latitude: one.latitude, longitude: one.longitude } : undefined;

const NONE_YET: Pick<River, "reaches" | "stations"> = { reaches: [], stations: [] };

/** The chosen reach, or the first; and the gauge that is asked for, or the reach's own. */
function chosenOf(
  reaches: readonly ReachRecord[],
  stations: readonly StationRecord[],
  chosen: string | null,
  otherStation: string | null,
) {
  const reach = reaches.find((one) => one.id === chosen) ?? reaches[0];
  const own = reach ? reach.station : (stations[0]?.id ?? null);
  const stationId = stations.some((one) => one.id === otherStation) ? otherStation : own;
  return { reach, stationId, station: stations.find((one) => one.id === stationId) };
}

/** The flow that a gauge tells now, m3/s; null where it has ended or the flow is by the angler's own mark. */
export const gaugedFlow = ({ now, stale }: Pick<River, "now" | "stale">): number | null =>
  stale || now?.dischargeFrom ? null : (now?.discharge ?? null);

const NOT_KNOWN = { now: undefined, stale: false };

/** Without a gauge: what the angler read not long ago, and nothing else. */
function ownState(own: GaugeRecord, minute: number): { now: GaugeNow | undefined; stale: boolean } {
  const now = gaugeNow(own, minute);
  const nothing = now.discharge === null && now.waterTemperature === null && now.visibleDepth === null;
  return { now: nothing ? undefined : now, stale: false };
}

/** The chosen reach with its gauge, and the state of the river; or with another gauge where one is asked for. */
export function useRiver(otherStation: string | null = null): River {
  const chosen = useSettings((settings) => settings.reach);
  const minute = useMinute();
  const lists = useLiveAnswer(
    async () => ({
      reaches: (await database().reaches.toArray()).filter((one) => !one.deleted),
      stations: (await database().stations.toArray()).filter((one) => !one.deleted),
    }),
    [],
  );
  const { reaches, stations } = lists ?? NONE_YET;
  const { reach, station, stationId } = chosenOf(reaches, stations, chosen, otherStation);
  // Water looks at the gauge itself; every other station at the river where the reach is.
  const atReach = reach !== undefined && stationId === reach.station && otherStation === null ? reach : undefined;
  const gauge = useLiveAnswer(
    () => (atReach ? gaugeAtReach(database(), atReach) : gaugeOf(database(), stationId)),
    [stationId, atReach?.id, JSON.stringify(atReach?.transfer)],
  );
  const ungauged = reach && stationId === null ? reach : undefined;
  const own = useLiveAnswer(
    async () => (ungauged ? await ownAtReach(database(), ungauged) : undefined),
    [ungauged?.id],
  );
  const state = useMemo(
    () => (own ? ownState(own, minute) : ((gauge && gaugeNowOrLast(gauge, minute)) ?? NOT_KNOWN)),
    [own, gauge, minute],
  );
  const place = placeOf(reach?.reach) ?? placeOf(station);
  const light = place ? lightAt(minute, place.latitude, place.longitude) : "day";
  return {
    ready: lists !== undefined,
    reaches,
    stations,
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
