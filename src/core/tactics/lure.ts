import { type Message, message } from "../quantity/message";
import { OUNCE } from "../quantity/units";
import type { Light } from "../gauge/light";
import { type ClarityClass, clarityClass } from "../gauge/clarity";

/**
 * A choice of lure with its reasons. Rules of craft: common practice, no source; the angler's own log outranks them.
 */
export interface LureChoice {
  category: LureCategory;
  size: LureSize;
  /** Best first. Always words; the swatch only repeats them. */
  colours: Colour[];
  reasons: Message[];
  /** What it is to the water: mass, g, density, kg/m3, and the sphere that drags like it, m. */
  body: LureBody;
}

export interface LureBody {
  grams: number;
  density: number;
  diameter: number;
}

export type LureCategory = "natural-bait" | "small-jig" | "worm";

/** Size of a jig head, kg, and of its body, m; or of a hook, with what is on it. */
export type LureSize =
  { head: number; body: number } | { hook: number; bait: "whole-worm" | "half-worm" | "grub-or-nymph" };
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

/** Lure category, size and colours in order for float fishing for trout. */
export function chooseLure(water: LureWater): LureChoice {
  const clarity = clarityClass(water.visibleDepth);
  const dirty = clarity === "muddy" || clarity === "coloured";
  const cold = water.temperature < COLD;
  const warm = water.temperature > WARM;
  const reasons = [message(`colours-${clarity}`)];
  let colours = [...COLOUR_ORDER[clarity]];

  if (water.light === "day" && !dirty) reasons.push(message("daylight-on-clear"));
  if (water.light !== "day") {
    colours = [...new Set<Colour>(["black", ...colours.filter((colour) => colour !== "natural")])];
    reasons.push(message("low-light"));
  }
  reasons.push(message(cold ? "cold-smaller" : warm ? "warm-larger" : "usual-size"));

  const category: LureCategory = dirty ? "worm" : clarity === "gin-clear" ? "natural-bait" : "small-jig";
  if (category === "worm") reasons.push(message("worm-smells"));
  return { category, ...sizeOf(category, cold, warm), colours, reasons };
}

/**
 * Usual sizes (common practice, no source): trout minis 1/32 to 1/16 oz. Bodies: head or hook with what is on it,
 * estimated; from memory.
 */
function sizeOf(category: LureCategory, cold: boolean, warm: boolean): Pick<LureChoice, "size" | "body"> {
  if (category === "worm") {
    return warm
      ? { size: { hook: 8, bait: "whole-worm" }, body: { grams: 1.2, density: 1120, diameter: 0.015 } }
      : { size: { hook: 10, bait: "half-worm" }, body: { grams: 0.6, density: 1150, diameter: 0.012 } };
  }
  if (category === "natural-bait") {
    return cold
      ? { size: { hook: 14, bait: "grub-or-nymph" }, body: { grams: 0.12, density: 1400, diameter: 0.006 } }
      : { size: { hook: 12, bait: "grub-or-nymph" }, body: { grams: 0.2, density: 1400, diameter: 0.007 } };
  }
  return warm
    ? { size: { head: OUNCE / 16, body: 0.04 }, body: { grams: 2.3, density: 4200, diameter: 0.013 } }
    : { size: { head: OUNCE / 32, body: 0.03 }, body: { grams: 1.2, density: 4000, diameter: 0.011 } };
}

/** When a fish should be left alone: the usual caution, trout and salmon at about 20 C; local rules stand. */
export const tooWarmFor = (fish: { restAbove: number }, temperature: number): boolean => temperature >= fish.restAbove;
