import { z } from "zod";
import { above } from "../quantity/checks";

/** How a mark is laid: one point, a line of two or more, or the ring of an area. */
export type Geometry = "point" | "line" | "area";

interface MarkKind {
  geometry: Geometry;
  /** Measures, with what they are where nobody says, m. Own choice, told in docs/formats.md. */
  measures: Readonly<Partial<Record<Measure, number>>>;
  /** Only one can be drawn. */
  single?: true;
  /** It runs through its places in curves. */
  smooth?: true;
}

const MEASURES = ["depth", "diameter", "width", "height"] as const;
export type Measure = (typeof MEASURES)[number];

/** What can be drawn of a reach, for the screens, the GeoJSON and the bed alike. */
const MARK_KINDS = {
  "left-bank": { geometry: "line", measures: {}, single: true, smooth: true },
  "right-bank": { geometry: "line", measures: {}, single: true, smooth: true },
  /** The line down the middle, where the banks are not drawn; and lines across, as long as the water is wide. */
  middle: { geometry: "line", measures: {}, single: true, smooth: true },
  width: { geometry: "line", measures: {} },
  riffle: { geometry: "point", measures: {} },
  pool: { geometry: "point", measures: {} },
  "pool-head": { geometry: "point", measures: {} },
  "pool-tail": { geometry: "point", measures: {} },
  "deep-side": { geometry: "point", measures: {} },
  depth: { geometry: "point", measures: { depth: 0.5 } },
  boulder: { geometry: "point", measures: { diameter: 1.2, height: 0.8 } },
  log: { geometry: "line", measures: { width: 0.5, height: 0.5 } },
  "log-jam": { geometry: "line", measures: { width: 2.5, height: 1.2 } },
  wall: { geometry: "line", measures: { width: 0.6, height: 2 } },
  weed: { geometry: "line", measures: { width: 2 } },
  overhang: { geometry: "line", measures: { width: 2 } },
  undercut: { geometry: "line", measures: { width: 1 } },
  island: { geometry: "area", measures: {}, smooth: true },
  inflow: { geometry: "point", measures: {} },
} as const satisfies Record<string, MarkKind>;

export type MarkName = keyof typeof MARK_KINDS;
export const MARK_NAMES = Object.keys(MARK_KINDS) as [MarkName, ...MarkName[]];
export const markKind = (name: MarkName): MarkKind => MARK_KINDS[name];

/** Fewest places that make a mark. */
const FEWEST_PLACES: Record<Geometry, number> = { point: 1, line: 2, area: 3 };
/** Places of one line, and marks of one drawing: nobody draws more. */
export const MOST_PLACES = 2000;
export const MOST_MARKS = 2000;

const place = z.tuple([z.number().min(-1e6).max(1e6), z.number().min(-1e6).max(1e6)]);

export const markSchema = z.strictObject({
  id: z.string().min(1).max(80),
  kind: z.enum(MARK_NAMES),
  /** On the sheet; banks and the middle from their upstream ends. */
  places: z.array(place).min(1).max(MOST_PLACES),
  name: z.string().max(60).optional(),
  /** m */
  measures: z.partialRecord(z.enum(MEASURES), above(0, 100)).optional(),
  /** m3/s: a depth that was taken at another flow than that of the drawing's day. */
  discharge: above(0, 1e5).optional(),
});
export type Mark = z.infer<typeof markSchema>;

/** A measure of a mark, m: its own, or the usual one of its kind. */
export const measureOf = ({ kind, measures }: Pick<Mark, "kind" | "measures">, measure: Measure): number =>
  measures?.[measure] ?? markKind(kind).measures[measure] ?? NaN;

/** Has a mark all the places that it needs? */
export const isWhole = ({ kind, places }: Pick<Mark, "kind" | "places">): boolean =>
  places.length >= FEWEST_PLACES[markKind(kind).geometry];
