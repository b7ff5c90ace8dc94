import type { Holds } from "../core/flow/ensemble";

/** "holds in 9 of 10": of as many ways that it may be. */
export const holdsWords = ({ found, of }: Holds): string => `holds in ${found} of ${of}`;

/** What the number says, and by what it was found; of a bed that was guessed where nobody measured it, that too. */
export const doubtWords = ({ found, of }: Holds, guessed = false): string =>
  `${
    found === of ? "It holds in all" : found === 0 ? "It holds in none of" : `It holds in ${found} of`
  } ${of} model runs, varying ${guessed ? "the guessed bed, " : ""}roughness, flow, outlet level and cell size within their uncertainty.`;

/** Two lies that change places too often to be ranked. */
export const tieWords = (better: number): string => `About as good as lie ${better}; their order can swap.`;

/** Said where nothing is worked out ahead. */
export const NOT_AHEAD = "To save battery, uncertainty and other flows aren’t worked out. Change that in Settings.";

/** What the marks of the plan and the list mean by it. */
export const HOLDS_KEY = "Faint lies on the plan hold in few model runs. The list says how many.";
