import { z } from "zod";
import { above, between } from "../quantity/checks";
import { markSchema, MOST_MARKS } from "./marks";
import { scaleSchema } from "./scale-schema";

/** Falls that water has which anyone wades or boats, m per m. */
export const SLOPES: readonly [number, number] = [1e-5, 0.05];

/** Manning's n of a stream of which nobody has said more: clean, winding, some pools and stones (Chow 1959). */
export const USUAL_ROUGHNESS = 0.035;

/** A reach as it was drawn, kept beside the reach that was laid from it, to be drawn further. */
export const drawingSchema = z.strictObject({
  /** Size of what is drawn on: a picture's pixels as it is shown. */
  sheet: z.strictObject({ width: above(0, 1e5), height: above(0, 1e5) }),
  scale: scaleSchema,
  marks: z.array(markSchema).max(MOST_MARKS),
  /** The water on the day it was seen: m3/s, m per m, and Manning's n before depths are known. */
  discharge: above(0, 1e5).nullable(),
  slope: between(...SLOPES).nullable(),
});
export type Drawing = z.infer<typeof drawingSchema>;
