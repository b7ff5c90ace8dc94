import { type Message, message } from "../quantity/message";
import type { Drill } from "../fish/species-record";
import { habitsOf } from "../fish/species-habits";
import type { Species } from "../fish/species-schema";
import { clarityClass, isClear } from "../gauge/clarity";
import { froude } from "../water/cover";
import type { Lie } from "../fish/read";
import { type Water, waterBy } from "../water/pools";
import type { Feeding } from "./feeding";
import { usualLasts } from "./baits";
import { drillFor, isMoved } from "./drill-for";
import { METHOD, type Method } from "./methods";
import { methodsFor } from "./fished-with";
import type { Retrieve } from "./retrieve-kinds";

/** Rovers move on; those who wait work a place until it is worked out. */
export type Style = "rove" | "wait";

/** How long to give a lie, and when to rest it. All figures common practice, no source, unless said otherwise. */
export interface Timing {
  water: Water;
  drill: Drill;
  /** Casts altogether, or baits laid: what the list of targets adds up to. */
  casts: number;
  /** Minutes to give it without a bite, and after a knock. */
  minutes: number;
  afterKnock: number;
  /** Minutes to rest it after a hooked fish, or when they stop; 0: go straight on. */
  rest: number;
  reasons: Message[];
}

/** A riffle's edge is read in one or two casts, a good hole in about a dozen, a run in between; by kind of water. */
const CASTS: Record<Water, number> = { riffle: 2, run: 6, pool: 12 };
/** Rovers give a spot twenty minutes, a little more on a knock. */
const ROVE = { minutes: 20, knock: 10 };
/**
 * One who waits goes through four changes (colour, depth, size, another kind of lure) before resting the spot, ten
 * minutes each.
 */
const WAIT = { changes: 4, each: 10 };
/**
 * One who waits gives a place on the bottom an hour, and a laid dead bait two and a half; a rover gives either twenty
 * minutes. Common practice, no source. How often the bait is renewed is the bait's own.
 */
const SOAK = 60;
const LAID = 150;
/** A fed or rested spot is taken up again after half an hour. */
const REST = 30;
/** Under this everything is slow and soft, degC: give it half as long again. Mid-40s F. */
const COLD = 7;
const SLOWER = 1.5;

/**
 * Time for a lie in its water, for a style. Where `base` names the species that a profile was copied from, its habits
 * hold.
 */
export function timeFor(
  lie: Pick<Lie, "depth" | "meanSpeed" | "kind">,
  at: {
    visibleDepth: number;
    temperature: number;
    style: Style;
    species: Species;
    base?: string;
    feeding?: Feeding;
    /** The method that it is fished with; without one, as the fish is worked. */
    method?: Method;
    /** What the hand does, and how long the bait lasts, minutes; the usual where not said. */
    retrieve?: Retrieve;
    lasts?: number;
  },
): Timing {
  const water = waterBy(froude(lie.depth, lie.meanSpeed));
  const base = at.base ?? at.species.id;
  const { schools } = habitsOf(base);
  const { drill, moved } = workedAs(base, at.method, at.retrieve);
  if (drill === "soak") return soakFor(water, base, at);
  const cold = at.temperature < COLD;
  const clear = isClear(at.visibleDepth);
  const slower = cold ? SLOWER : 1;
  // A prime lie in a run, and a resting place on the way up, is worked as a hole is.
  const as = water === "run" && (lie.kind === "prime" || at.species.model === "travel") ? "pool" : water;
  const casts = Math.round(CASTS[as] * slower);
  const rove = at.style === "rove";
  const minutes = Math.round(
    (rove ? (water === "riffle" ? ROVE.minutes / 4 : ROVE.minutes) : WAIT.changes * WAIT.each) * slower,
  );
  const walk = drill === "walk";
  // Fish that are walked for lie together near the bottom: they are kept going, not rested.
  const own = walk ? 0 : clear ? REST : clarityClass(at.visibleDepth) === "green" ? REST / 2 : 0;
  // A place that is fed after a fish is left until they have come on to it.
  const rest = at.feeding === "after" ? REST : own;
  const reasons = [
    message(walk ? "work-walk" : `work-${as}`, { casts }),
    ...moved,
    ...(clear && !walk ? [message("clear-first-cast")] : []),
    ...(cold ? [message("cold-longer")] : []),
    ...(at.species.model === "travel" ? [message("run-refills")] : []),
    rove
      ? message("roving", { minutes, knock: Math.round(ROVE.knock * slower) })
      : message("waiting", { each: WAIT.each }),
    ...(walk ? [] : [rest > 0 ? message("rest-after-fish", { rest }) : message("no-rest")]),
    ...(schools ? [message("schools")] : []),
    ...feedReasons(at.feeding),
  ];
  return { water, drill, casts, minutes, afterKnock: Math.round(ROVE.knock * slower), rest, reasons };
}

/** When to feed, and when to come back. */
const feedReasons = (feeding: Feeding = "none"): Message[] =>
  feeding === "none" ? [] : [message(`feed-${feeding}`, { back: REST })];

/** How a fish is worked with a method, and that a bait which is laid else is moved. */
function workedAs(base: string, method: Method | undefined, retrieve: Retrieve | undefined) {
  if (method === undefined) return { drill: habitsOf(base).drill, moved: [] };
  return {
    drill: drillFor(method, base, retrieve),
    moved: isMoved(method, retrieve) ? [message("bait-moved")] : [],
  };
}

/** A bait that lies still: its scent needs time, and fish come to it. */
function soakFor(
  water: Water,
  base: string,
  { method = methodsFor(base)[0]!, ...at }: Parameters<typeof timeFor>[1],
): Timing {
  const cold = at.temperature < COLD;
  const slower = cold ? SLOWER : 1;
  const long = METHOD[method].worked === "laid-long" ? LAID : SOAK;
  const minutes = Math.round((at.style === "rove" ? ROVE.minutes : long) * slower);
  const fresh = Math.round(at.lasts ?? usualBaitLasts(base, method, at.visibleDepth));
  const casts = Math.ceil(minutes / fresh);
  const afterKnock = Math.round(ROVE.knock * slower);
  const reasons = [
    message("work-soak"),
    ...(fresh < minutes ? [message("fresh-bait-every", { fresh })] : []),
    ...(cold ? [message("cold-longer")] : []),
    at.style === "rove"
      ? message("roving", { minutes, knock: afterKnock })
      : message("soak-waiting", { casts, minutes }),
    message("soak-again"),
  ];
  return { water, drill: "soak", casts, minutes, afterKnock, rest: 0, reasons };
}

/** How long the bait lasts that a method puts on for a fish in usual water, minutes. */
function usualBaitLasts(base: string, method: Method, visibleDepth: number): number {
  const mood = { prey: "none", tough: false, warmth: "usual" } as const;
  const { family } = habitsOf(base);
  const category = METHOD[method].category({ family, species: base, clarity: clarityClass(visibleDepth), mood });
  return usualLasts(category) ?? ROVE.minutes;
}
