import { message } from "../quantity/message";
import { z } from "zod";
import { readFeatures } from "./geojson";
import { readInstant, UTC } from "./instant";
import { SoundingsGathering, type SoundingsFile } from "./soundings-text";

export const looksLikeJson = (text: string): boolean => /^\s*\uFEFF?\s*[{[]/.test(text);

const position = z.array(z.number()).min(2);
const feature = z.object({
  type: z.literal("Feature"),
  geometry: z.object({ type: z.string(), coordinates: z.unknown() }).nullable(),
  properties: z.record(z.string(), z.unknown()).nullish(),
});
/**
 * Soundings of a GeoJSON file (RFC 7946): points with a property `depth` in m (or `depth_ft` in feet), perhaps a
 * `time`. Other shapes are refused one by one.
 */
export function readSoundingsGeoJson(text: string, file?: string): SoundingsFile {
  const { features } = readFeatures(text, file);
  const gathering = new SoundingsGathering("geographic", "depth", file);
  features.forEach((one, k) => {
    const where = k + 1;
    const read = feature.safeParse(one);
    if (!read.success) return gathering.reject(where, message("not-a-feature"));
    const { geometry, properties } = read.data;
    const place = geometry?.type === "Point" ? position.safeParse(geometry.coordinates) : undefined;
    if (!place?.success) return gathering.reject(where, message("not-a-point", { type: geometry?.type.slice(0, 40) }));
    const entries = new Map(Object.entries(properties ?? {}).map(([name, value]) => [name.toLowerCase(), value]));
    const number = (name: string) =>
      typeof entries.get(name) === "number" || (typeof entries.get(name) === "string" && entries.get(name) !== "")
        ? Number(entries.get(name))
        : undefined;
    const feet = number("depth_ft");
    const time = typeof entries.get("time") === "string" ? readInstant(entries.get("time") as string, UTC) : undefined;
    gathering.take(
      where,
      place.data[0]!,
      place.data[1]!,
      number("depth") ?? number("depth_m") ?? (feet === undefined ? NaN : feet * 0.3048),
      time?.ok ? time.time : undefined,
    );
  });
  gathering.notes.push(message("features-counted"));
  if (gathering.tally.counts.rejected === 0) gathering.notes.pop();
  return gathering.finish();
}
