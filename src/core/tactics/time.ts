import { type Message, message } from "../quantity/message";
import { type Drill, habitsOf } from "../fish/species-habits";
import type { Species } from "../fish/species-schema";
import { clarityClass, isClear } from "../gauge/clarity";
import { froude } from "../water/cover";
import type { Lie } from "../fish/read";
import { type Water, waterBy } from "../water/pools";
import type { Feeding } from "./feeding";
import { drillFor, METHOD, type Method } from "./methods";

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
 * A soaked bait is renewed so often, minutes, and one who waits gives a place three of them; a laid dead bait lies for
 * two and a half hours in all. A rover gives either twenty minutes. Common practice, no source.
 */
const SOAK = { fresh: 20, baits: 3 };
const LAID = { fresh: 50, baits: 3 };
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
  },
): Timing {
  const water = waterBy(froude(lie.depth, lie.meanSpeed));
  const { drill, bait, schools } = workedAs(at.base ?? at.species.id, at.method);
  if (drill === "soak") return soakFor(water, at, bait);
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

/** How a fish is worked with a method, and of a laid bait how long it lies. */
function workedAs(species: string, method: Method | undefined) {
  const { drill, schools } = habitsOf(species);
  const long = method !== undefined && METHOD[method].worked === "laid-long";
  return { drill: method === undefined ? drill : drillFor(method, species), bait: long ? LAID : SOAK, schools };
}

/** A bait that lies still: its scent needs time, and fish come to it. */
function soakFor(water: Water, at: { temperature: number; style: Style }, bait: typeof SOAK): Timing {
  const cold = at.temperature < COLD;
  const slower = cold ? SLOWER : 1;
  const rove = at.style === "rove";
  const fresh = Math.round((rove ? Math.min(bait.fresh, ROVE.minutes) : bait.fresh) * slower);
  const casts = rove ? 1 : bait.baits;
  const minutes = casts * fresh;
  const afterKnock = Math.round(ROVE.knock * slower);
  const reasons = [
    message("work-soak", { fresh }),
    ...(cold ? [message("cold-longer")] : []),
    at.style === "rove"
      ? message("roving", { minutes, knock: afterKnock })
      : message("soak-waiting", { casts, minutes }),
    message("soak-again"),
  ];
  return { water, drill: "soak", casts, minutes, afterKnock, rest: 0, reasons };
}
