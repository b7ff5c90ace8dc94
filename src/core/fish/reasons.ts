import { showText } from "../quantity/show";
import type { UnitSystem } from "../quantity/units";

/** Why a lie is a lie: a kind and its numbers, SI. Told in words in either system of units. */
export type Reason =
  | { kind: "speeds"; focal: number; adjacent: number }
  | { kind: "seam"; distance: number; difference: number; slowSide: boolean }
  | { kind: "noSeam" }
  | { kind: "drift"; share: number }
  | { kind: "energy"; net: number; timesMedian: number }
  | { kind: "depth"; depth: number; visibleDepth: number }
  | { kind: "break"; name: string; distance: number }
  | { kind: "brokenSurface"; froude: number }
  | { kind: "overhead" }
  | { kind: "refuge"; share: number }
  | { kind: "exposed" }
  | { kind: "ambush"; fast: number; slow: number; reach: number }
  | { kind: "ledge"; step: number }
  | { kind: "edge" }
  | { kind: "bright" }
  | { kind: "bottom"; substrate: string }
  | { kind: "lane"; dearer: number }
  | { kind: "rest"; share: number };

export function tellReason(reason: Reason, system: UnitSystem): string {
  const text = (value: number, kind: Parameters<typeof showText>[1]) => showText(value, kind, system);
  switch (reason.kind) {
    case "speeds":
      return `${text(reason.focal, "speed")} at the fish, ${text(reason.adjacent, "speed")} an arm's length away.`;
    case "seam":
      return `${reason.distance < 0.3 ? "On a seam" : `A seam ${text(reason.distance, "distance")} away`}, ${text(reason.difference, "speed")} across it; the lie is on its ${reason.slowSide ? "slow" : "fast"} side.`;
    case "noSeam":
      return "No seam near: the place lives off its own current.";
    case "drift":
      return `${reason.share >= 1 ? "The food line passes here" : "Little food drifts by"}: ${reason.share.toFixed(1)} × what enters the reach.`;
    case "energy":
      return `Drift-foraging model: ${(reason.net * 1000).toFixed(0)} mW to the good, ${reason.timesMedian.toFixed(1)} × the middle of the wet area.`;
    case "depth":
      return reason.depth >= reason.visibleDepth
        ? `${text(reason.depth, "depth")} deep, out of sight below ${text(reason.visibleDepth, "depth")}.`
        : `${text(reason.depth, "depth")} deep, and the bed can be seen to ${text(reason.visibleDepth, "depth")}: keep low.`;
    case "break":
      return `${capital(reason.name)} ${reason.distance < 0.2 ? "right beside it" : `${text(reason.distance, "distance")} off`} for shelter.`;
    case "brokenSurface":
      return `Broken surface hides it (Froude number ${reason.froude.toFixed(2)}).`;
    case "overhead":
      return "A roof over it: cut bank or overhanging branches.";
    case "refuge":
      return reason.share > 0.6 ? "Somewhere to bolt to within four metres." : "Little to bolt to near by.";
    case "exposed":
      return "Little cover: it will leave at the first shadow.";
    case "ambush":
      return reason.fast - reason.slow > 0.1
        ? `${text(reason.slow, "speed")} here, and ${text(reason.fast, "speed")} within ${text(reason.reach, "distance")}: slow beside fast.`
        : `No faster water within ${text(reason.reach, "distance")}: little comes by to be caught.`;
    case "ledge":
      return `A step of the bed, ${text(reason.step, "depth")} or more, right beside it.`;
    case "edge":
      return "Hard bottom meets soft here: a stop on the way to winter water.";
    case "bright":
      return "Bright for it at this depth and clarity: better in low light.";
    case "bottom":
      return `Over ${reason.substrate}, which it likes less.`;
    case "lane":
      return reason.dearer < 0.005
        ? "On the cheapest way up the reach."
        : `The way through here costs ${(reason.dearer * 100).toFixed(1)} % more than the cheapest.`;
    case "rest":
      return reason.share > 1.05
        ? `The next twelve metres cost ${reason.share.toFixed(1)} times as much to swim: a place to stop before them.`
        : "No dearer water ahead: no need to stop here.";
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
