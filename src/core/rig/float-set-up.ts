import { type Message } from "../quantity/message";
import { isClear } from "../gauge/clarity";
import { isLure, type LureChoice } from "../tactics/lure";
import { floatReasons, type FloatMore, hardlyCounts, moreOfFloat } from "./float-advice";
import { FLOAT_TACKLE, floatFor, type FloatRig, type FloatTackle, setFloat } from "./float";
import type { RigAsked } from "./request";
import type { SetUp } from "./set-up";

/** Height over the bed that the lowest shot has without more being known (float.ts), m. */
const USUAL_SHOT = 0.15;

/** A float as it is set, and what hangs under it; from the angler's own floats and shot where there are any. */
export function setUpFloat({ water, lure, line, tackle, style }: SetUp): {
  rig: FloatRig & FloatMore & { capacity: number; leader: number; hung: FloatTackle };
  reasons: Message[];
} {
  const own: Partial<FloatTackle> = {
    ...(tackle.leader !== undefined && { leader: tackle.leader }),
    ...(tackle.metal !== undefined && { metal: tackle.metal }),
    lineDiameter: line.main.diameter,
    ...(tackle.capacity !== undefined && { capacity: tackle.capacity }),
    ...(tackle.shot !== undefined && { shot: tackle.shot }),
    ...(tackle.floatLength !== undefined && { floatLength: tackle.floatLength }),
  };
  const chosen: FloatTackle = { ...FLOAT_TACKLE.value, ...own, bait: lure.body, pinned: pins(lure, water) };
  const full = tackle.capacity === undefined ? { ...chosen, ...floatIn(tackle.floats ?? [], chosen) } : chosen;
  const { shotting, holdBack, setting } = style;
  // The bait comes at the height of the fish, where that is known to be over the usual one.
  const atFish = water.fishHeight === undefined ? undefined : Math.min(water.fishHeight, 0.6 * water.depth);
  const shotHeight = style.shotHeight ?? (atFish !== undefined && atFish > USUAL_SHOT ? atFish : undefined);
  const rig = setFloat(water, full, {
    ...(shotting !== undefined && { shotting }),
    ...(holdBack !== undefined && { holdBack }),
    ...(setting !== undefined && { setting }),
    ...(shotHeight !== undefined && { shotHeight }),
    lightBait: "head" in lure.size && (style.countJig === undefined ? hardlyCounts(full, lure) : !style.countJig),
  });
  const all = { ...rig, ...moreOfFloat(rig, water, full, line.rod) };
  return {
    rig: { capacity: full.capacity, leader: full.leader, hung: full, ...all },
    reasons: floatReasons(all, water, full, lure, water.distance),
  };
}

/** A bait that floats is pinned; and in clear water a fine leader with a bait on it is sunk by a small shot. */
const pins = (lure: LureChoice, { visibleDepth }: { visibleDepth: number }): boolean =>
  lure.body.density < 1000 || (!isLure(lure.category) && isClear(visibleDepth));

/**
 * The lightest of the floats carried that bears the bait and its shot, or the heaviest; what is wanted where none is.
 */
function floatIn(
  floats: NonNullable<RigAsked["tackle"]["floats"]>,
  chosen: FloatTackle,
): Pick<FloatTackle, "capacity" | "floatLength"> {
  const wanted = floatFor(chosen);
  const sorted = [...floats].sort((a, b) => a.capacity - b.capacity);
  const float = sorted.find(({ capacity }) => capacity >= wanted) ?? sorted.at(-1);
  return float
    ? { capacity: float.capacity, ...(float.length !== undefined && { floatLength: float.length }) }
    : { capacity: wanted };
}
