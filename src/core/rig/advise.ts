import { isTooWarm } from "../gauge/warmth";
import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { refuse } from "../quantity/issue";
import { speciesById } from "../fish/species";
import type { Species } from "../fish/species-schema";
import { chooseLure, isLure, type LureChoice, type LureWater } from "../tactics/lure";
import type { Method } from "../tactics/methods";
import type { AdviceOf, RigAdvice } from "./advice";
import type { Leash } from "./contact";
import { RIGGING } from "./methods";
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
  };
  const chosen = chooseLure(question);
  const lure = withOwn(chosen, tackle);
  const line = strengthFor({ species, base: asked.species, method, water, own: tackle });
  const { reasons: lineReasons, ...strength } = line;
  const solved = setUpFor(asked, species, lure, line);
  return {
    method,
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

/** What a method is set up on: the water with its light, the lure, and the line it is fished on. */
function setUpFor(asked: RigAsked, species: Species, lure: LureChoice, line: Strength) {
  const { method, tackle, style, light } = asked;
  const water = { ...asked.water, light };
  const fishHeight = Math.min(water.fishHeight ?? species.focalHeight, 0.8 * water.depth);
  const leash: Leash = {
    lineDiameter: line.main.diameter,
    distance: water.distance ?? CAST,
    tipHeight: tipOver(line.rod),
  };
  return RIGGING[method].setUp({
    species: asked.species,
    fish: species,
    water,
    lure,
    line,
    leash,
    fishHeight,
    tackle,
    style,
  });
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
