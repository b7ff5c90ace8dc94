import type { RightWindow } from "../core/gauge/right-window";
import type { Verdict, VerdictRule } from "../core/gauge/verdict";
import { moment } from "./river";

/** Is the river right, in a word or two. */
export const VERDICT_NAMES: Record<Verdict, string> = {
  prime: "prime",
  fishable: "fishable",
  "low-clear": "low and clear",
  "high-dirty": "high and dirty: edges only",
  leave: "leave it for today",
};

/** Why, by the rule that decided. */
const RULES: Record<VerdictRule, string> = {
  "rising-fast": "The river is rising fast.",
  "far-over-limit": "The flow is over twice your upper limit.",
  "over-limit": "The flow is above your upper limit.",
  "very-high": "Only one reading in ten of this season is higher.",
  muddy: "You see less than 30 cm into it.",
  "falling-with-colour": "The level is falling, with colour still in.",
  "low-and-clear": "The flow is low and the water is clear.",
  between: "Nothing speaks against it.",
};
const RULES_US: Partial<Record<VerdictRule, string>> = { muddy: "You see less than 1 ft into it." };

/** "Prime. The level is falling, with colour still in." */
export function verdictWords(
  { verdict, rule }: { verdict: Verdict; rule: VerdictRule },
  system: "metric" | "us",
): string {
  const name = VERDICT_NAMES[verdict];
  return `${name[0]!.toUpperCase()}${name.slice(1)}. ${(system === "us" ? RULES_US[rule] : undefined) ?? RULES[rule]}`;
}

/** "Prime from Thu 18:00 to Fri 09:00: in 77 % of the forecast paths." */
export function windowWords(window: RightWindow | null, now: number): string {
  if (!window) return "No fishable window is likely in the next five days.";
  const name = window.kind === "prime" ? "Prime" : "Fishable";
  const begins = window.from <= now ? "now" : moment(window.from, now);
  return `${name} from ${begins} to ${moment(window.to, now)}, on ${Math.round(100 * window.probability)} % of the forecast paths.`;
}
