import { type ForecastPoint, levelAt } from "./forecast";
import type { Outlook } from "./outlook";
import { HOUR } from "./series";
import { type FlowLimits, stateThen, type Verdict, verdictOf } from "./verdict";

/** When the river is likely to be right, and how likely. */
export interface RightWindow {
  kind: "prime" | "fishable";
  /** ms */
  from: number;
  to: number;
  /** Share of the forecast's paths on which it is so through three quarters of that time, 0..1. */
  probability: number;
}

/** An hour belongs to it where the river is right on so much of the paths. Own choice: more likely than not. */
const LIKELY = 0.5;
/** Of the window's hours, so many must be right for a path to count. Own choice. */
const MOST_HOURS = 0.75;
/** The limb is told over so long, ms, as in a plan. */
const RATE_OVER = 3 * HOUR;

const IS_RIGHT: Record<RightWindow["kind"], (verdict: Verdict) => boolean> = {
  prime: (verdict) => verdict === "prime",
  fishable: (verdict) => verdict === "prime" || verdict === "fishable" || verdict === "low-clear",
};

/**
 * The stretch of hours ahead on which the river is right on most paths of the forecast: prime where there is one, else
 * fishable; the longest and surest. Null where none is likely. Flow and clarity both count: on each path the water is
 * as clear as its place among the paths says, since a higher river is a dirtier one.
 * @param hours h ahead that are looked at
 */
export function rightWindow(
  { flow, visibleDepth, season }: Pick<Outlook, "flow" | "visibleDepth" | "season">,
  limits: FlowLimits,
  hours: number,
): RightWindow | null {
  if (!flow) return null;
  const steps = Math.min(flow.points.length, Math.floor((hours * HOUR) / flow.step));
  const over = Math.max(1, Math.round(RATE_OVER / flow.step));
  const verdicts = flow.paths.map(() => new Array<Verdict | null>(steps).fill(null));
  for (let h = 0; h < steps; h++) {
    const { time } = flow.points[h]!;
    const order = [...flow.paths.keys()].sort((a, b) => flow.paths[a]![h]! - flow.paths[b]![h]!);
    order.forEach((path, rank) => {
      const flows = flow.paths[path]!;
      const [discharge, before] = [flows[h]!, h < over ? flow.discharge : flows[h - over]!];
      const ratePerHour =
        discharge > 0 && before > 0 ? (Math.log(discharge / before) / (Math.min(h + 1, over) * flow.step)) * HOUR : 0;
      const seen = visibleDepth && depthAt(visibleDepth, time, 1 - (rank + 0.5) / order.length);
      const state = stateThen({ at: time, discharge, ratePerHour, visibleDepth: seen, season });
      verdicts[path]![h] = verdictOf(state, limits)?.verdict ?? null;
    });
  }
  return windowOf("prime", verdicts, flow) ?? windowOf("fishable", verdicts, flow);
}

/** How far one sees on the path that has a share of the others under it by its clarity, m; null past the forecast. */
function depthAt(points: readonly ForecastPoint[], at: number, share: number): number | null {
  const [low, median, high] = (["low", "median", "high"] as const).map((level) => levelAt(points, at, level));
  if (low == null || median == null || high == null) return null;
  // Straight between the 10, 50 and 90 % of it.
  const along = Math.min(1, Math.max(-1, (share - 0.5) / 0.4));
  return median + (along < 0 ? along * (median - low) : along * (high - median));
}

function windowOf(
  kind: RightWindow["kind"],
  verdicts: readonly (readonly (Verdict | null)[])[],
  { from, step }: { from: number; step: number },
): RightWindow | null {
  const steps = verdicts[0]?.length ?? 0;
  const isRight = (verdict: Verdict | null) => verdict !== null && IS_RIGHT[kind](verdict);
  const shares = Array.from(
    { length: steps },
    (_, h) => verdicts.filter((own) => isRight(own[h]!)).length / verdicts.length,
  );
  let best = { first: 0, last: -1, sum: 0 };
  for (let first = 0; first < steps; first++) {
    let [last, sum] = [first - 1, 0];
    while (last + 1 < steps && shares[last + 1]! >= LIKELY) sum += shares[++last]!;
    if (sum > best.sum) best = { first, last, sum };
    first = Math.max(first, last);
  }
  if (best.last < best.first) return null;
  const count = best.last - best.first + 1;
  const right = verdicts.filter(
    (own) => own.slice(best.first, best.last + 1).filter(isRight).length >= MOST_HOURS * count,
  );
  return {
    kind,
    from: from + best.first * step,
    to: from + (best.last + 1) * step,
    probability: right.length / verdicts.length,
  };
}
