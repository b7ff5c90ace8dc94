/** What the hand does with a lure or a bait, once it has landed. */
export const RETRIEVES = [
  "dead-drift",
  "drag",
  "hop",
  "snap",
  "hold",
  "steady",
  "stop-and-go",
  "swing",
  "lift-and-drop",
] as const;
export type Retrieve = (typeof RETRIEVES)[number];
