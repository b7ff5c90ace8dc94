import { z } from "zod";
import { PHASES } from "../fish/phases";
import { between, finite, rule } from "../quantity/checks";
import { BAIT_KINDS } from "../tactics/baits";
import { COLOUR_SCHOOLS, PREY, SNAGS } from "../tactics/lure-kinds";
import { METHODS } from "../tactics/methods";
import { RETRIEVES } from "../tactics/retrieve-kinds";
import { PRESENTATIONS, PURPOSES } from "../tactics/purpose";
import { DENSITY, type Metal } from "./drag";
import { SHOTTINGS } from "./shotting";
import { LEADER_SCHOOLS, LINE_MATERIALS } from "./lines";

const grams = between(0.01, 1000);
const hookNumber = z.int().min(-9).max(30);
const METALS = Object.keys(DENSITY) as [Metal, ...Metal[]];

/** The angler's own tackle, as far as it is known. */
const tackleSchema = z.object({
  /** g of shot that the float carries; its length, m. */
  capacity: between(0.2, 60).optional(),
  floatLength: between(0.02, 0.6).optional(),
  /** Floats that are carried: the lightest that bears the bait with a gram and a half of shot is taken. */
  floats: z
    .array(z.object({ capacity: between(0.2, 60), length: between(0.004, 8).optional() }))
    .max(30)
    .optional(),
  lineDiameter: between(0.00005, 0.002).optional(),
  lineMaterial: z.enum(LINE_MATERIALS).optional(),
  /** Test of the main line, kg. */
  lineTest: between(0.3, 100).optional(),
  /** m */
  leader: between(0.1, 10).optional(),
  leaderMaterial: z.enum(LINE_MATERIALS).optional(),
  leaderTest: between(0.3, 100).optional(),
  leaderDiameter: between(0.00005, 0.002).optional(),
  metal: z.enum(METALS).optional(),
  /** m */
  rodLength: between(1, 8).optional(),
  /** Line that one turn of the reel brings in, m. */
  perTurn: between(0.2, 2).optional(),
  shot: z
    .array(
      z.object({
        size: z.string().min(1).max(20),
        grams: between(0.01, 60),
        count: z.int().min(0).max(999).optional(),
      }),
    )
    .min(1)
    .max(30)
    .optional(),
  /** Weights or heads that are carried, g, in any order. */
  heads: z.array(grams).min(1).max(30).optional(),
  /** What is on the hook: a kind with its usual measures, or its own: g, kg/m3, m, and the ball that drags like it. */
  bait: z
    .object({
      kind: z.enum(BAIT_KINDS).optional(),
      grams: between(0, 500).optional(),
      density: between(300, 12_000).optional(),
      diameter: between(0.001, 0.3).optional(),
      length: between(0.004, 0.6).optional(),
      hook: hookNumber.optional(),
      /** Minutes until it is renewed. */
      lasts: between(1, 600).optional(),
      name: z.string().max(60).optional(),
    })
    .refine(({ kind, grams }) => kind !== undefined || grams !== undefined, rule("bait-unknown"))
    .optional(),
  /** Hooks that are carried, by number. */
  hooks: z.array(hookNumber).max(40).optional(),
  /** Cd times area of what dresses a head, m2: as a timed drop has shown. */
  dragArea: between(0, 0.05).optional(),
  plug: z
    .object({
      grams,
      /** Depth it dives to on 30 m of 0.30 mm line, m. */
      dives: between(0.05, 15),
      /** g by which it floats at 20 C; below nought it sinks. */
      buoyancy: between(-50, 50),
      /** Speeds through the water at which it swims at all, and best, m/s. */
      least: between(0.05, 3),
      best: between(0.1, 4),
      length: between(0.01, 0.5).optional(),
    })
    .optional(),
  /** What the angler's drops and drifts say of the line's pull: times what is worked out. */
  pullFactor: between(0.2, 5).optional(),
  spinner: z.object({ grams, least: between(0.05, 1.5) }).optional(),
});

const styleSchema = z.object({
  shotting: z.enum(SHOTTINGS).optional(),
  /** Share of the surface's pace that the float is held back by. */
  holdBack: between(0, 0.6).optional(),
  /** Float to lowest shot, m: as it is set, instead of found. */
  setting: between(0.05, 30).optional(),
  /** Wanted height of the lowest shot above the bed, m. */
  shotHeight: between(0, 5).optional(),
  fall: z.enum(["slack", "semi-slack", "tight"]).optional(),
  /** A hook that is hidden or open, where the lure allows both. */
  hook: z.enum(["open", "weedless"]).optional(),
  /** A jig under a float is counted as depth, or the shot alone is; by its weight where it is not said. */
  countJig: z.boolean().optional(),
  /** What the hand does; the usual one of the method where it is not said. */
  retrieve: z.enum(RETRIEVES).optional(),
  /** How the leader is chosen, and the main line of a float. */
  leader: z.enum(LEADER_SCHOOLS).optional(),
  floatLine: z.enum(["mono", "braid"]).optional(),
  /** What the weight is for; by fish, season and method where it is not said. */
  purpose: z.enum(PURPOSES).optional(),
  /** Two jigs for two layers. */
  tandem: z.boolean().optional(),
  /** Bites that come short. */
  short: z.boolean().optional(),
  tough: z.boolean().optional(),
  school: z.enum(COLOUR_SCHOOLS).optional(),
  liveBait: z.boolean().optional(),
});

/** What `heron rig` reads and the Rig station hands over; SI but for the grams. */
export const rigRequestSchema = z.object({
  method: z.enum(METHODS),
  water: z.object({
    depth: finite,
    meanSpeed: finite,
    bedRoughness: finite.default(0.15),
    visibleDepth: finite.default(1),
    temperature: finite.default(12),
    light: z.enum(["day", "twilight", "night"]).optional(),
    /** Wind, m/s. */
    wind: between(0, 40).default(0),
    snags: z.enum(SNAGS).default("none"),
    weed: z.boolean().default(false),
    /** Pike or other fish that bite leaders through are about. */
    teeth: z.boolean().default(false),
    prey: z.enum(PREY).default("none"),
    /** m */
    preyLength: between(0.005, 0.4).optional(),
    phase: z.enum(PHASES).optional(),
    /** How far off the fish is, m: as far as is cast. */
    distance: between(1, 60).optional(),
    /** Height of the fish over the bed, m. */
    fishHeight: between(0, 30).optional(),
    /** How the line is fished; what is usual for the method where it is not said. */
    presentation: z.enum(PRESENTATIONS).optional(),
    /** Of a boat that drifts with the line under its rod, down-current, m/s; at anchor where it is not said. */
    boatSpeed: between(0, 3).optional(),
  }),
  species: z.string().max(80),
  light: z.enum(["day", "twilight", "night"]).default("day"),
  tackle: tackleSchema.default({}),
  style: styleSchema.default({}),
});
export type RigRequest = z.input<typeof rigRequestSchema>;
export type RigAsked = z.output<typeof rigRequestSchema>;
export type OwnTackle = RigAsked["tackle"];
