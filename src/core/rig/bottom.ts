import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import type { LureBody, LureChoice } from "../tactics/lure";
import { type Contact, contactOf, type Dragged, type Leash } from "./contact";
import { DENSITY, type Metal, sphereDiameter, submergedWeight } from "./drag";
import { BAIT_HEADS, DROP_SHOTS, SINKERS } from "./ladders";
import type { OwnStyle, OwnTackle } from "./request";
import { SHOT_SIZES } from "./shot";
import { terminalOf } from "./fall";
import type { Water } from "./water";

export type BottomMethod = "drift" | "sinker" | "drop-shot" | "dead-bait";

export interface BottomRig {
  grams: number;
  /** Pieces of it, of one size. */
  pieces: number;
  piece: number;
  size: string | null;
  metal: Metal;
  /** From the weight to the hook along the line, m: above the bed for a drop shot. */
  hookDistance: number;
  /** m */
  leader: number;
  /** Height of the bait over the bed as it fishes, m. */
  baitHeight: number;
  touchFraction: number;
  /** Along the bed, m/s; 0 where it holds. */
  speed: number;
  holds: boolean;
  /** The next lighter and heavier choices, and how much they touch. */
  ladder: { grams: number; touchFraction: number; holds: boolean }[];
}

export interface BottomQuestion {
  method: BottomMethod;
  species: string;
  water: Water;
  lure: LureChoice;
  leash: Leash;
  /** Height of the fish over the bed, m. */
  fishHeight: number;
  tackle: OwnTackle;
  style: OwnStyle;
}

/** Share of the time that a drifted weight should tap: light and steady. Common practice, no source. */
export const TAPPING = { least: 0.2, most: 0.6 };
/** What goes slower than this along the bed lies still for an angler, m/s. */
const CREEPS = 0.02;
/** Shot above a small bait, 12 in; above a live one, 16 in, m. Common practice, no source. */
const SHOT_UP = { small: 0.305, live: 0.406 };
/** Over this a second shot of the same size takes half of it, m/s. Common practice, no source. */
const STRONG = 0.6;
/** Leader of a sliding sinker: a foot to a foot and a half, m. Common practice, no source. */
const SLIDING = { still: 0.457, strong: 0.305 };
/** Hook over the weight of a drop shot, 15 to 20 cm. Common practice, no source. */
const HOOK_UP = { low: 0.15, high: 0.2 };

interface Choice {
  grams: number;
  pieces: number;
  piece: number;
  size: string | null;
}

function choicesOf({ method, tackle, species }: BottomQuestion): Choice[] {
  if (method === "drift") {
    const box = (tackle.shot ?? SHOT_SIZES.value.map((one) => ({ ...one, count: undefined }))).filter(
      ({ count }) => count !== 0,
    );
    return box
      .flatMap(({ size, grams, count = 99 }) =>
        [1, 2, 3]
          .filter((pieces) => pieces <= count)
          .map((pieces) => ({ grams: grams * pieces, pieces, piece: grams, size })),
      )
      .sort((a, b) => a.grams - b.grams || a.pieces - b.pieces);
  }
  const own = tackle.heads && [...new Set(tackle.heads)].sort((a, b) => a - b);
  const usual = method === "sinker" ? SINKERS : method === "drop-shot" ? DROP_SHOTS : BAIT_HEADS;
  // Small fish take a lighter weight with them than they would lift.
  const carried =
    own ?? (method === "drop-shot" && habitsOf(species).family === "trout" ? [3.5, 5, 7, 10, ...usual] : usual);
  return carried.map((grams) => ({ grams, pieces: 1, piece: grams, size: null }));
}

/** Drag of a ball at the speeds of weights in a river (rig/drag.ts). */
const BALL = 0.45;

/** What goes along the bed: pieces of weight, and the bait behind them; a bait that floats takes nothing off. */
export function bottomDragged(
  { pieces, piece, metal }: Pick<BottomRig, "pieces" | "piece" | "metal">,
  body: LureBody,
): Dragged {
  const weight =
    submergedWeight((pieces * piece) / 1000, DENSITY[metal]) +
    Math.max(0, submergedWeight(body.grams / 1000, body.density));
  const ball = sphereDiameter(piece / 1000, DENSITY[metal]);
  const area = BALL * (Math.PI / 4) * (pieces * ball ** 2 + body.diameter ** 2);
  return { weight, fall: terminalOf(weight, area), area };
}

/**
 * Bottom drift: the fewest and lightest shot that tap for the wanted share of the time. Sliding sinker, drop shot, dead
 * bait: the lightest weight that holds where it lies; the heaviest carried where none does.
 */
export function setBottom(question: BottomQuestion): { rig: BottomRig; reasons: Message[] } {
  const { method, water, tackle, style, lure } = question;
  const tried = choicesOf(question).map((choice) => ({
    ...choice,
    ...contactOf(water, bottomDragged({ ...choice, metal: tackle.metal ?? "tin" }, lure.body), question.leash),
  }));
  const serves = ({ touch, holds, speed }: (typeof tried)[number]) =>
    method === "drift" ? touch >= TAPPING.least : holds || speed < CREEPS;
  const first = tried.findIndex(serves);
  const at = first < 0 ? tried.length - 1 : preferred(tried, first, method === "drift" && water.meanSpeed > STRONG);
  const chosen = tried[at]!;
  const { hookDistance, leader } = lengthsOf(question);
  const floats = lure.body.density < 1000;
  const baitHeight =
    method === "drop-shot"
      ? hookDistance
      : floats
        ? leader * 0.9
        : method === "drift"
          ? Math.min(0.3 * hookDistance, 0.1)
          : 0.02;
  const rig: BottomRig = {
    grams: chosen.grams,
    pieces: chosen.pieces,
    piece: chosen.piece,
    size: chosen.size,
    metal: tackle.metal ?? "tin",
    hookDistance,
    leader,
    baitHeight,
    touchFraction: chosen.touch,
    speed: chosen.speed,
    holds: chosen.holds || chosen.speed < CREEPS,
    ladder: tried
      .slice(Math.max(0, at - 2), at + 3)
      .map(({ grams, touch, holds }) => ({ grams, touchFraction: touch, holds })),
  };
  return {
    rig,
    reasons: [
      ...weightReasons(question, rig, first < 0),
      ...(style.liveBait && method === "drift" ? [message("live-bait-longer", { hookDistance })] : []),
      ...(floats ? [message("bait-floats", { baitHeight })] : []),
      ...(rig.metal === "lead" ? [message("lead-banned")] : []),
    ],
  };
}

/** Among choices of nearly one weight two shot in strong water, where one piece would bounce; one elsewhere. */
function preferred(tried: readonly (Choice & Contact)[], first: number, strong: boolean): number {
  const least = tried[first]!.grams;
  const near = tried.map((one, k) => ({ ...one, k })).filter(({ grams, k }) => k >= first && grams <= 1.25 * least);
  const wanted = strong ? 2 : 1;
  return (near.find(({ pieces }) => pieces === wanted) ?? near[0]!).k;
}

function lengthsOf({ method, water, tackle, style, fishHeight, lure }: BottomQuestion): {
  hookDistance: number;
  leader: number;
} {
  switch (method) {
    case "drift": {
      const up = style.liveBait ? SHOT_UP.live : SHOT_UP.small;
      return { hookDistance: up, leader: tackle.leader ?? up };
    }
    case "sinker": {
      // A bait that floats rides at its leader's length: as high as the fish, within what is usual.
      const wanted = water.meanSpeed > STRONG ? SLIDING.strong : SLIDING.still;
      const leader =
        tackle.leader ??
        (lure.body.density < 1000 ? Math.min(SLIDING.still, Math.max(SLIDING.strong, fishHeight)) : wanted);
      return { hookDistance: leader, leader };
    }
    case "drop-shot": {
      const hookDistance = fishHeight > 0.25 ? HOOK_UP.high : HOOK_UP.low;
      return { hookDistance, leader: tackle.leader ?? 0.6 };
    }
    case "dead-bait":
      return { hookDistance: 0, leader: tackle.leader ?? 0.5 };
  }
}

function weightReasons({ method, water }: BottomQuestion, rig: BottomRig, none: boolean): Message[] {
  const { grams, pieces, piece, touchFraction, speed, hookDistance, leader } = rig;
  if (method === "drift")
    return [
      message(none ? "drift-none-taps" : "drift-taps", { pieces, piece, touchFraction, speed }),
      ...(pieces > 1 && water.meanSpeed > STRONG ? [message("drift-second-shot")] : []),
      message("drift-hook", { hookDistance }),
      message("drift-one-at-a-time"),
    ];
  return [
    message(none ? "weight-rolls" : "weight-holds", { grams, speed }),
    method === "drop-shot"
      ? message("drop-shot-hook", { hookDistance })
      : method === "sinker"
        ? message("sinker-leader", { leader })
        : message("dead-bait-head"),
  ];
}
