import type {
  Catch,
  FieldReading,
  ReachRecord,
  RiverState,
  Session,
  StationRecord,
  WaterRecord,
} from "../core/book/records";
import Dexie from "dexie";
import { recordAtReach, riverRecord } from "../core/book/river-record";
import { riverState } from "../core/book/river-state";
import type { GaugeFile } from "../core/formats/gauge-text";
import { mergeSeries } from "../core/gauge/series";
import type { GaugeRecord } from "../core/gauge/summary";
import type { Database, StoredSeries } from "./database";
import { newId } from "./identity";

/** The gauge record of a station with what the angler knows of its water, or undefined. */
export async function gaugeOf(db: Database, station: string | null): Promise<GaugeRecord | undefined> {
  if (!station) return undefined;
  const record = await db.stations.get(station);
  if (!record) return undefined;
  const series = await seriesOfStation(db, station);
  return riverRecord(
    { station: { id: record.id, name: record.name }, series },
    await db.waters.get(station),
    await db.readings.where("station").equals(station).toArray(),
  );
}

/** The series read last: they are long, and a look at their index tells whether they are still the same. */
let lastRead: { of: string; series: Promise<StoredSeries[]> } | undefined;

async function seriesOfStation(db: Database, station: string): Promise<StoredSeries[]> {
  return db.transaction("r", db.series, async () => {
    const state = await db.series
      .where("[station+updatedAt]")
      .between([station, Dexie.minKey], [station, Dexie.maxKey])
      .keys();
    const of = JSON.stringify([db.name, station, state]);
    if (lastRead?.of === of) return Dexie.waitFor(lastRead.series);
    const series = db.series.where("station").equals(station).toArray();
    lastRead = { of, series: Promise.resolve(series) };
    // What could not be read is not kept for the next who asks.
    lastRead.series.catch(() => (lastRead = undefined));
    return series;
  });
}

/** The record as it is at a reach: of its own gauge, transferred where the angler has said how. */
export async function gaugeAtReach(db: Database, reach: ReachRecord | undefined): Promise<GaugeRecord | undefined> {
  const gauge = await gaugeOf(db, reach?.station ?? null);
  return gauge && reach
    ? recordAtReach(gauge, reach, await db.readings.where("reach").equals(reach.id).toArray())
    : gauge;
}

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
      const joined = before ? mergeSeries(before, one) : one;
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

/** Takes a reach out of the book (its sessions stay); the second call brings it back. */
export async function markReach(db: Database, id: string, deleted: boolean): Promise<void> {
  await db.reaches.update(id, { deleted: deleted || undefined, updatedAt: new Date().toISOString() });
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

/** Keeps what is known of a water; the old record comes back for undo. */
export async function keepWater(db: Database, water: WaterRecord): Promise<WaterRecord | undefined> {
  return db.transaction("rw", db.waters, async () => {
    const before = await db.waters.get(water.id);
    await db.waters.put({ ...water, updatedAt: new Date().toISOString() });
    return before;
  });
}

/** Says where a gauge lies, degrees: for its light. */
export async function setPlace(
  db: Database,
  station: string,
  { latitude, longitude }: Pick<StationRecord, "latitude" | "longitude">,
): Promise<void> {
  await db.stations.update(station, { latitude, longitude, updatedAt: new Date().toISOString() });
}

/** Puts a reading taken by hand in the book. */
export async function addReading(
  db: Database,
  given: Omit<FieldReading, "schema" | "id" | "updatedAt">,
): Promise<FieldReading> {
  const reading: FieldReading = {
    schema: "low-heron/reading@1",
    id: newId(),
    updatedAt: new Date().toISOString(),
    ...given,
  };
  await db.readings.add(reading);
  return reading;
}

/** Takes a reading out, or brings it back. */
export async function markReading(db: Database, id: string, deleted: boolean): Promise<void> {
  await db.readings.update(id, { deleted: deleted || undefined, updatedAt: new Date().toISOString() });
}

/** Keeps a changed reach. */
export async function saveReach(db: Database, reach: ReachRecord["reach"]): Promise<void> {
  await db.transaction("rw", db.reaches, async () => {
    const record = await db.reaches.get(reach.id);
    if (record) await db.reaches.put({ ...record, updatedAt: new Date().toISOString(), reach });
  });
}

/** Says how a reach takes its flow from its gauge; null: as it is. */
export async function setTransfer(db: Database, reach: string, transfer: ReachRecord["transfer"]): Promise<void> {
  await db.reaches.update(reach, { transfer, updatedAt: new Date().toISOString() });
}

/** Says which gauge a reach goes by. */
export async function setGauge(db: Database, reach: string, station: string | null): Promise<void> {
  await db.reaches.update(reach, { station, updatedAt: new Date().toISOString() });
}

/**
 * Takes a gauge, its record and what is known of its water out, in one transaction, and gives back the way to undo it.
 */
export async function removeGauge(db: Database, id: string): Promise<() => Promise<void>> {
  const tables = [db.stations, db.series, db.waters, db.readings];
  return db.transaction("rw", tables, async () => {
    const water = await db.waters.get(id);
    const readings = await db.readings.where("station").equals(id).toArray();
    const station = await db.stations.get(id);
    const series = await db.series.where("station").equals(id).toArray();
    await db.series.bulkDelete(series.map((one) => one.id));
    await db.stations.delete(id);
    await db.waters.delete(id);
    await db.readings.bulkDelete(readings.map((one) => one.id));
    return () =>
      db.transaction("rw", tables, async () => {
        if (station) await db.stations.put(station);
        if (water) await db.waters.put(water);
        await db.readings.bulkPut(readings);
        await db.series.bulkPut(series);
      });
  });
}

/** State of the river for a reach at an instant, from its own gauge; null without one. */
async function stateFor(db: Database, reach: string, at: number): Promise<RiverState | null> {
  const record = await db.reaches.get(reach);
  const gauge = await gaugeAtReach(db, record);
  return gauge ? riverState(gauge, at) : null;
}

export async function startSession(db: Database, reach: string, species: string, now = Date.now()): Promise<Session> {
  const session: Session = {
    schema: "low-heron/session@1",
    id: newId(now),
    updatedAt: iso(now),
    reach,
    start: iso(now),
    end: null,
    rods: 1,
    species,
    notes: "",
    river: await stateFor(db, reach, now),
  };
  await db.sessions.add(session);
  return session;
}

export async function endSession(db: Database, id: string, now: number): Promise<void> {
  await db.sessions.update(id, { end: iso(now), updatedAt: iso(now) });
}

/** Puts a past session in the book with its true times: a blank remembered later counts too. */
export async function addPastSession(
  db: Database,
  given: Pick<Session, "reach" | "species" | "rods" | "notes"> & { start: number; end: number },
): Promise<Session> {
  const session: Session = {
    schema: "low-heron/session@1",
    id: newId(),
    updatedAt: iso(Date.now()),
    reach: given.reach,
    start: iso(given.start),
    end: iso(given.end),
    rods: given.rods,
    species: given.species,
    notes: given.notes,
    river: await stateFor(db, given.reach, given.start),
  };
  await db.sessions.add(session);
  return session;
}

/** Logs a fish. Resolves only when it is on the disk. */
export async function logCatch(
  db: Database,
  session: Session,
  fish: Partial<Pick<Catch, "length" | "lie" | "lure" | "notes" | "species" | "place">>,
  at = Date.now(),
): Promise<Catch> {
  const one: Catch = {
    schema: "low-heron/catch@1",
    id: newId(at),
    updatedAt: iso(Date.now()),
    session: session.id,
    at: iso(at),
    species: fish.species ?? session.species,
    length: fish.length ?? null,
    lie: fish.lie ?? "",
    lure: fish.lure ?? "",
    notes: fish.notes ?? "",
    river: await stateFor(db, session.reach, at),
    ...(fish.place ? { place: fish.place } : {}),
  };
  await db.catches.add(one);
  return one;
}

const iso = (time: number): string => new Date(time).toISOString();
