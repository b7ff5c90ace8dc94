import { z } from "zod";
import { drawingSchema, type Drawing } from "../trace/drawing-schema";
import { type PlacedMark, putOn } from "../trace/edit";
import { georeferenceOf, planeAbout, type Position } from "../trace/georeference";
import {
  type Geometry,
  MARK_NAMES,
  markKind,
  type MarkName,
  type Measure,
  MOST_MARKS,
  MOST_PLACES,
} from "../trace/marks";
import { waderDepth } from "../trace/wader-depth";
import type { Place } from "../trace/channel";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { readFeatures } from "./geojson";
import type { Rejection } from "./tally";

/** A drawing from a file, its name, and the features of it that were refused, by their number. */
export interface OutlineFile {
  drawing: Drawing;
  name?: string;
  rejected: Rejection[];
}

const number = z.number();
const position = z.tuple([number.min(-180).max(180), number.min(-90).max(90)]).rest(number);
const line = z.array(position).min(2).max(MOST_PLACES);
const feature = z.object({
  type: z.literal("Feature"),
  geometry: z.discriminatedUnion("type", [
    z.object({ type: z.literal("Point"), coordinates: position }),
    z.object({ type: z.literal("LineString"), coordinates: line }),
    z.object({ type: z.literal("Polygon"), coordinates: z.array(line.min(4)).min(1).max(50) }),
  ]),
  properties: z.record(z.string(), z.unknown()).nullish(),
});

/** The GeoJSON geometry that a mark is written as. */
const WRITTEN: Record<Geometry, z.infer<typeof feature>["geometry"]["type"]> = {
  point: "Point",
  line: "LineString",
  area: "Polygon",
};

const NOTHING: Drawing = {
  sheet: { width: 1, height: 1 },
  scale: { kind: "unknown" },
  marks: [],
  discharge: null,
  slope: null,
};
/**
 * A drawing as GeoJSON (RFC 7946, WGS 84): each feature has a `kind` (core/trace/marks.ts), as a Point, a LineString or
 * a Polygon; banks and the middle run from their upstream ends. Its measures are in m; a depth may be a mark of a
 * wader's body. Other features are refused one by one.
 * @throws InputError "not-json", "not-geojson", "too-many-drawn", "nothing-drawn"
 */
export function readOutline(text: string, file?: string): OutlineFile {
  const { features, properties } = readFeatures(text, file);
  if (features.length > MOST_MARKS) throw new InputError("too-many-drawn", { most: MOST_MARKS }, { file });
  const marks: PlacedMark[] = [];
  const rejected: Rejection[] = [];
  features.forEach((one, k) => {
    const read = feature.safeParse(one);
    const mark = read.success ? markFrom(read.data, marks, `drawn-${k + 1}`) : message("not-a-feature");
    if ("code" in mark) rejected.push({ line: k + 1, reason: mark });
    else marks.push(mark);
  });
  if (marks.length === 0) throw new InputError("nothing-drawn", {}, { file });
  const { slope, discharge, name } = properties;
  const within = (value: unknown, of: z.ZodType<number | null>) => of.safeParse(value).data ?? null;
  return {
    drawing: {
      ...putOn(NOTHING, marks, false),
      slope: within(slope, drawingSchema.shape.slope),
      discharge: within(discharge, drawingSchema.shape.discharge),
    },
    ...(typeof name === "string" && name !== "" && { name: name.slice(0, 120) }),
    rejected,
  };
}

/** A mark from a feature, or why it is none. */
function markFrom(
  { geometry, properties }: z.infer<typeof feature>,
  before: readonly PlacedMark[],
  id: string,
): PlacedMark | Message {
  const of = properties ?? {};
  const kind = MARK_NAMES.find((one) => one === of.kind);
  if (!kind || WRITTEN[markKind(kind).geometry] !== geometry.type)
    return message("not-drawn", {
      kind: typeof of.kind === "string" ? of.kind.slice(0, 40) : "none",
      geometry: geometry.type,
    });
  if (markKind(kind).single && before.some((one) => one.kind === kind)) return message("drawn-twice", { kind });
  const measures: Partial<Record<Measure, number>> = {};
  for (const measure of Object.keys(markKind(kind).measures) as Measure[]) {
    const value = measure === "depth" ? waderDepth(of.depth) : of[measure];
    if (typeof value === "number" && value > 0 && value <= 100) measures[measure] = value;
    // A depth is what such a mark is for; other measures have usual values.
    else if (measure === "depth") return message("not-a-depth", { text: String(of.depth).slice(0, 40) });
  }
  const coordinates =
    geometry.type === "Point"
      ? [geometry.coordinates]
      : geometry.type === "Polygon"
        ? geometry.coordinates[0]!.slice(0, -1)
        : geometry.coordinates;
  return {
    id,
    kind,
    positions: coordinates.map(([longitude, latitude]): Position => [longitude!, latitude!]),
    ...(typeof of.name === "string" && of.name !== "" && { name: of.name.slice(0, 60) }),
    ...(Object.keys(measures).length > 0 && { measures }),
    ...(kind === "depth" && typeof of.discharge === "number" && of.discharge > 0 && of.discharge <= 1e5
      ? { discharge: of.discharge }
      : {}),
  };
}

/**
 * A drawing as such a file.
 * @throws InputError "not-placed" where nobody has said where on earth it lies
 */
export function writeOutline(drawing: Drawing, name: string): string {
  const ground = georeferenceOf(drawing.scale);
  if (!ground?.origin) throw new InputError("not-placed");
  const { toPosition } = planeAbout(ground.origin);
  const position = (at: Place): number[] => toPosition(ground.toPlane(at)).map((one) => Number(one.toFixed(7)));
  const geometry = (kind: MarkName, places: readonly Place[]) => {
    const all = places.map(position);
    const { geometry: laid } = markKind(kind);
    if (laid === "point") return { type: WRITTEN.point, coordinates: all[0] };
    return laid === "line"
      ? { type: WRITTEN.line, coordinates: all }
      : { type: WRITTEN.area, coordinates: [[...all, all[0]!]] };
  };
  const { slope, discharge } = drawing;
  return JSON.stringify({
    type: "FeatureCollection",
    properties: { name, ...(slope !== null && { slope }), ...(discharge !== null && { discharge }) },
    features: drawing.marks.map(({ kind, places, name: own, measures, discharge: taken }) => ({
      type: "Feature",
      properties: { kind, ...(own && { name: own }), ...measures, ...(taken !== undefined && { discharge: taken }) },
      geometry: geometry(kind, places),
    })),
  });
}
