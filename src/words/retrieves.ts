import type { Retrieve } from "../core/tactics/retrieve-kinds";

/** What the hand does, by name. */
export const RETRIEVE_NAMES: Record<Retrieve, string> = {
  "dead-drift": "dead drift",
  drag: "drag",
  hop: "hop",
  snap: "snap",
  hold: "hold",
  steady: "steady",
  "stop-and-go": "stop and go",
  swing: "swing",
  "lift-and-drop": "lift and drop",
};
