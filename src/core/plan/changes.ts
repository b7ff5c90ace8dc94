import { HOUR } from "../gauge/series";
import { type Wind, WIND_SPEED, windClass } from "../gauge/weather";
import { type Plan, type PlanAsk, planOf, type PlanWindow } from "./plan";
import type { PlanReach } from "./plan-reach";

/** What the answer would be if the river came out otherwise than the forecast's middle. */
export type Change = {
  /** The first window then; null: nowhere. */
  then: PlanWindow | null;
} & (
  | {
      path: "low" | "high";
      /** m3/s at the middle of the first window, on that path. */
      discharge: number;
    }
  | {
      path: "wind";
      /** m/s */
      wind: number;
    }
);

const WINDY: readonly Wind[] = ["fresh", "strong"];
/** Is it tried what the answer would be in a fresh wind? Where one blows already, or nobody says, it is not. */
export const isWindTried = ({ weather }: Pick<PlanWindow, "weather">): boolean =>
  weather?.wind != null && !WINDY.includes(windClass(weather.wind));

/** Another reach, or more than an hour's difference, is another answer. */
const OTHER = HOUR;

/** The paths of the forecast on which the first answer would be another one, and whether it would in a fresh wind. */
export function changesOf(reaches: readonly PlanReach[], ask: PlanAsk, plan: Plan): Change[] {
  const first = plan.windows[0];
  if (!first) return [];
  const isSame = (then: PlanWindow | null) => then?.reach === first.reach && Math.abs(then.from - first.from) <= OTHER;
  const byFlow = (["high", "low"] as const).flatMap((path): Change[] => {
    const other = planOf(reaches, ask, path);
    const then = other.windows[0] ?? null;
    const hour = other.days.find((one) => one.reach === first.reach)?.hours.find(({ at }) => at === first.at);
    return isSame(then) || !hour ? [] : [{ path, discharge: hour.discharge, then }];
  });
  if (!isWindTried(first)) return byFlow;
  const windy = planOf(reaches, { ...ask, sky: { cloud: ask.sky?.cloud ?? null, wind: "fresh" } });
  const then = windy.windows[0] ?? null;
  return isSame(then) ? byFlow : [...byFlow, { path: "wind", wind: WIND_SPEED.value.fresh, then }];
}
