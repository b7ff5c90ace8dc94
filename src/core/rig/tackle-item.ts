import { z } from "zod";
import { between, instant, rule } from "../quantity/checks";
import { BAIT_KINDS } from "../tactics/baits";
import { DENSITY, type Metal } from "./drag";
import { LINE_MATERIALS } from "./lines";

/** What is kept in a tackle box. */
export const TACKLE_KINDS = [
  "rod",
  "reel",
  "line",
  "leader",
  "float",
  "shot",
  "weight",
  "head",
  "body",
  "spoon",
  "spinner",
  "plug",
  "bait",
  "hook",
] as const;
export type TackleKind = (typeof TACKLE_KINDS)[number];

/** How a soft body swims. */
export const BODY_FORMS = ["curl-tail", "paddle-tail", "tube", "worm"] as const;
export const ROD_FLEXES = ["soft", "medium", "stiff"] as const;
const METALS = Object.keys(DENSITY) as [Metal, ...Metal[]];

/** Measures of a piece, by name; SI but for grams. */
export const MEASURES = {
  /** m */
  length: between(0.004, 8),
  /** g */
  grams: between(0.005, 1000),
  /** g of shot that a float carries. */
  capacity: between(0.2, 60),
  /** kg */
  test: between(0.3, 100),
  /** m */
  diameter: between(0.00005, 0.002),
  /** Line that one turn brings in, m. */
  perTurn: between(0.2, 2),
  /** Depth on 30 m of line, m. */
  dives: between(0.05, 15),
  /** g by which it floats at 20 C; below nought it sinks. */
  buoyancy: between(-50, 50),
  /** Speeds through the water at which it works at all, and best, m/s. */
  least: between(0.05, 3),
  best: between(0.1, 4),
  /** kg/m3 */
  density: between(300, 12_000),
  /** Hook by number; 0 is 1/0, -1 is 2/0. */
  hook: z.int().min(-9).max(30),
  /** Blade by number. */
  blade: z.int().min(0).max(8),
  /** Minutes until a bait is renewed. */
  lasts: between(1, 600),
} as const;
export type Measure = keyof typeof MEASURES;

/** One drop that was timed: what a piece falls with, g, how deep the water was, m, and how long it took, s. */
const dropSchema = z.strictObject({
  grams: MEASURES.grams,
  metal: z.enum(METALS),
  depth: between(0.3, 30),
  seconds: between(0.2, 120),
});

/** What each kind must say, and what it may say besides. */
export const KIND_MEASURES: Record<TackleKind, { need: readonly Measure[]; may: readonly Measure[] }> = {
  rod: { need: ["length"], may: [] },
  reel: { need: ["perTurn"], may: [] },
  line: { need: ["test"], may: ["diameter"] },
  leader: { need: ["test"], may: ["diameter", "length"] },
  float: { need: ["capacity"], may: ["length"] },
  shot: { need: ["grams"], may: [] },
  weight: { need: ["grams"], may: [] },
  head: { need: ["grams"], may: ["hook"] },
  body: { need: ["length"], may: ["grams"] },
  spoon: { need: ["grams"], may: ["length"] },
  spinner: { need: ["grams"], may: ["blade", "least"] },
  plug: { need: ["grams", "dives"], may: ["buoyancy", "least", "best", "length"] },
  bait: { need: [], may: ["grams", "length", "density", "diameter", "hook", "lasts"] },
  hook: { need: ["hook"], may: [] },
};

const base = {
  id: z.string().min(1).max(80),
  updatedAt: instant,
  deleted: z.boolean().optional(),
  demo: z.boolean().optional(),
};

/** A piece, or so many alike, in the box. */
export const tackleItemSchema = z
  .strictObject({
    schema: z.literal("low-heron/tackle@1"),
    ...base,
    kind: z.enum(TACKLE_KINDS),
    /** The angler's own name for it: lettered and numbered sizes differ between countries. */
    name: z.string().trim().min(1).max(60),
    /** How many are left; null: not counted. */
    count: z.int().min(0).max(9999).nullable(),
    ...(Object.fromEntries(
      Object.entries(MEASURES).map(([name, schema]) => [name, (schema as z.ZodType<number>).optional()]),
    ) as { [K in Measure]: z.ZodOptional<z.ZodType<number>> }),
    metal: z.enum(METALS).optional(),
    material: z.enum(LINE_MATERIALS).optional(),
    form: z.enum(BODY_FORMS).optional(),
    flex: z.enum(ROD_FLEXES).optional(),
    /** What kind of bait it is; its measures are the kind's where they are not given. */
    bait: z.enum(BAIT_KINDS).optional(),
    drop: dropSchema.optional(),
  })
  .superRefine((item, context) => {
    const { need, may } = KIND_MEASURES[item.kind];
    if (item.kind === "bait" && item.bait === undefined && item.grams === undefined)
      context.addIssue({ code: "custom", path: ["grams"], params: rule("measure-missing").params });
    for (const name of need)
      if (item[name] === undefined)
        context.addIssue({ code: "custom", path: [name], params: rule("measure-missing").params });
    for (const name of Object.keys(MEASURES) as Measure[])
      if (item[name] !== undefined && !need.includes(name) && !may.includes(name))
        context.addIssue({ code: "custom", path: [name], params: rule("measure-foreign").params });
  });
export type TackleItem = z.infer<typeof tackleItemSchema>;

/** A piece as it is put into a box: without what the book adds. */
export type TackleDraft = Omit<TackleItem, "schema" | "id" | "updatedAt" | "deleted" | "demo">;
