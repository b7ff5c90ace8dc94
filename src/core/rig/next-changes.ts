import { type Message, message } from "../quantity/message";
import type { RigAdvice } from "./advice";
import { METHOD } from "../tactics/methods";
import { RIGGING } from "./methods";

/** The retrieve after the one that is made, of those that the method allows: they are changed as often as colours. */
function otherRetrieve({ method, retrieveKind }: Pick<RigAdvice, "method" | "retrieveKind">): Message[] {
  const all = METHOD[method].retrieves;
  const next = all[(all.indexOf(retrieveKind) + 1) % all.length];
  return next === undefined || next === retrieveKind ? [] : [message("try-retrieve", { retrieve: next })];
}

/**
 * What to change when nothing comes, small things first: colour, then depth, then size or weight. The fish have not
 * left; each place may want another thing on the same day. Common practice, no source.
 */
export function nextChanges(advice: Omit<RigAdvice, "changes">): Message[] {
  const colour = advice.lure.colours[1];
  return [
    ...(colour === undefined ? [] : [message("try-colour", { colour })]),
    ...RIGGING[advice.method].changes(advice as RigAdvice),
    ...otherRetrieve(advice),
    message("try-smaller"),
  ];
}
