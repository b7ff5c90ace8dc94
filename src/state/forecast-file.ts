import type { WeatherFile } from "../core/formats/weather-csv";
import { InputError } from "../core/quantity/fault";
import { fetched } from "../core/quantity/fetched";
import type { WeatherRecord } from "../core/book/preferences";
import { database } from "../store/database";
import { dropForecast, keepForecast, type NewForecast } from "../store/weather";
import { clockZone } from "../words/clock-zone";
import { clockNow } from "./clock";

/** Larger files are no forecast, bytes. */
const LARGEST = 1024 * 1024;

/** Reads a forecast from a file and keeps it for a river; what became of its lines, and the way back. */
export async function takeForecast(
  file: File,
  station: string,
): Promise<Omit<WeatherFile, "weather"> & { undo: () => Promise<void> }> {
  if (file.size > LARGEST) throw new InputError("file-too-large", { megabytes: LARGEST / 1_048_576 });
  const { readWeatherCsv } = await fetched(import("../core/formats/weather-csv"));
  const { weather, ...told } = readWeatherCsv(await file.text(), {
    issued: clockNow(),
    file: file.name,
    zone: clockZone(),
  });
  const kept: NewForecast = { ...weather, id: station, source: "file", name: file.name };
  const before = await keepForecast(database(), kept);
  return { ...told, undo: () => putBack(station, before) };
}

/** Takes the forecast of a river away; the way back. */
export async function leaveForecast(station: string): Promise<() => Promise<void>> {
  const before = await dropForecast(database(), station);
  return () => putBack(station, before);
}

async function putBack(station: string, before: WeatherRecord | undefined): Promise<void> {
  await (before ? keepForecast(database(), before) : dropForecast(database(), station));
}
