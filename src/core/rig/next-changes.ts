import { type Message, message } from "../quantity/message";
import type { RigAdvice } from "./advise";

/**
 * What to change when nothing comes, small things first: colour, then depth, then size or weight. The fish have not
 * left; each place may want another thing on the same day. Common practice, no source.
 */
export function nextChanges(advice: RigAdvice): Message[] {
  const colour = advice.lure.colours[1];
  return [
    ...(colour === undefined ? [] : [message("try-colour", { colour })]),
    ...depthChanges(advice),
    message("try-smaller"),
  ].slice(0, 3);
}

/** A float's length deeper, a shot or a head more or less, a longer line, the other rod tip. */
function depthChanges(advice: RigAdvice): Message[] {
  switch (advice.method) {
    case "float":
      return [message("try-deeper", { setting: advice.setting + advice.deepenBy })];
    case "drift": {
      if (advice.touchFraction <= TOO_MUCH) return [message("try-shot-more", { grams: advice.piece })];
      // With the lightest single shot there is none to take off: the bait is let farther from it.
      return [
        advice.pieces > 1
          ? message("try-shot-less", { grams: advice.piece })
          : message("try-longer-leader", { leader: 1.5 * advice.leader }),
      ];
    }
    case "jig":
    case "spoon": {
      const { ladder, head } = advice;
      const at = ladder.findIndex(({ grams }) => grams === head.grams);
      const [lighter, heavier] = [ladder[at - 1], ladder[at + 1]];
      return lighter?.touches
        ? [message("try-lighter-head", { grams: lighter.grams })]
        : heavier
          ? [message("try-heavier-head", { grams: heavier.grams })]
          : [];
    }
    case "sinker":
    case "drop-shot":
    case "dead-bait":
      return [message("try-longer-leader", { leader: 1.5 * advice.leader })];
    case "plug":
      return advice.lineNeeded !== null && !advice.touches
        ? [message("try-longer-line", { line: advice.lineNeeded })]
        : [];
    case "spinner":
      return [message("try-tip", { tip: advice.tip })];
  }
}

/** Over this share a drifted weight is on the bottom too much: over half. */
const TOO_MUCH = 0.6;
