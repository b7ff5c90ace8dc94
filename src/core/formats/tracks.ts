import { z } from "zod";
import { InputError } from "../quantity/fault";
import type { Track, WalkFile } from "../trace/walked";
import { demandText } from "./gauge-text";
import { readFeatures } from "./geojson";
import { readInstant, UTC } from "./instant";
import { looksLikeGpx } from "./soundings-gpx";
import { asNode, listOf, parseXml, textOf, xmlParser } from "./xml";

const MOST_FIXES = 200_000;
const MOST_TRACKS = 200;

const parser = xmlParser(["wpt", "trk", "trkseg", "trkpt", "rte", "rtept"]);
const position = z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)]).rest(z.unknown());

/**
 * Tracks and places of a GPX 1.1 file (topografix.com/GPX/1/1) or of GeoJSON (RFC 7946).
 * @throws InputError those of the format, "no-tracks", "too-many-drawn"
 */
export function readTracks(text: string, file?: string): WalkFile {
  demandText(text, file);
  const read = looksLikeGpx(text) ? fromGpx(text, file) : fromGeoJson(text, file);
  const tracks = read.tracks.filter(({ fixes }) => fixes.length > 1);
  if (tracks.length === 0 && read.places.length === 0) throw new InputError("no-tracks", {}, { file });
  const fixes = tracks.reduce((sum, one) => sum + one.fixes.length, 0);
  if (fixes > MOST_FIXES || tracks.length > MOST_TRACKS || read.places.length > MOST_FIXES)
    throw new InputError("too-many-drawn", { most: MOST_FIXES }, { file });
  return { ...read, tracks };
}

function fromGpx(text: string, file?: string): WalkFile {
  const root = asNode(parseXml(text, parser, file).gpx);
  if (!root) throw new InputError("not-gpx", {}, { file });
  let refused = 0;
  const fixesOf = (nodes: readonly unknown[]) =>
    nodes.flatMap((node) => {
      const place = asNode(node);
      const at = position.safeParse([Number(place?.["@lon"] ?? NaN), Number(place?.["@lat"] ?? NaN)]);
      if (!place || !at.success) {
        refused++;
        return [];
      }
      const instant = textOf(place.time) ? readInstant(textOf(place.time), UTC) : undefined;
      return [
        {
          at: [at.data[0], at.data[1]] as const,
          name: textOf(place.name) || textOf(place.cmt) || textOf(place.desc),
          ...(instant?.ok && { time: instant.time }),
        },
      ];
    });
  const track = (name: string, nodes: readonly unknown[]): Track => ({
    name,
    fixes: fixesOf(nodes).map(({ at, time }) => ({ at, ...(time !== undefined && { time }) })),
  });
  const tracks = [
    ...listOf(root.trk).flatMap((one) => {
      const node = asNode(one);
      // Parts of one walk: the device had lost the sky, or was paused.
      return track(
        textOf(node?.name),
        listOf(node?.trkseg).flatMap((part) => listOf(asNode(part)?.trkpt)),
      );
    }),
    ...listOf(root.rte).map((one) => track(textOf(asNode(one)?.name), listOf(asNode(one)?.rtept))),
  ];
  return { tracks, places: fixesOf(listOf(root.wpt)).map(({ at, name }) => ({ at, name })), refused };
}

const shape = z.object({
  type: z.literal("Feature"),
  geometry: z.discriminatedUnion("type", [
    z.object({ type: z.literal("Point"), coordinates: z.unknown() }),
    z.object({ type: z.literal("LineString"), coordinates: z.array(z.unknown()) }),
    z.object({ type: z.literal("MultiLineString"), coordinates: z.array(z.array(z.unknown())) }),
  ]),
  properties: z.record(z.string(), z.unknown()).nullish(),
});

function fromGeoJson(text: string, file?: string): WalkFile {
  const out: WalkFile = { tracks: [], places: [], refused: 0 };
  const positions = (all: readonly unknown[]) =>
    all.flatMap((one) => {
      const at = position.safeParse(one);
      if (!at.success) out.refused++;
      return at.success ? [[at.data[0], at.data[1]] as const] : [];
    });
  for (const one of readFeatures(text, file).features) {
    const read = shape.safeParse(one);
    if (!read.success) {
      out.refused++;
      continue;
    }
    const { geometry, properties } = read.data;
    const name = typeof properties?.name === "string" ? properties.name.slice(0, 60) : "";
    if (geometry.type === "Point") out.places.push(...positions([geometry.coordinates]).map((at) => ({ at, name })));
    else {
      const all = geometry.type === "LineString" ? geometry.coordinates : geometry.coordinates.flat();
      out.tracks.push({ name, fixes: positions(all).map((at) => ({ at })) });
    }
  }
  return out;
}
