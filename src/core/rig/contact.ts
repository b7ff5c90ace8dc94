import { shearVelocity } from "../flow/profile";
import { COMMON_PRACTICE, FROM_MEMORY, sourced, WATER_DENSITY } from "../quantity/provenance";
import { type Leash, linePull } from "./line-pull";
import { speedIn } from "./sink";
import { root } from "./solve";
import { hangingLine, hangingTouch } from "./vertical";
import type { Water } from "./water";

/** What is taken along the bed: weight in water, N, fall in still water, m/s, Cd times area of all that drags, m2. */
export interface Dragged {
  weight: number;
  fall: number;
  area: number;
}

export interface Contact {
  /** Speed along the bed, m/s: 0 where it holds. */
  speed: number;
  /** Share of the time on the stones: 1 where it holds. */
  touch: number;
  /** Share of its weight that the line takes off it. */
  lifted: number;
  /** It stays where it lies, under the line's pull and the water's push. */
  holds: boolean;
  /** The line at the rod, degrees from the vertical. */
  angle: number;
}

/** Friction of a weight on gravel: 0.3 to 0.6, a tangent of the grains' angle of repose. From memory. */
const FRICTION = sourced(0.6, "share", FROM_MEMORY);
/** Stones that a weight hops between stand about three of their heights apart (closely packed; from memory). */
const SPACING = sourced(3, "heights", FROM_MEMORY);
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

/**
 * How a weight goes along the bed on its line, from the forces on it: the line's (line-pull.ts), the push of the water
 * near the bed, and the stones, that hold it for the share of the time that it touches them. Cast down, the line keeps
 * it from going: it takes what pushes the weight as tension, that lifts it. Under the rod the angle decides.
 */
export function contactOf(water: Water, dragged: Dragged, leash: Leash): Contact {
  const { weight, area } = dragged;
  // What the bank has taught of the line holds for its lift on the way down too: drag goes with the fall's square.
  const fall = dragged.fall / Math.sqrt(leash.factor ?? 1);
  const near = speedIn(water, Math.max(RUNS_AT.value.least, RUNS_AT.value.share * water.bedRoughness));
  const gusts = water.meanSpeed > 0 ? shearVelocity(water.meanSpeed, water.depth, roughIn(water)) : 0;
  const pushAt = (v: number) => 0.5 * WATER_DENSITY * area * (near - v) * Math.abs(near - v);
  // Under the rod of a boat that drifts the line goes with it, and nothing stays where it lies.
  const boat = leash.presentation === "vertical" ? (leash.boatSpeed ?? 0) : 0;
  const still = linePull(water, leash, boat);
  const push = pushAt(0);
  const down = leash.presentation === "down" ? Math.max(0, still.along + push) : 0;
  const rise = (water.depth + leash.tipHeight) / Math.max(leash.distance, 0.1);
  const upAtRest = still.up + down * rise;
  const lifted = share(upAtRest / weight);
  const drive = leash.presentation === "down" ? 0 : Math.hypot(still.along + push, still.across);
  const holds = boat === 0 && lifted < 1 && drive <= FRICTION.value * (weight - Math.max(0, upAtRest));
  if (leash.presentation === "vertical") {
    const { angle } = hangingLine(water, weight, leash.lineDiameter, leash.factor, leash.boatSpeed);
    return { speed: 0, touch: hangingTouch(angle), lifted, holds, angle };
  }
  const resting = { lifted, holds, angle: still.angle };
  if (holds) return { ...resting, speed: 0, touch: 1 };
  if (leash.presentation === "down")
    return { ...resting, speed: 0, touch: lifted >= 1 ? 0 : touchShare(fall * Math.sqrt(1 - lifted), 0, gusts) };
  const at = (v: number) => {
    const pull = linePull(water, leash, v);
    const off = share(pull.up / weight);
    const touch = v <= 1e-9 ? 1 : touchShare(fall * Math.sqrt(1 - off), v, gusts);
    return { off, touch, gain: pull.along + pushAt(v) - FRICTION.value * touch * weight * (1 - off) };
  };
  if (at(0).gain <= 0) return { ...resting, speed: 0, touch: 1 };
  const fastest = speedIn(water, water.depth);
  const speed = root((v) => at(v).gain, 1e-6, fastest, 1e-4 * fastest);
  const moving = at(speed);
  return { speed, touch: moving.touch, lifted: moving.off, holds: false, angle: still.angle };
}

const share = (value: number): number => Math.min(1, Math.max(0, value));

/** A roughness that a log profile bears. */
const roughIn = ({ depth, bedRoughness }: Water): number => Math.min(Math.max(bedRoughness, 1e-4), 0.5 * depth);
