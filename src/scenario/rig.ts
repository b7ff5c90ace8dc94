import type { Lie } from "../core/fish/read";
import { type Field, sample } from "../core/flow/grid";
import { roughnessHeight } from "../core/flow/profile";
import { adviseRig, type RigAdvice, type RigRequest } from "../core/rig/advise";
import type { Conditions } from "./conditions";
import { keyOf } from "./key";

/** Fourth stage: what to tie on for a lie. */
export type OwnTackle = Pick<RigRequest, "tackle" | "style">;

/** Manning's n at a place of a field. */
export const roughnessAt = ({ roughness, nx, ny, cell }: Field, { x, y }: { x: number; y: number }): number =>
  sample(roughness, nx, ny, cell, x, y);

/** The water of a lie as a rig is worked out for it; `base` is the id of the fish that ships. */
export const rigRequest = (
  field: Field,
  lie: Lie,
  { visibleDepth, temperature, light }: Pick<Conditions, "visibleDepth" | "temperature" | "light">,
  base: string,
  own: OwnTackle = {},
): RigRequest => ({
  method: "float",
  species: base,
  light,
  water: {
    depth: lie.depth,
    meanSpeed: lie.meanSpeed,
    bedRoughness: roughnessHeight(roughnessAt(field, lie), lie.depth),
    visibleDepth,
    temperature,
  },
  ...own,
});

export const rigKey = (request: RigRequest): string => keyOf("rig", request);

export const rigFor = (request: RigRequest): RigAdvice => adviseRig(request);
