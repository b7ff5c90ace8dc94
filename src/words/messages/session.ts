import type { Words } from "./say";
import { fixed } from "./say";
import { count } from "../text";

const minutes = (value: unknown): string => count(Math.max(1, Math.round(Number(value))), "minute");

/** What to do next on the bank, and why. */
export const SESSION: Words = {
  "same-cast-again": () => "The same cast again, at once",
  "others-roused": () => "One has taken: the others are roused for a few minutes. Keep something in front of them.",
  "knock-roused": () => "One has shown itself: the same line again before anything is changed.",
  "next-cast": () => "The next cast of the plan",
  "casts-left": (p) => `${count(Number(p.left), "more cast")} as it is, then the smallest change.`,
  "lay-bait": () => "Lay the bait",
  "fresh-bait": () => "A fresh bait",
  "let-it-lie": () => "Let it lie",
  "bait-needs-time": (p) => `Its scent needs time: about ${minutes(p.minutes)} more.`,
  "bait-washed-out": (p) => `A bait is washed out after ${minutes(p.minutes)}.`,
  "small-change-why": (p) =>
    `Nothing in ${count(Number(p.casts), "cast")}. They have not left: the smallest change first.`,
  "another-kind-why": (p) => `Nothing in ${count(Number(p.casts), "cast")}, and the small changes are made.`,
  "move-on": () => "On to the next place",
  "rest-and-move": (p) => `Rest it for ${minutes(p.rest)} and go on`,
  "time-is-up": (p) =>
    `${fixed(p.minutes, 0)} minutes and ${count(Number(p.casts), "cast")} here without a fish: that is what it is given.`,
};
