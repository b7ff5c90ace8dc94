import { z } from "zod";
import { above, between, finite, latitude, longitude } from "../quantity/checks";

/** Longitude and latitude, degrees, WGS 84. */
export type Position = readonly [number, number];

const onSheet = z.tuple([between(-1e6, 1e6), between(-1e6, 1e6)]);
const position = z.tuple([longitude, latitude]);

/**
 * How a sheet that is drawn on (a picture's pixels from its upper left corner, y down) lies on the ground: not known
 * yet; by the known distance of two points, with north as so many degrees clockwise from up; by two points of known
 * position; or by the picture's own file (metres east and north are `east[0] + east[1] x + east[2] y`, and so on), its
 * origin null where the file says no place.
 */
export const scaleSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("unknown") }),
  z.strictObject({
    kind: z.literal("length"),
    from: onSheet,
    to: onSheet,
    metres: above(0, 100_000),
    north: between(-360, 360),
    /** Where the middle of the two lies, where that is known. */
    at: position.nullable(),
  }),
  z.strictObject({
    kind: z.literal("points"),
    a: z.strictObject({ on: onSheet, position }),
    b: z.strictObject({ on: onSheet, position }),
  }),
  z.strictObject({
    kind: z.literal("file"),
    east: z.tuple([finite, finite, finite]),
    north: z.tuple([finite, finite, finite]),
    origin: position.nullable(),
  }),
]);
export type Scale = z.infer<typeof scaleSchema>;
