import { isTooWarm } from "../gauge/warmth";
import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import { isClear } from "../gauge/clarity";
import { speciesById } from "../fish/species";
import type { Species } from "../fish/species-schema";
import { chooseLure, isLure, type LureChoice, type LureWater, type Method } from "../tactics/lure";
import { type BottomMethod, type BottomRig, setBottom } from "./bottom";
import type { Leash } from "./contact";
import { floatReasons, type FloatMore, moreOfFloat } from "./float-advice";
import { FLOAT_TACKLE, floatFor, type FloatRig, type FloatTackle, setFloat } from "./float";
import { type JigRig, setJig } from "./jig";
import { type PlugRig, setPlug } from "./plug";
import { type RigAsked, type RigRequest, rigRequestSchema } from "./request";
import { CAST, tipOver } from "./rod";
import { setSpinner, type SpinnerRig } from "./spinner";
import { type Strength, strengthFor } from "./strength";
import { strikeZone } from "./strike-zone";
import { checkWater } from "./water";

export type { RigRequest } from "./request";

interface Advised {
  lure: Pick<LureChoice, "category" | "size" | "colours" | "hookStyle" | "body"> & {
    /** The angler's own name for the bait. */ bait?: string;
  };
  line: Omit<Strength, "reasons">;
  reasons: Message[];
  cautions: Message[];
}
export type FloatAdvice = Advised &
  FloatRig &
  FloatMore & { method: "float"; capacity: number; leader: number; /** What hangs on the line. */ hung: FloatTackle };
export type BottomAdvice = Advised & BottomRig & { method: BottomMethod };
export type JigAdvice = Advised & Omit<JigRig, "falling"> & { method: "jig" | "spoon"; falling: JigRig["falling"] };
export type PlugAdvice = Advised & PlugRig & { method: "plug" };
export type SpinnerAdvice = Advised & SpinnerRig & { method: "spinner" };
/** A rig and a lure for one place in the water, with reasons. */
export type RigAdvice = FloatAdvice | BottomAdvice | JigAdvice | PlugAdvice | SpinnerAdvice;

/** The advice for a way of fishing. */
export type AdviceOf<M extends Method> = RigAdvice & { method: M };

/** Height over the bed that the lowest shot has without more being known (float.ts), m. */
const USUAL_SHOT = 0.15;

/** @throws InputError "bad-rig" */
export function parseRigRequest(request: RigRequest): RigAsked {
  const parsed = rigRequestSchema.safeParse(request, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-rig");
  const { data } = parsed;
  if (!(data.water.visibleDepth > 0)) throw new InputError("bad-visible-depth", {}, { path: "water.visibleDepth" });
  checkWater(data.water);
  return { ...data, light: data.water.light ?? data.light };
}

/** A rig for one place in the water, by the way of fishing asked for. Throws a located fault on a bad request. */
export function adviseRig<M extends Method>(request: RigRequest & { method: M }): AdviceOf<M> {
  const asked = parseRigRequest(request);
  return adviseFor(asked, speciesById(asked.species)) as AdviceOf<M>;
}

/** The same for a fish that is known already: an angler's own profile has the habits of the fish it was copied from. */
export function adviseFor(asked: RigAsked, species: Species): RigAdvice {
  const { method, water, style, light, tackle } = asked;
  const question: LureWater = {
    species: asked.species,
    method,
    visibleDepth: water.visibleDepth,
    temperature: water.temperature,
    light,
    phase: water.phase,
    prey: water.prey,
    preyLength: water.preyLength,
    snags: water.snags,
    weed: water.weed,
    tough: style.tough,
    school: style.school,
  };
  const chosen = chooseLure(question);
  const lure = withOwn(chosen, tackle);
  const line = strengthFor({ species, base: asked.species, method, water, own: tackle });
  const { reasons: lineReasons, ...strength } = line;
  const solved = solve(asked, species, lure, line);
  return {
    ...solved.rig,
    lure: {
      category: lure.category,
      size: lure.size,
      colours: lure.colours,
      hookStyle: lure.hookStyle,
      body: lure.body,
      ...(tackle.bait?.name !== undefined && !isLure(lure.category) && { bait: tackle.bait.name }),
    },
    line: strength,
    reasons: [...solved.reasons, ...lure.reasons, ...lineReasons],
    cautions: cautionsFor(asked, species, line, lure),
  } as RigAdvice;
}

/** The lure with the angler's own bait and the nearest of their own hooks, where they have any. */
function withOwn(chosen: LureChoice, { bait, hooks = [] }: RigAsked["tackle"]): LureChoice {
  const lure = bait && !isLure(chosen.category) ? { ...chosen, body: bait } : chosen;
  const { size } = lure;
  if (!("hook" in size) || hooks.length === 0) return lure;
  const hook = hooks.reduce((best, one) => (Math.abs(one - size.hook) < Math.abs(best - size.hook) ? one : best));
  return {
    ...lure,
    size: { ...size, hook },
    reasons:
      hook === size.hook ? lure.reasons : [...lure.reasons, message("hook-nearest", { wanted: size.hook, hook })],
  };
}

function solve(
  asked: RigAsked,
  species: Species,
  lure: LureChoice,
  line: Strength,
): { rig: object & { method: Method }; reasons: Message[] } {
  const { method, tackle, style, light } = asked;
  const water = { ...asked.water, light };
  const fishHeight = Math.min(water.fishHeight ?? species.focalHeight, 0.8 * water.depth);
  const distance = water.distance ?? CAST;
  const diameter = line.main.diameter;
  const tipHeight = tipOver(line.rod);
  const leash: Leash = { lineDiameter: diameter, distance, tipHeight };
  const question = { species: asked.species, water, lure, leash, fishHeight, tackle, style };
  switch (method) {
    case "float":
      return floatOf(asked, lure, line);
    case "drift":
    case "sinker":
    case "drop-shot":
    case "dead-bait": {
      const { rig, reasons } = setBottom({ method, ...question });
      return { rig: { method, ...rig }, reasons };
    }
    case "jig":
    case "spoon": {
      const { rig, reasons } = setJig({ method, ...question });
      return { rig: { method, ...rig }, reasons };
    }
    case "plug": {
      const length = "length" in lure.size ? lure.size.length : 0.07;
      const { rig, reasons } = setPlug({
        species: asked.species,
        water,
        distance,
        lineDiameter: diameter,
        length,
        tackle,
      });
      return { rig: { method, ...rig }, reasons };
    }
    case "spinner": {
      const { blade, mass } = "blade" in lure.size ? lure.size : { blade: 2, mass: lure.body.grams / 1000 };
      const { rig, reasons } = setSpinner({
        water,
        zone: strikeZone(species, water),
        grams: mass * 1000,
        blade,
        distance,
        fishDepth: water.depth - fishHeight,
        lineDiameter: diameter,
        tackle,
      });
      return { rig: { method, ...rig }, reasons };
    }
  }
}

function floatOf(asked: RigAsked, lure: LureChoice, line: Strength) {
  const { tackle, style, light } = asked;
  const water = { ...asked.water, light };
  const own: Partial<FloatTackle> = {
    ...(tackle.leader !== undefined && { leader: tackle.leader }),
    ...(tackle.metal !== undefined && { metal: tackle.metal }),
    lineDiameter: line.main.diameter,
    ...(tackle.capacity !== undefined && { capacity: tackle.capacity }),
    ...(tackle.shot !== undefined && { shot: tackle.shot }),
    ...(tackle.floatLength !== undefined && { floatLength: tackle.floatLength }),
  };
  const chosen: FloatTackle = { ...FLOAT_TACKLE.value, ...own, bait: lure.body, pinned: pins(lure, water) };
  const full = tackle.capacity === undefined ? { ...chosen, ...floatIn(tackle.floats ?? [], chosen) } : chosen;
  const { shotting, holdBack, setting } = style;
  // The bait comes at the height of the fish, where that is known to be over the usual one.
  const atFish = water.fishHeight === undefined ? undefined : Math.min(water.fishHeight, 0.6 * water.depth);
  const shotHeight = style.shotHeight ?? (atFish !== undefined && atFish > USUAL_SHOT ? atFish : undefined);
  const rig = setFloat(water, full, {
    ...(shotting !== undefined && { shotting }),
    ...(holdBack !== undefined && { holdBack }),
    ...(setting !== undefined && { setting }),
    ...(shotHeight !== undefined && { shotHeight }),
  });
  const all = { ...rig, ...moreOfFloat(rig, water, full, line.rod) };
  return {
    rig: { method: "float" as const, capacity: full.capacity, leader: full.leader, hung: full, ...all },
    reasons: floatReasons(all, water, full, lure, water.distance),
  };
}

/** A bait that floats is pinned; and in clear water a fine leader with a bait on it is sunk by a small shot. */
const pins = (lure: LureChoice, { visibleDepth }: { visibleDepth: number }): boolean =>
  lure.body.density < 1000 || (!isLure(lure.category) && isClear(visibleDepth));

/**
 * The lightest of the floats carried that bears the bait and its shot, or the heaviest; what is wanted where none is.
 */
function floatIn(
  floats: NonNullable<RigAsked["tackle"]["floats"]>,
  chosen: FloatTackle,
): Pick<FloatTackle, "capacity" | "floatLength"> {
  const wanted = floatFor(chosen);
  const sorted = [...floats].sort((a, b) => a.capacity - b.capacity);
  const float = sorted.find(({ capacity }) => capacity >= wanted) ?? sorted.at(-1);
  return float
    ? { capacity: float.capacity, ...(float.length !== undefined && { floatLength: float.length }) }
    : { capacity: wanted };
}

/** What to mind with this rig: the fish first, then hooks, lead, lines overhead and the water's own rules. */
function cautionsFor({ method, water }: RigAsked, species: Species, { rod }: Strength, lure: LureChoice): Message[] {
  return [
    ...(isTooWarm(species, water.temperature)
      ? [message("too-warm-to-play", { species: species.id, temperature: water.temperature })]
      : []),
    ...(rod > 3 ? [message("overhead-lines")] : []),
    ...(isLure(lure.category) && method !== "float" ? [message("hooks-eyes")] : []),
    message("barbless-by-rule"),
  ];
}
