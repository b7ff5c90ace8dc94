import type { SeriesRecord } from "../core/book/records";
import { type DatedReadings, asRecorded, datedAt, joinHeads, joinReadings, readingsOf } from "../core/book/series-join";
import type { Parameter } from "../core/gauge/series";

/** A series as the browser keeps it: typed arrays, NaN for gaps. */
export interface StoredSeries extends DatedReadings {
  id: string;
  station: string;
  parameter: Parameter;
  unit: string;
  updatedAt: string;
  deleted?: boolean;
  demo?: boolean;
}

/** A series of the book as the browser keeps it. */
export function toStored(record: SeriesRecord): StoredSeries {
  const { id, station, parameter, unit, updatedAt, deleted, demo } = record;
  return {
    ...{ id, station, parameter, unit, updatedAt },
    ...(deleted === undefined ? {} : { deleted }),
    ...(demo === undefined ? {} : { demo }),
    ...readingsOf(record),
  };
}

/** And back. */
export function toRecord(stored: StoredSeries): SeriesRecord {
  const { id, station, parameter, unit, updatedAt, deleted, demo } = stored;
  return {
    schema: "low-heron/series@2",
    ...{ id, station, parameter, unit, updatedAt },
    ...(deleted === undefined ? {} : { deleted }),
    ...(demo === undefined ? {} : { demo }),
    ...asRecorded(stored),
  };
}

/** A series brought back at an instant (merge.ts): alive, all its readings come in anew. */
export const renewedStored = ({ cleared: _, deleted: __, ...series }: StoredSeries, at: string): StoredSeries => ({
  ...series,
  updatedAt: at,
  ...datedAt(at, series.times, series.values),
});

/** What stays of a series that was taken out: its readings go. */
export const storedTombstone = (series: StoredSeries, at: string): StoredSeries => ({
  ...series,
  updatedAt: at,
  deleted: true,
  ...datedAt(at, new Float64Array(0), new Float64Array(0)),
  cleared: at,
});

/** Two states of a stored series as one. */
export function joinStored(a: StoredSeries, b: StoredSeries): StoredSeries {
  const readings = joinReadings(a, b);
  const { station, parameter } = a;
  return { station, parameter, ...joinHeads(a, b, readings), ...readings };
}
