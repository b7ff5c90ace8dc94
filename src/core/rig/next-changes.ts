import { type Message, message } from "../quantity/message";
import type { RigAdvice } from "./advice";
import { riggingOf } from "./methods";

/**
 * What to change when nothing comes, small things first: colour, then depth, then size or weight. The fish have not
 * left; each place may want another thing on the same day. Common practice, no source.
 */
export function nextChanges(advice: RigAdvice): Message[] {
  const colour = advice.lure.colours[1];
  return [
    ...(colour === undefined ? [] : [message("try-colour", { colour })]),
    ...riggingOf(advice).changes(advice),
    message("try-smaller"),
  ].slice(0, 3);
}
