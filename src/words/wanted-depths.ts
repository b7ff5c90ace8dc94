import type { WantedDepths } from "../core/trace/wanted-depths";
import { figureText } from "./quantity";
import { count } from "./text";

/** Why depths are asked for, what they would do, and whether they can be taken on foot. */
export function wantedWords({ places, now, after, afloat }: WantedDepths): string {
  const off = (share: number) => `± ${figureText(100 * share, 0)} %`;
  const how = afloat
    ? "No water here can be waded at this flow: take them from a boat, or at low water."
    : "By the model you can stand at each of them.";
  return `Depths around these lies are known to about ${off(now)}. ${count(places.length, "more depth")} would make it ${off(after)}. ${how} Only wade where it is safe.`;
}

export const NO_LIES = "No spot stands out at this flow, so no depth would help more than another.";
