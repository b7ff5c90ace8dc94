import { z } from "zod";
import { FARTHEST, HIGHEST, MOST_DISCHARGE } from "../quantity/bounds";
import { above, between, instant, latitude, longitude, positive, rule } from "../quantity/checks";
import { SUBSTRATES } from "./substrate";
import { TEMPLATES } from "./template-waters";

/**
 * The reach file, `low-heron/reach@1`. Coordinates in m: x downstream, y from the left bank to the right looking
 * downstream, z up.
 */
const size = above(0, 5000);
const place = between(-FARTHEST, FARTHEST);
const height = between(-HIGHEST, HIGHEST);
/** Degrees. */
const angle = between(-3600, 3600);

/** An object keeps its id when others come and go; files written by hand may leave it out (feature-ids.ts). */
const named = { id: z.string().min(1).max(80).optional(), name: z.string().max(60).optional() };
/** A rectangle laid by its middle, turned by `angle` degrees. */
const lain = { x: place, y: place, length: size, width: size, angle };

/** Things placed on the bed. Height is above the bed under them, m. */
const featureSchema = z.discriminatedUnion("kind", [
  /** A bridge pier or post: straight-sided, round. */
  z.strictObject({ kind: z.literal("pier"), x: place, y: place, diameter: size, height: size, ...named }),
  /** One fallen tree or log. */
  z.strictObject({ kind: z.literal("log"), ...lain, height: size, ...named }),
  /** A patch of another bottom: sets Manning's n. */
  z.strictObject({ kind: z.literal("patch"), ...lain, substrate: z.enum(SUBSTRATES), ...named }),
  /** Cover over or under the edge: hides fish, leaves the flow alone. */
  z.strictObject({ kind: z.literal("undercut"), ...lain, ...named }),
  z.strictObject({ kind: z.literal("overhang"), ...lain, ...named }),
  z.strictObject({
    kind: z.literal("boulder"),
    x: place,
    y: place,
    diameter: size,
    height: size,
    ...named,
  }),
  z.strictObject({
    kind: z.literal("log-jam"),
    x: place,
    y: place,
    length: size,
    width: size,
    angle,
    height: size,
    ...named,
  }),
  z.strictObject({
    kind: z.literal("wall"),
    x: place,
    from: place,
    to: place,
    thickness: size,
    height: size,
    ...named,
  }),
]);
export type Feature = z.infer<typeof featureSchema>;

const templateSchema = z.strictObject({
  kind: z.literal("template"),
  template: z.enum(TEMPLATES),
  /** Length of the reach, m. */
  length: between(20, 5000),
  /** Width of the channel between its banks, m. */
  width: between(3, 5000),
  /** Depth of the pool below the riffle's crest, m. */
  poolDepth: above(0, 15),
  /** Fall of the bed, m per m. */
  slope: above(0, 0.05),
  /** How far the channel swings to each side of its middle, m. */
  wiggle: between(0, 500).default(0),
  /** Cell size, m. */
  cell: between(0.1, 10).default(0.5),
});
export type Template = z.infer<typeof templateSchema>;

const gridSchema = z.strictObject({
  kind: z.literal("grid"),
  nx: z.int().min(4).max(20_000),
  ny: z.int().min(3).max(20_000),
  cell: between(0.05, 50),
  z: z.array(height),
  /** Standard deviation of each height, m, where the bed was guessed rather than measured; null on land. */
  deviation: z.array(between(0, HIGHEST).nullable()).optional(),
});

/** Measured depths as heights, true to their plan; triangulated (soundings.ts). */
const soundingsSchema = z.strictObject({
  kind: z.literal("soundings"),
  points: z
    .array(z.strictObject({ x: place, y: place, z: height }))
    .min(3)
    .max(200_000),
  /** Longest side of a triangle between soundings that is believed, m; without it all are. */
  join: positive.optional(),
  /** Where the reach begins and ends, m in the soundings' own x; without it at the first and the last of them. */
  ends: z
    .tuple([place, place])
    .refine(([from, to]) => to > from, rule("ends-before-it-begins"))
    .optional(),
  /** Land kept beyond the soundings on both sides, m: room for banks. */
  margin: between(0, 500).optional(),
  cell: between(0.1, 50).default(0.5),
});
export type Soundings = z.infer<typeof soundingsSchema>;

/**
 * Levelled cross-sections at distances down a centreline, each from the left bank to the right; a bent reach is laid
 * straight (sections.ts).
 */
const sectionsSchema = z.strictObject({
  kind: z.literal("sections"),
  sections: z
    .array(
      z.strictObject({
        x: place,
        points: z
          .array(z.strictObject({ y: place, z: height }))
          .min(2)
          .max(2000),
      }),
    )
    .min(2)
    .max(500),
  cell: between(0.1, 50).default(0.5),
});
export type Sections = z.infer<typeof sectionsSchema>;

const downstreamSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("stage"), value: height }),
  z.strictObject({ kind: z.literal("normal"), slope: between(1e-6, 0.2) }),
  z.strictObject({ kind: z.literal("rating"), C: above(0, 1e6), h0: height, b: between(0.2, 10) }),
]);
export type Downstream = z.infer<typeof downstreamSchema>;

/** A depth by stick or a timed float at a marked place: what the model is fitted to (calibrate.ts). */
const waterReadingSchema = z.strictObject({
  x: place,
  y: place,
  kind: z.enum(["depth", "surface-speed"]),
  /** m, or m/s at the surface. */
  value: above(0, 100),
  /** Flow when it was taken, m3/s. */
  discharge: above(0, MOST_DISCHARGE),
  at: instant,
});
export type WaterReading = z.infer<typeof waterReadingSchema>;

/** Manning n; none at all is for cases with a closed form (the energy that water has bounds its speed, steady.ts). */
const roughness = between(0, 1);

export const reachSchema = z.object({
  schema: z.literal("low-heron/reach@1"),
  id: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  bed: z.discriminatedUnion("kind", [gridSchema, templateSchema, soundingsSchema, sectionsSchema]),
  roughness: z.union([roughness, z.array(roughness)]),
  downstream: downstreamSchema,
  features: z.array(featureSchema).max(500).optional(),
  readings: z.array(waterReadingSchema).max(200).optional(),
  /** Where it lies, degrees: for the light. */
  latitude: latitude.optional(),
  longitude: longitude.optional(),
  /** The way its x runs, downstream, degrees from north by east: for shadows. */
  bearing: z.number().min(0).lt(360).optional(),
});
export type Reach = z.infer<typeof reachSchema>;
