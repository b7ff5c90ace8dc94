import type { Family } from "../fish/species-record";
import type { Light } from "../gauge/light";
import type { ClarityClass } from "../gauge/clarity";
import type { Colour, ColourSchool, LureCategory, Prey } from "./lure-kinds";

/**
 * Orders of colour by clarity. Clear water: black, brown, green, pink, chartreuse for a light jig; coloured: dark
 * first, then neon. Common practice, no source.
 */
const JIG: Record<ClarityClass, readonly Colour[]> = {
  "gin-clear": ["natural", "brown", "black", "green", "pink", "chartreuse"],
  clear: ["black", "brown", "green", "pink", "chartreuse"],
  green: ["black", "brown", "green", "chartreuse", "pink"],
  coloured: ["black", "chartreuse", "orange", "pink"],
  muddy: ["black", "chartreuse", "orange", "white"],
};
/** Soft bodies and plugs: what they stand for first. Common practice, no source. */
const BODIES: Record<ClarityClass, readonly Colour[]> = {
  "gin-clear": ["translucent", "natural", "bait-fish", "green", "brown"],
  clear: ["natural", "green", "bait-fish", "brown", "two-tone"],
  green: ["green", "two-tone", "brown", "white", "chartreuse"],
  coloured: ["black", "two-tone", "chartreuse", "orange"],
  muddy: ["black", "chartreuse", "orange", "white"],
};
/** Blades and spoons: the flash goes with the light that there is. Common practice, no source. */
const METAL: Record<ClarityClass, readonly Colour[]> = {
  "gin-clear": ["black", "natural", "silver", "gold"],
  clear: ["silver", "gold", "black", "red"],
  green: ["gold", "silver", "red", "chartreuse"],
  coloured: ["gold", "black", "orange", "chartreuse"],
  muddy: ["black", "gold", "chartreuse", "orange"],
};
/** Salmon and steelhead on the run are moved by eggs and by what annoys them. Common practice, no source. */
const RUN: Record<ClarityClass, readonly Colour[]> = {
  "gin-clear": ["natural", "pink", "black", "orange"],
  clear: ["pink", "natural", "orange", "black"],
  green: ["orange", "pink", "chartreuse", "black"],
  coloured: ["black", "orange", "chartreuse", "pink"],
  muddy: ["black", "chartreuse", "orange", "white"],
};
const METALLIC: readonly LureCategory[] = ["spoon", "spinner"];
const SOFT: readonly LureCategory[] = ["curl-tail", "paddle-tail", "tube", "finesse-worm", "plug"];
const MEAT: readonly LureCategory[] = ["cut-fish", "whole-fish"];
export const BRIGHT: readonly Colour[] = ["chartreuse", "orange", "pink", "white"];
export const DARK: readonly Colour[] = ["black", "brown", "two-tone"];
/** What is plain by day and has no outline at night. */
const PALE: readonly Colour[] = ["natural", "translucent"];

const MATCH: Record<Prey, readonly Colour[]> = {
  none: [],
  insects: ["brown", "natural"],
  crayfish: ["crayfish", "brown"],
  "bait-fish": ["bait-fish", "silver"],
  worms: ["brown", "red"],
};

export interface ColourQuestion {
  category: LureCategory;
  family: Family;
  clarity: ClarityClass;
  light: Light;
  prey: Prey;
  school: ColourSchool;
}

export const isDirty = (clarity: ClarityClass): boolean => clarity === "muddy" || clarity === "coloured";

const tableOf = (category: LureCategory, family: Family) =>
  METALLIC.includes(category) ? METAL : SOFT.includes(category) ? BODIES : family === "run" ? RUN : JIG;

/** Colours in the order to try them; each once. Meat has its own colour. */
export function colourOrder({ category, family, clarity, light, prey, school }: ColourQuestion): Colour[] {
  if (MEAT.includes(category)) return ["natural"];
  let order: Colour[] = [...tableOf(category, family)[clarity]];
  // What is seen is matched where it can be seen; in dirty water it only joins the end.
  order = isDirty(clarity) ? [...order, ...MATCH[prey]] : [...MATCH[prey], ...order];
  if (light !== "day") order = ["black", ...order.filter((colour) => !PALE.includes(colour))];
  if (isDirty(clarity) && school === "bright-first")
    order = [...order.filter((colour) => BRIGHT.includes(colour)), ...order.filter((one) => !BRIGHT.includes(one))];
  return [...new Set(order)];
}
