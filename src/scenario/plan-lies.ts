import { isShelter } from "../core/fish/judgement";
import type { Lie } from "../core/fish/read";
import type { Outlook } from "../core/gauge/outlook";
import type { LieQuality } from "../core/plan/plan";
import { roundFlow } from "./field";

/** Lies that an angler works through in a visit: a reach is as good as these. */
const VISITED = 3;

/** The lies of a reading that are fished for, best first. */
export const fishedLies = <T extends Pick<Lie, "kind" | "drift">>(lies: readonly T[]): T[] =>
  lies.filter((lie) => !isShelter(lie));

/**
 * How good a reach is at a flow: the mean score of its best lies, where it has fewer as if the rest were worth
 * nothing.
 */
export const lieQuality = (discharge: number, lies: readonly Pick<Lie, "kind" | "drift" | "score">[]): LieQuality => ({
  discharge,
  score:
    fishedLies(lies)
      .slice(0, VISITED)
      .reduce((sum, { score }) => sum + score, 0) / VISITED,
});

/** Of lies looked at by flow, those at the flow nearest by ratio; undefined where none was. */
export const nearestFlow = <T extends { discharge: number }>(looked: readonly T[], discharge: number): T | undefined =>
  [...looked].sort(
    (a, b) => Math.abs(Math.log(a.discharge / discharge)) - Math.abs(Math.log(b.discharge / discharge)),
  )[0];

/** Two flows nearer than this by ratio show the same lies. Own choice. */
const SAME = 1.15;

/**
 * The flows at which a reach is looked at: now, and how far the middle of the forecast goes either way until then,
 * m3/s.
 */
export function planFlows(outlook: Pick<Outlook, "flow"> | null, to: number): number[] {
  if (!outlook?.flow) return [];
  const { discharge, points } = outlook.flow;
  const path = [discharge, ...points.filter((point) => point.time <= to).map((point) => point.median)];
  const flows = [Math.min(...path), Math.max(...path)].map(roundFlow);
  return flows[1]! / flows[0]! < SAME ? [roundFlow(discharge)] : flows;
}
