import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import type { LureBody } from "../tactics/lure";
import type { Presentation, Purpose } from "../tactics/purpose";
import { chooseStep, type Fit, type Step, stepOf } from "./choose-weight";
import { contactOf, type Dragged } from "./contact";
import { DENSITY, type Metal, sphereDiameter, submergedWeight } from "./drag";
import { terminalOf } from "./fall";
import { BAIT_HEADS, DRIFTED_SHOT, DROP_SHOTS, SINKERS } from "./ladders";
import { roomFor, type SetUp } from "./set-up";
import { SHOT_SIZES } from "./shot";
import { weightReasons } from "./weight-reasons";

export type BottomMethod = "drift" | "freeline" | "sinker" | "drop-shot" | "dead-bait";

/** A step of what lies or drifts on the bed: pieces of one size. */
type BottomStep = Step & Choice;

export interface BottomRig {
  grams: number;
  /** Pieces of it, of one size. */
  pieces: number;
  piece: number;
  size: string | null;
  metal: Metal;
  purpose: Purpose;
  presentation: Presentation;
  /** The line under the rod, degrees from the vertical; null of a cast line. */
  angle: number | null;
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
  /** To the bed: s, and how far it is swept, m. */
  seconds: number;
  swept: number;
  ladder: BottomStep[];
  fit: Fit;
}

export type BottomQuestion = Pick<
  SetUp,
  "species" | "water" | "lure" | "leash" | "line" | "purpose" | "fishHeight" | "tackle" | "style"
> & { method: BottomMethod };

/** Shot above a small bait, 12 in; above a live one, 16 in, m. Common practice, no source. */
const SHOT_UP = { small: 0.305, live: 0.406 };
/** Over this a second shot of the same size takes half of it, m/s. Common practice, no source. */
const STRONG = 0.6;
/** Leader of a sliding sinker: a foot to a foot and a half, m. Common practice, no source. */
const SLIDING = { still: 0.457, strong: 0.305 };
/** Hook over the weight of a drop shot, 15 to 20 cm. Common practice, no source. */
const HOOK_UP = { low: 0.15, high: 0.2 };

/** Drop shots are light in water up to so deep, m. Common practice, no source. */
const LIGHT_TO = 3;
/** Leader of a bait without weight, m. Common practice, no source. */
const FREE_LEADER = 1;

interface Choice {
  grams: number;
  pieces: number;
  piece: number;
  size: string | null;
}

/** What is carried, lightest first: up to three shot of a size, or single weights. */
function choicesOf({ method, tackle, species, water }: BottomQuestion): Choice[] {
  if (method === "drift") {
    const usual = SHOT_SIZES.value.filter(({ grams }) => grams >= DRIFTED_SHOT);
    const box = (tackle.shot ?? usual.map((one) => ({ ...one, count: undefined }))).filter(({ count }) => count !== 0);
    return box
      .flatMap(({ size, grams, count = 99 }) =>
        [1, 2, 3]
          .filter((pieces) => pieces <= count)
          .map((pieces) => ({ grams: grams * pieces, pieces, piece: grams, size })),
      )
      .sort((a, b) => a.grams - b.grams || a.pieces - b.pieces);
  }
  if (method === "freeline") return [{ grams: 0, pieces: 0, piece: 0, size: null }];
  const own = tackle.heads && [...new Set(tackle.heads)].sort((a, b) => a - b);
  const usual = method === "sinker" ? SINKERS : method === "drop-shot" ? DROP_SHOTS : BAIT_HEADS;
  // Small fish take a lighter weight with them than they would lift; bass too, where it need not go deep.
  const { family } = habitsOf(species);
  const small = family === "trout" || (water.depth < LIGHT_TO && (family === "panfish" || family === "bass"));
  const carried = own ?? (method === "drop-shot" && small ? [3.5, 5, 7, 10, ...usual] : usual);
  return carried.map((grams) => ({ grams, pieces: 1, piece: grams, size: null }));
}

/** Drag of a ball at the speeds of weights in a river (rig/drag.ts). */
const BALL = 0.45;

/** What goes along the bed: pieces of weight, and the bait behind them, that weighs or lifts what it does in water. */
export function bottomDragged(
  { pieces, piece, metal }: Pick<BottomRig, "pieces" | "piece" | "metal">,
  body: LureBody,
): Dragged {
  const weight =
    submergedWeight((pieces * piece) / 1000, DENSITY[metal]) +
    submergedWeight(body.grams / 1000, body.density) -
    (body.lift ?? 0);
  const ball = sphereDiameter(piece / 1000, DENSITY[metal]);
  const area = BALL * (Math.PI / 4) * (pieces * ball ** 2 + body.diameter ** 2);
  return { weight: Math.max(weight, 1e-6), fall: terminalOf(Math.max(weight, 1e-6), area), area };
}

/** Shot, a sinker or a head for what it is wanted for: of what is carried, by the whole line in this water. */
export function setBottom(question: BottomQuestion): { rig: BottomRig; reasons: Message[] } {
  const { method, water, tackle, lure, leash, purpose, fishHeight } = question;
  const metal = tackle.metal ?? "tin";
  const tried = choicesOf(question).map((choice) => {
    const dragged = bottomDragged({ ...choice, metal }, lure.body);
    const contact = contactOf(water, dragged, leash);
    const room = roomFor(question, choice.grams + lure.body.grams);
    const step = stepOf({ water, leash, room, fishHeight }, choice.grams, dragged.fall, contact);
    return { step: { ...choice, ...step }, contact };
  });
  const steps = tried.map(({ step }) => step);
  const chosen = chooseStep(steps, purpose.purpose);
  const at = method === "drift" ? preferred(steps, chosen.at, water.meanSpeed > STRONG) : chosen.at;
  const { step, contact } = tried[at]!;
  const lengths = lengthsOf(question);
  const rig: BottomRig = {
    grams: step.grams,
    pieces: step.pieces,
    piece: step.piece,
    size: step.size,
    metal,
    purpose: purpose.purpose,
    presentation: leash.presentation,
    angle: leash.presentation === "vertical" ? step.angle : null,
    ...lengths,
    baitHeight: baitHeightOf(question, lengths),
    touchFraction: step.touch,
    speed: contact.speed,
    holds: step.holds,
    seconds: step.seconds,
    swept: step.swept,
    ladder: steps,
    fit: chosen.fit,
  };
  return { rig, reasons: reasonsFor(question, rig, at) };
}

/** Among choices of nearly one weight two shot in strong water, where one piece would bounce; one elsewhere. */
function preferred(steps: readonly BottomStep[], first: number, strong: boolean): number {
  const { grams, serves } = steps[first]!;
  const wanted = strong ? 2 : 1;
  const near = steps.findIndex(
    (one, k) =>
      k >= first && one.pieces === wanted && one.grams <= 1.25 * grams && serves.every((of) => one.serves.includes(of)),
  );
  return near < 0 ? first : near;
}

type Lengths = Pick<BottomRig, "hookDistance" | "leader">;

function baitHeightOf({ method, lure }: BottomQuestion, { hookDistance, leader }: Lengths): number {
  if (method === "drop-shot") return hookDistance;
  // A bait that floats rides at its leader's length, or nearly.
  if (lure.body.density < 1000) return 0.9 * leader;
  return method === "drift" || method === "freeline" ? Math.min(0.3 * hookDistance, 0.1) : 0.02;
}

function lengthsOf({ method, water, tackle, fishHeight, lure }: BottomQuestion): Lengths {
  switch (method) {
    case "freeline":
      return { hookDistance: 0, leader: tackle.leader ?? FREE_LEADER };
    case "drift": {
      const up = lure.body.lift ? SHOT_UP.live : SHOT_UP.small;
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

function reasonsFor({ method, water, purpose, lure }: BottomQuestion, rig: BottomRig, at: number): Message[] {
  const { pieces, hookDistance, leader, baitHeight } = rig;
  const floats = lure.body.density < 1000;
  const set: Record<BottomMethod, Message[]> = {
    drift: [
      ...(pieces > 1 && water.meanSpeed > STRONG ? [message("drift-second-shot")] : []),
      message("drift-hook", { hookDistance }),
      message("drift-one-at-a-time"),
    ],
    freeline: [message("freeline-free")],
    sinker: [message("sinker-leader", { leader })],
    "drop-shot": [message("drop-shot-hook", { hookDistance })],
    "dead-bait": [message("dead-bait-head")],
  };
  return [
    ...(method === "freeline" ? [] : weightReasons(purpose, rig, at)),
    ...set[method],
    ...(lure.body.lift && method === "drift" ? [message("live-bait-longer", { hookDistance })] : []),
    ...(floats ? [message("bait-floats", { baitHeight })] : []),
    ...(rig.metal === "lead" ? [message("lead-banned")] : []),
  ];
}
