import { demandText } from "./gauge-text";
import { readSoundingsCsv } from "./soundings-csv";
import { looksLikeJson, readSoundingsGeoJson } from "./soundings-geojson";
import { looksLikeGpx, readSoundingsGpx } from "./soundings-gpx";
import { looksLikeNmea, readSoundingsNmea } from "./soundings-nmea";
import type { SoundingsFile } from "./soundings-text";

/** Soundings of a CSV, GPX, GeoJSON or NMEA 0183 file; the text itself tells which. */
export function readSoundings(text: string, file?: string): SoundingsFile {
  demandText(text, file);
  if (looksLikeGpx(text)) return readSoundingsGpx(text, file);
  if (looksLikeJson(text)) return readSoundingsGeoJson(text, file);
  return looksLikeNmea(text) ? readSoundingsNmea(text, file) : readSoundingsCsv(text, file);
}
