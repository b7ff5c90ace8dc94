import { sounderLog, SOUNDER_DRAFT } from "../standins/sounder";
import { DEMO_REACHES } from "./river";
import { DEMO_STATION } from "./station";

/** How the made-up reach lies, degrees from north, and depth over its riffle when it was sounded. */
const HEADING = 200;
const LEVEL = 0.5;
export const DEMO_SOUNDING = { name: "demo boat.nmea", waterSurfaceSlope: 0.0028, transducerDraft: SOUNDER_DRAFT };

/** The log of a made-up boat's sounder on the demo river's first reach, the morning before `now`: NMEA 0183. */
export function demoSounding(now: number): string {
  const before = new Date(now - 86_400_000);
  const nine = Date.UTC(before.getUTCFullYear(), before.getUTCMonth(), before.getUTCDate(), 9);
  return sounderLog(
    DEMO_REACHES[0]!,
    { ...DEMO_STATION, heading: HEADING },
    nine,
    DEMO_SOUNDING.waterSurfaceSlope,
    LEVEL,
  );
}
