import type { WeatherRecord } from "../core/book/preferences";
import { stampAfter } from "../core/book/versions";
import type { Database } from "./database";

/** A forecast as it comes: what makes it a record is added when it is kept. */
export type NewForecast = Omit<WeatherRecord, "schema" | "updatedAt" | "deleted" | "demo">;

/** The forecast of a gauge's river; undefined without one. */
export async function forecastFor(db: Database, station: string): Promise<WeatherRecord | undefined> {
  const kept = await db.weather.get(station);
  return kept?.deleted ? undefined : kept;
}

/** Keeps a forecast in place of the one before, which it gives back. */
export async function keepForecast(db: Database, weather: NewForecast): Promise<WeatherRecord | undefined> {
  return db.transaction("rw", db.weather, async () => {
    const before = await db.weather.get(weather.id);
    const { id, issued, source, name, hours } = weather;
    await db.weather.put({
      schema: "low-heron/weather@1",
      updatedAt: stampAfter(Date.now(), before?.updatedAt),
      ...(source === "stand-in" && { demo: true }),
      id,
      issued,
      source,
      name,
      hours,
    });
    return before?.deleted ? undefined : before;
  });
}

/** Takes the forecast of a river away and gives it back; undefined where there was none. */
export async function dropForecast(db: Database, station: string): Promise<WeatherRecord | undefined> {
  return db.transaction("rw", db.weather, async () => {
    const before = await db.weather.get(station);
    if (!before || before.deleted) return undefined;
    await db.weather.put({ ...before, hours: [], deleted: true, updatedAt: stampAfter(Date.now(), before.updatedAt) });
    return before;
  });
}
