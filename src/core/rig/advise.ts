import { type Message, message } from "../quantity/message";
import { z } from "zod";
import { between, finite } from "../quantity/checks";
import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import { speciesById } from "../fish/species";
import { chooseLure, type LureChoice, tooWarmFor } from "../tactics/lure";
import { SHOTTINGS } from "./shot";
import { FLOAT_TACKLE, floatFor, type FloatRig, type FloatTackle, setFloat } from "./float";

/** What `heron rig` reads and the Rig station hands over. */
export const rigRequestSchema = z.object({
  method: z.enum(["float", "drift", "jig", "spinner"]),
  water: z.object({
    depth: finite,
    meanSpeed: finite,
    bedRoughness: finite.default(0.15),
    visibleDepth: finite.default(1),
    temperature: finite.default(12),
  }),
  species: z.string(),
  light: z.enum(["day", "twilight", "night"]).default("day"),
  tackle: z
    .object({
      capacity: between(0.2, 30).optional(),
      lineDiameter: between(0.00005, 0.002).optional(),
      leader: between(0.1, 3).optional(),
      metal: z.enum(["lead", "tungsten", "tin", "bismuth", "brass", "steel"]).optional(),
    })
    .default({}),
  style: z
    .object({
      shotting: z.enum(SHOTTINGS).optional(),
      holdBack: between(0, 0.6).optional(),
      shotHeight: between(0, 5).optional(),
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
  reasons: Message[];
  cautions: Message[];
}

export function readRigRequest(text: string, file?: string): RigRequest {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError("request-not-json", { message: (error as Error).message }, { file });
  }
  return data as RigRequest;
}

/** A float rig and a lure for one place in the water, with reasons. Throws a located fault on a bad request. */
export function adviseRig(request: RigRequest): RigAdvice {
  const parsed = rigRequestSchema.safeParse(request, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-rig");
  const { method, water, tackle, style, light } = parsed.data;
  if (method !== "float") throw new InputError("unsupported-method", { method }, { path: "method" });
  if (!(water.visibleDepth > 0)) throw new InputError("bad-visible-depth", {}, { path: "water.visibleDepth" });
  const species = speciesById(parsed.data.species);
  const lure = chooseLure({ visibleDepth: water.visibleDepth, temperature: water.temperature, light });
  const chosen: FloatTackle = { ...FLOAT_TACKLE.value, ...defined(tackle), bait: lure.body };
  const full = tackle.capacity === undefined ? { ...chosen, capacity: floatFor(chosen) } : chosen;
  const rig = setFloat(water, full, defined(style));
  const cautions = tooWarmFor(species, water.temperature)
    ? [message("too-warm-to-play", { species: species.id, temperature: water.temperature })]
    : [];
  // Weights, shot and lure come from trout fishing: for another fish they are where to start, and that is said.
  if (species.model !== "drift") cautions.push(message("rigged-as-for-trout", { species: species.id }));
  return {
    method,
    capacity: full.capacity,
    ...rig,
    lure: { category: lure.category, size: lure.size, colours: lure.colours },
    reasons: [...floatReasons(rig, water.depth, full), ...lure.reasons],
    cautions,
  };
}

function floatReasons(rig: FloatRig, depth: number, tackle: FloatTackle): Message[] {
  const { setting, shotHeight, surfaceSpeed, floatSpeed, lift, baitHeight, holdBack } = rig;
  return [
    message("float-set", { depth, setting, shotHeight }),
    message("float-lift", { surfaceSpeed, floatSpeed, lift, baitHeight }),
    holdBack > 0 ? message("hold-back", { pace: 1 - holdBack }) : message("run-free"),
    message(`shot-${rig.shotting}`),
    message("deepen-by-float"),
    ...(tackle.metal === "lead" ? [message("lead-banned")] : []),
  ];
}

const defined = <T extends object>(given: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
