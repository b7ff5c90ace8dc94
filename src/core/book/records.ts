import { z } from "zod";
import { reachSchema } from "../flow/reach";
import { PARAMETERS } from "../gauge/series";

/** Records of the book, one schema per kind, versioned. The same shapes are used by the browser's database, the archive and the command line. */
const id = z.string().min(1).max(80);
const instant = z.iso.datetime({ offset: true });
const finite = z.number().refine(Number.isFinite, "must be a finite number");
const text = z.string().max(2000);

const base = { id, updatedAt: instant, deleted: z.boolean().optional(), demo: z.boolean().optional() };

/** The river at the time of a session's start or a catch, taken from the gauge; null where it did not say. */
export const riverStateSchema = z.strictObject({
  at: instant,
  discharge: finite.nullable(),
  stage: finite.nullable(),
  waterTemperature: finite.nullable(),
  visibleDepth: finite.nullable(),
  exceedance: finite.nullable(),
  trend: z.enum(["rising", "falling", "steady"]).nullable(),
});
export type RiverState = z.infer<typeof riverStateSchema>;

export const stationRecordSchema = z.strictObject({
  schema: z.literal("low-heron/station@1"), ...base,
  name: z.string().min(1).max(120),
  /** The agency's own number, where there is one. */
  code: z.string().max(40),
  source: z.enum(["file", "stand-in"]),
  zone: z.string().max(60),
  latitude: finite.refine((value) => Math.abs(value) <= 90, "must be within ±90").nullable(),
  longitude: finite.refine((value) => Math.abs(value) <= 180, "must be within ±180").nullable(),
});
export type StationRecord = z.infer<typeof stationRecordSchema>;

export const seriesRecordSchema = z.strictObject({
  schema: z.literal("low-heron/series@1"), ...base,
  station: id,
  parameter: z.enum(PARAMETERS),
  unit: z.string().max(20),
  /** ms since 1970 UTC, ascending; and values, null where the gauge gave none. */
  times: z.array(finite),
  values: z.array(finite.nullable()),
}).refine((record) => record.times.length === record.values.length, { error: "times and values must be of one length", path: ["values"] })
  .refine((record) => record.times.every((time, k) => k === 0 || time > record.times[k - 1]!), { error: "times must ascend", path: ["times"] });
export type SeriesRecord = z.infer<typeof seriesRecordSchema>;

export const reachRecordSchema = z.strictObject({
  schema: z.literal("low-heron/reach-record@1"), ...base,
  station: id.nullable(),
  reach: reachSchema,
});
export type ReachRecord = z.infer<typeof reachRecordSchema>;

export const sessionSchema = z.strictObject({
  schema: z.literal("low-heron/session@1"), ...base,
  reach: id,
  start: instant,
  /** Null while it runs. */
  end: instant.nullable(),
  rods: z.int().min(1).max(6),
  species: z.string().max(60),
  notes: text,
  river: riverStateSchema.nullable(),
}).refine((session) => session.end === null || session.end >= session.start || Date.parse(session.end) >= Date.parse(session.start), { error: "a session cannot end before it starts", path: ["end"] });
export type Session = z.infer<typeof sessionSchema>;

export const catchSchema = z.strictObject({
  schema: z.literal("low-heron/catch@1"), ...base,
  session: id,
  at: instant,
  species: z.string().min(1).max(60),
  /** m */
  length: finite.refine((value) => value > 0 && value < 4, "must be from 0 to 4 m").nullable(),
  lie: z.string().max(120),
  lure: z.string().max(120),
  notes: text,
  river: riverStateSchema.nullable(),
});
export type Catch = z.infer<typeof catchSchema>;

/** Every kind of record an archive holds, by its part's name. */
export const PARTS = {
  stations: stationRecordSchema,
  series: seriesRecordSchema,
  reaches: reachRecordSchema,
  sessions: sessionSchema,
  catches: catchSchema,
} as const;
export type PartName = keyof typeof PARTS;
export interface Book {
  stations: StationRecord[];
  series: SeriesRecord[];
  reaches: ReachRecord[];
  sessions: Session[];
  catches: Catch[];
}
export const PART_NAMES = Object.keys(PARTS) as PartName[];
export const emptyBook = (): Book => ({ stations: [], series: [], reaches: [], sessions: [], catches: [] });
