export interface TideTurn {
  time: number;
  high: boolean;
  /** m over mean level. */
  level: number;
}

export type TideState = { flow: "flooding" | "ebbing" | "slack"; next: TideTurn };
/** Minutes either side of a turn that anglers call slack. Common practice, no source. */
const SLACK = 30 * 60_000;

/** Flooding, ebbing or slack at an instant from turns that are known already, with the turn to come; or null. */
export function tideBetween(turns: readonly TideTurn[], at: number): TideState | null {
  const next = turns.find((turn) => turn.time > at);
  if (!next) return null;
  const last = turns.findLast((turn) => turn.time <= at);
  const slack = next.time - at < SLACK || (last && at - last.time < SLACK);
  return { flow: slack ? "slack" : next.high ? "flooding" : "ebbing", next };
}
