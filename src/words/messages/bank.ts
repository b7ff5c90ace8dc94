import type { Words } from "./say";
import { speciesName } from "../species";
import { count } from "../text";

/**
 * What is said of the time for a lie, and of fish that are too warm. Rules of the craft: common practice, no source.
 */
export const BANK: Words = {
  "catch-no-water": (p) => `no reach of your log is called “${p.text}”`,
  "too-warm-to-play": (p, say) =>
    `${say.of(p.temperature, "temperature")}: leave ${speciesName(String(p.species)).toLowerCase()} alone in water this warm. Local rules stand above anything here.`,
  "work-riffle": (p) =>
    `A riffle's edge: what is there takes at once, or is not there: ${count(Number(p.casts), "cast")}.`,
  "work-run": (p) => `A run: each line of current once or twice, then a step: ${count(Number(p.casts), "cast")}.`,
  "work-pool": (p) =>
    `A hole: near, middle, far, the same line each time, then a step: ${count(Number(p.casts), "cast")}.`,
  "work-walk": (p) =>
    `Along the bottom: the lane through it and one on either side, touching down and lifting, with the current: ${count(Number(p.casts), "cast")}.`,
  "work-soak": (p) =>
    `A bait held still on the bottom by its sinker, a step up-current, so that its scent runs down to the fish: fresh bait every ${p.fresh} minutes.`,
  "soak-waiting": (p) => `Waiting: ${count(Number(p.casts), "bait")} in ${p.minutes} minutes before moving on.`,
  "soak-again": () => "After a fish lay the next bait in the same place.",
  "clear-first-cast": () => "Clear water: the first cast is the best one, so be ready on it.",
  "cold-longer": () => "Cold water: slow fish, so half as long again.",
  "run-refills": () => "Fish on the run come through: a good resting place fills again.",
  roving: (p) => `Roving: ${p.minutes} minutes without a bite, ${p.knock} more on a knock, then the next lie.`,
  waiting: (p) =>
    `Waiting: change small things first (colour, depth, size, then the kind of lure), ${p.each} minutes each, before resting it.`,
  "rest-after-fish": (p) =>
    `After a hooked fish rest it ${p.rest} minutes: in water this clear it has told the others.`,
  "no-rest": () => "Water this coloured hides the fight: go straight on with the same cast.",
  schools: () => "Once one bites: the same cast again, quickly, and keep a lure among them.",
};
