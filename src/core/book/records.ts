import { z } from "zod";
import { InputError } from "../quantity/fault";
import { messageOf, pathOf } from "../quantity/issue";
import { above, between, finite, instant, latitude, longitude, positive, rule } from "../quantity/checks";
import { unfitReach } from "../flow/reach";
import { reachSchema } from "../flow/reach-schema";
import { drawingSchema } from "../trace/drawing-schema";
import { BAND_MEASURES } from "../gauge/band";
import { PARAMETERS } from "../gauge/series";
import { constituentSchema } from "../gauge/constituent";
import { CLOUDS, WINDS } from "../gauge/weather";
import { isSpeciesId } from "../tactics/fished-with";
import { speciesSchema } from "../fish/species-schema";
import { tackleItemSchema } from "../rig/tackle-item";
import { METHODS } from "../tactics/methods";
import {
  observationSchema,
  photoSchema,
  rigRecordSchema,
  ruleRecordSchema,
  soundedSchema,
  stretchSchema,
  suspendedSchema,
} from "./bank-records";
import { preferenceSchema, weatherRecordSchema } from "./preferences";
import { anglerSchema, base, id, placeSchema, riverStateSchema, rodSchema, text } from "./record-base";
import { MOST_STAMPS } from "./versions";
import { LENGTH_KINDS } from "./weights";

/**
 * Records of the book, one schema per kind, versioned. The same shapes are used by the browser's database, the archive
 * and the command line.
 */
export type { RiverState } from "./record-base";

export const stationRecordSchema = z.strictObject({
  schema: z.literal("low-heron/station@1"),
  ...base,
  name: z.string().min(1).max(120),
  /** The agency's own number, where there is one. */
  code: z.string().max(40),
  source: z.enum(["file", "stand-in"]),
  zone: z.string().max(60),
  latitude: latitude.nullable(),
  longitude: longitude.nullable(),
});
export type StationRecord = z.infer<typeof stationRecordSchema>;

const ascends = (values: readonly (number | string)[]): boolean =>
  values.every((value, k) => k === 0 || value > values[k - 1]!);

const series = {
  ...base,
  station: id,
  parameter: z.enum(PARAMETERS),
  unit: z.string().max(20),
  /** ms since 1970 UTC, ascending; and values, null where the gauge gave none. */
  times: z.array(finite),
  values: z.array(finite.nullable()),
};
/** As series were written before their readings knew when they came in: all at the record's own instant. */
const undatedSeriesSchema = z
  .strictObject({ schema: z.literal("low-heron/series@1"), ...series })
  .transform(({ schema: _, ...record }) => {
    const stamp = new Date(record.updatedAt).toISOString();
    return {
      schema: "low-heron/series@2" as const,
      ...record,
      stamps: record.times.length > 0 ? [stamp] : [],
      marks: record.times.map(() => 0),
      cleared: record.deleted ? stamp : undefined,
    };
  });
const datedSeriesSchema = z.strictObject({
  schema: z.literal("low-heron/series@2"),
  ...series,
  /** Instants at which readings came in, ascending; and for each reading which of them (series-join.ts). */
  stamps: z.array(instant).max(MOST_STAMPS),
  marks: z.array(z.int().min(0)),
  /** All that came until then was cleared out. */
  cleared: instant.optional(),
});
export const seriesRecordSchema = z
  .discriminatedUnion("schema", [undatedSeriesSchema, datedSeriesSchema])
  .refine(({ times, values }) => times.length === values.length, rule("times-and-values", ["values"]))
  .refine(({ times, marks }) => times.length === marks.length, rule("times-and-values", ["marks"]))
  .refine(({ times }) => ascends(times), rule("must-ascend", ["times"]))
  .refine(({ stamps }) => ascends(stamps), rule("must-ascend", ["stamps"]))
  .refine(({ marks, stamps }) => marks.every((mark) => mark < stamps.length), rule("no-such-stamp", ["marks"]));
export type SeriesRecord = z.infer<typeof seriesRecordSchema>;

export const reachRecordSchema = z
  .strictObject({
    schema: z.literal("low-heron/reach-record@1"),
    ...base,
    station: id.nullable(),
    reach: reachSchema,
    /** What it was drawn as: the corner of the reach in the drawing’s plane, m, and where its x runs, degrees. */
    traced: z
      .strictObject({ drawing: drawingSchema, corner: z.tuple([finite, finite]), heading: between(0, 360) })
      .optional(),
    /** How an ungauged reach takes its flow from the gauge: ratio of the catchments, and lag, h. */
    transfer: z
      .strictObject({
        areaRatio: positive.lt(1000),
        lag: between(-240, 240),
      })
      .nullable()
      .optional(),
  })
  .refine((record) => record.reach.id === record.id, rule("not-the-reach", ["reach", "id"]))
  // A bed whose heights do not match its cells, and the like.
  .superRefine((record, context) => {
    const fault = unfitReach(record.reach);
    if (fault)
      context.addIssue({
        code: "custom",
        path: ["reach", fault.path],
        params: { rule: fault.code, values: fault.values },
      });
  });
export type ReachRecord = z.infer<typeof reachRecordSchema>;

/** Longest text of the pairs of a rating, characters. */
export const LONGEST_PAIRS = 80_000;

/** What the angler knows of a gauge's water beyond its record. One for each station, under the station's id. */
export const waterSchema = z.strictObject({
  schema: z.literal("low-heron/water@1"),
  ...base,
  /** m above the sea */
  altitude: between(-430, 6000).nullable(),
  /** What a dam above does, in the angler's words; empty: none. */
  damNote: text,
  /** Level of full pool on an impounded water, m on the gauge's own datum. */
  fullPool: finite.nullable(),
  /** Rise over run of its shore. */
  beachSlope: above(0, 10).nullable(),
  constituents: z.array(constituentSchema).max(120),
  bands: z
    .array(
      z.strictObject({
        spot: z.string().min(1).max(120),
        measure: z.enum(BAND_MEASURES),
        low: finite.nullable(),
        high: finite.nullable(),
      }),
    )
    .max(200),
  /** Measured pairs of stage, m, and discharge, m3/s. */
  gaugings: z.array(z.strictObject({ stage: finite, discharge: positive })).max(2000),
  /** The pairs as they were typed, with the units they were typed in. */
  gaugingsText: z.string().max(LONGEST_PAIRS).optional(),
});
export type WaterRecord = z.infer<typeof waterSchema>;

/** A reading taken by the angler: how deep the bed is seen, the water's temperature, or the discharge of the reach. */
export const readingSchema = z
  .strictObject({
    schema: z.literal("low-heron/reading@1"),
    ...base,
    station: id.nullable(),
    reach: id.nullable(),
    /** Where on the reach, m. */
    place: placeSchema.optional(),
    at: instant,
    kind: z.enum(["clarity", "discharge", "temperature", "level"]),
    /** Visible depth, m; discharge, m3/s; temperature, degrees C; level, m over its mark. */
    value: finite,
    /** The mark that a level was read on; and the flow then, m3/s, where it was known. */
    mark: z.string().min(1).max(60).optional(),
    flow: positive.optional(),
    /** 1-sigma relative error, where it is known. */
    error: finite.nullable(),
    how: z.string().max(200),
  })
  .refine(
    ({ kind, value, mark }) => {
      if (kind === "level") return mark !== undefined && Math.abs(value) <= 30;
      return kind === "temperature" ? value >= -2 && value <= 45 : value > 0;
    },
    rule("beyond-its-kind", ["value"]),
  );
export type FieldReading = z.infer<typeof readingSchema>;

export const sessionSchema = z
  .strictObject({
    schema: z.literal("low-heron/session@1"),
    ...base,
    reach: id,
    start: instant,
    /** Null while it runs. */
    end: instant.nullable(),
    rods: z.int().min(1).max(6),
    species: z.string().max(60),
    notes: text,
    river: riverStateSchema.nullable(),
    /** The sky and the wind as they were seen; undefined where that was not said. */
    sky: z.strictObject({ cloud: z.enum(CLOUDS).nullable(), wind: z.enum(WINDS).nullable() }).optional(),
    /** Fish of a file whose hours nobody counted: it says nothing of rates. */
    hoursKnown: z.literal(false).optional(),
    /** Those who fish along, and which of them holds the boat. */
    partners: z.array(anglerSchema.min(1)).max(5).optional(),
    holdsBoat: anglerSchema.optional(),
    /** A fish is on: since when, on which rod, out of which stretch. */
    on: z.strictObject({ at: instant, rod: rodSchema, stretch: id.nullable() }).optional(),
    /** Paused since then, and why. */
    paused: z.strictObject({ at: instant, why: z.string().max(60) }).optional(),
    /** Rods that go on when the pause or the fight is over; a rod is fished, suspended, or put away. */
    suspended: z.array(suspendedSchema).max(12).optional(),
  })
  .refine(
    (session) => session.end === null || Date.parse(session.end) >= Date.parse(session.start),
    rule("ends-before-it-begins", ["end"]),
  );
export type Session = z.infer<typeof sessionSchema>;

/** Why a hooked fish was lost. */
export const LOST_CAUSES = [
  "pulled-out",
  "straightened",
  "broke",
  "frayed",
  "snagged",
  "at-the-net",
  "unknown",
] as const;
export type LostCause = (typeof LOST_CAUSES)[number];
export const FINS = ["whole", "clipped", "partial"] as const;
export const CONDITIONS = ["fat", "spent", "marked"] as const;
export const HOOKED = ["lip", "mouth", "throat", "outside"] as const;
export const TAKE_PHASES = ["fall", "pause", "lift", "swing", "end-of-drift"] as const;

export const SEAM_SIDES = ["slow", "on", "fast"] as const;

export const catchSchema = z.strictObject({
  schema: z.literal("low-heron/catch@1"),
  ...base,
  session: id,
  at: instant,
  species: z.string().min(1).max(60),
  /** m */
  length: positive.lt(4).nullable(),
  lie: z.string().max(120),
  lure: z.string().max(120),
  notes: text,
  river: riverStateSchema.nullable(),
  /** Hooked and lost, and why; landed where nothing is said. */
  lost: z.enum(LOST_CAUSES).optional(),
  lengthKind: z.enum(LENGTH_KINDS).optional(),
  /** kg; weighed, or guessed. */
  weight: positive.lt(500).optional(),
  weighed: z.boolean().optional(),
  /** m */
  girth: positive.lt(4).optional(),
  fin: z.enum(FINS).optional(),
  condition: z.enum(CONDITIONS).optional(),
  hooked: z.enum(HOOKED).optional(),
  kept: z.boolean().optional(),
  /** When in the retrieve it took. */
  phase: z.enum(TAKE_PHASES).optional(),
  /** Where on the reach it took, m, where that was said. */
  place: placeSchema.optional(),
  /** The guess before it was weighed, kg. */
  guess: positive.lt(500).optional(),
  /** What it took and how: the stretch that it came in, the rod, its angler, the number of the cast, its angle to the
   * current, degrees (0 straight up, 180 straight down), and how deep, m. */
  stretch: id.optional(),
  rod: rodSchema.optional(),
  angler: anglerSchema.optional(),
  method: z.enum(METHODS).nullable().optional(),
  colour: z.string().max(40).optional(),
  rig: rigRecordSchema.optional(),
  piece: z.string().max(60).optional(),
  cast: z.int().min(1).max(99_999).optional(),
  angle: between(0, 180).optional(),
  depth: positive.lt(60).nullable().optional(),
  /** Side of the seam. */
  side: z.enum(SEAM_SIDES).optional(),
  sounded: soundedSchema.optional(),
});
export type Catch = z.infer<typeof catchSchema>;

/** A fish as this angler knows it: copied from one that ships, and changed. */
export const profileSchema = z
  .strictObject({
    schema: z.literal("low-heron/profile@1"),
    ...base,
    /** Id of the species it was copied from: its habits hold where the profile says nothing. */
    base: id,
    species: speciesSchema,
  })
  .refine((profile) => profile.species.id === profile.id, rule("not-the-profile", ["species", "id"]))
  .refine((profile) => isSpeciesId(profile.base), rule("unknown-base", ["base"]));
export type Profile = z.infer<typeof profileSchema>;

/** Every kind of record an archive holds, by its part's name. */
export const PARTS = {
  stations: stationRecordSchema,
  series: seriesRecordSchema,
  reaches: reachRecordSchema,
  sessions: sessionSchema,
  catches: catchSchema,
  waters: waterSchema,
  readings: readingSchema,
  profiles: profileSchema,
  tackle: tackleItemSchema,
  stretches: stretchSchema,
  observations: observationSchema,
  rules: ruleRecordSchema,
  photos: photoSchema,
  preferences: preferenceSchema,
  weather: weatherRecordSchema,
} as const;

/** @throws InputError "unsound-record" where the schema of a part does not hold a record */
export function checkRecord(part: keyof typeof PARTS, record: unknown): void {
  const parsed = PARTS[part].safeParse(record, { reportInput: true });
  if (parsed.success) return;
  const issue = parsed.error.issues[0]!;
  throw new InputError("unsound-record", { part, field: pathOf(issue), issue: messageOf(issue) });
}
