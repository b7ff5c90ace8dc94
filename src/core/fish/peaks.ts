import type { Field } from "../flow/grid";

/** Peaks lie at least so many cells within the edge: the field there is of its open ends. */
const MARGIN = 2;

/**
 * Highest cells of a surface, best first: over nought, none within `apart` m of another or of those already taken.
 * @param values one a cell, row by row; NaN where there is none
 */
export function peaks(
  values: Float64Array,
  { nx, ny, cell }: Pick<Field, "nx" | "ny" | "cell">,
  apart: number,
  most: number,
  taken: readonly number[],
): number[] {
  const order: number[] = [];
  const around = [-nx - 1, -nx, -nx + 1, -1, 1, nx - 1, nx, nx + 1];
  for (let j = MARGIN; j < ny - MARGIN; j++) {
    for (let i = MARGIN; i < nx - MARGIN; i++) {
      const k = j * nx + i;
      if (values[k]! > 0 && isLocalPeak(values, k, around)) order.push(k);
    }
  }
  order.sort((a, b) => values[b]! - values[a]!);
  const chosen: number[] = [];
  const clear = (k: number, other: number) =>
    Math.hypot((k % nx) - (other % nx), Math.floor(k / nx) - Math.floor(other / nx)) * cell >= apart;
  for (const k of order) {
    if (chosen.length >= most) break;
    if ([...chosen, ...taken].every((other) => clear(k, other))) chosen.push(k);
  }
  return chosen;
}

/** No neighbour is higher; one that is not a number is not. */
const isLocalPeak = (values: Float64Array, k: number, around: readonly number[]): boolean =>
  around.every((to) => !(values[k + to]! > values[k]!));
