import { type ClarityClass, clarityClass } from "../gauge/clarity";
import type { Light } from "../fish/foraging";

/**
 * A choice of lure with its reasons. Rules of craft: common practice, no source; the angler's own log outranks them.
 */
export interface LureChoice {
  category: LureCategory;
  /** Size in words, with its weight or length. */
  size: string;
  /** Best first. Always words; the swatch only repeats them. */
  colours: Colour[];
  reasons: string[];
  /** What it is to the water: mass, g, density, kg/m3, and the sphere that drags like it, m. */
  body: LureBody;
}

export interface LureBody {
  grams: number;
  density: number;
  diameter: number;
}

export type LureCategory = "natural bait under a float" | "small jig under a float" | "worm under a float";
export const COLOURS = ["black", "brown", "green", "pink", "chartreuse", "orange", "natural", "white"] as const;
export type Colour = (typeof COLOURS)[number];

export interface LureWater {
  /** m */
  visibleDepth: number;
  /** degC */
  temperature: number;
  light: Light;
}

/** Under this water is cold for trout, over that it is warm, degC. Common practice, no source. */
const COLD = 7;
const WARM = 14;

/**
 * Orders of colour by clarity. Clear water: black, brown, green, pink, chartreuse; coloured: dark first, then neon.
 * Common practice, no source.
 */
const COLOUR_ORDER: Record<ClarityClass, readonly Colour[]> = {
  "gin-clear": ["natural", "brown", "black", "green", "pink", "chartreuse"],
  clear: ["black", "brown", "green", "pink", "chartreuse"],
  green: ["black", "brown", "green", "chartreuse", "pink"],
  coloured: ["black", "chartreuse", "orange", "pink"],
  muddy: ["black", "chartreuse", "orange", "white"],
};

const CLARITY_REASON: Record<ClarityClass, string> = {
  "gin-clear": "Gin-clear water: natural, small, translucent; match what is under the stones.",
  clear: "Clear water: plain, dark and natural colours before bright ones.",
  green: "Some colour in the water: dark first for its outline, then one bright.",
  coloured: "Coloured water: dark first, then loud; one bright part helps it to be found.",
  muddy: "Muddy water: loud contrast, scent and bulk; black or a bright that cannot be missed.",
};

/** Lure category, size and colours in order for float fishing for trout. */
export function chooseLure(water: LureWater): LureChoice {
  const clarity = clarityClass(water.visibleDepth);
  const dirty = clarity === "muddy" || clarity === "coloured";
  const cold = water.temperature < COLD;
  const warm = water.temperature > WARM;
  const reasons = [CLARITY_REASON[clarity]];
  let colours = [...COLOUR_ORDER[clarity]];

  if (water.light === "day" && !dirty) reasons.push("Full daylight on clear water: the plainer end of the list first.");
  if (water.light !== "day") {
    colours = [...new Set<Colour>(["black", ...colours.filter((colour) => colour !== "natural")])];
    reasons.push("Low light: darker, with more outline.");
  }
  reasons.push(
    cold
      ? "Cold water slows them: smaller and slower."
      : warm
        ? "Warm water, keen fish: a size up is worth a try."
        : "Middling water temperature: the usual size.",
  );

  const category: LureCategory = dirty
    ? "worm under a float"
    : clarity === "gin-clear"
      ? "natural bait under a float"
      : "small jig under a float";
  if (category === "worm under a float") reasons.push("A worm smells and moves where little can be seen.");
  return { category, ...sizeOf(category, cold, warm), colours, reasons };
}

/**
 * Usual sizes (common practice, no source): trout minis 1/32 to 1/16 oz. Bodies: head or hook with what is on it,
 * estimated; from memory.
 */
function sizeOf(category: LureCategory, cold: boolean, warm: boolean): Pick<LureChoice, "size" | "body"> {
  if (category === "worm under a float") {
    return warm
      ? { size: "hook 8, a whole worm", body: { grams: 1.2, density: 1120, diameter: 0.015 } }
      : { size: "hook 10, half a worm", body: { grams: 0.6, density: 1150, diameter: 0.012 } };
  }
  if (category === "natural bait under a float") {
    return cold
      ? { size: "hook 14, one grub or nymph", body: { grams: 0.12, density: 1400, diameter: 0.006 } }
      : { size: "hook 12, one grub or nymph", body: { grams: 0.2, density: 1400, diameter: 0.007 } };
  }
  return warm
    ? { size: "1/16 oz (1.8 g), 4 cm", body: { grams: 2.3, density: 4200, diameter: 0.013 } }
    : { size: "1/32 oz (0.9 g), 3 cm", body: { grams: 1.2, density: 4000, diameter: 0.011 } };
}

/** When a fish should be left alone: the usual caution, trout and salmon at about 20 C; local rules stand. */
export const tooWarmFor = (fish: { restAbove: number }, temperature: number): boolean => temperature >= fish.restAbove;
