import type { Family } from "../fish/species-record";
import { OUNCE } from "../quantity/units";
import type { LureBody, LureCategory, LureSize } from "./lure-kinds";

/** One size under the usual one, the usual one, one over it. */
export type Step = -1 | 0 | 1;

export interface Sized {
  size: LureSize;
  body: LureBody;
}

/** Usual length of a soft body or a plug, m. Common practice, no source. */
const LENGTHS: Record<Family, number> = {
  trout: 0.04,
  run: 0.05,
  bass: 0.075,
  striper: 0.14,
  walleye: 0.09,
  catfish: 0.1,
  panfish: 0.04,
  coarse: 0.05,
};
/** Usual number of a spinner's blade, and how much it weighs, g, at 0, 1, 2 …. Common practice, no source. */
const BLADES: Record<Family, number> = {
  trout: 1,
  run: 4,
  bass: 3,
  striper: 5,
  walleye: 3,
  catfish: 4,
  panfish: 1,
  coarse: 2,
};
const BLADE_GRAMS = [2.5, 3.5, 4.5, 6.5, 9, 12, 16] as const;
/** Usual mass of a spoon, g. Common practice, no source. */
const SPOONS: Record<Family, number> = {
  trout: 5,
  run: 14,
  bass: 10,
  striper: 28,
  walleye: 14,
  catfish: 28,
  panfish: 4,
  coarse: 7,
};
/** Hooks for bait: larger numbers are smaller hooks; 10, 8 … 2, then 1/0 as 0, 2/0 as -1 …. Common practice. */
const HOOKS: Record<Family, number> = {
  trout: 10,
  run: 4,
  bass: 4,
  striper: -3,
  walleye: 4,
  catfish: -3,
  panfish: 8,
  coarse: 8,
};
/** A size up or down is about a third longer or shorter. */
const A_SIZE = 1.33;

const isBigBaitEater = (family: Family): boolean => ["catfish", "striper"].includes(family);

/** Fish that take small lures and baits. */
export const isSmall = (family: Family): boolean => ["trout", "panfish", "coarse"].includes(family);

/** The next hook: numbers go by twos down to 2, then 1, 1/0 (0), 2/0 (-1) …. */
const largerHook = (hook: number): number => (hook > 2 ? hook - 2 : hook - 1);
const smallerHook = (hook: number): number => (hook >= 2 ? hook + 2 : hook + 1);
const stepHook = (hook: number, step: Step): number =>
  step > 0 ? largerHook(hook) : step < 0 ? smallerHook(hook) : hook;

/**
 * Usual sizes: trout minis 1/32 to 1/16 oz. Bodies: head or hook with what is on it, estimated; from memory.
 * @param length of the bait fish seen, m, which a lure that stands for one matches
 */
export function sizeOf(category: LureCategory, family: Family, step: Step, length?: number): Sized {
  const small = isSmall(family);
  switch (category) {
    case "worm":
      return {
        size: { hook: stepHook(HOOKS[family], step), bait: small && step < 1 ? "half-worm" : "whole-worm" },
        body:
          small && step < 1
            ? { grams: 0.6, density: 1150, diameter: 0.012 }
            : { grams: 1.2, density: 1120, diameter: 0.015 },
      };
    case "floated-worm":
      return {
        size: { hook: stepHook(HOOKS[family], step), bait: step < 0 ? "half-worm" : "whole-worm" },
        // A worm with air or a float bead on it: lighter than water.
        body: { grams: 1.3, density: 900, diameter: 0.016 },
      };
    case "natural-bait":
      return {
        size: { hook: stepHook(12, step < 0 ? -1 : 0), bait: "grub-or-nymph" },
        body:
          step < 0 ? { grams: 0.12, density: 1400, diameter: 0.006 } : { grams: 0.2, density: 1400, diameter: 0.007 },
      };
    case "egg-bait":
      return {
        size: { hook: stepHook(HOOKS[family], step), bait: "egg-cluster" },
        body: { grams: [0.6, 1, 1.6][step + 1]!, density: 1120, diameter: [0.011, 0.014, 0.017][step + 1]! },
      };
    case "cut-fish":
    case "whole-fish": {
      const grams = (isBigBaitEater(family) ? 40 : 12) * [0.6, 1, 1.8][step + 1]!;
      return {
        size: {
          hook: stepHook(HOOKS[family], step),
          bait: category === "cut-fish" ? "fish-piece" : "whole-bait-fish",
        },
        body: { grams, density: 1060, diameter: 0.0135 * Math.cbrt(grams) },
      };
    }
    case "small-jig":
      return small
        ? step > 0
          ? { size: { head: OUNCE / 16, body: 0.04 }, body: { grams: 2.3, density: 4200, diameter: 0.013 } }
          : { size: { head: OUNCE / 32, body: 0.03 }, body: { grams: 1.2, density: 4000, diameter: 0.011 } }
        : step > 0
          ? { size: { head: OUNCE / 8, body: 0.05 }, body: { grams: 4.4, density: 4300, diameter: 0.017 } }
          : { size: { head: OUNCE / 16, body: 0.04 }, body: { grams: 2.3, density: 4200, diameter: 0.013 } };
    case "spinner": {
      const blade = Math.max(0, BLADES[family] + step);
      const grams = BLADE_GRAMS[Math.min(BLADE_GRAMS.length - 1, blade)]!;
      return {
        size: { blade, mass: grams / 1000 },
        body: { grams, density: 6000, diameter: 0.012 + 0.003 * blade },
      };
    }
    case "spoon": {
      const grams = SPOONS[family] * A_SIZE ** (2 * step);
      return { size: { mass: grams / 1000 }, body: { grams, density: 8500, diameter: 0.014 * Math.cbrt(grams) } };
    }
    default: {
      const long = length ?? LENGTHS[family] * A_SIZE ** step;
      const grams = bodyMass(long);
      return { size: { length: long }, body: { grams, density: 1100, diameter: 0.25 * long } };
    }
  }
}

/** A jig for under a float in very clear water: 1/100 oz. Common practice, no source. */
export const TINY_JIG: Sized = {
  size: { head: OUNCE / 100, body: 0.02 },
  body: { grams: 0.45, density: 3600, diameter: 0.008 },
};

/** Mass of a soft body or plug of a length, g: 75 mm weigh about 4 g. From memory. */
export const bodyMass = (length: number): number => 4 * (length / 0.075) ** 3;
