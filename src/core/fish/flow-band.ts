import type { Field } from "../flow/grid";

/** What a place is worth at one flow, beside the middle of the water there. */
export interface ScoreAtFlow {
  discharge: number;
  score: number;
  median: number;
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

/**
 * A flow is good where the place keeps this share of its best, and stands out from the middle of the water by that
 * factor. Common practice, no source.
 */
const GOOD = { share: 0.5, standsOut: 1.1 };
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
 * The band about the best flow, its ends found between solved flows in ln Q; undefined where the place is nowhere good
 * or fewer than three flows are known.
 */
export function flowBand(points: readonly ScoreAtFlow[]): FlowBand | undefined {
  if (points.length < 3) return undefined;
  const ordered = [...points].sort((a, b) => a.discharge - b.discharge);
  const peak = ordered.reduce((best, point, k) => (point.score > ordered[best]!.score ? k : best), 0);
  const need = ({ median }: ScoreAtFlow) => Math.max(GOOD.share * ordered[peak]!.score, GOOD.standsOut * median);
  if (!(ordered[peak]!.score > 0) || ordered[peak]!.score < need(ordered[peak]!)) return undefined;
  const end = (step: 1 | -1): { flow: number; open: boolean } => {
    for (let k = peak; ; k += step) {
      const next = ordered[k + step];
      if (!next) return { flow: ordered[k]!.discharge, open: true };
      if (next.score >= need(next)) continue;
      const [a, b] = [ordered[k]!.score - need(ordered[k]!), next.score - need(next)];
      const t = a / (a - b);
      return { flow: ordered[k]!.discharge * (next.discharge / ordered[k]!.discharge) ** t, open: false };
    }
  };
  const [below, above] = [end(-1), end(1)];
  return {
    low: below.flow,
    high: above.flow,
    best: ordered[peak]!.discharge,
    openBelow: below.open,
    openAbove: above.open,
  };
}
