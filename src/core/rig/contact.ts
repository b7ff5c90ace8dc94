import { shearVelocity } from "../flow/profile";
import { COMMON_PRACTICE, FROM_MEMORY, sourced, WATER_DENSITY } from "../quantity/provenance";
import { LINE_NORMAL } from "./drag";
import { speedIn } from "./sink";
import { root } from "./solve";
import type { Water } from "./water";

/** What is taken along the bed: weight in water, N, fall in still water, m/s, Cd times area of all that drags, m2. */
export interface Dragged {
  weight: number;
  fall: number;
  area: number;
}

/** The line from it to the rod: diameter, m; how far off the rod tip is, and how high over the water, m. */
export interface Leash {
  lineDiameter: number;
  distance: number;
  tipHeight: number;
}

export interface Contact {
  /** Speed along the bed, m/s: 0 where it holds. */
  speed: number;
  /** Share of the time on the stones: 1 where it holds. */
  touch: number;
  /** Share of its weight that the line takes off it. */
  lifted: number;
  holds: boolean;
}

/** Friction of a weight on stones. Common practice, no source. */
const FRICTION = 0.6;
/** Stones stand about six of their heights apart (a rough bed of mixed stones; from memory). */
const SPACING = sourced(6, "heights", FROM_MEMORY);
/** The water in which it runs is that a quarter of the roughness up, at least two centimetres. Common practice. */
const RUNS_AT = sourced({ share: 0.25, least: 0.02 }, "m", COMMON_PRACTICE);
/** Five points of Gauss and Hermite: what the ups and downs of the water do to a fall (Abramowitz & Stegun 25.10). */
const HERMITE = [
  [-2.0201828704560856, 0.019953242059045872],
  [-0.9585724646138185, 0.3936193231522412],
  [0, 0.9453087204829419],
  [0.9585724646138185, 0.3936193231522412],
  [2.0201828704560856, 0.019953242059045872],
] as const;

/**
 * Share of the time on the stones of something that falls at w and is carried at v: from the top of a stone of height k
 * it is k/w in the air and flies v k/w; the next stands SPACING k away, so that 1 - v/(SPACING w) is left for sliding
 * (the hop of a saltating grain, whose length goes with speed times height over fall; the spacing from memory). The
 * fall is met by the ups and downs of the water, about the shear velocity near the bed (Nezu & Nakagawa 1993).
 */
export function touchShare(fall: number, speed: number, gusts: number): number {
  let sum = 0;
  for (const [point, weight] of HERMITE) {
    const w = fall + Math.SQRT2 * gusts * point;
    if (w > 0) sum += weight * Math.max(0, 1 - speed / (SPACING.value * w));
  }
  return sum / Math.sqrt(Math.PI);
}

/** Drag of the part of the line that is under water, N, in a line across the current that moves along at v. */
export function lineDrag(water: Water, { lineDiameter, distance, tipHeight }: Leash, v: number): number {
  const { depth } = water;
  const length = Math.hypot(distance, depth + tipHeight) * (depth / (depth + tipHeight));
  const layers = 12;
  let sum = 0;
  for (let k = 0; k < layers; k++) {
    const passing = speedIn(water, ((k + 0.5) / layers) * depth) - v;
    sum += passing * Math.abs(passing);
  }
  return 0.5 * WATER_DENSITY * LINE_NORMAL * lineDiameter * length * (sum / layers);
}

/**
 * How a weight goes along the bed on its line: half of the line's drag comes on it and pulls it along and up towards
 * the rod; the water near the bed pushes it; the stones hold it for the share of the time that it touches them.
 */
export function contactOf(water: Water, dragged: Dragged, leash: Leash): Contact {
  const { weight, fall, area } = dragged;
  const near = speedIn(water, Math.max(RUNS_AT.value.least, RUNS_AT.value.share * water.bedRoughness));
  const gusts = water.meanSpeed > 0 ? shearVelocity(water.meanSpeed, water.depth, roughIn(water)) : 0;
  const up = (water.depth + leash.tipHeight) / Math.hypot(leash.distance, water.depth + leash.tipHeight);
  const at = (v: number) => {
    const pull = 0.5 * lineDrag(water, leash, v);
    const lifted = Math.min(1, (Math.abs(pull) * up) / weight);
    const net = fall * Math.sqrt(1 - lifted);
    const touch = v <= 1e-9 ? 1 : touchShare(net, v, gusts);
    const push = pull + 0.5 * WATER_DENSITY * area * (near - v) * Math.abs(near - v);
    return { lifted, touch, gain: push - FRICTION * touch * weight * (1 - lifted) };
  };
  const still = at(0);
  if (still.gain <= 0) return { speed: 0, touch: 1, lifted: still.lifted, holds: true };
  const fastest = speedIn(water, water.depth);
  const speed = root((v) => at(v).gain, 1e-6, fastest, 1e-4 * fastest);
  return { speed, touch: at(speed).touch, lifted: at(speed).lifted, holds: false };
}

/** A roughness that a log profile bears. */
const roughIn = ({ depth, bedRoughness }: Water): number => Math.min(Math.max(bedRoughness, 1e-4), 0.5 * depth);
