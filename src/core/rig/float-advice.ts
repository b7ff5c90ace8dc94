import { type Message, message } from "../quantity/message";
import type { LureChoice } from "../tactics/lure";
import type { Light } from "../gauge/light";
import { carriedBy, fishFloat, type FloatRig, type FloatTackle } from "./float";
import { OUNCE } from "../quantity/units";
import { root } from "./solve";
import type { Water } from "./water";

/** What is worked out of a set float beyond its shape. */
export interface FloatMore {
  /** A stop and a running float: the rod is too short to cast the depth fixed. */
  sliding: boolean;
  /** Hold-back from which the bait leads, as a share of the surface's pace; null where none does. */
  leadsAt: number | null;
  /** Steps to deepen by, m, the float's own length; and the setting at which the bait first touches. */
  deepenBy: number;
  touchesAt: number | null;
  /** Settings to drag on purpose after blank casts: a hand, then a foot deeper. */
  drag: [number, number];
  /** How far off the float is still read, m. */
  seenTo: number;
}

/** About a float's length, 4.5 in; a hand; a foot, m. Common practice, no source. */
const FLOAT_LENGTH = 0.114;
const HAND = 0.1;
const FOOT = 0.305;
/** A fixed float is cast with so much of the rod's length to spare, m. */
const SPARE = 0.3;
/** How far a float is seen, m: 30 ft without a long rod, half as far again with one; less in low light, nothing at
 * night without a lit tip. Common practice, no source. */
const SEEN = { short: 9.1, long: 13.7, longRod: 3.6, twilight: 0.6, night: 0.3 };
/** Most that a float is held back, and what counts as ahead, m. */
const MOST = 0.95;
const AHEAD = 0.02;
/** A bait under this share of the shot hardly counts. */
const LIGHT_BAIT = 0.25;
/** Heads under 1/32 oz hardly count, kg. Common practice, no source. */
const TINY = (0.99 * OUNCE) / 32;
const MOST_STEPS = 12;

export function moreOfFloat(
  rig: FloatRig,
  water: Water & { light: Light },
  tackle: FloatTackle,
  rodLength: number,
): FloatMore {
  const deepenBy = tackle.floatLength ?? FLOAT_LENGTH;
  const at = (setting: number, holdBack: number) => fishFloat(water, tackle, setting, rig.shotting, holdBack);
  const steps = Array.from({ length: MOST_STEPS }, (_, k) => rig.setting + (k + 1) * deepenBy);
  const reach = rodLength >= SEEN.longRod ? SEEN.long : SEEN.short;
  const touching = rig.touches ? rig.setting : (steps.find((setting) => at(setting, rig.holdBack).touches) ?? null);
  const touchesAt = touching ?? rig.setting;
  return {
    sliding: rig.setting + tackle.leader > rodLength - SPARE,
    leadsAt: leadsAt(rig, at),
    deepenBy,
    touchesAt: touching,
    drag: [touchesAt + HAND, touchesAt + FOOT],
    seenTo: reach * (water.light === "day" ? 1 : SEEN[water.light]),
  };
}

/** The hold-back at which the bait comes to run ahead of the float; that of the rig where it does already. */
function leadsAt(rig: FloatRig, at: (setting: number, holdBack: number) => FloatRig): number | null {
  if (rig.surfaceSpeed <= 0) return null;
  if (rig.lead >= AHEAD) return rig.holdBack;
  const over = (holdBack: number) => at(rig.setting, holdBack).lead - AHEAD;
  if (over(MOST) < 0) return null;
  return root(over, Math.max(0.01, rig.holdBack), MOST, 0.002, 40);
}

/** A jig under 1/32 oz is not counted as depth, nor a bait that is light beside the shot: the shot is. */
export const hardlyCounts = (tackle: FloatTackle, { size }: Pick<LureChoice, "size">): boolean =>
  "head" in size ? size.head < TINY : carriedBy(tackle) < LIGHT_BAIT * tackle.capacity;

export function floatReasons(
  rig: FloatRig & FloatMore,
  water: Water,
  tackle: FloatTackle,
  lure: LureChoice,
  distance: number | undefined,
): Message[] {
  const { setting, shotHeight, surfaceSpeed, floatSpeed, lift, baitHeight, holdBack, lead, leadsAt: from } = rig;
  const light = hardlyCounts(tackle, lure);
  const leaning = holdBack > 0;
  return [
    message("float-set", { depth: water.depth, setting, shotHeight }),
    message("float-lift", { surfaceSpeed, floatSpeed, lift, baitHeight }),
    holdBack > 0 ? message("hold-back", { pace: 1 - holdBack }) : message("run-free"),
    message(lead >= AHEAD ? "bait-leads" : lead <= -AHEAD ? "bait-trails" : "bait-under", {
      lead: Math.abs(lead),
      pace: from === null ? null : 1 - from,
      can: from !== null,
    }),
    message(`shot-${rig.shotting}`),
    message("own-weights"),
    ...(tackle.pinned ? [message(lure.body.density < 1000 ? "bait-pinned" : "leader-shot")] : []),
    message(light ? "shot-counts" : "jig-counts"),
    ...(rig.sliding ? [message("float-slides", { setting })] : []),
    message("deepen-by-float", { by: rig.deepenBy, touchesAt: rig.touchesAt }),
    message("float-drag", { hand: rig.drag[0], foot: rig.drag[1] }),
    message("float-read", { leaning }),
    message("float-seen", { seenTo: rig.seenTo, distance, beyond: distance !== undefined && distance > rig.seenTo }),
    ...(tackle.metal === "lead" ? [message("lead-banned")] : []),
  ];
}
