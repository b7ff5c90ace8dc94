import type { Lie } from "../core/fish/read";
import { type Field, sample } from "../core/flow/grid";
import type { Feature } from "../core/flow/reach-schema";
import { roughnessHeight } from "../core/flow/profile";
import type { Chosen } from "../core/rig/choice-names";
import { withChoices } from "../core/rig/with-choices";
import { type Learned, withLearned } from "../core/rig/learned";
import type { RigRequest } from "../core/rig/request";
import type { BaitKind } from "../core/tactics/baits";
import { tackleFor } from "../core/rig/from-box";
import { snagsNear } from "../core/rig/near-snags";
import type { TackleItem } from "../core/rig/tackle-item";
import type { Method } from "../core/tactics/methods";
import type { Conditions } from "./conditions";
import { keyOf } from "./key";

/** Fourth stage: what to tie on for a lie. */
export type OwnTackle = Pick<RigRequest, "tackle" | "style"> & {
  seen?: SeenWater;
  box?: readonly TackleItem[];
  /** What was chosen for each method, and what the bank has taught of its rig. */
  choices?: Readonly<Partial<Record<Method, Chosen>>>;
  learned?: Readonly<Partial<Record<Method, Learned>>>;
};
/** What the angler sees of the water and says: it is in no gauge. */
type SeenWater = Pick<RigRequest["water"], "wind" | "snags" | "weed" | "teeth" | "prey" | "preyLength">;

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
  { seen, box, choices, learned, ...own }: OwnTackle = {},
): RigRequest & { method: M } => {
  const chosen: Chosen = choices?.[method] ?? {};
  const request: RigRequest = {
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
    ...(box && box.length > 0 && { tackle: tackleFor(method, lie.depth, box, chosen.bait as BaitKind | undefined) }),
    ...own,
  };
  // The bait of a kind that is wanted is that of the box, where it has one.
  const { bait, ...others } = chosen;
  const wanted = withChoices(request, request.tackle?.bait?.kind === bait ? others : chosen);
  return { ...(learned?.[method] ? withLearned(wanted, learned[method]) : wanted), method };
};

export const rigKey = (request: RigRequest): string => keyOf("rig", request);
