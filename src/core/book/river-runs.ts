import { clarityClass } from "../gauge/clarity";
import { MINUTE } from "../gauge/series";
import type { RiverState } from "./record-base";

/** A run of time under one state of the river, ms. */
export interface RiverRun {
  start: number;
  end: number;
  river: RiverState | null;
}

/**
 * So often the river is looked at, ms; and how far its discharge may go before it is another, as a ratio. Own choice.
 */
const LOOK = 15 * MINUTE;
const APART = 1.05;

/**
 * A span of time cut where the river has become another: its discharge by a twentieth, its limb, or its class of
 * clarity. The end of each is the start of the next; together they are the whole span.
 * @param stateAt what the gauge says at an instant, ms
 */
export function riverRuns(start: number, end: number, stateAt: (at: number) => RiverState | null): RiverRun[] {
  const runs: RiverRun[] = [{ start, end, river: stateAt(start) }];
  for (let at = start + LOOK; at < end; at += LOOK) {
    const now = runs.at(-1)!;
    const river = stateAt(at);
    if (!isOther(now.river, river)) continue;
    runs.push({ start: at, end, river });
    now.end = at;
  }
  return runs;
}

/** Is the river another than it was? */
export function isOther(before: RiverState | null, now: RiverState | null): boolean {
  if (before === null || now === null) return before !== now;
  return (
    before.trend !== now.trend ||
    classOf(before) !== classOf(now) ||
    isFar(before.discharge, now.discharge) ||
    (before.discharge === null && isFarStage(before.stage, now.stage))
  );
}

const classOf = ({ visibleDepth }: RiverState): string | null =>
  visibleDepth === null ? null : clarityClass(visibleDepth);

function isFar(a: number | null, b: number | null): boolean {
  if (a === null || b === null) return a !== b;
  if (a <= 0 || b <= 0) return a !== b;
  return Math.max(a / b, b / a) >= APART;
}

/** Where there is a level alone, m: a hand's breadth is another river. Own choice. */
const STAGE_APART = 0.05;
const isFarStage = (a: number | null, b: number | null): boolean =>
  a === null || b === null ? a !== b : Math.abs(a - b) >= STAGE_APART;
