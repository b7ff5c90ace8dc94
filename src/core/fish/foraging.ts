import type { DriftFeeder } from "./species-schema";
import { standardWeight } from "./standard-weight";
import type { Light } from "../gauge/light";
import { FROM_MEMORY, sourced } from "../quantity/provenance";

/**
 * Drift foraging (Hughes & Dill 1990, Can. J. Fish. Aquat. Sci. 47, and successors; constants from memory).
 * Lengths in m, speeds in m/s, powers in W; the formulas' own cm and mm are converted where they stand.
 */

export const LIGHT_FACTOR = sourced(
  { day: 1, twilight: 0.6, night: 0.25 },
  "share of the daytime reaction distance",
  FROM_MEMORY,
);

/**
 * Turbidity shortens the reaction distance: exp(-(NTU/33.9)^1.84) goes through 0.80 at 15 NTU and 0.45 at 30 NTU
 * (rainbow trout; Barrett, Grossman & Rosenfeld 1992, Trans. Am. Fish. Soc. 121; from memory).
 */
export const turbidityFactor = (ntu: number): number => Math.exp(-((Math.max(0, ntu) / 33.9) ** 1.84));

/** Reaction distance, m: 12 PL (1 - exp(-0.2 FL)) cm, prey PL in mm, fish FL in cm (Hughes & Dill 1990). */
export const reactionDistance = (preyMm: number, forkCm: number): number =>
  (12 * preyMm * (1 - Math.exp(-0.2 * forkCm))) / 100;

/** Greatest sustained speed, m/s: 36.23 FL^0.19 cm/s, FL in cm (Hughes & Dill 1990), less in cold water. */
export const maximumSpeed = (forkCm: number, temperature: number): number =>
  (36.23 * forkCm ** 0.19 * coldFactor(temperature)) / 100;

/**
 * Share of swimming ability left in cold water: 0.6 at 2 C rising to 1 at 15 C (after Brett 1964, J. Fish. Res. Bd.
 * Can. 21; from memory).
 */
export const coldFactor = (temperature: number): number =>
  Math.min(1, Math.max(0.55, 0.6 + (0.4 * (temperature - 2)) / 13));

/**
 * Capture half-width at water speed V, m: sqrt(RD^2 - (V RD / Vmax)^2); zero when the prey is gone before the fish is
 * there.
 */
export const captureHalfWidth = (reaction: number, speed: number, fastest: number): number =>
  Math.sqrt(Math.max(0, reaction ** 2 - ((speed * reaction) / fastest) ** 2));

/** Oxygen's worth, J per g O2 (Elliott & Davison 1975). */
const JOULES_PER_GRAM_OXYGEN = 13_560;

/**
 * Cost of holding at a speed, W: R = 0.00264 W^-0.217 exp(0.06818 T) exp(0.0234 V) g O2 per g and day, W in g, V in
 * cm/s (Wisconsin model, rainbow trout/steelhead; from memory).
 */
export function swimmingCost(weightGrams: number, temperature: number, speed: number): number {
  const perGramDay = 0.00264 * weightGrams ** -0.217 * Math.exp(0.06818 * temperature) * Math.exp(0.0234 * speed * 100);
  return (perGramDay * weightGrams * JOULES_PER_GRAM_OXYGEN) / 86_400;
}

/** Drifting prey at the inlet, per m3 (order of magnitude: Elliott 1967; from memory). Scales all gains alike. */
export const DRIFT_DENSITY = sourced(0.3, "1/m3", FROM_MEMORY);

/**
 * Energy a fish keeps from one prey, J: 0.0064 L^2.788 mg dry (Benke et al. 1999), 21 J/mg, 0.7 assimilated; from
 * memory.
 */
export const preyEnergy = (lengthMm: number): number => 0.0064 * lengthMm ** 2.788 * 21 * 0.7;

export interface ForagingConditions {
  /** Water temperature, degC. */
  temperature: number;
  /** NTU. */
  turbidity: number;
  light: Light;
}

export interface Forager {
  reaction: number;
  fastest: number;
  weight: number;
  energy: number;
  temperature: number;
}

export function foragerOf(species: DriftFeeder, conditions: ForagingConditions): Forager {
  return {
    reaction:
      reactionDistance(species.preyLength, species.forkLength) *
      turbidityFactor(conditions.turbidity) *
      LIGHT_FACTOR.value[conditions.light],
    fastest: maximumSpeed(species.forkLength, conditions.temperature),
    weight: standardWeight(species, species.forkLength * 10)!,
    energy: preyEnergy(species.preyLength),
    temperature: conditions.temperature,
  };
}

/** Columns of water beside the fish, side by side across the current. */
export interface Columns {
  count: number;
  /** Across the current from the fish, m, and the breadth of one, m. */
  offset: Float64Array;
  width: number;
  depth: Float64Array;
  /**
   * Depth-mean speed, m/s, and the depth over the roughness length, ln(h/z0): what makes the log profile (profile.ts).
   */
  mean: Float64Array;
  lnDepth: Float64Array;
  /** Drift relative to the inlet. */
  drift: Float64Array;
}

/** Layers that each column is cut into, and ln of the height of their middles in shares of the depth. */
const LAYERS = 8;
const MIDDLES = Float64Array.from({ length: LAYERS }, (_, layer) => (layer + 0.5) / LAYERS);
const LN_MIDDLES = MIDDLES.map(Math.log);

/**
 * Power from the drift passing within reach, W: over the columns beside the fish and their layers, drift density x
 * speed x area
 * wherever the prey can be met before it is swept past.
 */
export function energyIntake(fish: Forager, focalHeight: number, columns: Columns): number {
  const reach2 = fish.reaction ** 2;
  const fastest2 = fish.fastest ** 2;
  let prey = 0;
  for (let c = 0; c < columns.count; c++) {
    const depth = columns.depth[c]!;
    const lnDepth = columns.lnDepth[c]!;
    const scale = columns.mean[c]! / (lnDepth - 1);
    const offset2 = columns.offset[c]! ** 2;
    let passing = 0;
    for (let layer = 0; layer < LAYERS; layer++) {
      // Speed at z by the log law: U (ln(h/z0) + ln(z/h)) / (ln(h/z0) - 1).
      const speed = Math.max(0, scale * (lnDepth + LN_MIDDLES[layer]!));
      const above = MIDDLES[layer]! * depth - focalHeight;
      if (offset2 + above * above <= reach2 * (1 - (speed * speed) / fastest2)) passing += speed;
    }
    prey += columns.drift[c]! * passing * (depth / LAYERS) * columns.width;
  }
  return prey * DRIFT_DENSITY.value * fish.energy;
}
