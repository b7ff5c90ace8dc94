import { OUNCE } from "../core/quantity/units";
import type { RigAdvice } from "../core/rig/advise";
import type { LureCategory, LureSize } from "../core/tactics/lure";
import { tell } from "./messages";
import { showText, type UnitSystem } from "./quantity";

export const LURE_NAMES: Record<LureCategory, string> = {
  "natural-bait": "natural bait under a float",
  "small-jig": "small jig under a float",
  worm: "worm under a float",
};

const BAITS = {
  "whole-worm": "a whole worm",
  "half-worm": "half a worm",
  "grub-or-nymph": "one grub or nymph",
} as const;

/** Jig heads are sold by sixteenths and thirty-seconds of an ounce everywhere; the grams stand beside. */
const OUNCES: readonly (readonly [number, string])[] = [
  [1 / 32, "1/32 oz"],
  [1 / 16, "1/16 oz"],
  [1 / 8, "1/8 oz"],
];

/** Size of a lure: a hook with its bait, or a jig head with its body. */
export function lureSize(size: LureSize, system: UnitSystem): string {
  if ("hook" in size) return `hook ${size.hook}, ${BAITS[size.bait]}`;
  const ounces = OUNCES.find(([share]) => Math.abs(size.head / OUNCE / share - 1) < 0.01)?.[1];
  const grams = showText(size.head, "shotMass", system);
  return `${ounces ? `${ounces} (${grams})` : grams}, ${showText(size.body, "smallLength", system)} long`;
}

/** What a rig's advice says, in words: for the card and the command line alike. */
export const rigWords = (
  { reasons, cautions, lure }: Pick<RigAdvice, "reasons" | "cautions" | "lure">,
  system: UnitSystem = "metric",
) => ({
  lure: { category: LURE_NAMES[lure.category], size: lureSize(lure.size, system), colours: lure.colours },
  reasons: reasons.map((one) => tell(one, system)),
  cautions: cautions.map((one) => tell(one, system)),
});
