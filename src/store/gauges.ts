import type { FieldReading, ReachRecord, StationRecord, WaterRecord } from "../core/book/records";
import { sameRecord } from "../core/gauge/same-gauge";
import type { GaugeFile } from "../core/formats/gauge-text";
import { stampAfter } from "../core/book/versions";
import { datedAt } from "../core/book/series-join";
import { add, patch, setDeleted, type Undo } from "./change";
import type { Database } from "./database";
import type { StoredSeries } from "./series-stored";
import { newId } from "./identity";
import { joinStored, renewedStored, storedTombstone } from "./series-stored";

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
  const now = Date.now();
  const id = target.station ?? newId();
  await db.transaction("rw", [db.stations, db.series], async () => {
    const own = target.station ? await db.stations.get(id) : undefined;
    // Words of a file may be longer than an archive takes.
    const station: StationRecord = own
      ? { ...own, updatedAt: stampAfter(now, own.updatedAt) }
      : {
          schema: "low-heron/station@1",
          id,
          updatedAt: stampAfter(now, undefined),
          name: target.name.slice(0, 120),
          code: file.station.id.slice(0, 40),
          source: "file",
          zone: target.zone,
          latitude: target.latitude,
          longitude: target.longitude,
        };
    await db.stations.put(station);
    for (const one of file.series) {
      const key = `${id}-${one.parameter}`;
      const before = await db.series.get(key);
      const updatedAt = stampAfter(now, before?.updatedAt);
      const given: StoredSeries = {
        id: key,
        station: id,
        parameter: one.parameter,
        unit: one.unit,
        updatedAt,
        ...(own?.demo === undefined ? {} : { demo: own.demo }),
        ...datedAt(updatedAt, one.times, one.values),
      };
      await db.series.put(before ? joinStored(before, given) : given);
    }
  });
  return id;
}

/**
 * The gauge that a record belongs to: of the same number; or whose readings it repeats; or that is called as its file.
 */
export async function gaugeLike(db: Database, file: GaugeFile, name: string): Promise<string | undefined> {
  const stations = (await db.stations.toArray()).filter((one) => !one.deleted && !one.demo);
  const coded = stations.find(({ code }) => code !== "" && code === file.station.id);
  if (coded) return coded.id;
  for (const { id } of stations) {
    const series = (await db.series.where("station").equals(id).toArray()).filter((one) => !one.deleted);
    if (sameRecord(file.series, series)) return id;
  }
  const called = [file.station.name, name].map((one) => one.trim().toLowerCase()).filter(Boolean);
  return stations.find((one) => called.includes(one.name.trim().toLowerCase()))?.id;
}

/** Gives a gauge another name. */
export const renameGauge = (db: Database, id: string, name: string): Promise<Undo> =>
  patch(db, db.stations, id, { name });

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
  const now = Date.now();
  return db.transaction("rw", tables, async () => {
    const readings = await db.readings
      .where("station")
      .equals(id)
      .filter((one) => !one.deleted)
      .primaryKeys();
    const series = await db.series.where("station").equals(id).toArray();
    await db.series.bulkPut(series.map((one) => storedTombstone(one, stampAfter(now, one.updatedAt))));
    const undos = [await setDeleted(db, db.stations, id, true)];
    if (await db.waters.get(id)) undos.push(await setDeleted(db, db.waters, id, true));
    for (const reading of readings) undos.push(await setDeleted(db, db.readings, reading, true));
    return () =>
      db.transaction("rw", tables, async () => {
        for (const undo of undos) await undo();
        for (const one of series) {
          const there = await db.series.get(one.id);
          const back = renewedStored(one, stampAfter(Date.now(), there?.updatedAt));
          await db.series.put(there ? joinStored(there, back) : back);
        }
      });
  });
}
