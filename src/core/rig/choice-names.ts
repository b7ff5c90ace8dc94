/** Things that anglers quarrel over: each can be chosen, and each is told with what it changes in figures. */
export const CHOICES = [
  "purpose",
  "presentation",
  "leader",
  "floatLine",
  "countJig",
  "bait",
  "retrieve",
  "hook",
] as const;
export type Choice = (typeof CHOICES)[number];

/** What an angler has chosen for a method. */
export type Chosen = Partial<Record<Choice, string>>;
