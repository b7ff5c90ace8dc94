import { InputError } from "../quantity/fault";
import { parseQuantity } from "../quantity/units";
import { readInstant, UTC } from "./instant";
import { elementLines } from "./lines";
import { SoundingsGathering, type SoundingsFile } from "./soundings-text";
import { asNode, listOf, parseXml, textOf, xmlParser, type XmlNode } from "./xml";

export const looksLikeGpx = (text: string): boolean => /<(?:[\w.-]+:)?gpx[\s>]/.test(text.slice(0, 2000));

const parser = xmlParser(["wpt", "trk", "trkseg", "trkpt", "rte", "rtept"]);

/** A depth among the extensions of a place, at any depth of nesting: an element named depth, in m. */
function depthIn(value: unknown): number | undefined {
  for (const [name, child] of Object.entries(asNode(value) ?? {})) {
    if (/^(water)?_?depth$/i.test(name)) {
      const parsed = parseQuantity(textOf(child), "length", "m");
      if (parsed.ok) return parsed.value;
    }
    const deeper = depthIn(child);
    if (deeper !== undefined) return deeper;
  }
  return undefined;
}

/**
 * Soundings of a GPX 1.1 file (topografix.com/GPX/1/1): waypoints, tracks and routes whose places carry a depth among
 * their extensions, or whose name
 * or comment is one ("1.2 m", "4 ft"). An elevation is the height of the device and says nothing of the bed.
 */
export function readSoundingsGpx(source: string, file?: string): SoundingsFile {
  const root = asNode(parseXml(source, parser, file).gpx);
  if (!root) throw new InputError("not-gpx", {}, { file });
  const gathering = new SoundingsGathering("geographic", "depth", file);
  const places = [
    ...listOf(root.wpt),
    ...listOf(root.rte).flatMap((route) => listOf(asNode(route)?.rtept)),
    ...listOf(root.trk)
      .flatMap((track) => listOf(asNode(track)?.trkseg))
      .flatMap((segment) => listOf(asNode(segment)?.trkpt)),
  ]
    .map(asNode)
    .filter((node): node is XmlNode => node !== undefined);
  const lineOf = elementLines(source, ["wpt", "trkpt", "rtept"]);
  places.forEach((place, k) => {
    const named = ["name", "cmt", "desc"]
      .map((key) => textOf(place[key]))
      .map((text) => (/^-?[\d.,]+\s*(m|ft|'|cm)$/i.test(text) ? parseQuantity(text, "length", "m") : undefined))
      .find((parsed) => parsed?.ok);
    const depth = depthIn(place.extensions) ?? (named?.ok ? named.value : NaN);
    const instant = textOf(place.time) ? readInstant(textOf(place.time), UTC) : undefined;
    gathering.take(
      lineOf(k),
      Number(place["@lon"]),
      Number(place["@lat"]),
      depth,
      instant?.ok ? instant.time : undefined,
    );
  });
  return gathering.finish();
}
