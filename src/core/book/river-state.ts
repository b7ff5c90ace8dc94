import { gaugeNow, type GaugeRecord, usualExceedance } from "../gauge/summary";
import type { RiverState } from "./records";

/** The river at an instant (ms) as a session or a catch keeps it: nobody writes it down by hand. */
export function riverState(gauge: GaugeRecord, at: number): RiverState {
  const now = gaugeNow(gauge, at);
  const { discharge, stage, waterTemperature, visibleDepth, trend } = now;
  const exceedance = usualExceedance(now);
  return { at: new Date(at).toISOString(), discharge, stage, waterTemperature, visibleDepth, exceedance, trend };
}
