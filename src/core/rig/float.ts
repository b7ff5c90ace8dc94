import { InputError } from "../quantity/fault";
import { COMMON_PRACTICE, sourced, WATER_DENSITY } from "../quantity/provenance";
import { DENSITY, type Metal, sphereDiameter, submergedWeight } from "./drag";
import { hang, type Hang } from "./hang";
import type { Weight } from "./line-shape";
import { type BoxShot, type Placed, SHOT_SIZES, shotPlan } from "./shot";
import { type Shotting } from "./shotting";
import { speedIn } from "./sink";
import { root } from "./solve";
import { checkWater, type Water } from "./water";

export interface FloatTackle {
  /** g of shot that the float carries. */
  capacity: number;
  /** m */
  lineDiameter: number;
  /** Finer line from the lowest shot to the hook, m. */
  leader: number;
  /** Hook and bait: mass, g, and the sphere that drags like it, m. */
  bait: { grams: number; diameter: number; density: number };
  metal: Metal;
  /** The box; the sizes that are usual where it is not given. */
  shot?: readonly BoxShot[];
  /** Length of the float, m. */
  floatLength?: number;
  /** A shot sits half-way down the leader: it pins a bait that floats, and sinks a fine leader. */
  pinned?: boolean;
}

/** A light river float rig (sizes: common practice, no source). Tin shot: lead is banned or limited in many places. */
export const FLOAT_TACKLE = sourced<FloatTackle>(
  {
    capacity: 2,
    lineDiameter: 0.0002,
    leader: 0.4,
    bait: { grams: 0.25, diameter: 0.008, density: 1300 },
    metal: "tin",
  },
  "g, m",
  COMMON_PRACTICE,
);

export interface FloatStyle {
  shotting?: Shotting;
  /** Share of the surface speed that the float is held back by, 0..0.6; found by the model when not given. */
  holdBack?: number;
  /** Float to lowest shot, m: as it is set, instead of found. */
  setting?: number;
  /** Wanted height of the lowest shot above the bed, m. */
  shotHeight?: number;
  /** A bait too light to count as depth: the shot stands at full depth, whatever hangs under it. */
  lightBait?: boolean;
}

export interface FloatRig {
  /** Float to lowest shot, m: what is set on the line. */
  setting: number;
  /** Height of the bait above the bed as it fishes, m. */
  baitHeight: number;
  /** Height of the lowest shot above the bed as it fishes, m. */
  shotHeight: number;
  /** How far the current lifts the bait above where it would hang in still water, m. */
  lift: number;
  /** m that the bait runs ahead of the float, down-current; negative: it trails. */
  lead: number;
  holdBack: number;
  /** Speed of the float over the ground and of the surface, m/s. */
  floatSpeed: number;
  surfaceSpeed: number;
  shotting: Shotting;
  shot: Placed[];
  shape: Hang["shape"];
  /** The bed is touched as it fishes. */
  touches: boolean;
}

/**
 * Submerged body of a float that carries `capacity` g of shot: an egg drags like a sphere of its volume, nearly (common
 * practice, no source).
 */
const floatDiameter = (capacityGrams: number): number => sphereDiameter((capacityGrams / 1000) * 1.4, WATER_DENSITY);

/** Most that a float is held back before the bait is dragged off its line. Common practice, no source. */
const MOST_HELD = 0.4;
/**
 * Height over the bed that the lowest shot is wanted at, and that the bait must keep, m. Common practice, no source.
 */
const WANTED = 0.15;
const BAIT_CLEAR = 0.04;
/**
 * Height of bait put up with, and the least that 5 % more hold-back must take off it to be worth the trouble, m. Common
 * practice, no source.
 */
const TOLERATED = 0.12;
const WORTHWHILE = 0.008;

/**
 * Tapered runs the bait ahead in an even flow; bulk gets down in strong water; even suits the slow. Common practice, no
 * source.
 */
export const shottingFor = (water: Water): Shotting =>
  water.meanSpeed > 0.6 ? "bulk" : water.meanSpeed < 0.15 ? "even" : "tapered";

/** What the bait takes of the float's capacity, in grams of shot of its metal; below nought of a bait that floats. */
export const carriedBy = ({ bait, metal }: FloatTackle): number =>
  submergedWeight(bait.grams / 1000, bait.density) / submergedWeight(0.001, DENSITY[metal]);

/**
 * The float for a bait: the usual one, or the next half gram that leaves it a gram and a half of shot. Common practice,
 * no source.
 */
export const floatFor = (tackle: FloatTackle): number =>
  Math.max(FLOAT_TACKLE.value.capacity, Math.ceil((carriedBy(tackle) + 1.5) * 2) / 2);

/** What outweighs a floating bait's lift by so much pins it. Common practice, no source. */
const PINS = 1.2;

/**
 * The smallest shot of the box that holds a floating bait down, or the heaviest; for a bait that sinks the smallest.
 */
function pinShot(tackle: FloatTackle): { size: string; grams: number } {
  const box: readonly BoxShot[] = tackle.shot?.filter(({ count }) => count !== 0) ?? SHOT_SIZES.value;
  const wanted = PINS * Math.max(0, -carriedBy(tackle));
  const sorted = [...box].sort((a, b) => a.grams - b.grams);
  const { size, grams } = sorted.find((one) => one.grams >= wanted) ?? sorted.at(-1)!;
  return { size, grams };
}

/** The shot on the main line, at shares of the setting; what bait and a pinned shot take is left out. */
const wholePlan = (tackle: FloatTackle, shotting: Shotting): Placed[] =>
  shotPlan(tackle.capacity - carriedBy(tackle) - (tackle.pinned ? pinShot(tackle).grams : 0), shotting, 1, tackle.shot);

interface Weighted {
  length: number;
  weights: Weight[];
}

/** Everything hung under the float for a setting: bait at the end, shot above it. */
function weighted(setting: number, tackle: FloatTackle, plan: readonly Placed[]): Weighted {
  const length = setting + tackle.leader;
  const bait: Weight = {
    fromEnd: 0,
    weight: submergedWeight(tackle.bait.grams / 1000, tackle.bait.density),
    diameter: tackle.bait.diameter,
  };
  const shot = plan.flatMap((one): Weight[] =>
    Array.from({ length: one.count }, () => ({
      fromEnd: length - one.below,
      weight: submergedWeight(one.grams / 1000, DENSITY[tackle.metal]),
      diameter: sphereDiameter(one.grams / 1000, DENSITY[tackle.metal]),
    })),
  );
  return { length, weights: [bait, ...shot] };
}

/**
 * How a float of a given setting fishes. A free float runs at the speed at which the water pushes it no more than its
 * line drags it.
 */
export function fishFloat(
  water: Water,
  tackle: FloatTackle,
  setting: number,
  shotting: Shotting,
  holdBack = 0,
  whole = wholePlan(tackle, shotting),
): FloatRig {
  const speed = (z: number) => speedIn(water, z);
  const surface = speedIn(water, water.depth);
  const plan = [
    ...whole.map((shot) => ({ ...shot, below: shot.below * setting })),
    ...(tackle.pinned ? [{ ...pinShot(tackle), count: 1, below: setting + tackle.leader / 2 }] : []),
  ];
  const { length, weights } = weighted(setting, tackle, plan);
  const at = (floatSpeed: number) =>
    hang({ speed, floatSpeed, depth: water.depth, length, lineDiameter: tackle.lineDiameter, weights });
  const body = floatDiameter(tackle.capacity);
  // Net push of water and line on a float running at v: positive while it would still gain speed.
  const gain = (v: number) => push(body, surface - v) + at(v).pullAlong;
  const held = (1 - Math.max(0, holdBack)) * surface;
  const floatSpeed =
    surface <= 1e-6 ? 0 : holdBack > 0 && gain(held) >= 0 ? held : root(gain, 0, surface, 1e-4 * surface);
  const found = at(floatSpeed);
  const shotAt = found.shape.reduce((best, point) =>
    Math.abs(point.s - tackle.leader) < Math.abs(best.s - tackle.leader) ? point : best,
  );
  return {
    setting,
    baitHeight: Math.max(0, found.endHeight),
    shotHeight: shotAt.z,
    lift: found.endHeight - (water.depth - length),
    lead: found.shape[0]!.x - found.shape.at(-1)!.x,
    holdBack: Math.max(0, holdBack),
    floatSpeed,
    surfaceSpeed: surface,
    shotting,
    shot: plan,
    shape: found.shape,
    touches: found.endHeight <= 0.01,
  };
}

/** Drag of the water on the float's body, N. Cd of a bluff, half-sunk body about 0.5 (common practice, no source). */
const push = (diameter: number, relative: number): number =>
  0.5 * WATER_DENSITY * 0.5 * ((Math.PI * diameter ** 2) / 4) * relative * Math.abs(relative);

/**
 * A first setting: the float-to-shot length that fishes the lowest shot at the wanted height off the bed. The shot is
 * counted as
 * the depth, since the bait beyond it lifts. Without a stated hold-back the least one is taken (steps of 5 %) that
 * keeps the lift small.
 */
export function setFloat(water: Water, tackle: FloatTackle = FLOAT_TACKLE.value, style: FloatStyle = {}): FloatRig {
  checkWater(water);
  if (carriedBy(tackle) > 0.9 * tackle.capacity)
    throw new InputError(
      "float-too-small",
      { capacity: tackle.capacity, carried: carriedBy(tackle) },
      { path: "tackle.capacity" },
    );
  const shotting = style.shotting ?? shottingFor(water);
  const wanted = style.shotHeight ?? WANTED;
  if (wanted >= water.depth - 0.05)
    throw new InputError(
      "too-shallow",
      { wanted },
      {
        path: "water.depth",
      },
    );
  const whole = wholePlan(tackle, shotting);
  const settle = (holdBack: number): FloatRig => {
    if (style.setting !== undefined) return fishFloat(water, tackle, style.setting, shotting, holdBack, whole);
    const over = (length: number) => {
      const rig = fishFloat(water, tackle, length, shotting, holdBack, whole);
      const above = rig.shotHeight - wanted;
      return style.lightBait ? above : Math.min(above, rig.shape[0]!.z - BAIT_CLEAR);
    };
    return fishFloat(water, tackle, root(over, 0.05, water.depth + 1.2, 1e-3), shotting, holdBack, whole);
  };
  if (style.holdBack !== undefined) return settle(Math.min(0.6, Math.max(0, style.holdBack)));
  let rig = settle(0);
  // Its line holds a free float back already: less than that is not felt.
  const own = rig.surfaceSpeed > 0 ? 1 - rig.floatSpeed / rig.surfaceSpeed : 0;
  for (let hold = 5 * (Math.floor(20 * own) + 1); hold <= MOST_HELD * 100 && rig.baitHeight > TOLERATED; hold += 5) {
    const next = settle(hold / 100);
    if (rig.baitHeight - next.baitHeight < WORTHWHILE) break;
    rig = next;
  }
  return rig;
}
