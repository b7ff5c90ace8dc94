import { count } from "./text";
import type { CastZone, Observation, ObservationKind } from "../core/book/bank-records";
import type { LandingPlace, NearWood } from "../core/approach/fish-on";
import type { Whereabouts } from "../core/fish/lie-place";
import { addWords } from "./messages";
import { SESSION } from "./messages/session";
import { whereaboutsWords } from "./place";
import { showText, type UnitSystem } from "./quantity";

addWords(SESSION);

export const ZONE_WORDS: Record<CastZone, string> = { near: "near", middle: "middle", far: "far" };

export const LINE_WORDS = {
  lie: "through the lie",
  seam: "near seam, slow side",
  lane: "lane beside it",
  bait: "the bait",
} as const;

export const OBSERVATION_WORDS: Record<ObservationKind, string> = {
  bite: "bite, missed",
  follow: "followed",
  seen: "fish seen",
  "bait-fish": "bait fish",
  "under-stones": "under the stones",
  others: "what others caught",
  mark: "place marked",
  pause: "pause",
  change: "change",
  rest: "resting",
  primed: "fed",
  line: "line checked",
};

export const PAUSES = [
  { value: "camera", label: "Camera" },
  { value: "lunch", label: "Something to eat" },
  { value: "marker", label: "Dropping a marker" },
  { value: "walk", label: "Walking" },
  { value: "other", label: "Something else" },
] as const;

export const pauseWords = (why: string): string =>
  why === "fish" ? "a fish" : (PAUSES.find(({ value }) => value === why)?.label.toLowerCase() ?? why);

/** Which way to pull, first of all. */
export const pullWords = (wood: NearWood | undefined): string =>
  wood
    ? `Side pressure, away from the ${wood.kind === "log" ? "log" : "log jam"}.`
    : "Steady side pressure. Let it run, then turn it.";

/** Where to land it from here. */
export function landWords(
  landing: (LandingPlace & { whereabouts: Whereabouts }) | null | undefined,
  system: UnitSystem,
): string {
  if (landing === undefined) return "Look for slack, shelving water clear of wood, ideally downstream of you.";
  if (landing === null)
    return "No slack, shelving spot within a walk. Play it where you stand and net it in the slowest water beside you.";
  const way =
    landing.walk < 1.5
      ? "Land it where you stand"
      : `Walk it ${landing.below >= 0 ? "down" : "up"} ${showText(landing.walk, "distance", system)}`;
  return `${way}: ${whereaboutsWords(landing.whereabouts, system)}, ${showText(landing.depth, "depth", system)} deep and ${landing.speed < 0.1 ? "slack" : "slow"}.`;
}

/** What was noted, in a line. */
export function observationWords(one: Observation): string {
  const parts = [
    OBSERVATION_WORDS[one.kind],
    one.kind === "pause" && one.what ? pauseWords(one.what) : null,
    one.kind === "line" ? (one.what === "smooth" ? "smooth" : "frayed, retied") : null,
    one.kind === "change" ? (one.accepted ? "taken" : "overruled") : null,
    one.kind === "others"
      ? `${one.count ?? "?"} seen, ${one.withFish ?? "?"} with fish`
      : one.count !== undefined && (one.kind === "seen" || one.kind === "bait-fish")
        ? String(one.count)
        : null,
    one.lie || null,
    one.notes || null,
  ];
  return parts.filter((part) => part !== null).join(", ");
}

/** What became of a session whose times were corrected. */
export function correctedWords(of: { moved: number; shortened: number; removed: number }): string {
  if (of.moved !== 0) return "Session moved with its hours, fish and notes. Each has the river of its new time.";
  const parts = [
    of.removed > 0
      ? `${count(of.removed, "part")} outside the new times ${of.removed === 1 ? "was" : "were"} removed.`
      : "",
    of.shortened > 0 ? `${count(of.shortened, "part")} ${of.shortened === 1 ? "was" : "were"} shortened.` : "",
  ];
  return ["Session saved.", ...parts].filter(Boolean).join(" ");
}
