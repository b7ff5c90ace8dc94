import { isTooWarm } from "../gauge/warmth";
import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import { speciesById } from "../fish/species";
import type { Species } from "../fish/species-schema";
import type { Family } from "../fish/species-record";
import { habitsOf } from "../fish/species-habits";
import { baitBody, liveBaitFor, type OwnBait, usualLasts } from "../tactics/baits";
import {
  chooseLure,
  isLure,
  type LureBody,
  type LureChoice,
  type LureSize,
  type LureWater,
  warmthFor,
} from "../tactics/lure";
import { sizeOf } from "../tactics/sizes";
import { sphereDiameter } from "./drag";
import { retrieveEffect } from "../tactics/retrieves";
import type { Retrieve } from "../tactics/retrieve-kinds";
import { speedIn } from "./sink";
import { isWeighted, METHOD, type Method } from "../tactics/methods";
import { presentationFor, purposeFor } from "../tactics/purpose";
import type { AdviceOf, RigAdvice } from "./advice";
import type { Leash } from "./line-pull";
import { RIGGING } from "./methods";
import { nextChanges } from "./next-changes";
import { type RigAsked, type RigRequest, rigRequestSchema } from "./request";
import { CAST, tipOver } from "./rod";
import { type Strength, strengthFor } from "./strength";
import { checkWater } from "./water";

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
    hook: style.hook,
  };
  const chosen = chooseLure(question);
  const lure = withOwn(
    chosen,
    style.liveBait ? { bait: liveBaitFor(habitsOf(asked.species).family), ...tackle } : tackle,
    asked,
  );
  const line = strengthFor({
    species,
    base: asked.species,
    method,
    water,
    light,
    own: tackle,
    school: style.leader,
    floatLine: style.floatLine,
  });
  const { reasons: lineReasons, cautions: _, ...strength } = line;
  const solved = setUpFor(asked, species, lure, line);
  const allowed = METHOD[method].retrieves;
  const retrieve = style.retrieve && allowed.includes(style.retrieve) ? style.retrieve : allowed[0]!;
  const advice = {
    method,
    ...solved.rig,
    lure: {
      category: lure.category,
      size: oneSize(lure.size, solved.rig),
      colours: lure.colours,
      hookStyle: lure.hookStyle,
      body: lure.body,
      lasts: lure.lasts ?? usualLasts(lure.category),
      ...(tackle.bait?.name !== undefined && !isLure(lure.category) && { bait: tackle.bait.name }),
    },
    line: strength,
    retrieveKind: retrieve,
    reasons: [...solved.reasons, ...retrieveReasons(retrieve, solved.rig, asked), ...lure.reasons, ...lineReasons],
    cautions: cautionsFor(asked, species, line, lure),
  } as Omit<RigAdvice, "changes">;
  return { ...advice, changes: nextChanges(advice) } as RigAdvice;
}

/** The lure with the angler's own bait and the nearest of their own hooks, where they have any. */
function withOwn(
  chosen: LureChoice,
  { bait, hooks = [] }: RigAsked["tackle"],
  { method, species }: RigAsked,
): LureChoice {
  const lure = bait ? withBait(chosen, bait, method, habitsOf(species).family) : chosen;
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

/** What is said of hidden and open hooks of a lure. */
const OF_HOOKS = /^(weed|snags|hook-asked)-/;

/**
 * A bait goes on where bait is fished, and under a float in place of a jig; elsewhere a lure is never put in its place
 * without a word.
 */
function withBait(lure: LureChoice, { kind, ...own }: OwnBait, method: Method, family: Family): LureChoice {
  const jigged = isLure(lure.category) && method === "float";
  const chosen: LureChoice = jigged
    ? {
        ...lure,
        category: "natural-bait",
        hookStyle: "open",
        ...sizeOf("natural-bait", family, 0),
        reasons: lure.reasons.filter(({ code }) => !OF_HOOKS.test(code)),
      }
    : lure;
  if (isLure(chosen.category))
    return { ...chosen, reasons: [...chosen.reasons, message("bait-not-used", { category: chosen.category })] };
  if (kind === undefined) return { ...chosen, body: plainBody(own), lasts: own.lasts };
  const { category, piece, hook, length, lasts, body } = baitBody({ kind, ...own });
  return {
    ...chosen,
    category,
    size: { hook, bait: piece },
    body,
    lasts,
    reasons: [...chosen.reasons, message("bait-measures", { piece, length, lasts })],
  };
}

/** Density of a bait that does not say its own: flesh, a little heavier than water, kg/m3. From memory. */
const FLESH = 1080;

/** A bait of no kind that is known: a ball of its mass where its thickness is not said. */
function plainBody({
  grams = 1,
  density = FLESH,
  diameter = sphereDiameter(grams / 1000, density),
}: OwnBait): LureBody {
  return { grams, density, diameter };
}

/** Between hops it rises and falls in the slower water near the bed, m over it. Common practice, no source. */
const HOPS_AT = 0.2;
/** A plug that floats by a gram rises so fast, m/s. Common practice, no source. */
const RISES = 0.05;

/** What the retrieve does to the depth and how far the current takes it, where that can be worked out. */
function retrieveReasons(retrieve: Retrieve, rig: object, { water, method }: RigAsked): Message[] {
  const { fall, plug } = rig as { fall?: number; plug?: { buoyancy: number } };
  const falls = fall ?? (plug ? -RISES * plug.buoyancy : method === "spinner" ? SPINNER_FALL : 0);
  const current = fall === undefined ? water.meanSpeed : speedIn(water, Math.min(HOPS_AT, water.depth));
  const effect = retrieveEffect(retrieve, falls, current);
  return [message(`retrieve-${retrieve}`, { ...effect })];
}
/** A spinner that is let go sinks so fast, m/s. Common practice, no source. */
const SPINNER_FALL = 0.5;

/** The size of the lure as the rig has it: one choice for both. */
function oneSize(size: LureSize, rig: object): LureSize {
  const { head, grams, plug } = rig as { head?: { grams: number }; grams?: number; plug?: { length?: number } };
  if ("head" in size && head) return { ...size, head: head.grams / 1000 };
  if ("blade" in size && grams !== undefined) return { ...size, mass: grams / 1000 };
  if ("mass" in size && head) return { mass: head.grams / 1000 };
  return "length" in size && plug?.length !== undefined ? { length: plug.length } : size;
}

/** What a method is set up on: the water with its light, the lure, and the line it is fished on. */
function setUpFor(asked: RigAsked, species: Species, lure: LureChoice, line: Strength) {
  const { method, tackle, style, light } = asked;
  const water = { ...asked.water, light };
  const fishHeight = Math.min(water.fishHeight ?? species.focalHeight, 0.8 * water.depth);
  const { family } = habitsOf(asked.species);
  const presentation = water.presentation ?? (isWeighted(method) ? presentationFor(method, water.depth) : "across");
  const leash: Leash = {
    lineDiameter: line.main.diameter,
    distance: water.distance ?? CAST,
    tipHeight: tipOver(line.rod),
    presentation,
    factor: tackle.pullFactor,
    boatSpeed: water.boatSpeed,
  };
  const usual = purposeFor({
    method,
    family,
    phase: water.phase,
    warmth: warmthFor(family, water.temperature),
    short: style.short === true,
    fishHeight,
  });
  return RIGGING[method].setUp({
    species: asked.species,
    fish: species,
    water,
    lure,
    line,
    leash,
    purpose: style.purpose ? { purpose: style.purpose, why: message(`purpose-asked-${style.purpose}`) } : usual,
    fishHeight,
    tackle,
    style,
  });
}

/** What to mind with this rig: the fish first, then hooks, lead, lines overhead and the water's own rules. */
function cautionsFor(
  { method, water }: RigAsked,
  species: Species,
  { rod, cautions }: Strength,
  lure: LureChoice,
): Message[] {
  return [
    ...cautions,
    ...(isTooWarm(species, water.temperature)
      ? [message("too-warm-to-play", { species: species.id, temperature: water.temperature })]
      : []),
    ...(rod > 3 ? [message("overhead-lines")] : []),
    ...(isLure(lure.category) && method !== "float" ? [message("hooks-eyes")] : []),
    message("barbless-by-rule"),
  ];
}
