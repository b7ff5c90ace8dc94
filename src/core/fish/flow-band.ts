import type { Field } from "../flow/grid";
import { type ScoreScale, needed, pays } from "./judgement";

/** What a place is worth at one flow, and what it is judged against there. */
export interface ScoreAtFlow extends ScoreScale {
  discharge: number;
  score: number;
}

/** The flows at which a place fishes, m3/s. */
export interface FlowBand {
  low: number;
  high: number;
  best: number;
  /** It still fishes at the lowest, or the highest, flow looked at: the band may go on. */
  openBelow: boolean;
  openAbove: boolean;
}

/** A lie may move so far with the flow and still be the same, m. Common practice, no source. */
const SAME_PLACE = 1.5;

/** Best score within a step or two of a place: lies move a little with the flow. */
export function scoreNear(
  score: ArrayLike<number>,
  { nx, ny, cell }: Pick<Field, "nx" | "ny" | "cell">,
  x: number,
  y: number,
): number {
  const reach = Math.ceil(SAME_PLACE / cell);
  const [i, j] = [Math.floor(x / cell), Math.floor(y / cell)];
  let most = 0;
  for (let b = Math.max(0, j - reach); b <= Math.min(ny - 1, j + reach); b++) {
    for (let a = Math.max(0, i - reach); a <= Math.min(nx - 1, i + reach); a++) {
      if (Math.hypot((a + 0.5) * cell - x, (b + 0.5) * cell - y) <= SAME_PLACE)
        most = Math.max(most, score[b * nx + a]! || 0);
    }
  }
  return most;
}

/**
 * The band of flows at which a place pays, its ends found between known flows in ln Q; undefined where it pays nowhere
 * or fewer than three flows are known. It is the band about `here`, the flow at which the place was judged to pay, or
 * else the one about the flow at which it is worth most beside the best.
 */
export function flowBand(points: readonly ScoreAtFlow[], here?: number): FlowBand | undefined {
  if (points.length < 3) return undefined;
  const known = points.filter((point) => point.discharge !== here);
  // What the place was judged by at its own flow stands, whatever a coarser field nearly there says.
  const own = here === undefined ? [] : [{ ...hereFrom(points, here), discharge: here }];
  const ordered = [...known, ...own].sort((a, b) => a.discharge - b.discharge);
  const margin = (point: ScoreAtFlow) => point.score / needed(point);
  const start =
    here === undefined
      ? ordered.reduce((best, point, k) => (margin(point) > margin(ordered[best]!) ? k : best), 0)
      : ordered.findIndex((point) => point.discharge === here);
  const good = (k: number) => ordered[k]!.discharge === here || pays(ordered[k]!.score, ordered[k]!);
  if (!good(start)) return undefined;
  const end = (step: 1 | -1): { k: number; flow: number; open: boolean } => {
    for (let k = start; ; k += step) {
      const next = ordered[k + step];
      if (!next) return { k, flow: ordered[k]!.discharge, open: true };
      if (good(k + step)) continue;
      const a = Math.max(0, ordered[k]!.score - needed(ordered[k]!));
      const b = needed(next) - next.score;
      const t = a + b > 0 ? a / (a + b) : 0;
      return { k, flow: ordered[k]!.discharge * (next.discharge / ordered[k]!.discharge) ** t, open: false };
    }
  };
  const [below, above] = [end(-1), end(1)];
  const within = ordered.slice(below.k, above.k + 1);
  return {
    low: below.flow,
    high: above.flow,
    best: within.reduce((best, point) => (point.score > best.score ? point : best)).discharge,
    openBelow: below.open,
    openAbove: above.open,
  };
}

/** What is known of a flow: of itself, or between its neighbours in ln Q. */
function hereFrom(points: readonly ScoreAtFlow[], here: number): ScoreAtFlow {
  const ordered = [...points].sort((a, b) => a.discharge - b.discharge);
  const above = ordered.find((point) => point.discharge >= here) ?? ordered.at(-1)!;
  const below = ordered.findLast((point) => point.discharge <= here) ?? ordered[0]!;
  if (above.discharge <= below.discharge) return above;
  const t = Math.log(here / below.discharge) / Math.log(above.discharge / below.discharge);
  const between = (of: "score" | "best" | "medianScore") => below[of] + t * (above[of] - below[of]);
  return { discharge: here, score: between("score"), best: between("best"), medianScore: between("medianScore") };
}
