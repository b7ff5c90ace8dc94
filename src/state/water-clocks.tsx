"use client";
import { createContext, type ReactNode, useContext, useMemo } from "react";
import type { Session } from "../core/book/records";
import { isZone } from "../core/quantity/local-time";
import { database } from "../store/database";
import { useLiveAnswer } from "./live-answer";

/** The zones of waters; undefined where a water has none, or is the one that is looked at. */
export interface WaterClocks {
  ofReach: (reach: string | undefined) => string | undefined;
  ofSession: (session: string) => string | undefined;
}

const Clocks = createContext<WaterClocks>({ ofReach: () => undefined, ofSession: () => undefined });

/** For what shows several waters at once: each session and fish by the clock of its own. */
export function WaterClocksOf({ sessions, children }: { sessions: readonly Session[]; children: ReactNode }) {
  const zones = useLiveAnswer(async () => {
    const [reaches, stations] = [await database().reaches.toArray(), await database().stations.toArray()];
    const zoneOf = new Map(stations.map((one) => [one.id, one.zone]));
    return new Map(reaches.map((one) => [one.id, zoneOf.get(one.station ?? "")]));
  }, []);
  const clocks = useMemo((): WaterClocks => {
    const reachOf = new Map(sessions.map((one) => [one.id, one.reach]));
    const ofReach = (reach: string | undefined) => {
      const zone = zones?.get(reach ?? "");
      return zone !== undefined && isZone(zone) ? zone : undefined;
    };
    return { ofReach, ofSession: (session) => ofReach(reachOf.get(session)) };
  }, [zones, sessions]);
  return <Clocks.Provider value={clocks}>{children}</Clocks.Provider>;
}

export const useWaterClocks = (): WaterClocks => useContext(Clocks);
