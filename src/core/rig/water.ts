import { InputError } from "../quantity/fault";

/** The water that a rig fishes in. */
export interface Water {
  /** m */
  depth: number;
  /** Depth-mean speed, m/s. */
  meanSpeed: number;
  /** Roughness height ks, m; 0: the same speed at every height. */
  bedRoughness: number;
}

const LIMITS = { depth: [0.1, 30], meanSpeed: [0, 5], bedRoughness: [0, 3] } as const;

/** @throws InputError "bad-water" where no rig is worked out for a depth, a speed or a roughness */
export function checkWater(water: Water): void {
  for (const [name, [low, high]] of Object.entries(LIMITS)) {
    const value = water[name as keyof Water];
    if (!Number.isFinite(value) || value < low || value > high)
      throw new InputError("bad-water", { name, low, high, value }, { path: `water.${name}` });
  }
}
