import type { Retrieve } from "../core/tactics/retrieve-kinds";

/** What the hand does once the bait or lure is where it is wanted, as a sentence. */
export const RETRIEVE_SENTENCES: Record<Retrieve, string> = {
  "dead-drift": "Let it drift.",
  drag: "Draw it slowly along the bottom.",
  hop: "Hop it along the bottom towards you.",
  snap: "Snap it up, then let it fall.",
  hold: "Tighten up and leave it.",
  steady: "Reel steadily.",
  "stop-and-go": "Pause after every few turns.",
  swing: "Hold the line tight and let it swing round.",
  "lift-and-drop": "Lift and drop it towards you.",
};
