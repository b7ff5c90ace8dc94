import { dragAreaFromDrop, type Falling } from "./fall";

/** Largest drag area that a lure can have, m2. */
const MOST = 0.05;

/** Cd times area of what dresses a head, m2, from one timed drop of it; undefined where it fell faster than bare. */
export function dropArea(
  { dragArea: _, ...head }: Falling,
  drop: { depth: number; seconds: number },
): number | undefined {
  const area = dragAreaFromDrop(head, drop);
  return area === undefined ? undefined : Math.min(MOST, area);
}
