import type { LocalRule, RuleAnswer } from "../core/book/local-rules";
import { showText, type UnitSystem } from "./quantity";

const STANDS = "The local authority's rules stand above what is entered here.";

/** Keep or release, with the rule that decides, in words. */
export function ruleWords(
  { answer, rule, index }: RuleAnswer,
  rules: readonly LocalRule[],
  measured: boolean,
  system: UnitSystem,
): string {
  if (answer === "no-rule")
    return `No rule is entered for this fish on this water: look it up before you keep it. ${STANDS}`;
  if (answer === "keep") return `It may be kept by the rules that are entered. ${STANDS}`;
  const deciding = index === null ? undefined : rules[index];
  return `Release it: ${deciding && rule ? because(deciding, rule, measured, system) : "a rule says so"}. ${STANDS}`;
}

function because(
  deciding: LocalRule,
  rule: NonNullable<RuleAnswer["rule"]>,
  measured: boolean,
  system: UnitSystem,
): string {
  const long = (metres: number | undefined) => showText(metres, "fishLength", system);
  if (!measured && (rule === "minLength" || rule === "maxLength" || rule === "slot"))
    return "there is a limit of length, and it was not measured";
  switch (rule) {
    case "open":
      return `the season is closed (open from ${deciding.open!.from} to ${deciding.open!.to})`;
    case "clippedOnly":
      return "only fish with a clipped fin may be kept, and one clipped in part counts as whole";
    case "minLength":
      return `it is under the least length of ${long(deciding.minLength)}`;
    case "maxLength":
      return `it is over the greatest length of ${long(deciding.maxLength)}`;
    case "slot":
      return `fish from ${long(deciding.slot!.from)} to ${long(deciding.slot!.to)} are protected`;
    case "bag":
      return `the bag of ${deciding.bag} a day is full`;
  }
}
