import type { Transaction } from "dexie";
import type { Session, StationRecord } from "../core/book/records";
import type { StoredSeries } from "./series-stored";

/**
 * What books before schema 5 could hold and no archive could: names and numbers of a gauge that are too long are cut, a
 * session that ends before it begins ends as it begins. Readings are taken to have come in when their series was
 * written last.
 */
export async function clampOld(transaction: Transaction): Promise<void> {
  const table = <T>(name: string) => transaction.table<T>(name).toCollection();
  // One by one: series are long.
  const all = transaction.table<StoredSeries, string>("series");
  for (const id of await all.toCollection().primaryKeys()) {
    const series = (await all.get(id))!;
    const stamp = new Date(series.updatedAt).toISOString();
    await all.put({
      ...series,
      stamps: series.times.length > 0 ? [stamp] : [],
      marks: new Uint16Array(series.times.length),
      ...(series.deleted ? { cleared: stamp } : {}),
    });
  }
  await table<StationRecord>("stations").modify((station) => {
    station.name = station.name.slice(0, 120) || "Gauge";
    station.code = station.code.slice(0, 40);
    station.zone = station.zone.slice(0, 60);
  });
  await table<Session>("sessions").modify((session) => {
    if (session.end !== null && Date.parse(session.end) < Date.parse(session.start)) session.end = session.start;
  });
}
