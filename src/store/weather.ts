import type { Database, StoredWeather } from "./database";

/** Keeps a forecast in place of the one before, which it gives back. */
export async function keepForecast(db: Database, weather: StoredWeather): Promise<StoredWeather | undefined> {
  return db.transaction("rw", db.weather, async () => {
    const before = await db.weather.get(weather.id);
    await db.weather.put(weather);
    return before;
  });
}

/** Takes the forecast of a river away and gives it back; undefined where there was none. */
export async function dropForecast(db: Database, station: string): Promise<StoredWeather | undefined> {
  return db.transaction("rw", db.weather, async () => {
    const before = await db.weather.get(station);
    await db.weather.delete(station);
    return before;
  });
}
