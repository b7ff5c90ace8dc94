import { within } from "../flow/features";
import type { Feature } from "../flow/reach-schema";
import type { Snags } from "../tactics/lure-kinds";

/** What of a reach's own objects is near enough to be caught on, m. Common practice, no source. */
const NEAR = 3;
/** Points looked at on the way there: closer together than a log is thick. */
const RINGS = Array.from({ length: 8 }, (_, k) => (k + 1) / 8);

/** Snags and weed about a place, from what stands and lies in the reach: wood and jams, patches of weed or wood. */
export function snagsNear(
  features: readonly Feature[] | undefined,
  { x, y }: { x: number; y: number },
): { snags: Snags; weed: boolean } {
  let snags: Snags = "none";
  let weed = false;
  for (const feature of features ?? []) {
    if (!isNear(feature, x, y)) continue;
    if (feature.kind === "log-jam" || (feature.kind === "patch" && feature.substrate === "wood")) snags = "many";
    else if (feature.kind === "log" && snags === "none") snags = "some";
    else if (feature.kind === "patch" && feature.substrate === "weed") weed = true;
  }
  return { snags, weed };
}

/** Within reach of its outline: looked at from the place, a ring of points about it. */
const isNear = (feature: Feature, x: number, y: number): boolean =>
  within(feature, x, y) < 1 ||
  Array.from({ length: 16 }, (_, k) => (k * Math.PI) / 8).some((angle) =>
    RINGS.some((share) => within(feature, x + NEAR * share * Math.cos(angle), y + NEAR * share * Math.sin(angle)) < 1),
  );
