import { type Field, speedAt } from "../flow/grid";
import { type Break, type Cover, froude } from "../water/cover";
import { nearestLine, rightOf } from "../water/polyline";
import type { Seam } from "../water/seams";
import type { Reason } from "./reasons";

/** The seam a lie belongs to: the nearest one whose slow side it is on, within 2 m, or else the nearest. */
export function seamFor(seams: readonly Seam[], x: number, y: number): { distance: number; seam: Seam | undefined } {
  const beside = nearestLine(
    seams.filter((seam) => onSlowSide(seam, x, y)),
    x,
    y,
  );
  const { distance, line } = beside.distance <= 2 ? beside : nearestLine(seams, x, y);
  return { distance, seam: line };
}

/** Is (x, y) on the slow side of a seam? */
export const onSlowSide = (seam: Seam | undefined, x: number, y: number): boolean =>
  seam !== undefined && rightOf(seam, x, y) === (seam.slowSide === "right");

/** What is about a place that is told as a lie: its seam, m away, its break and its cell. */
export interface Known {
  near: { distance: number; seam: Seam | undefined };
  neighbour: { one: Break; distance: number } | undefined;
  cover: Cover;
  k: number;
  refuge: number;
  field: Field;
  visibleDepth: number;
  /** What the model of the species says of it. */
  model: Reason[];
  slowSide: boolean;
}

/**
 * The side of its seam that a lie is told to be on: only where the speeds that are told beside it bear that out, since
 * a seam that bends puts a place on its fast side that is in slack water.
 */
function sideOf(
  { focalSpeed, adjacentSpeed }: { focalSpeed: number; adjacentSpeed: number },
  slowSide: boolean,
): "slow" | "fast" | null {
  if (slowSide) return focalSpeed <= adjacentSpeed ? "slow" : null;
  return focalSpeed > adjacentSpeed ? "fast" : null;
}

/** Why a place is told as a lie: speeds and seam first, then what the model says, then depth, break and cover; SI. */
export function reasonsFor(
  lie: { depth: number; focalSpeed: number; adjacentSpeed: number; cover: number },
  at: Known,
): Reason[] {
  const reasons: Reason[] = [
    { kind: "speeds", focal: lie.focalSpeed, adjacent: lie.adjacentSpeed },
    at.near.seam && at.near.distance < 3
      ? {
          kind: "seam",
          distance: at.near.distance,
          difference: at.near.seam.speedDifference,
          side: sideOf(lie, at.slowSide),
        }
      : { kind: "noSeam" },
    { kind: "depth", depth: lie.depth, visibleDepth: at.visibleDepth },
  ];
  if (at.neighbour && at.neighbour.distance < 3)
    reasons.push({
      kind: "break",
      break: { kind: at.neighbour.one.kind, name: at.neighbour.one.name },
      distance: at.neighbour.distance,
    });
  if (at.cover.brokenSurface[at.k]! > 0.3)
    reasons.push({ kind: "brokenSurface", froude: froude(lie.depth, speedAt(at.field, at.k)) });
  if (at.cover.overhead[at.k]! > 0.5) reasons.push({ kind: "overhead" });
  if (lie.cover < 0.2) reasons.push({ kind: "exposed" });
  else reasons.push({ kind: "refuge", share: at.refuge });
  return [...reasons.slice(0, 2), ...at.model, ...reasons.slice(2)];
}
