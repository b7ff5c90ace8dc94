import { z } from "zod";
import { InputError } from "../quantity/fault";
import type { Light } from "../fish/foraging";
import { speciesById } from "../fish/species";
import { showText } from "../quantity/show";
import type { UnitSystem } from "../quantity/units";
import { chooseLure, type LureChoice, tooWarmFor } from "../tactics/lure";
import { FLOAT_TACKLE, floatFor, type FloatRig, type FloatTackle, setFloat } from "./float";

const number = z.number().refine(Number.isFinite, "must be a finite number");

/** What `heron rig` reads and the Rig station hands over. */
export const rigRequestSchema = z.object({
  method: z.enum(["float", "drift", "jig", "spinner"]),
  water: z.object({
    depth: number,
    meanSpeed: number,
    bedRoughness: number.default(0.15),
    visibleDepth: number.default(1),
    temperature: number.default(12),
  }),
  species: z.string(),
  light: z.enum(["day", "twilight", "night"]).default("day"),
  tackle: z
    .object({
      capacity: number.refine((grams) => grams >= 0.2 && grams <= 30, "must be from 0.2 to 30 g").optional(),
      lineDiameter: number.refine((d) => d >= 0.00005 && d <= 0.002, "must be from 0.00005 to 0.002 m").optional(),
      leader: number.refine((m) => m >= 0.1 && m <= 3, "must be from 0.1 to 3 m").optional(),
      metal: z.enum(["lead", "tungsten", "tin", "bismuth", "brass", "steel"]).optional(),
    })
    .default({}),
  style: z
    .object({
      shotting: z.enum(["tapered", "bulk", "even"]).optional(),
      holdBack: number.refine((share) => share >= 0 && share <= 0.6, "must be from 0 to 0.6").optional(),
      shotHeight: number.refine((m) => m >= 0 && m <= 5, "must be from 0 to 5 m").optional(),
    })
    .default({}),
});
export type RigRequest = z.input<typeof rigRequestSchema>;

export interface RigAdvice extends Omit<FloatRig, "shape"> {
  method: "float";
  /** g of shot that the float carries: as given, or chosen for the lure. */
  capacity: number;
  shape: FloatRig["shape"];
  lure: Pick<LureChoice, "category" | "size" | "colours">;
  reasons: string[];
  cautions: string[];
}

export function readRigRequest(text: string, file?: string): RigRequest {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError("not-json", `The request is not JSON: ${(error as Error).message}`, { file });
  }
  return data as RigRequest;
}

/** A float rig and a lure for one place in the water, with reasons. Throws a located fault on a bad request. */
export function adviseRig(request: RigRequest, system: UnitSystem = "metric"): RigAdvice {
  const parsed = rigRequestSchema.safeParse(request);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    throw new InputError(
      "bad-rig",
      `The request is not as it should be at ${issue.path.join(".") || "its top"}: ${issue.message}`,
      { path: issue.path.join(".") },
    );
  }
  const { method, water, tackle, style, light } = parsed.data;
  if (method !== "float")
    throw new InputError("unsupported-method", `Only the float can be worked out so far; not yet “${method}”.`, {
      path: "method",
    });
  if (!(water.visibleDepth > 0))
    throw new InputError("bad-water", "visibleDepth must be above zero.", { path: "water.visibleDepth" });
  const species = speciesById(parsed.data.species);
  const lure = chooseLure({ visibleDepth: water.visibleDepth, temperature: water.temperature, light: light as Light });
  const chosen: FloatTackle = { ...FLOAT_TACKLE.value, ...defined(tackle), bait: lure.body };
  const full = tackle.capacity === undefined ? { ...chosen, capacity: floatFor(chosen) } : chosen;
  const rig = setFloat(water, full, defined(style));
  const cautions = tooWarmFor(species, water.temperature)
    ? [
        `${showText(water.temperature, "temperature", system)}: leave ${species.name.toLowerCase()} alone in water this warm. Local rules stand above anything here.`,
      ]
    : [];
  // Weights, shot and lure come from trout fishing: for another fish they are where to start, and that is said.
  if (species.model !== "drift")
    cautions.push(
      `Float, shot and lure are worked out as for trout; for ${species.name.toLowerCase()} take them as a start, and go heavier and larger as the tackle for it does.`,
    );
  return {
    method,
    capacity: full.capacity,
    ...rig,
    lure: { category: lure.category, size: lure.size, colours: lure.colours },
    reasons: [...floatReasons(rig, water.depth, full, system), ...lure.reasons],
    cautions,
  };
}

function floatReasons(rig: FloatRig, depth: number, tackle: FloatTackle, system: UnitSystem): string[] {
  const text = (value: number, kind: Parameters<typeof showText>[1]) => showText(value, kind, system);
  const reasons = [
    `${text(depth, "depth")} of water: the lowest shot is set ${text(rig.setting, "depth")} under the float and fishes ${text(rig.shotHeight, "depth")} off the bed.`,
    `Surface ${text(rig.surfaceSpeed, "speed")}, float ${text(rig.floatSpeed, "speed")}: the line below drags in the slower water and lifts the bait ${text(rig.lift, "depth")}, to ${text(rig.baitHeight, "depth")} off the bed.`,
    rig.holdBack > 0
      ? `Hold the float back to about ${Math.round((1 - rig.holdBack) * 100)} % of the surface's pace: that brings the bait down.`
      : "Let it run free: holding back would bring the bait down by little here.",
    {
      tapered: "Shot tapered, heavier under the float, so that the bait runs ahead.",
      bulk: "Shot in bulk, low: strong water, get down fast.",
      even: "Shot spread evenly: slow water.",
    }[rig.shotting],
    "Start here, deepen by no more than a float's length at a time until it touches, then come back.",
  ];
  if (tackle.metal === "lead") reasons.push("Lead shot is banned or limited in many places: look up the local rule.");
  return reasons;
}

const defined = <T extends object>(given: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
