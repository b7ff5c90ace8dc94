"use client";
import type { ForecastSkill } from "../core/gauge/backtest";
import type { Outlook } from "../core/gauge/outlook";
import type { GaugeRecord } from "../core/gauge/summary";
import { keyOf } from "../scenario/key";
import { waterWorker } from "../store/water-client";
import type { RecordOf } from "../store/water-api";
import { useKeptStage } from "./kept-answers";
import { type Stage, valueOf } from "./query";

const recordOf = (gauge: GaugeRecord | undefined, reach: string | undefined): RecordOf | undefined => {
  const station = gauge?.station.id;
  return station === undefined ? undefined : reach === undefined ? { station } : { reach };
};

/**
 * What is worked out of a station's record, or of the record as it is at `reach`, in the worker. The records themselves
 * stay on the worker's side.
 */
export function useOutlook(
  gauge: GaugeRecord | undefined,
  at: number | undefined,
  reach: string | undefined,
): Stage<Outlook | null> {
  const of = recordOf(gauge, reach);
  const asked = of && at !== undefined;
  return useKeptStage(
    "outlook",
    asked && keyOf("outlook", of, gauge?.version, at),
    async () => valueOf(await waterWorker.ask(async (api) => api.outlook(of!, at!))),
    // Another reading of the same record: the earlier outlook stays until the next is there.
    asked && keyOf(of),
  );
}

/** The slower skill of such forecasts, once there is an outlook. */
export function useSkill(
  gauge: GaugeRecord | undefined,
  reach: string | undefined,
  wanted: boolean,
): Stage<ForecastSkill[]> {
  const of = recordOf(gauge, reach);
  return useKeptStage(
    "skill",
    of && wanted ? keyOf("skill", of, gauge?.version) : undefined,
    async () => valueOf(await waterWorker.ask(async (api) => api.track(of!))),
    of && keyOf(of),
  );
}
