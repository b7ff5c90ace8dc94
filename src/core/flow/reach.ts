import { z } from "zod";
import { InputError } from "../quantity/fault";
import { SUBSTRATES } from "./substrate";
import { TEMPLATES } from "./template-waters";

/**
 * The reach file, `low-heron/reach@1`. Coordinates in m: x downstream, y from the left bank to the right looking
 * downstream, z up.
 */
const finite = z.number().refine(Number.isFinite, "must be a finite number");
const positive = finite.refine((value) => value > 0, "must be above zero");
const size = positive.refine((value) => value <= 5000, "must be 5000 m or less");

const named = { name: z.string().max(60).optional() };
/** A rectangle laid by its middle, turned by `angle` degrees. */
const lain = { x: finite, y: finite, length: size, width: size, angle: finite };

/** Things placed on the bed. Height is above the bed under them, m. */
export const featureSchema = z.discriminatedUnion("kind", [
  /** A bridge pier or post: straight-sided, round. */
  z.strictObject({ kind: z.literal("pier"), x: finite, y: finite, diameter: size, height: size, ...named }),
  /** One fallen tree or log. */
  z.strictObject({ kind: z.literal("log"), ...lain, height: size, ...named }),
  /** A patch of another bottom: sets Manning's n. */
  z.strictObject({ kind: z.literal("patch"), ...lain, substrate: z.enum(SUBSTRATES), ...named }),
  /** Cover over or under the edge: hides fish, leaves the flow alone. */
  z.strictObject({ kind: z.literal("undercut"), ...lain, ...named }),
  z.strictObject({ kind: z.literal("overhang"), ...lain, ...named }),
  z.strictObject({
    kind: z.literal("boulder"),
    x: finite,
    y: finite,
    diameter: size,
    height: size,
    name: z.string().max(60).optional(),
  }),
  z.strictObject({
    kind: z.literal("log-jam"),
    x: finite,
    y: finite,
    length: size,
    width: size,
    angle: finite,
    height: size,
    name: z.string().max(60).optional(),
  }),
  z.strictObject({
    kind: z.literal("wall"),
    x: finite,
    from: finite,
    to: finite,
    thickness: size,
    height: size,
    name: z.string().max(60).optional(),
  }),
]);
export type Feature = z.infer<typeof featureSchema>;

export const templateSchema = z.strictObject({
  kind: z.literal("template"),
  template: z.enum(TEMPLATES),
  /** Length of the reach, m. */
  length: size.refine((value) => value >= 20, "must be 20 m or more"),
  /** Width of the channel between its banks, m. */
  width: size.refine((value) => value >= 3, "must be 3 m or more"),
  /** Depth of the pool below the riffle's crest, m. */
  poolDepth: positive.refine((value) => value <= 15, "must be 15 m or less"),
  /** Fall of the bed, m per m. */
  slope: positive.refine((value) => value <= 0.05, "must be 0.05 or less"),
  /** How far the channel swings to each side of its middle, m. */
  wiggle: finite.refine((value) => value >= 0 && value <= 500, "must be from 0 to 500 m").default(0),
  /** Cell size, m. */
  cell: finite.refine((value) => value >= 0.1 && value <= 10, "must be from 0.1 to 10 m").default(0.5),
});
export type Template = z.infer<typeof templateSchema>;

const gridSchema = z.strictObject({
  kind: z.literal("grid"),
  nx: z.int().min(4).max(20_000),
  ny: z.int().min(3).max(20_000),
  cell: finite.refine((value) => value >= 0.05 && value <= 50, "must be from 0.05 to 50 m"),
  z: z.array(finite),
});

/** Measured depths as heights, true to their plan; triangulated (soundings.ts). */
const soundingsSchema = z.strictObject({
  kind: z.literal("soundings"),
  points: z
    .array(z.strictObject({ x: finite, y: finite, z: finite }))
    .min(3)
    .max(200_000),
  /** Longest side of a triangle between soundings that is believed, m; without it all are. */
  join: positive.optional(),
  /** Where the reach begins and ends, m in the soundings' own x; without it at the first and the last of them. */
  ends: z
    .tuple([finite, finite])
    .refine(([from, to]) => to > from, "must begin before it ends")
    .optional(),
  /** Land kept beyond the soundings on both sides, m: room for banks. */
  margin: finite.refine((value) => value >= 0 && value <= 500, "must be from 0 to 500 m").optional(),
  cell: finite.refine((value) => value >= 0.1 && value <= 50, "must be from 0.1 to 50 m").default(0.5),
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
        x: finite,
        points: z
          .array(z.strictObject({ y: finite, z: finite }))
          .min(2)
          .max(2000),
      }),
    )
    .min(2)
    .max(500),
  cell: finite.refine((value) => value >= 0.1 && value <= 50, "must be from 0.1 to 50 m").default(0.5),
});
export type Sections = z.infer<typeof sectionsSchema>;

export const downstreamSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("stage"), value: finite }),
  z.strictObject({ kind: z.literal("normal"), slope: positive.refine((value) => value <= 0.2, "must be 0.2 or less") }),
  z.strictObject({ kind: z.literal("rating"), C: positive, h0: finite, b: positive }),
]);
export type Downstream = z.infer<typeof downstreamSchema>;

/** A depth by stick or a timed float at a marked place: what the model is fitted to (calibrate.ts). */
export const waterReadingSchema = z.strictObject({
  x: finite,
  y: finite,
  kind: z.enum(["depth", "surface-speed"]),
  /** m, or m/s at the surface. */
  value: finite.refine((value) => value > 0 && value <= 100, "must be above 0, 100 at most"),
  /** Flow when it was taken, m3/s. */
  discharge: positive,
  at: z.iso.datetime({ offset: true }),
});
export type WaterReading = z.infer<typeof waterReadingSchema>;

export const reachSchema = z.object({
  schema: z.literal("low-heron/reach@1"),
  id: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  bed: z.discriminatedUnion("kind", [gridSchema, templateSchema, soundingsSchema, sectionsSchema]),
  roughness: z.union([
    finite.refine((value) => value >= 0 && value <= 1, "must be from 0 to 1"),
    z.array(finite.refine((value) => value >= 0 && value <= 1, "must be from 0 to 1")),
  ]),
  downstream: downstreamSchema,
  features: z.array(featureSchema).max(500).optional(),
  readings: z.array(waterReadingSchema).max(200).optional(),
  /** Where it lies, degrees: for the light. */
  latitude: finite.refine((value) => Math.abs(value) <= 90, "must be within ±90").optional(),
  longitude: finite.refine((value) => Math.abs(value) <= 180, "must be within ±180").optional(),
  /** The way its x runs, downstream, degrees from north by east: for shadows. */
  bearing: finite.refine((value) => value >= 0 && value < 360, "must be from 0 to under 360").optional(),
});
export type Reach = z.infer<typeof reachSchema>;

/** Reads a reach from its JSON text; every fault is located by its path. */
export function readReach(text: string, file?: string): Reach {
  if (text.trim() === "") throw new InputError("empty-file", "The file is empty.", { file });
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError("not-json", `The file is not JSON: ${(error as Error).message}`, {
      file,
      line: lineOfJsonError(text, error as Error),
    });
  }
  return checkReach(data, file);
}

/** Steepest slope of the centreline against the reach's axis. Common practice, no source. */
const STEEPEST_SWING = 1.2;

export function checkReach(data: unknown, file?: string): Reach {
  if (data && typeof data === "object" && !("downstream" in data && data.downstream)) {
    throw new InputError(
      "no-outlet",
      "The reach has no outlet: give “downstream” as a stage, a normal slope or a rating.",
      { file, path: "downstream" },
    );
  }
  const parsed = reachSchema.safeParse(data);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    const path = issue.path
      .map((step) => (typeof step === "number" ? `[${step}]` : `.${String(step)}`))
      .join("")
      .replace(/^\./, "");
    throw new InputError("bad-reach", `The reach is not as it should be at ${path || "its top"}: ${issue.message}`, {
      file,
      path,
    });
  }
  const reach = parsed.data;
  if (reach.bed.kind === "grid") {
    const cells = reach.bed.nx * reach.bed.ny;
    if (reach.bed.z.length !== cells)
      throw new InputError(
        "bad-bed",
        `The bed has ${reach.bed.z.length} heights, and ${reach.bed.nx} x ${reach.bed.ny} = ${cells} are needed.`,
        { file, path: "bed.z" },
      );
    if (Array.isArray(reach.roughness) && reach.roughness.length !== cells)
      throw new InputError(
        "bad-roughness",
        `There are ${reach.roughness.length} roughness values, and ${cells} are needed.`,
        { file, path: "roughness" },
      );
  } else if (Array.isArray(reach.roughness)) {
    throw new InputError("bad-roughness", "Only a grid takes an array of roughness: give one Manning n.", {
      file,
      path: "roughness",
    });
  }
  if (reach.bed.kind === "template" && (2 * Math.PI * reach.bed.wiggle) / reach.bed.length > STEEPEST_SWING) {
    throw new InputError(
      "banks-cross",
      `A swing of ${reach.bed.wiggle} m in a reach of ${reach.bed.length} m would fold the channel over itself: lessen the swing, or lengthen the reach.`,
      { file, path: "bed.wiggle" },
    );
  }
  return reach;
}

function lineOfJsonError(text: string, error: Error): number | undefined {
  const position = /position (\d+)/.exec(error.message);
  return position ? text.slice(0, Number(position[1])).split("\n").length : undefined;
}
