import type { GaugeFormat } from "../core/formats/gauge-formats";

/** What gauge formats are called. */
export const GAUGE_FORMAT_NAMES: Record<GaugeFormat, string> = {
  csv: "CSV",
  rdb: "RDB (tab-separated, as agencies publish it)",
  waterml2: "WaterML 2.0",
};
