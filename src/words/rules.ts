import type { LocalRule, RuleAnswer } from "../core/book/local-rules";
import type { RuleRecord } from "../core/book/bank-records";
import type { KeepOrRelease } from "../core/book/rules-for";
import { openSeasonWords } from "./closed-season";
import { showText, type UnitSystem } from "./quantity";
import { count } from "./text";

const STANDS = "Local rules come first.";

/** Keep or release, with the rule that decides, in words. */
export function ruleWords(
  { answer, rule, index }: RuleAnswer,
  rules: readonly LocalRule[],
  measured: boolean,
  system: UnitSystem,
): string {
  if (answer === "no-rule") return `You have no rule for this fish here. Check before you keep it. ${STANDS}`;
  if (answer === "keep") return `Your rules let you keep it. ${STANDS}`;
  const deciding = index === null ? undefined : rules[index];
  return `Release it: ${deciding && rule ? because(deciding, rule, measured, system) : "your rules don’t allow keeping it"}. ${STANDS}`;
}

/** The same for a screen: the decision by itself, and what stands above it. */
export function judgedWords(
  { answer, rule, by, stale }: KeepOrRelease,
  measured: boolean,
  system: UnitSystem,
): { decision: string; standing: string } {
  const old = stale ? " This rule is over a year old or has expired. Check it again." : "";
  const standing = `${STANDS}${old}`;
  if (answer === "no-rule")
    return {
      decision: "You have no rule for this fish here.",
      standing: `Check before you keep it. ${standing}`,
    };
  if (answer === "keep") return { decision: "Your rules let you keep it.", standing };
  const why = by && rule ? because(by, rule, measured, system) : "your rules don’t allow keeping it";
  return { decision: `Release it: ${why}.`, standing };
}

function because(
  deciding: Omit<LocalRule, "species">,
  rule: NonNullable<RuleAnswer["rule"]>,
  measured: boolean,
  system: UnitSystem,
): string {
  const long = (metres: number | undefined) => showText(metres, "fishLength", system);
  if (!measured && (rule === "minLength" || rule === "maxLength" || rule === "slot"))
    return "there is a length limit and it wasn’t measured";
  switch (rule) {
    case "open":
      return `the season is closed (${openSeasonWords(deciding.open!)})`;
    case "clippedOnly":
      return "you may keep only fin-clipped fish, and a partly clipped fin counts as unclipped";
    case "minLength":
      return `it is under the minimum length of ${long(deciding.minLength)}`;
    case "maxLength":
      return `it is over the maximum length of ${long(deciding.maxLength)}`;
    case "slot":
      return `fish from ${long(deciding.slot!.from)} to ${long(deciding.slot!.to)} are protected`;
    case "bag":
      return `the bag limit of ${deciding.bag} a day is reached`;
  }
}

/** Each part of a rule in a line. */
export function rulePartsWords(rule: RuleRecord, system: UnitSystem): string[] {
  const long = (metres: number) => showText(metres, "fishLength", system);
  return [
    rule.open && openSeasonWords(rule.open),
    rule.minLength !== undefined && `at least ${long(rule.minLength)}`,
    rule.maxLength !== undefined && `at most ${long(rule.maxLength)}`,
    rule.slot && `${long(rule.slot.from)} to ${long(rule.slot.to)} protected`,
    rule.bag !== undefined && `bag limit ${rule.bag} a day`,
    rule.possession !== undefined && `${rule.possession} in possession`,
    rule.clippedOnly && "keep clipped fish only",
    rule.rods !== undefined && `${count(rule.rods, "rod")} at most`,
    rule.hooks && `hooks: ${rule.hooks}`,
    rule.bait && `bait: ${rule.bait}`,
    rule.notes,
  ].filter((part): part is string => typeof part === "string" && part !== "");
}
