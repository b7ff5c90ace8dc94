import type { Family } from "../fish/species-record";
import type { Phase } from "../fish/phases";
import { type Message, message } from "../quantity/message";
import { METHOD, type Method, type Weighted } from "./methods";

/** What a weight is for: just touching the bed, down fast, held where it lies, or falling slowly. */
export const PURPOSES = ["touch", "down", "hold", "slow"] as const;
export type Purpose = (typeof PURPOSES)[number];

/** How a line is fished: cast up, across or down the current from a stand, or let down under the rod from a boat. */
export const PRESENTATIONS = ["up", "across", "down", "vertical"] as const;
export type Presentation = (typeof PRESENTATIONS)[number];

/** From this depth spoons and drop shots are fished under the rod of a boat, m: 5 to 12. Common practice, no source. */
const UNDER_THE_ROD = 5;

/**
 * How a weighted method is fished where nothing is said: cast across; in deep water drop shots and spoons hang under
 * the rod. Common practice, no source.
 */
export const presentationFor = (method: Weighted, depth: number): Presentation =>
  METHOD[method].underRod && depth >= UNDER_THE_ROD ? "vertical" : "across";

/** What a purpose is chosen by. */
export interface PurposeQuestion {
  method: Method;
  family: Family;
  phase: Phase | undefined;
  warmth: "cold" | "usual" | "warm";
  /** Bites that come short. */
  short: boolean;
  /** Height of the fish over the bed, m. */
  fishHeight: number;
}

/** Fish that lie so far off the bed meet a bait on its way down, m. Common practice, no source. */
const OFF_THE_BED = 0.5;

/**
 * What the weight is for, by method, fish and season, with the reason. Baits that lie are held; drifted ones tap.
 * A lure that is jigged just touches; for short bites and for fish off the bottom it falls slowly, for stripers in the
 * current it goes down fast. Common practice, no source.
 */
export function purposeFor({ method, family, phase, warmth, short, fishHeight }: PurposeQuestion): {
  purpose: Purpose;
  why: Message;
} {
  const chosen = (purpose: Purpose, why: string) => ({ purpose, why: message(why) });
  if (METHOD[method].worked.startsWith("laid")) return chosen("hold", "purpose-held-bait");
  if (METHOD[method].worked === "drifted") return chosen("touch", "purpose-drifted");
  if (method === "drop-shot") return chosen("hold", "purpose-drop-shot");
  if (short) return chosen("slow", "purpose-short-bites");
  if (fishHeight > OFF_THE_BED) return chosen("slow", "purpose-off-the-bed");
  if (family === "striper") return chosen("down", "purpose-fast-fish");
  if (warmth === "cold" || phase === "winter") return chosen("touch", "purpose-cold");
  return chosen("touch", "purpose-on-the-bed");
}
