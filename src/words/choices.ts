import type { Choice } from "../core/rig/choice-names";
import type { Presentation, Purpose } from "../core/tactics/purpose";
import { baitName } from "./baits";
import { RETRIEVE_NAMES } from "./retrieves";
import type { Retrieve } from "../core/tactics/retrieve-kinds";

/** What a weight is for. */
export const PURPOSE_NAMES: Record<Purpose, string> = {
  touch: "Just touch",
  down: "Down fast",
  hold: "Hold",
  slow: "Slow fall",
};

const PRESENTATION_NAMES: Record<Presentation, string> = {
  up: "upstream",
  across: "across",
  down: "downstream",
  vertical: "under the rod, from a boat",
};

/** What is quarrelled over, as a label. */
export const CHOICE_NAMES: Record<Choice, string> = {
  purpose: "Weight for",
  presentation: "Cast",
  leader: "Leader",
  floatLine: "Main line under a float",
  countJig: "Count the jig as depth",
  bait: "Bait",
  retrieve: "Retrieve",
  hook: "Hook",
};

/** One answer, by its choice. */
export function answerName(choice: Choice, value: string): string {
  switch (choice) {
    case "purpose":
      return PURPOSE_NAMES[value as Purpose].toLowerCase();
    case "presentation":
      return PRESENTATION_NAMES[value as Presentation];
    case "bait":
      return baitName(value);
    case "retrieve":
      return RETRIEVE_NAMES[value as Retrieve];
    case "leader":
      return value === "fine" ? "fine, hard to see" : "strong";
    case "floatLine":
      return value === "braid" ? "floating braid" : "nylon";
    case "countJig":
    case "hook":
      return value;
  }
}
