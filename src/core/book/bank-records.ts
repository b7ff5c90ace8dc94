import { z } from "zod";
import { between, instant, latitude, longitude, positive, rule } from "../quantity/checks";
import type { LiePlace } from "../fish/lie-place";
import { METHODS } from "../tactics/methods";
import { RETRIEVES } from "../tactics/retrieve-kinds";
import { localRuleSchema } from "./local-rules";
import { anglerSchema, base, id, placeSchema, riverStateSchema, rodSchema, text } from "./record-base";

/** What is kept of hours on the bank: stretches of effort, observations, local rules, photos. */

const spot = z.string().max(120);

/** What a sounder and its thermometer said at a moment: m, degC and degrees. */
export const soundedSchema = z.strictObject({
  depth: positive.lt(200).nullable(),
  waterTemperature: between(-2, 45).nullable(),
  latitude: latitude.nullable(),
  longitude: longitude.nullable(),
});
export type Sounded = z.infer<typeof soundedSchema>;

const CAST_ZONES = ["near", "middle", "far"] as const;
export type CastZone = (typeof CAST_ZONES)[number];

/** Sorts of places that a reading knows (fish/lie-place.ts). */
export const LIE_KINDS = [
  "above",
  "below",
  "behind",
  "beside",
  "seam-off",
  "seam-edge",
  "bank-edge",
  "corner",
  "slot",
  "ledge",
  "bottom-edge",
  "head",
  "tail",
  "deep",
  "riffle-pocket",
  "run",
] as const satisfies readonly LiePlace["kind"][];
export type LieKind = (typeof LIE_KINDS)[number];

/**
 * A lie as the model had it: its sort, its rank and its score as a share of the best one's, how deep it is, m, and how
 * fast at the fish, m/s.
 */
const readLieSchema = z.strictObject({
  kind: z.enum(LIE_KINDS),
  rank: z.int().min(1).max(999),
  share: between(0, 1),
  depth: positive.lt(60),
  speed: between(0, 20),
});
export type ReadLie = z.infer<typeof readLieSchema>;

/** The rig that is fished: what the hand does, its weight, g, its leader, m, and the cast's angle. */
export const rigRecordSchema = z.strictObject({
  retrieve: z.enum(RETRIEVES).nullable(),
  grams: between(0, 1000).nullable(),
  leader: between(0, 10).nullable(),
  /** Hook number or size of the lure, in words. */
  size: z.string().max(60),
  /** Degrees between the cast and straight upstream: 0 up, 90 across, 180 down. */
  castAngle: between(0, 180).nullable(),
});
export type RigRecord = z.infer<typeof rigRecordSchema>;

/** What is fished in a stretch: a change of any of it closes the stretch and opens another. */
const fished = {
  lie: spot,
  place: placeSchema,
  /** What the reading took the place for when it was chosen; undefined where it was not read. */
  read: readLieSchema.optional(),
  method: z.enum(METHODS).nullable(),
  lure: spot,
  colour: z.string().max(40),
  /** Which piece of the bait: head, tail, half a worm. */
  piece: z.string().max(60),
  /** How deep it is fished, m; null where that was not said. */
  depth: positive.lt(60).nullable(),
  /** The rig; undefined where it was not said. */
  rig: rigRecordSchema.optional(),
  /** Laid and left, while its angler is elsewhere. */
  fixed: z.boolean(),
};

/**
 * A stretch of effort: one rod, one place, one way of fishing, one state of the river, from its start to its end. Every
 * rate has its hours from these.
 */
export const stretchSchema = z
  .strictObject({
    schema: z.literal("low-heron/stretch@1"),
    ...base,
    session: id,
    /** The stretch that it was cut from, where the river became another while it was fished. */
    cutFrom: id.optional(),
    rod: rodSchema,
    angler: anglerSchema,
    start: instant,
    /** Null while it is fished. */
    end: instant.nullable(),
    ...fished,
    river: riverStateSchema.nullable(),
    /** Casts made, by line across the water from the inside one and by how far along it. */
    casts: z
      .array(
        z.strictObject({ line: z.int().min(1).max(20), zone: z.enum(CAST_ZONES), count: z.int().min(0).max(9999) }),
      )
      .max(60),
  })
  .refine(
    (stretch) => stretch.end === null || Date.parse(stretch.end) >= Date.parse(stretch.start),
    rule("ends-before-it-begins", ["end"]),
  );
export type EffortInterval = z.infer<typeof stretchSchema>;
/** The part of a stretch that is chosen. */
export type Fished = Pick<EffortInterval, keyof typeof fished>;

/**
 * A rod that is not fished for now and will be again: what it fished, the stretch that was closed, and whether the
 * pause of the session stopped it or the fight with a fish.
 */
export const suspendedSchema = z.strictObject({
  ...fished,
  rod: rodSchema,
  angler: anglerSchema,
  stretch: id.nullable(),
  by: z.enum(["pause", "fight"]),
});
export type Suspended = z.infer<typeof suspendedSchema>;

/**
 * What is seen and done beside fish: a bite missed, one that followed, fish and bait fish seen, what was under the
 * stones, what others caught, a place marked, a pause of the clock, a change taken or overruled, a spot rested or fed,
 * the line run through the fingers.
 */
export const OBSERVATIONS = [
  "bite",
  "follow",
  "seen",
  "bait-fish",
  "under-stones",
  "others",
  "mark",
  "pause",
  "change",
  "rest",
  "primed",
  "line",
] as const;
export type ObservationKind = (typeof OBSERVATIONS)[number];

export const observationSchema = z.strictObject({
  schema: z.literal("low-heron/observation@1"),
  ...base,
  session: id,
  stretch: id.nullable(),
  at: instant,
  kind: z.enum(OBSERVATIONS),
  notes: text,
  angler: anglerSchema,
  lie: spot,
  place: placeSchema,
  /** Fish or boats counted; of boats, how many had fish. */
  count: z.int().min(0).max(100_000).optional(),
  withFish: z.int().min(0).max(100_000).optional(),
  /** Code of what was changed, of why the clock stood, or of how the line was. */
  what: z.string().max(60).optional(),
  /** A change that was proposed: taken, or overruled. */
  accepted: z.boolean().optional(),
  /** End of a pause; when to come back to a spot that is rested or fed. */
  until: instant.optional(),
  sounded: soundedSchema.optional(),
});
export type Observation = z.infer<typeof observationSchema>;

export const BANKS = ["both", "left", "right"] as const;
export type Bank = (typeof BANKS)[number];
/** A rule for every kind of fish. */
export const EVERY_FISH = "every";

/** A local rule as the angler entered it, for one water and one bank or both. */
export const ruleRecordSchema = z.strictObject({
  schema: z.literal("low-heron/rule@1"),
  ...base,
  /** Reach that it holds on; null: on every one. */
  reach: id.nullable(),
  bank: z.enum(BANKS),
  ...localRuleSchema.shape,
  /** Fish of it that may be in possession, over days. */
  possession: z.int().min(0).max(1000).optional(),
  rods: rodSchema.optional(),
  hooks: z.string().max(200),
  bait: z.string().max(200),
  notes: text,
  /** When it was read from the authority's notice, and until when that holds. */
  entered: instant,
  expires: z
    .string()
    .regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/)
    .nullable(),
});
export type RuleRecord = z.infer<typeof ruleRecordSchema>;

/** Longest picture of a fish, as base 64. */
export const LONGEST_PHOTO = 900_000;

/** A picture of a fish, shrunk, without what the camera wrote into it; where it was taken only if that is wanted. */
export const photoSchema = z.strictObject({
  schema: z.literal("low-heron/photo@1"),
  ...base,
  catch: id,
  taken: instant.nullable(),
  width: z.int().min(1).max(4000),
  height: z.int().min(1).max(4000),
  /** A JPEG, base 64; in an archive a file beside. */
  data: z.base64().min(4).max(LONGEST_PHOTO).startsWith("/9j/"),
  place: z.strictObject({ latitude, longitude }).nullable(),
});
export type Photo = z.infer<typeof photoSchema>;
