import { habitsOf } from "../fish/species-habits";
import type { CastWays } from "../approach/cast-line";
import type { Target } from "../approach/targets";
import type { School } from "../approach/stands";
import type { Species } from "../fish/species-schema";
import type { Field } from "../flow/grid";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { METHOD, type Method } from "../tactics/methods";
import { methodsFor } from "../tactics/fished-with";
import type { Presentation } from "../tactics/purpose";
import type { MainCurrent } from "../water/main-current";
import type { RigAdvice } from "./advice";
import { adviseFor, parseRigRequest } from "./advise";
import type { RigRequest } from "./request";
import { type Behaviour, behaviourOptions } from "./behaviour";
import { behaviourOf } from "./methods";
import { type SolvedCast, solveCast } from "./cast-solver";
import { fasterUnder } from "./line-bow";
import { castLength } from "./cast-length";
import { isLure } from "../tactics/lure";
import { bodyMass } from "../tactics/sizes";
import { CAST, rodReach } from "./rod";
import { snagChance } from "./snag";
import { strikeZone } from "./strike-zone";
import type { Fish } from "./zones";

/** A place to cast from. */
export interface CastFrom {
  school: School;
  at: readonly [number, number];
}

export interface WaysQuestion {
  field: Field;
  species: Species;
  fish: Fish;
  /** Where the angler stands first. */
  stands: readonly CastFrom[];
  ways: CastWays;
  main: MainCurrent;
  /** The request for a method, in the water of the lie. */
  request: (method: Method, distance: number) => RigRequest;
  /** Ways that the angler likes, best first. */
  liked: readonly Method[];
  /** The targets of a rig from a stand: how fast it falls, m/s, by the way it is worked. */
  targets?: (advice: RigAdvice, from: readonly [number, number], fall: number) => readonly Target[];
}

/** One way to fish a lie: its rig, its cast, and what that is worth. */
export interface Way {
  method: Method;
  school: School;
  from: readonly [number, number];
  /** What was asked of the rig, and what came of it. */
  asked: RigRequest;
  advice: RigAdvice;
  cast: Omit<SolvedCast, "behaviour">;
  /** Where it is cast in its turn, landing as this rig falls. */
  casts: readonly Target[];
  /** Share of the drift's points on the stones. */
  touch: number;
  snags: number;
  /** Water under the line that is faster than where the lure is. */
  faster: { at: number; speed: number } | null;
}

/** Why a way is not among them. */
export interface NoWay {
  method: Method;
  why: Message;
}

/** Mends that a hand makes in one drift. Common practice, no source. */
export const MENDS = 3;
/** Ways within a tenth of each other are put by what the angler likes. */
const ALIKE = 0.9;
/** Changes of a float's setting, m, and hold-backs that are tried. */
const SETTINGS = [0.1, -0.1];
const HOLDS = [0.1, 0.2, 0.3];

/**
 * Every way that suits the fish, each solved from the stand: by the seconds near the fish that are sure, less what
 * snags take; those that are nearly alike by what the angler likes.
 */
export function waysFor(question: WaysQuestion): { ways: Way[]; without: NoWay[] } {
  const { species, water } = question.request("float", CAST);
  const habits = habitsOf(species);
  const methods = methodsFor(species);
  const found: Way[] = [];
  const without: NoWay[] = [];
  for (const method of methods) {
    try {
      const unsuited = METHOD[method].unsuited?.(water, habits);
      if (unsuited !== undefined) {
        without.push({ method, why: message(unsuited) });
        continue;
      }
      // Spinners are worked from either side; others from where the angler stands, or else from where they can be.
      const ways: Way[] = [];
      for (const stand of question.stands) {
        const way = method === "spinner" || ways.length === 0 ? wayFrom(question, method, stand) : undefined;
        if (way) ways.push(way);
      }
      if (ways.length === 0) without.push({ method, why: tooFar(question, method) ?? message("no-cast") });
      found.push(...ways);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      without.push({ method, why: error.fault });
    }
  }
  return { ways: orderWays(found, question.liked), without };
}

/** That a method's rig cannot be cast to the fish from any stand, where it is so, with how far it goes, m. */
function tooFar({ stands, fish, request, species }: WaysQuestion, method: Method): Message | undefined {
  const nearest = Math.min(...stands.map(({ at }) => Math.hypot(fish.x - at[0], fish.y - at[1])));
  if (!Number.isFinite(nearest)) return undefined;
  const range = rangeOf(adviseFor(parseRigRequest(request(method, Math.max(1, nearest))), species));
  return range < nearest ? message("cast-short", { range, distance: nearest }) : undefined;
}

export const worth = ({ cast, snags }: Way): number => (0.5 * (cast.seconds + cast.robust) || 0) * (1 - snags);

/** Ways by what they are worth; those within a tenth of each other by what the angler likes. */
export function orderWays(ways: readonly Way[], liked: readonly Method[]): Way[] {
  const left = [...ways].sort((a, b) => worth(b) - worth(a));
  const out: Way[] = [];
  const likes = ({ method }: Way) => {
    const at = liked.indexOf(method);
    return at < 0 ? liked.length : at;
  };
  while (left.length > 0) {
    const most = worth(left[0]!);
    const alike = left.filter((way) => worth(way) >= ALIKE * most);
    const next = alike.reduce((best, way) => (likes(way) < likes(best) ? way : best));
    out.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return out;
}

/** One method from one stand; undefined where no line from there is clear. */
export function wayFrom(question: WaysQuestion, method: Method, stand: CastFrom): Way | undefined {
  const { field, fish, species, main, ways } = question;
  const distance = Math.hypot(fish.x - stand.at[0], fish.y - stand.at[1]);
  const request = question.request(method, Math.max(1, distance));
  const presentation = request.water.presentation ?? presentationFrom(stand, fish);
  const full = { ...request, water: { ...request.water, presentation } };
  const asked = parseRigRequest(full);
  const advice = adviseFor(asked, species);
  const options = behaviourOptions(asked, advice, distance);
  const base = { behaviour: behaviourOf(options) };
  const cast = solveCast({
    field,
    fish,
    zone: strikeZone(species, asked.water, method),
    from: stand.at,
    ways,
    main,
    rodReach: rodReach(advice.line.rod),
    mends: MENDS,
    behaviours: advice.method === "float" ? floatsOf(advice, options, base) : [base],
    range: rangeOf(advice),
  });
  if (!cast) return undefined;
  const { behaviour, ...solved } = cast;
  const { path } = cast.drift;
  return {
    method,
    school: stand.school,
    from: stand.at,
    asked: full,
    advice: advice.method === "float" ? refloated(asked, species, cast) : advice,
    cast: solved,
    casts: question.targets?.(advice, stand.at, behaviour.fall) ?? [],
    touch: path.reduce((sum, { touch }) => sum + touch, 0) / Math.max(1, path.length),
    snags: snagChance(cast.drift, {
      snags: asked.water.snags,
      weed: asked.water.weed,
      bedRoughness: asked.water.bedRoughness,
      grams: gramsOf(advice),
      weedless: advice.lure.hookStyle === "weedless",
    }),
    faster: fasterUnder(field, stand.at, cast.landing, rodReach(advice.line.rod)) ?? null,
  };
}

/** A line within so much of the current is fished along it: the cosine of 37 degrees. Common practice, no source. */
const ALONG = 0.8;

/** How a cast from a stand to a fish runs: up, across or down its current. */
function presentationFrom({ at }: CastFrom, { x, y, upCurrent }: Fish): Presentation {
  const up =
    ((x - at[0]) * upCurrent[0] + (y - at[1]) * upCurrent[1]) / Math.max(Math.hypot(x - at[0], y - at[1]), 0.1);
  return up > ALONG ? "up" : up < -ALONG ? "down" : "across";
}

function floatsOf(
  advice: RigAdvice & { method: "float" },
  options: Parameters<typeof behaviourOf>[0],
  base: { behaviour: Behaviour },
) {
  const { setting, holdBack } = advice;
  const at = (change: { setting: number; holdBack: number }) => ({
    behaviour: behaviourOf({ ...options, ...change }),
    ...change,
  });
  return [
    { ...base, setting, holdBack },
    ...SETTINGS.filter((by) => setting + by > 0.15).map((by) => at({ setting: setting + by, holdBack })),
    ...HOLDS.filter((hold) => Math.abs(hold - holdBack) > 0.04).map((hold) => at({ setting, holdBack: hold })),
  ];
}

/** The float's advice at the setting and hold-back that its cast was solved with. */
function refloated(asked: ReturnType<typeof parseRigRequest>, species: Species, cast: SolvedCast): RigAdvice {
  return adviseFor({ ...asked, style: { ...asked.style, holdBack: cast.holdBack, setting: cast.setting } }, species);
}

/** How far this rig is cast, m: by its rod, its line and all that is thrown; a float no farther than it is seen. */
function rangeOf(advice: RigAdvice): number {
  const { size } = advice.lure;
  const body = "body" in size ? bodyMass(size.body) : "length" in size && "head" in advice ? bodyMass(size.length) : 0;
  const own = "capacity" in advice ? FLOAT_WEIGHS * advice.capacity : gramsOf(advice) + body;
  const length = castLength(
    own + (isLure(advice.lure.category) ? 0 : advice.lure.body.grams),
    advice.line.rod,
    advice.line.main.diameter,
  );
  return advice.method === "float" ? Math.min(length, advice.seenTo) : length;
}
/** A float weighs about half of what it carries, and its shot. Common practice, no source. */
const FLOAT_WEIGHS = 1.5;

/** What goes along the bed, g. */
const gramsOf = (advice: RigAdvice): number =>
  "grams" in advice ? advice.grams : "head" in advice ? advice.head.grams : "plug" in advice ? advice.plug.grams : 1;
