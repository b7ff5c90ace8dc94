import type { ReachRecord, RiverState } from "../core/book/records";
import Dexie from "dexie";
import { recordAtReach, riverRecord, ungaugedRecord } from "../core/book/river-record";
import { riverState } from "../core/book/river-state";
import type { GaugeRecord } from "../core/gauge/summary";
import type { Database } from "./database";
import type { StoredSeries } from "./series-stored";

/** The gauge record of a station with what the angler knows of its water, or undefined. */
export async function gaugeOf(db: Database, station: string | null): Promise<GaugeRecord | undefined> {
  if (!station) return undefined;
  const record = await db.stations.get(station);
  if (!record || record.deleted) return undefined;
  const { series, version } = await seriesOfStation(db, station);
  const water = await db.waters.get(station);
  const readings = await db.readings.where("station").equals(station).toArray();
  const weather = await db.weather.get(station);
  const around = [...(water ? [water] : []), ...(weather ? [weather] : [])];
  return riverRecord(
    {
      station: { id: record.id, name: record.name },
      series,
      weather: weather?.deleted ? null : weather,
      version: versionWith(version, [record, ...around, ...readings]),
    },
    water?.deleted ? undefined : water,
    readings,
  );
}

/** A version that changes with each of the records that an answer was made of besides. */
const versionWith = (version: string | undefined, records: readonly { id: string; updatedAt: string }[]): string =>
  `${version}|${records.map((one) => `${one.id}@${one.updatedAt}`).join()}`;

/** The series read last: they are long, and a look at their index tells whether they are still the same. */
let lastRead: { of: string; series: Promise<StoredSeries[]> } | undefined;

async function seriesOfStation(db: Database, station: string): Promise<{ series: StoredSeries[]; version: string }> {
  return db.transaction("r", db.series, async () => {
    const state = await db.series
      .where("[station+updatedAt]")
      .between([station, Dexie.minKey], [station, Dexie.maxKey])
      .keys();
    const of = JSON.stringify([db.name, station, state]);
    if (lastRead?.of === of) return { series: await Dexie.waitFor(lastRead.series), version: of };
    const series = db.series
      .where("station")
      .equals(station)
      .filter((one) => !one.deleted)
      .toArray();
    lastRead = { of, series: Promise.resolve(series) };
    // What could not be read is not kept for the next who asks.
    lastRead.series.catch(() => (lastRead = undefined));
    return { series: await series, version: of };
  });
}

/** The record as it is at a reach: of its own gauge, transferred where the angler has said how. */
export async function gaugeAtReach(db: Database, reach: ReachRecord | undefined): Promise<GaugeRecord | undefined> {
  const gauge = await gaugeOf(db, reach?.station ?? null);
  if (!gauge || !reach) return gauge;
  const readings = await db.readings.where("reach").equals(reach.id).toArray();
  return recordAtReach({ ...gauge, version: versionWith(gauge.version, [reach, ...readings]) }, reach, readings);
}

/** State of the river for a reach at an instant, from its own gauge; null without one. */
export async function stateFor(db: Database, reach: string, at: number): Promise<RiverState | null> {
  const record = await db.reaches.get(reach);
  const gauge = await gaugeAtReach(db, record);
  if (gauge) return riverState(gauge, at);
  const own = record && (await ownAtReach(db, record));
  return own ? riverState(own, at) : null;
}

/** What the angler read on a reach without a gauge. */
export async function ownAtReach(db: Database, reach: ReachRecord): Promise<GaugeRecord | undefined> {
  return ungaugedRecord(reach, await db.readings.where("reach").equals(reach.id).toArray());
}
