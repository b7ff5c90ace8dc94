import { type Purpose, PURPOSES } from "../tactics/purpose";
import type { Contact } from "./contact";
import { degrees, type Leash } from "./line-pull";
import { CAST } from "./rod";
import { sinkThrough } from "./sink";
import { LEANS } from "./vertical";
import type { Water } from "./water";

/** One size of a ladder in this water, and what it serves. */
export interface Step {
  grams: number;
  /** Share of the time on the bottom. */
  touch: number;
  /** To the bed: s, and how far it is swept, m. */
  seconds: number;
  swept: number;
  /** The line at the rod, degrees from the vertical. */
  angle: number;
  holds: boolean;
  /** In time for the cast: to the bed, and to the height of the fish. */
  reaches: boolean;
  meets: boolean;
  serves: Purpose[];
}

/** Just touching: on the bottom a fifth to a half of the time. Common practice, no source. */
export const TOUCHING = { least: 0.2, most: 0.5 };
/** What goes slower than this along the bed lies still for an angler, m/s. */
const CREEPS = 0.02;
/** It is down in the first third of a drift, from as far above the angler as below. Common practice, no source. */
const FIRST_PART = 1 / 3;
/** Farthest that a weight is thrown up-current of the fish, m; longest that is waited for it, s. Common practice. */
const FARTHEST_UP = 12;
const PATIENCE = 25;
/** A fall that a fish can follow, m/s: a 1/16 oz head with a small curl tail falls 0.6. Common practice, no source. */
const SLOW = 0.6;

/** What a cast leaves a weight to get down in: m along the current. */
export interface CastRoom {
  /** How far up-current of the fish it can be thrown. */
  up: number;
  /** How far it drifts before it is lifted. */
  drift: number;
}

/**
 * Of a cast at most so far, m, at a fish so far off: thrown above it as far as the cast allows, and led from 45 degrees
 * above the angler to 45 below. Common practice, no source.
 */
export function castRoom(cast: number, distance: number): CastRoom {
  const off = Math.max(distance, CAST);
  return { up: Math.min(FARTHEST_UP, Math.sqrt(Math.max(off ** 2 / 4, cast ** 2 - off ** 2))), drift: 2 * off };
}

export interface StepQuestion {
  water: Water;
  leash: Leash;
  room: CastRoom;
  /** Height of the fish over the bed, m. */
  fishHeight: number;
}

/** A size of the ladder, from its fall in still water, m/s, and its contact with the bed. */
export function stepOf(
  { water, leash, room, fishHeight }: StepQuestion,
  grams: number,
  fall: number,
  contact: Contact,
): Step {
  const { touch, angle } = contact;
  const vertical = leash.presentation === "vertical";
  const inTime = ({ seconds, swept }: { seconds: number; swept: number }) =>
    seconds <= PATIENCE && (vertical ? angle <= LEANS.most : swept <= Math.min(room.up, FIRST_PART * room.drift));
  const { seconds, swept } = sinkThrough(water, fall);
  const reaches = inTime({ seconds, swept });
  const meets = inTime(sinkThrough(water, fall, Math.min(fishHeight, water.depth)));
  const holds = contact.holds || (!vertical && contact.speed < CREEPS && touch > TOUCHING.most);
  const lean = vertical ? angle : degrees(Math.atan2(swept, water.depth));
  const serving: Record<Purpose, boolean> = {
    touch: reaches && touch >= TOUCHING.least && touch <= TOUCHING.most,
    down: reaches && touch >= TOUCHING.least && lean <= (vertical ? LEANS.down : LEANS.most),
    hold: reaches && holds,
    slow: meets && fall <= SLOW,
  };
  return {
    grams,
    touch,
    seconds,
    swept,
    angle,
    holds,
    reaches,
    meets,
    serves: PURPOSES.filter((purpose) => serving[purpose]),
  };
}

/**
 * How a size came to be chosen: it serves; it does more than is wanted; none of the ladder does enough; or it is
 * heavier than the purpose asks, to be felt in the wind.
 */
export type Fit = "serves" | "more" | "less" | "felt";

/** What does more than a purpose asks: is on the bottom more of the time, falls faster. */
const MORE: Record<Purpose, (step: Step) => boolean> = {
  touch: ({ reaches, touch }) => reaches && touch > TOUCHING.most,
  slow: ({ meets }) => meets,
  down: () => false,
  hold: () => false,
};

/**
 * The size for a purpose, steps in order from the lightest: the lightest that serves; where none does, the lightest
 * that does more than is wanted, and else the heaviest.
 */
export function chooseStep(steps: readonly Step[], purpose: Purpose): { at: number; fit: Fit } {
  const serving = steps.findIndex(({ serves }) => serves.includes(purpose));
  if (serving >= 0) return { at: serving, fit: "serves" };
  const more = steps.findIndex(MORE[purpose]);
  return more >= 0 ? { at: more, fit: "more" } : { at: steps.length - 1, fit: "less" };
}
