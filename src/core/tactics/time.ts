import { type Message, message } from "../quantity/message";
import type { Species } from "../fish/species-schema";
import { type ClarityClass, clarityClass } from "../gauge/clarity";
import { froude } from "../water/cover";
import type { Lie } from "../fish/read";
import { type Water, waterBy } from "../water/pools";

/** Rovers move on; those who wait work a place until it is worked out. */
export type Style = "rove" | "wait";

/** How long to give a lie, and when to rest it. All figures common practice, no source, unless said otherwise. */
export interface Timing {
  water: Water;
  /** Casts to each of the near, middle and far targets, and altogether. */
  castsEach: number;
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
/** A fed or rested spot is taken up again after half an hour. */
const REST = 30;
/** Under this everything is slow and soft, degC: give it half as long again. Mid-40s F. */
const COLD = 7;
const SLOWER = 1.5;

/** Fish that come in schools: one bite calls for the same cast again, quickly. */
const SCHOOLS = new Set(["yellow-perch", "black-crappie", "walleye", "zander", "striped-bass", "smallmouth-bass"]);

const CLEAR: readonly ClarityClass[] = ["clear", "gin-clear"];

/**
 * Time for a lie in its water, for a style. Where `base` names the species that a profile was copied from, its habits
 * hold.
 */
export function timeFor(
  lie: Pick<Lie, "depth" | "meanSpeed" | "kind">,
  at: { visibleDepth: number; temperature: number; style: Style; species: Species; base?: string },
): Timing {
  const water = waterBy(froude(lie.depth, lie.meanSpeed));
  const cold = at.temperature < COLD;
  const clear = CLEAR.includes(clarityClass(at.visibleDepth));
  const slower = cold ? SLOWER : 1;
  // A prime lie in a run, and a resting place on the way up, is worked as a hole is.
  const as = water === "run" && (lie.kind === "prime" || at.species.model === "travel") ? "pool" : water;
  const casts = Math.round(CASTS[as] * slower);
  const castsEach = Math.max(1, Math.round(casts / 3));
  const rove = at.style === "rove";
  const minutes = Math.round(
    (rove ? (water === "riffle" ? ROVE.minutes / 4 : ROVE.minutes) : WAIT.changes * WAIT.each) * slower,
  );
  const rest = clear ? REST : clarityClass(at.visibleDepth) === "green" ? REST / 2 : 0;
  const reasons = [
    message(`work-${as}`, { casts }),
    ...(clear ? [message("clear-first-cast")] : []),
    ...(cold ? [message("cold-longer")] : []),
    ...(at.species.model === "travel" ? [message("run-refills")] : []),
    rove
      ? message("roving", { minutes, knock: Math.round(ROVE.knock * slower) })
      : message("waiting", { each: WAIT.each }),
    rest > 0 ? message("rest-after-fish", { rest }) : message("no-rest"),
    ...(SCHOOLS.has(at.base ?? at.species.id) ? [message("schools")] : []),
  ];
  return { water, castsEach, casts, minutes, afterKnock: Math.round(ROVE.knock * slower), rest, reasons };
}
