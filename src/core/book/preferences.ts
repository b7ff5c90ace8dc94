import { z } from "zod";
import { between, finite, instant } from "../quantity/checks";
import { base } from "./record-base";

/** What the angler has said once and wants kept: records of the log beside its fish, one for each thing said. */

/** How a reading drill went so far, under "drill:ID". */
const drillScoreSchema = z.strictObject({
  schema: z.literal("low-heron/drill-score@1"),
  ...base,
  box: z.int().min(0).max(100),
  /** ms */
  due: finite,
  tries: z.int().min(0).max(1_000_000),
  best: between(0, 100),
});
/** Minutes from home to a reach, under "travel:REACH". */
const travelTimeSchema = z.strictObject({
  schema: z.literal("low-heron/travel-time@1"),
  ...base,
  minutes: between(0, 6000),
});
/** Whether lies of a fish are ranked by the log, and since when fish count for that, under "liking:SPECIES". */
const likingSchema = z.strictObject({
  schema: z.literal("low-heron/liking@1"),
  ...base,
  on: z.boolean(),
  /** Null: all of the log. */
  from: instant.nullable(),
});
/** Settings of the browser that wrote a backup, under "settings": applied only where a backup is restored. */
const settingsSchema = z.strictObject({
  schema: z.literal("low-heron/settings@1"),
  ...base,
  /** A JSON text: each browser reads of it what it knows. */
  values: z.string().max(200_000),
});

export const preferenceSchema = z.discriminatedUnion("schema", [
  drillScoreSchema,
  travelTimeSchema,
  likingSchema,
  settingsSchema,
]);
export type Preference = z.infer<typeof preferenceSchema>;
export type DrillScore = z.infer<typeof drillScoreSchema>;
export type TravelTime = z.infer<typeof travelTimeSchema>;
export type Liking = z.infer<typeof likingSchema>;
export type SettingsRecord = z.infer<typeof settingsSchema>;

const nullable = finite.nullable();
/** A weather forecast that is kept for a gauge's river, under the gauge's id. */
export const weatherRecordSchema = z.strictObject({
  schema: z.literal("low-heron/weather@1"),
  ...base,
  /** When it was said, ms. */
  issued: finite,
  source: z.enum(["stand-in", "file"]),
  /** The file's name; empty for the stand-in's. */
  name: z.string().max(300),
  hours: z
    .array(
      z.strictObject({
        time: finite,
        wind: nullable,
        gust: nullable,
        windFrom: nullable,
        cloud: nullable,
        air: nullable,
        rain: nullable,
        thunder: z.boolean().nullable(),
      }),
    )
    .max(20_000),
});
export type WeatherRecord = z.infer<typeof weatherRecordSchema>;
