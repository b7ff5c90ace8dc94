import { bodyMass, type Sized } from "../tactics/sizes";
import { bodyWeight, type Falling } from "./fall";
import type { LureCategory } from "../tactics/lure-kinds";
import { submergedWeight, type Metal } from "./drag";

/**
 * Cd times area of a soft body, m2, as a share of its length squared. A 1/16 oz lead head with a small curl tail (40
 * mm)
 * falls 7 to 8 ft in about four seconds (common practice, no source): 0.57 m/s, at which the head alone drags 2.3 mN
 * and weighs, with its tail, 16.4 mN: the rest is the dressing's. Others by how they swim; from memory, and outranked
 * by
 * one timed drop.
 */
const BY_LENGTH: Partial<Record<LureCategory, number>> = {
  "small-jig": 0.054,
  "curl-tail": 0.054,
  "paddle-tail": 0.05,
  tube: 0.06,
  "finesse-worm": 0.03,
};
/**
 * A spoon flutters: Cd times area over mass (kg) to two thirds. 1 3/4 oz fall about 1.1 m/s. From memory.
 */
const SPOON = 0.0044;

/** A head with what dresses it, as it falls; the mass of the body counts by its weight in water. */
export function dressed(grams: number, metal: Metal, category: LureCategory, sized: Sized, dragArea?: number): Falling {
  if (category === "spoon") return { grams, metal: "brass", dragArea: dragArea ?? SPOON * (grams / 1000) ** (2 / 3) };
  const { size, body } = sized;
  const share = BY_LENGTH[category];
  if (share === undefined)
    return {
      grams,
      metal,
      dragArea: dragArea ?? 0.45 * ((Math.PI * body.diameter ** 2) / 4),
      dressing: submergedWeight(body.grams / 1000, body.density),
    };
  const length = "body" in size ? size.body : "length" in size ? size.length : 0.04;
  return { grams, metal, dragArea: dragArea ?? share * length ** 2, dressing: bodyWeight(bodyMass(length), 1100) };
}
