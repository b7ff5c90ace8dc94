import type { Holds } from "../core/flow/ensemble";

/** "holds in 9 of 10": of as many ways that it may be. */
export const holdsWords = ({ found, of }: Holds): string => `holds in ${found} of ${of}`;

/** What the number says, and by what it was found. */
export const doubtWords = ({ found, of }: Holds): string =>
  `${
    found === of ? "It is there in all of" : found === 0 ? "It is there in none of" : `It is there in ${found} of`
  } ${of} tries with the bed’s roughness, the flow, the level at its foot and the cells moved within what is not known.`;

/** Two lies that change places too often to be ranked. */
export const tieWords = (better: number): string => `About as good as lie ${better}: their order turns round.`;

/** Said where nothing is worked out ahead. */
export const NOT_AHEAD =
  "Not worked out, to save the battery: how sure each lie is, and at which other flows it fishes. “Book and settings” changes that.";

/** What the marks of the plan and the list mean by it. */
export const HOLDS_KEY = "Faint on the plan: seldom there when what is not known is moved; the list says how often.";
