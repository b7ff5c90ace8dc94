import { cellsOf, type Field, speedAt } from "../flow/grid";
import { FROM_MEMORY, sourced } from "../quantity/provenance";

/** 0 dry, 1 easy, 2 careful, 3 strong, 4 stay out. */
export type WadingClass = 0 | 1 | 2 | 3 | 4;

/**
 * Depth x speed, m2/s. Stay out from 0.93: the US hydrographers' rule of ten, ft x ft/s (USGS safety practice);
 * the cautious bands below it are common practice. Depth over 1.1 m or speed over 1.5 m/s: stay out whatever the
 * product
 * (human-stability tests such as Abt et al. 1989; from memory).
 */
export const WADING = sourced(
  { careful: 0.3, strong: 0.6, stayOut: 10 * 0.3048 ** 2, depth: 1.1, speed: 1.5 },
  "m2/s, m, m/s",
  FROM_MEMORY,
);

export function wadingClass(depth: number, speed: number): WadingClass {
  const limit = WADING.value;
  if (depth <= 0) return 0;
  const product = depth * speed;
  if (product >= limit.stayOut || depth > limit.depth || speed > limit.speed) return 4;
  if (product >= limit.strong) return 3;
  return product >= limit.careful ? 2 : 1;
}

export interface Wading {
  classes: Uint8Array;
  /** Areas, m2: safe is class 1, caution 2 and 3, stayOut 4. */
  safe: number;
  caution: number;
  stayOut: number;
}

export function wadingZones(field: Field): Wading {
  const classes = cellsOf(new Uint8Array(field.nx * field.ny), (k) => wadingClass(field.depth[k]!, speedAt(field, k)));
  const area = [0, 0, 0, 0, 0];
  for (const one of classes) area[one]! += field.cell ** 2;
  return { classes, safe: area[1]!, caution: area[2]! + area[3]!, stayOut: area[4]! };
}
