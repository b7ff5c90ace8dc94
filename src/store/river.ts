import type { Catch, RiverState, Session, StationRecord } from "../core/book/records";
import { riverState } from "../core/book/river-state";
import type { GaugeFile } from "../core/formats/gauge-text";
import { mergeSeries } from "../core/gauge/series";
import type { GaugeRecord } from "../core/gauge/summary";
import type { Database, StoredSeries } from "./database";
import { newId } from "./identity";

/** The gauge record of a station, or undefined. */
export async function gaugeOf(db: Database, station: string | null): Promise<GaugeRecord | undefined> {
  if (!station) return undefined;
  const record = await db.stations.get(station);
  if (!record) return undefined;
  return { station: { id: record.id, name: record.name }, series: await db.series.where("station").equals(station).toArray() };
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
    const station: StationRecord = own ? { ...own, updatedAt } : {
      schema: "low-heron/station@1", id, updatedAt, name: target.name, code: file.station.id, source: "file", zone: target.zone,
      latitude: target.latitude, longitude: target.longitude,
    };
    await db.stations.put(station);
    for (const one of file.series) {
      const key = `${id}-${one.parameter}`;
      const before = await db.series.get(key);
      const joined = before ? mergeSeries(before, one) : one;
      await db.series.put({ id: key, station: id, parameter: one.parameter, unit: one.unit, times: joined.times, values: joined.values, updatedAt, demo: own?.demo } satisfies StoredSeries);
    }
  });
  return id;
}

/** Takes a reach out of the book (its sessions stay); the second call brings it back. */
export async function markReach(db: Database, id: string, deleted: boolean): Promise<void> {
  await db.reaches.update(id, { deleted: deleted || undefined, updatedAt: new Date().toISOString() });
}

/** Says which gauge a reach goes by. */
export async function setGauge(db: Database, reach: string, station: string | null): Promise<void> {
  await db.reaches.update(reach, { station, updatedAt: new Date().toISOString() });
}

/** Takes a gauge and its record out, in one transaction, and gives back the way to undo it. */
export async function removeGauge(db: Database, id: string): Promise<() => Promise<void>> {
  return db.transaction("rw", [db.stations, db.series], async () => {
    const station = await db.stations.get(id);
    const series = await db.series.where("station").equals(id).toArray();
    await db.series.bulkDelete(series.map((one) => one.id));
    await db.stations.delete(id);
    return () => db.transaction("rw", [db.stations, db.series], async () => {
      if (station) await db.stations.put(station);
      await db.series.bulkPut(series);
    });
  });
}

/** State of the river for a reach at an instant, from its own gauge; null without one. */
async function stateFor(db: Database, reach: string, at: number): Promise<RiverState | null> {
  const record = await db.reaches.get(reach);
  const gauge = await gaugeOf(db, record?.station ?? null);
  return gauge ? riverState(gauge, at) : null;
}

export async function startSession(db: Database, reach: string, species: string, now = Date.now()): Promise<Session> {
  const session: Session = {
    schema: "low-heron/session@1", id: newId(now), updatedAt: iso(now), reach, start: iso(now), end: null, rods: 1, species, notes: "",
    river: await stateFor(db, reach, now),
  };
  await db.sessions.add(session);
  return session;
}

export async function endSession(db: Database, id: string, now: number): Promise<void> {
  await db.sessions.update(id, { end: iso(now), updatedAt: iso(now) });
}

/** Puts a past session in the book with its true times: a blank remembered later counts too. */
export async function addPastSession(db: Database, given: Pick<Session, "reach" | "species" | "rods" | "notes"> & { start: number; end: number }): Promise<Session> {
  const session: Session = {
    schema: "low-heron/session@1", id: newId(), updatedAt: iso(Date.now()), reach: given.reach, start: iso(given.start), end: iso(given.end),
    rods: given.rods, species: given.species, notes: given.notes, river: await stateFor(db, given.reach, given.start),
  };
  await db.sessions.add(session);
  return session;
}

/** Logs a fish. Resolves only when it is on the disk. */
export async function logCatch(db: Database, session: Session, fish: Partial<Pick<Catch, "length" | "lie" | "lure" | "notes" | "species">>, at = Date.now()): Promise<Catch> {
  const one: Catch = {
    schema: "low-heron/catch@1", id: newId(at), updatedAt: iso(Date.now()), session: session.id, at: iso(at), species: fish.species ?? session.species,
    length: fish.length ?? null, lie: fish.lie ?? "", lure: fish.lure ?? "", notes: fish.notes ?? "", river: await stateFor(db, session.reach, at),
  };
  await db.catches.add(one);
  return one;
}

const iso = (time: number): string => new Date(time).toISOString();
