import type { Words } from "./message-format";
import { fixed } from "./message-format";
import { count } from "../text";

const minutes = (value: unknown): string => count(Math.max(1, Math.round(Number(value))), "minute");

/** What to do next on the bank, and why. */
export const SESSION: Words = {
  "same-cast-again": () => "Repeat the cast now",
  "others-roused": () => "One bit: the others are alert for a few minutes. Keep a lure in front of them.",
  "knock-roused": () => "A fish showed: repeat the line before you change anything.",
  "next-cast": () => "Make the next cast of the plan",
  "casts-left": (p) => `${count(Number(p.left), "more cast")} as it is, then make the smallest change.`,
  "lay-bait": () => "Place the bait",
  "fresh-bait": () => "Put on fresh bait",
  "let-it-lie": () => "Leave it in place",
  "bait-needs-time": (p) => `The scent needs time: about ${minutes(p.minutes)} more.`,
  "bait-washed-out": (p) => `Bait is washed out after ${minutes(p.minutes)}.`,
  "small-change-why": (p) =>
    `Nothing in ${count(Number(p.casts), "cast")}. They haven’t left: make the smallest change first.`,
  "another-kind-why": (p) => `Nothing in ${count(Number(p.casts), "cast")}, and you’ve made the small changes.`,
  "move-on": () => "Move to the next spot",
  "rest-and-move": (p) => `Rest it for ${minutes(p.rest)} and move on`,
  "time-is-up": (p) =>
    `${fixed(p.minutes, 0)} minutes and ${count(Number(p.casts), "cast")} here without a fish. Time to move.`,
};
