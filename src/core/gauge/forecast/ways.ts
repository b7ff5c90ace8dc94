import { DAY, HOUR } from "../series";
import { lawsOf, recessions } from "./falls";
import type { Fill, FlowGrid } from "./flow-grid";
import { neighboursOf, type States } from "./neighbours";
import { dailyPattern, recentMiddle, weeklyPattern } from "./patterns";
import type { FlowWay } from "./way-names";

/** Past states are looked at so far apart, ms. Own choice: closer ones are of one event. */
const LIBRARY_STEP = 6 * HOUR;

/** The ways over one grid. Nothing that comes after its `k`th step is used for it. */
export function flowWays(grid: FlowGrid, states: States): Partial<Record<FlowWay, Fill>> {
  const { y, step } = grid;
  const day = Math.round(DAY / step);
  const lawAt = lawsOf(grid);
  const near = neighboursOf(grid, states, lawAt);
  return {
    persistence: (k, out) => out.fill(y[k]!),
    ...(day > 1 && {
      yesterday: (k, out) => {
        for (let h = 0; h < out.length; h++) out[h] = y[k + (h % day) + 1 - day]!;
      },
      daily: dailyPattern(y, day),
      sameHour: near(1, 1),
    }),
    lastWeek: (k, out) => {
      for (let h = 0; h < out.length; h++) out[h] = y[k + h + 1 - 7 * day] ?? NaN;
    },
    weekly: weeklyPattern(y, day),
    recent: recentMiddle(y, day),
    neighbours: near(Math.max(1, Math.round(LIBRARY_STEP / step)), day),
    recession: recessions(grid, lawAt),
  };
}
