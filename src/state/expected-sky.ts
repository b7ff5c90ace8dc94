import { CLOUDS, WINDS } from "../core/gauge/weather";
import type { ExpectedSky } from "../core/plan/weather-factors";

/** Sky and wind as the angler expects them, with the day on which that was said; null for what is none. */
export function expectedOf(kept: unknown): (ExpectedSky & { day: string }) | null {
  if (typeof kept !== "object" || kept === null) return null;
  const { day, cloud, wind } = kept as Record<string, unknown>;
  if (typeof day !== "string") return null;
  return {
    day,
    cloud: CLOUDS.find((one) => one === cloud) ?? null,
    wind: WINDS.find((one) => one === wind) ?? null,
  };
}
