import type { RigAdvice } from "../core/rig/advice";
import type { Colour, LureCategory, LureSize } from "../core/tactics/lure";
import { pieceName } from "./baits";
import { addWords, messageText } from "./messages";
import { LURE } from "./messages/lure";
import { RIG } from "./messages/rig";
import { showText, type UnitSystem } from "./quantity";
import { hookText, weightText } from "./weight";

addWords({ ...RIG, ...LURE });

const LURE_NAMES: Record<LureCategory, string> = {
  "natural-bait": "natural bait",
  worm: "worm",
  "floated-worm": "floated worm",
  "egg-bait": "egg bait",
  "cut-fish": "cut fish",
  "whole-fish": "whole bait fish",
  "live-fish": "live bait fish",
  paste: "paste or pellets",
  bread: "bread",
  "small-jig": "small jig",
  "curl-tail": "curl tail",
  "paddle-tail": "paddle tail",
  tube: "tube",
  "finesse-worm": "finesse worm",
  spoon: "spoon",
  plug: "plug",
  spinner: "spinner",
};

export const COLOUR_NAMES: Record<Colour, string> = {
  black: "black",
  brown: "brown",
  green: "green",
  pink: "pink",
  chartreuse: "chartreuse",
  orange: "orange",
  natural: "natural",
  white: "white",
  translucent: "translucent",
  "two-tone": "two-tone, dark over light",
  red: "red",
  gold: "gold",
  silver: "silver",
  crayfish: "crayfish",
  "bait-fish": "bait fish",
};

/** Which piece of bait is on the hook; empty where it is no bait. */
export const pieceOf = (size: LureSize): string => ("hook" in size ? pieceName(size.bait) : "");

/** Size of a lure: a hook with its bait, a jig head with its body, a blade, a mass or a length. */
function lureSize(size: LureSize, system: UnitSystem): string {
  if ("hook" in size) return `hook ${hookText(size.hook)}, ${pieceName(size.bait)}`;
  if ("head" in size)
    return `${weightText(size.head * 1000, system)}, ${showText(size.body, "smallLength", system)} long`;
  if ("blade" in size) return `blade ${size.blade}, ${weightText(size.mass * 1000, system)}`;
  if ("mass" in size) return weightText(size.mass * 1000, system);
  return `${showText(size.length, "smallLength", system)} long`;
}

/** What a rig's advice says, in words: for the card and the command line alike. */
export const rigWords = (
  { reasons, cautions, lure }: Pick<RigAdvice, "reasons" | "cautions" | "lure">,
  system: UnitSystem = "metric",
) => ({
  lure: {
    category: lure.bait ?? LURE_NAMES[lure.category],
    size: lureSize(lure.size, system),
    colours: lure.colours.map((one) => COLOUR_NAMES[one]),
    hookStyle: lure.hookStyle,
  },
  reasons: reasons.map((one) => messageText(one, system)),
  cautions: cautions.map((one) => messageText(one, system)),
});
