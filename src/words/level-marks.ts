import type { LevelMark } from "../core/gauge/level-marks";
import { showText, type UnitSystem } from "./quantity";
import { count } from "./text";

/** "12 cm over the flat stone", "flat stone just covered", "the staff 5 cm out of the water". */
export function levelWords({ level, mark }: { level: number; mark: string }, system: UnitSystem): string {
  const far = showText(Math.abs(level), "smallLength", system);
  if (Math.abs(level) < 0.005) return `“${mark}” just covered`;
  return level > 0 ? `water ${far} over “${mark}”` : `“${mark}” ${far} out of the water`;
}

/** What a mark is worth: its rating and the flow now, or what it lacks. */
export function markWords({ name, readings, pairs, rating, flow }: LevelMark, system: UnitSystem): string {
  const of = `“${name}”: ${count(readings, "level")}, ${pairs} with a flow.`;
  if (!rating || !flow)
    return `${of} ${pairs < 3 ? `${count(3 - pairs, "more flow")} at other levels make it a gauge.` : "They make no rating: flow must rise with the level, over three levels."}`;
  const text = (value: number) => showText(value, "discharge", system);
  if (flow.extrapolated)
    return `${of} The last level is far above those with a flow: about ${text(flow.value)}, a guess.`;
  const band = flow.low === null || flow.high === null ? "" : ` (80 %: ${text(flow.low)} to ${text(flow.high)})`;
  return `${of} The last level means ${text(flow.value)}${band}.`;
}
