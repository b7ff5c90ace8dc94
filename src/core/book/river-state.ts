import { gaugeNow, type GaugeRecord } from "../gauge/summary";
import type { RiverState } from "./records";

/** The river at an instant (ms) as a session or a catch keeps it: nobody writes it down by hand. */
export function riverState(gauge: GaugeRecord, at: number): RiverState {
  const { discharge, stage, waterTemperature, visibleDepth, exceedance, trend } = gaugeNow(gauge, at);
  return { at: new Date(at).toISOString(), discharge, stage, waterTemperature, visibleDepth, exceedance, trend };
}
