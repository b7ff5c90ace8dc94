import type { Feature, Reach } from "./reach-schema";

export type Identified = Feature & { id: string };

/**
 * Features with an id each: their own, or one by their place in the list where they have none or share it. The same
 * list always gets the same ids.
 */
export function identified(features: readonly Feature[]): Identified[] {
  const taken = new Set<string>();
  return features.map((feature, index) => {
    let id = feature.id !== undefined && !taken.has(feature.id) ? feature.id : `object-${index + 1}`;
    while (taken.has(id)) id = `${id}+`;
    taken.add(id);
    return { ...feature, id };
  });
}

/** A reach whose features all have ids. */
export const withFeatureIds = <T extends Pick<Reach, "features">>(reach: T): T =>
  reach.features ? { ...reach, features: identified(reach.features) } : reach;
