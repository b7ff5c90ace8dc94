"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { cloudClass, windClass } from "../core/gauge/weather";
import { type ExpectedSky, weatherThen } from "../core/plan/weather-factors";
import type { WeatherFile } from "../core/formats/weather-csv";
import { InputError } from "../core/quantity/fault";
import { fetched } from "../core/quantity/fetched";
import { database, type StoredWeather } from "../store/database";
import { dropForecast, keepForecast } from "../store/weather";
import { clockNow } from "./clock";
import { dayKey } from "../words/river";
import { useSettings } from "./settings";
import type { River } from "./use-river";

/** The forecast that is kept for a gauge's river; null where there is none, undefined until it is known. */
export const useWeather = (station: string | null | undefined): StoredWeather | null | undefined =>
  useLiveQuery(async () => (station ? ((await database().weather.get(station)) ?? null) : null), [station]);

/** Sky and wind as the angler said today that they will be; undefined where nothing was said today. */
export function useExpectedSky(today: string): ExpectedSky | undefined {
  const expected = useSettings((settings) => settings.expected);
  return expected?.day === today ? expected : undefined;
}

/** Sky and wind of now in words, as the angler expects them or as forecast; undefined where neither says anything. */
export function useSkyNow({ station, minute }: Pick<River, "station" | "minute">): ExpectedSky | undefined {
  const weather = useWeather(station?.id);
  const sky = useExpectedSky(dayKey(minute));
  const now = weatherThen(weather ?? null, sky, minute);
  if (!now || (now.cloud === null && now.wind === null)) return undefined;
  return {
    cloud: now.cloud === null ? null : cloudClass(now.cloud),
    wind: now.wind === null ? null : windClass(now.wind),
  };
}

/** Larger files are no forecast, bytes. */
const LARGEST = 1024 * 1024;

/** Reads a forecast from a file and keeps it for a river; what became of its lines, and the way back. */
export async function takeForecast(
  file: File,
  station: string,
): Promise<Omit<WeatherFile, "weather"> & { undo: () => Promise<void> }> {
  if (file.size > LARGEST) throw new InputError("file-too-large", { megabytes: LARGEST / 1_048_576 });
  const { readWeatherCsv } = await fetched(import("../core/formats/weather-csv"));
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { weather, ...told } = readWeatherCsv(await file.text(), { issued: clockNow(), file: file.name, zone });
  const kept: StoredWeather = { ...weather, id: station, source: "file", name: file.name };
  const before = await keepForecast(database(), kept);
  return { ...told, undo: () => putBack(station, before) };
}

/** Takes the forecast of a river away; the way back. */
export async function leaveForecast(station: string): Promise<() => Promise<void>> {
  const before = await dropForecast(database(), station);
  return () => putBack(station, before);
}

async function putBack(station: string, before: StoredWeather | undefined): Promise<void> {
  await (before ? keepForecast(database(), before) : dropForecast(database(), station));
}
