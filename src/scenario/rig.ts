import type { Lie } from "../core/fish/read";
import { type Field, sample } from "../core/flow/grid";
import type { Feature } from "../core/flow/reach-schema";
import { roughnessHeight } from "../core/flow/profile";
import type { RigAdvice } from "../core/rig/advice";
import { adviseRig } from "../core/rig/advise";
import type { RigRequest } from "../core/rig/request";
import { tackleFor } from "../core/rig/from-box";
import { snagsNear } from "../core/rig/near-snags";
import type { TackleItem } from "../core/rig/tackle-item";
import type { Method } from "../core/tactics/methods";
import type { Conditions } from "./conditions";
import { keyOf } from "./key";

/** Fourth stage: what to tie on for a lie. */
export type OwnTackle = Pick<RigRequest, "tackle" | "style"> & { seen?: SeenWater; box?: readonly TackleItem[] };
/** What the angler sees of the water and says: it is in no gauge. */
type SeenWater = Pick<RigRequest["water"], "wind" | "snags" | "weed" | "prey" | "preyLength">;

/** Manning's n at a place of a field. */
export const roughnessAt = ({ roughness, nx, ny, cell }: Field, { x, y }: { x: number; y: number }): number =>
  sample(roughness, nx, ny, cell, x, y);

/** What of a lie's water a rig hangs on, besides the lie itself. */
export interface RigFor<M extends Method = Method> {
  method: M;
  /** To the fish, m. */
  distance?: number;
  phase?: RigRequest["water"]["phase"];
  /** Of the reach: snags and weed come from them where the angler says nothing. */
  features?: readonly Feature[];
}

/** The water of a lie as a rig is worked out for it; `base` is the id of the fish that ships. */
export const rigRequest = <M extends Method>(
  field: Field,
  lie: Lie,
  { visibleDepth, temperature, light }: Pick<Conditions, "visibleDepth" | "temperature" | "light">,
  base: string,
  { method, distance, phase, features }: RigFor<M>,
  { seen, box, ...own }: OwnTackle = {},
): RigRequest & { method: M } => ({
  method,
  species: base,
  light,
  water: {
    depth: lie.depth,
    meanSpeed: lie.meanSpeed,
    bedRoughness: roughnessHeight(roughnessAt(field, lie), lie.depth),
    visibleDepth,
    temperature,
    fishHeight: lie.focalHeight,
    distance,
    phase,
    ...snagsNear(features, lie),
    ...seen,
  },
  ...(box && box.length > 0 && { tackle: tackleFor(method, lie.depth, box) }),
  ...own,
});

export const rigKey = (request: RigRequest): string => keyOf("rig", request);

export const rigFor = (request: RigRequest): RigAdvice => adviseRig(request);
