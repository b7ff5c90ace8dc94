import type { GaugeRecord } from "../gauge/summary";
import { writeCsv } from "./csv-write";

/** A gauge record as a CSV that is read again as it was: one line for each instant, SI, a gap as an empty cell. */
export function writeGauge({ series }: Pick<GaugeRecord, "series">): string {
  const instants = [...new Set(series.flatMap(({ times }) => Array.from(times)))].sort((a, b) => a - b);
  const columns = series.map(
    ({ times, values }) => new Map(Array.from(times, (time, k) => [time, values[k]!] as const)),
  );
  return writeCsv(
    ["time", ...series.map(({ parameter, unit }) => `${parameter} (${unit})`)],
    instants.map((time) => [
      new Date(time).toISOString(),
      ...columns.map((values) => {
        const value = values.get(time);
        return value === undefined || Number.isNaN(value) ? null : value;
      }),
    ]),
  );
}
