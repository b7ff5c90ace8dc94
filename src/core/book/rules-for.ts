import { DAY } from "../gauge/series";
import { type Bank, EVERY_FISH, type RuleRecord } from "./bank-records";
import { answerByRules, type LocalRule, type RuleAnswer } from "./local-rules";
import type { Catch } from "./records";

/** A rule that was entered so long ago is warned of, ms: notices are of a year. Common practice, no source. */
const OLD = 365 * DAY;

/** The rules of a water that hold for a bank and a fish, those of that fish before those of every fish. */
export function rulesFor(
  rules: readonly RuleRecord[],
  { reach, bank, species }: { reach: string; bank: Bank; species: string },
): RuleRecord[] {
  const holds = (one: RuleRecord) =>
    !one.deleted &&
    (one.reach === null || one.reach === reach) &&
    (one.bank === "both" || bank === "both" || one.bank === bank) &&
    (one.species === species || one.species === EVERY_FISH);
  const rank = (one: RuleRecord) => Number(one.species === EVERY_FISH);
  return rules.filter(holds).sort((a, b) => rank(a) - rank(b) || (a.id < b.id ? -1 : 1));
}

export interface KeepOrRelease extends RuleAnswer {
  /** The rule that decided. */
  by: RuleRecord | undefined;
  /** A rule of it has run out, or was entered more than a year ago. */
  stale: boolean;
}

/**
 * Keep or release a fish by what was entered for its water and bank; the local authority's own rules stand above.
 * @param day the angler's own day, "2026-04-15"
 */
export function judgeFish(
  rules: readonly RuleRecord[],
  fish: Pick<Catch, "species" | "length" | "fin" | "at">,
  where: { reach: string; bank: Bank },
  kept: number,
  day: string,
): KeepOrRelease {
  const own = rulesFor(rules, { ...where, species: fish.species });
  const answer = answerByRules({
    rules: own.map((one): LocalRule => ({ ...asRule(one), species: fish.species })),
    fish: { species: fish.species, length: fish.length, fin: fish.fin ?? "whole" },
    kept,
    at: `${day}T12:00:00Z`,
  });
  return {
    ...answer,
    by: answer.index === null ? undefined : own[answer.index],
    stale: own.some((one) => isStale(one, Date.parse(fish.at))),
  };
}

const asRule = ({ open, minLength, maxLength, slot, bag, clippedOnly }: RuleRecord): Omit<LocalRule, "species"> => ({
  open,
  minLength,
  maxLength,
  slot,
  bag,
  clippedOnly,
});

/** Rods that the rules of a water allow; Infinity where none says. */
export const rodsAllowed = (rules: readonly RuleRecord[], where: { reach: string; species: string }): number =>
  Math.min(...rulesFor(rules, { ...where, bank: "both" }).flatMap((one) => one.rods ?? []));

/** Has a rule run out, or is it older than a year? */
export const isStale = ({ entered, expires }: Pick<RuleRecord, "entered" | "expires">, now: number): boolean =>
  now - Date.parse(entered) > OLD || (expires !== null && now >= Date.parse(`${expires}T00:00:00Z`) + DAY);

/** Fish of a kind that an angler has kept that day. */
export const keptToday = (
  catches: readonly Catch[],
  fish: Pick<Catch, "id" | "species" | "at" | "angler">,
  dayOf: (instant: string) => string,
): number =>
  catches.filter(
    (one) =>
      !one.deleted &&
      one.kept === true &&
      one.id !== fish.id &&
      one.species === fish.species &&
      (one.angler ?? "") === (fish.angler ?? "") &&
      dayOf(one.at) === dayOf(fish.at),
  ).length;
