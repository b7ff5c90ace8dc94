import type { Words } from "./message-format";
import { count } from "../text";

/** What is said of the time for a lie. Rules of the craft: common practice, no source. */
export const TIMING: Words = {
  "work-riffle": (p) => `Riffle edge: if a fish is there it takes at once. ${count(Number(p.casts), "cast")}.`,
  "work-run": (p) =>
    `Run: fish each line of current once or twice, then take a step. ${count(Number(p.casts), "cast")}.`,
  "work-pool": (p) =>
    `Hole: cast near, middle, far on the same line, then take a step. ${count(Number(p.casts), "cast")}.`,
  "feed-ahead": (p) => `Feed it first, fish elsewhere, and come back in ${p.back} minutes.`,
  "feed-after": (p) => `Feed it when they stop, and come back in ${p.back} minutes.`,
  "work-walk": (p) =>
    `Along the bottom: fish the lane through it and one on each side, with the current. ${count(Number(p.casts), "cast")}.`,
  "work-soak": () => "Hold the bait still on the bottom, a step upstream of the fish, so its scent drifts down.",
  "fresh-bait-every": (p) => `Fresh bait every ${p.fresh} minutes.`,
  "bait-moved": () => "You move the bait, so fish it cast by cast instead of waiting on it.",
  "soak-waiting": (p) => `Waiting: ${count(Number(p.casts), "bait")} in ${p.minutes} minutes before moving on.`,
  "soak-again": () => "After a fish, put the next bait in the same place.",
  "clear-first-cast": () => "Clear water: your first cast is your best. Be ready.",
  "cold-longer": () => "Cold water slows fish: give it half as long again.",
  "run-refills": () => "Running fish keep arriving: a good resting place fills again.",
  roving: (p) => `Roving: ${p.minutes} minutes without a bite, ${p.knock} more on a knock, then the next lie.`,
  waiting: (p) =>
    `Patient: change small things first (colour, depth, size, then lure type), ${p.each} minutes each. Then rest it.`,
  "rest-after-fish": (p) => `After a hooked fish rest it ${p.rest} minutes: the fight has alarmed the others.`,
  "no-rest": () => "Coloured water hides the fight: make the same cast again at once.",
  schools: () => "After a bite, repeat the cast quickly and keep a lure among them.",
};
