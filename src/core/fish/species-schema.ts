import { z } from "zod";
import { between, rule, share } from "../quantity/checks";
import { SUBSTRATES } from "../flow/substrate";
import { PHASES } from "./phases";

/**
 * The fish as data: one schema for those that ship (species-list.ts), for an angler's own profiles and for the archive.
 */

/** A curve by points [x, y], straight between them and level beyond; y from 0 to 1, x ascending. */
const curveSchema = z
  .array(z.tuple([between(0, 100), share]))
  .min(1)
  .max(20)
  .readonly()
  .refine((points) => points.every(([x], k) => k === 0 || x > points[k - 1]![0]), rule("must-ascend"));
export type Curve = z.infer<typeof curveSchema>;

const coverSchema = z.strictObject({ stone: share, wood: share, ledge: share, edge: share.optional() });

/** How the fish lives in one time of its year; what is not given stays as it is otherwise. */
const waySchema = z.strictObject({
  phase: z.enum(PHASES),
  /** Water temperature at which it is taken for granted, degC; null: only when the angler says so. */
  temperature: z
    .tuple([between(-2, 40), between(-2, 40)])
    .readonly()
    .nullable(),
  /** Only while the water of the year warms, or cools. */
  turning: z.enum(["warming", "cooling"]).optional(),
  depth: curveSchema.optional(),
  speed: curveSchema.optional(),
  cover: coverSchema.partial().optional(),
  /** Drift feeders: share of its worth that a place without cover keeps. */
  bare: share.optional(),
  /** Fish that should be left in peace. */
  leaveAlone: z.boolean().optional(),
  /** What an older profile says of it; ways that ship are told on the words floor. */
  words: z.string().max(300).optional(),
});
export type SeasonalHabits = z.infer<typeof waySchema>;

const common = {
  id: z.string().min(1).max(80),
  /** The angler's own name for a profile; fish that ship are named on the words floor. */
  name: z.string().min(1).max(60).optional(),
  /** Fork length of the fish looked for, cm (common practice, no source). */
  forkLength: between(5, 250),
  /**
   * log10 W(g) = a + b log10 L(mm): standard weight (Anderson & Neumann 1996; from memory); null where none is
   * published.
   */
  weight: z.strictObject({ a: between(-10, 0), b: between(2, 4) }).nullable(),
  /** Height of the fish's eye above the bed, m (physics section 3). */
  focalHeight: between(0.01, 3),
  /** Distance that a fish keeps clear of the next, m; for stream salmonids from their size (territory.ts). */
  territory: between(0.5, 50),
  /** Least depth it will hold in, m. */
  leastDepth: between(0.05, 5),
  /** Over this water temperature it should be left alone, degC (usual caution; local rules stand). */
  restAbove: between(0, 40),
  seasons: z.array(waySchema).max(12).readonly().optional(),
  source: z.string().min(1).max(300),
};

/** How well a place suits, 0..1, in warm and in cold water; between the two temperatures the curves are mixed. */
const suitabilitySchema = z.strictObject({
  /** By depth, m. */
  depth: z.strictObject({ warm: curveSchema, cold: curveSchema }),
  /** By speed at the fish, m/s. */
  speed: z.strictObject({ warm: curveSchema, cold: curveSchema }),
  /** Cold below the first, warm above the second, degC. */
  turn: z
    .tuple([between(-2, 40), between(-2, 40)])
    .readonly()
    .refine(([cold, warm]) => cold < warm, rule("must-ascend")),
});
export type Suitability = z.infer<typeof suitabilitySchema>;

/** Lives off what drifts by: trout. Scored by net energy (foraging.ts). */
const driftSchema = z.strictObject({
  ...common,
  model: z.literal("drift"),
  /** Length of the drifting prey, mm (common practice, no source). */
  preyLength: between(1, 60),
  /** Set by the season (season.ts): what it wants beside food, and the share that a bare place keeps. */
  wants: z.strictObject({ depth: curveSchema.optional(), speed: curveSchema.optional() }).optional(),
  bare: share.optional(),
});
export type DriftFeeder = z.infer<typeof driftSchema>;

/**
 * Waits beside the current: bass, walleye, catfish and others. Scored by suitability and by fast water near by
 * (ambush.ts).
 */
const ambushSchema = z.strictObject({
  ...common,
  model: z.literal("ambush"),
  suitability: suitabilitySchema,
  /** How far off fast water still serves, m, and how much of the score hangs on it, 0..1. */
  ambush: z.strictObject({ reach: between(0.2, 20), weight: share }),
  /**
   * How much of the score hangs on a break, on wood or a roof, on a step of the bed, and on an edge of hard and soft
   * bottom near by, 0..1.
   */
  cover: coverSchema,
  /** How much it shuns light, 0..1. */
  shy: share,
  /** Bottoms it likes less than the rest, 0..1; read where the reach has more than one. */
  substrate: z.partialRecord(z.enum(SUBSTRATES), share),
});
export type Ambusher = z.infer<typeof ambushSchema>;

/** Passes through without feeding: salmon and steelhead on the run. Scored by the cheapest way up (travel.ts). */
const travelSchema = z.strictObject({
  ...common,
  model: z.literal("travel"),
  suitability: suitabilitySchema,
  /** Least depth, m, and greatest speed, m/s, that it passes (adult passage criteria, Thompson 1972; from memory). */
  passage: z.strictObject({ depth: between(0.02, 3), speed: between(0.2, 10) }),
});
export type Traveller = z.infer<typeof travelSchema>;

export const speciesSchema = z.discriminatedUnion("model", [driftSchema, ambushSchema, travelSchema]);
export type Species = z.infer<typeof speciesSchema>;
