import { z } from "zod";
import { finite, instant } from "../quantity/checks";

/** What all records of the book share. */
export const id = z.string().min(1).max(80);
export const text = z.string().max(2000);
export const base = { id, updatedAt: instant, deleted: z.boolean().optional(), demo: z.boolean().optional() };

/**
 * The river at the time of a session's start, a stretch or a catch, taken from the gauge; null where it did not say.
 */
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

/** Where on a reach, m; null where that was not said. */
export const placeSchema = z.strictObject({ x: finite, y: finite }).nullable();

/** Who fished: the name of a partner, empty for the keeper of the book. */
export const anglerSchema = z.string().max(60);
export const rodSchema = z.int().min(1).max(6);
