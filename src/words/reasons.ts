import type { UnitSystem } from "./quantity";
import type { Reason } from "../core/fish/reasons";
import { AHEAD } from "../core/fish/travel";
import { REFUGE_WITHIN } from "../core/water/cover";
import { breakName } from "./place";
import { figureText, showText } from "./quantity";
import { capital } from "./text";

/** How much food drifts by, by the share that is printed beside it. */
const driftWords = (share: number): string =>
  share > 1
    ? "The food line passes here"
    : share > 0.7
      ? "About as much food drifts by as elsewhere"
      : "Little food drifts by";

/** What feeding there leaves after effort, beside the water about it. */
function energyWords(net: number, timesMedian: number | null): string {
  if (net <= 0) return "Holding here costs more than the food brings. It is shelter, not a feeding spot.";
  if (timesMedian === null) return "Feeding pays here; in typical water it does not.";
  const times = figureText(timesMedian, 1);
  // The figure as it is printed, but in no reader's own digits.
  return Number(timesMedian.toFixed(1)) > 0
    ? `Feeding pays here: after effort, ${times} × what typical water gives.`
    : "Feeding pays here, but far less than in typical water.";
}

/** Why a lie is a lie, in an angler's words. */
export function reasonText(reason: Reason, system: UnitSystem): string {
  const text = (value: number, kind: Parameters<typeof showText>[1]) => showText(value, kind, system);
  switch (reason.kind) {
    case "speeds":
      return `${text(reason.focal, "speed")} at the fish, ${text(reason.adjacent, "speed")} an arm's length away.`;
    case "seam":
      return `${reason.distance < 0.3 ? "On a seam" : `A seam ${text(reason.distance, "distance")} away`}, ${text(reason.difference, "speed")} across it${reason.side ? `; the lie is on its ${reason.side} side` : ""}.`;
    case "noSeam":
      return "No seam nearby.";
    case "drift":
      return `${driftWords(Number(reason.share.toFixed(1)))}: ${figureText(reason.share, 1)} × what enters the reach.`;
    case "energy":
      return energyWords(reason.net, reason.timesMedian);
    case "depth":
      return reason.depth >= reason.visibleDepth
        ? `${text(reason.depth, "depth")} deep, visible to ${text(reason.visibleDepth, "depth")}.`
        : `${text(reason.depth, "depth")} deep, visible to ${text(reason.visibleDepth, "depth")}: keep low.`;
    case "break":
      return `${capital(breakName(reason.break))} ${reason.distance < 0.2 ? "right beside it" : `${text(reason.distance, "distance")} off`} for shelter.`;
    case "brokenSurface":
      return "Broken surface hides it.";
    case "overhead":
      return "Cover overhead: a cut bank or branches.";
    case "refuge":
      return reason.share > 0.6
        ? `Cover to bolt to within ${text(REFUGE_WITHIN, "distance")}.`
        : "No cover to bolt to nearby.";
    case "exposed":
      return "Little cover: your shadow will spook it.";
    case "ambush":
      return reason.fast - reason.slow > 0.1
        ? `Slow beside fast: ${text(reason.fast, "speed")} within ${text(reason.reach, "distance")}.`
        : `No faster water within ${text(reason.reach, "distance")}, so little food passes.`;
    case "ledge":
      return `A step in the bottom, ${text(reason.step, "depth")} or more, right beside it.`;
    case "edge":
      return "Hard bottom meets soft: a stop on the way to winter water.";
    case "bright":
      return "Too bright at this depth and clarity. Better in low light.";
    case "bottom":
      return `Over ${reason.substrate}, which it avoids.`;
    case "lane":
      return reason.dearer < 0.005
        ? "On the easiest route upstream."
        : `This route upstream costs ${figureText(reason.dearer * 100, 1)} % more effort than the easiest.`;
    case "rest":
      return reason.share > 1.05
        ? `The next ${text(AHEAD, "distance")} cost ${figureText(reason.share, 1)} times as much effort to swim. Fish rest here first.`
        : "No harder water ahead. It stops here for depth, pace and cover.";
    case "heldUp":
      return `No route upstream is ${text(reason.passage, "depth")} deep and slow enough. Fish wait in the deepest part.`;
  }
}
