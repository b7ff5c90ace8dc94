import type { FieldReading, ReachRecord, StationRecord, WaterRecord } from "../core/book/records";
import type { GaugeFile } from "../core/formats/gauge-text";
import { mergeSeries } from "../core/gauge/series";
import { seriesTombstone } from "./book";
import { add, patch, setDeleted, type Undo } from "./change";
import type { Database, StoredSeries } from "./database";
import { newId } from "./identity";

export interface GaugeTarget {
  /** An existing station's id, or undefined for a new one. */
  station?: string;
  name: string;
  zone: string;
  latitude: number | null;
  longitude: number | null;
}

/** Keeps an imported gauge file: a new station, or joined to one without duplicates. All in one transaction. */
export async function keepGauge(db: Database, file: GaugeFile, target: GaugeTarget): Promise<string> {
  const updatedAt = new Date().toISOString();
  const id = target.station ?? newId();
  await db.transaction("rw", [db.stations, db.series], async () => {
    const own = target.station ? await db.stations.get(id) : undefined;
    const station: StationRecord = own
      ? { ...own, updatedAt }
      : {
          schema: "low-heron/station@1",
          id,
          updatedAt,
          name: target.name,
          code: file.station.id,
          source: "file",
          zone: target.zone,
          latitude: target.latitude,
          longitude: target.longitude,
        };
    await db.stations.put(station);
    for (const one of file.series) {
      const key = `${id}-${one.parameter}`;
      const before = await db.series.get(key);
      const joined = before && !before.deleted ? mergeSeries(before, one) : one;
      await db.series.put({
        id: key,
        station: id,
        parameter: one.parameter,
        unit: one.unit,
        times: joined.times,
        values: joined.values,
        updatedAt,
        demo: own?.demo,
      } satisfies StoredSeries);
    }
  });
  return id;
}

/** What nobody has said yet of a water. */
export const blankWater = (station: string): WaterRecord => ({
  schema: "low-heron/water@1",
  id: station,
  updatedAt: new Date(0).toISOString(),
  altitude: null,
  damNote: "",
  fullPool: null,
  beachSlope: null,
  constituents: [],
  bands: [],
  gaugings: [],
});

/** What can be said of a water and of how its reach takes its flow, in one step. */
export interface WaterKnowledge {
  water: Partial<Omit<WaterRecord, "schema" | "id" | "updatedAt">>;
  place?: Pick<StationRecord, "latitude" | "longitude">;
  transfer?: ReachRecord["transfer"];
}

/** Keeps what is known of a water: its own record, where the gauge lies, and the transfer to a reach of it. */
export async function keepWater(
  db: Database,
  station: string,
  reach: string | undefined,
  { water, place, transfer }: WaterKnowledge,
): Promise<Undo> {
  return db.transaction("rw", [db.waters, db.stations, db.reaches], async () => {
    if (!(await db.waters.get(station))) await db.waters.add(blankWater(station));
    const undos = [await patch(db, db.waters, station, water)];
    if (place) undos.push(await patch(db, db.stations, station, place));
    if (reach && transfer !== undefined) undos.push(await patch(db, db.reaches, reach, { transfer }));
    return () =>
      db.transaction("rw", [db.waters, db.stations, db.reaches], async () => {
        for (const undo of undos) await undo();
      });
  });
}

/** Puts a reading taken by hand in the book. */
export async function addReading(
  db: Database,
  given: Omit<FieldReading, "schema" | "id" | "updatedAt">,
): Promise<Undo> {
  const reading: FieldReading = {
    schema: "low-heron/reading@1",
    id: newId(),
    updatedAt: new Date().toISOString(),
    ...given,
  };
  return add(db, db.readings, reading);
}

export const removeReading = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.readings, id, true);

/** Takes a gauge, its record and what is known of its water out, in one transaction, leaving tombstones. */
export async function removeGauge(db: Database, id: string): Promise<Undo> {
  const tables = [db.stations, db.series, db.waters, db.readings];
  const at = new Date().toISOString();
  return db.transaction("rw", tables, async () => {
    const readings = await db.readings
      .where("station")
      .equals(id)
      .filter((one) => !one.deleted)
      .primaryKeys();
    const series = await db.series.where("station").equals(id).toArray();
    await db.series.bulkPut(series.map((one) => seriesTombstone(one, at)));
    const undos = [await setDeleted(db, db.stations, id, true)];
    if (await db.waters.get(id)) undos.push(await setDeleted(db, db.waters, id, true));
    for (const reading of readings) undos.push(await setDeleted(db, db.readings, reading, true));
    return () =>
      db.transaction("rw", tables, async () => {
        for (const undo of undos) await undo();
        const updatedAt = new Date().toISOString();
        await db.series.bulkPut(series.map((one) => ({ ...one, updatedAt })));
      });
  });
}
