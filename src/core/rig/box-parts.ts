import type { BaitKind } from "../tactics/baits";
import { bodyMass } from "../tactics/sizes";
import { bodyWeight, dragAreaFromDrop } from "./fall";
import type { OwnTackle } from "./request";
import { bladeSpeed } from "./blade";
import type { TackleItem } from "./tackle-item";

/** What the pieces of a box are to a rig. */

/** Metal of the first that says its own. */
function metalOf(items: readonly TackleItem[]): Pick<OwnTackle, "metal"> {
  const metal = items.find((item) => item.metal !== undefined)?.metal;
  return metal ? { metal } : {};
}

/** The bait of the kind that is wanted, or the first in the box, by its own measures; and the hooks there are. */
export function baitOf(baits: readonly TackleItem[], hooks: readonly TackleItem[], wanted?: BaitKind): OwnTackle {
  const bait = wanted === undefined ? baits[0] : baits.find((one) => one.bait === wanted);
  return {
    ...(hooks.length > 0 && { hooks: hooks.map(({ hook }) => hook!) }),
    ...(bait ? { bait: ownBait(bait) } : wanted !== undefined && { bait: { kind: wanted } }),
  };
}

const ownBait = ({
  name,
  bait,
  grams,
  density,
  diameter,
  length,
  hook,
  lasts,
}: TackleItem): NonNullable<OwnTackle["bait"]> => ({
  name,
  ...(bait !== undefined && { kind: bait }),
  ...(grams !== undefined && { grams: Math.min(500, grams) }),
  ...(density !== undefined && { density }),
  ...(diameter !== undefined && { diameter }),
  ...(length !== undefined && { length: Math.min(0.6, length) }),
  ...(hook !== undefined && { hook }),
  ...(lasts !== undefined && { lasts }),
});

/** Sizes of shot by the angler's own names, with how many there are. */
export const shotOf = (shot: readonly TackleItem[]): OwnTackle =>
  shot.length === 0
    ? {}
    : {
        shot: shot.map(({ name, grams, count }) => ({
          size: name.slice(0, 20),
          grams: grams!,
          ...(count !== null && { count: Math.min(999, count) }),
        })),
        ...metalOf(shot),
      };

/** The floats there are, and shot for them. */
export const floatOf = (floats: readonly TackleItem[], shot: readonly TackleItem[]): OwnTackle => ({
  ...shotOf(shot),
  ...(floats.length > 0 && {
    floats: floats.map(({ capacity, length }) => ({ capacity: capacity!, ...(length !== undefined && { length }) })),
  }),
});

/** The plug whose depth comes nearest to a third more than the water's: it must touch on a shorter line. */
export function plugOf(plugs: readonly TackleItem[], depth: number): OwnTackle {
  const [plug] = [...plugs].sort((a, b) => Math.abs(a.dives! - 1.3 * depth) - Math.abs(b.dives! - 1.3 * depth));
  if (!plug) return {};
  const { grams, dives, buoyancy = 0.1 * plug.grams!, least = 0.4, best = 0.9, length } = plug;
  return { plug: { grams: grams!, dives: dives!, buoyancy, least, best, ...(length !== undefined && { length }) } };
}

export function spinnerOf([spinner]: readonly TackleItem[]): OwnTackle {
  if (!spinner) return {};
  const { grams, least, blade = 2 } = spinner;
  return { spinner: { grams: grams!, least: least ?? bladeSpeed(blade) } };
}

/** Weights of which one is chosen. */
export const weightsOf = (weights: readonly TackleItem[]): OwnTackle =>
  weights.length > 0 ? { heads: weights.map(({ grams }) => grams!), ...metalOf(weights) } : {};

/** Drag of the dressing from a timed drop, where one was made. */
export function dropOf(items: readonly TackleItem[]): OwnTackle {
  const timed = items.find(({ drop }) => drop !== undefined);
  if (!timed?.drop) return {};
  const { drop, kind, length } = timed;
  const dressing = kind === "body" ? bodyWeight(timed.grams ?? bodyMass(length!), 1100) : 0;
  const dragArea = dragAreaFromDrop({ grams: drop.grams, metal: drop.metal, dressing }, drop);
  return dragArea === undefined ? {} : { dragArea: Math.min(0.05, dragArea) };
}
