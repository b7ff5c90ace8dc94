import type { Grid } from "./grid";

/** How far off each figure of a solve may be. */
export interface Unsure {
  /** Share of Manning's n either way. */
  roughness: number;
  /** m3/s, 10 and 90 %. */
  discharge: readonly [number, number];
  /** Level at the foot, m either way. */
  level: number;
  /** Cells, m: from the one size to the other. */
  cell: readonly [number, number];
}

/** One way that it may be. */
export interface Member {
  /** Factor of Manning's n. */
  roughness: number;
  discharge: number;
  /** m added to the level at the foot. */
  level: number;
  cell: number;
}

/** How often something was there, of so many members. */
export interface Holds {
  found: number;
  of: number;
}

/** n by a fifth (its tables are no surer), the level at the foot by a hand's breadth. Common practice, no source. */
export const USUAL_DOUBT = { roughness: 0.2, level: 0.05 } as const;
/** Where no forecast tells: a gauge's flow is known to about a tenth (common practice, no source). */
export const USUAL_FLOW_DOUBT = 0.1;
/** Members of an ensemble. */
export const MEMBERS = 10;

/**
 * Multipliers of a rank-one lattice modulo 11 (Korobov 1959): every figure takes each of its ten slices once, and no
 * two go together more than by a third.
 */
const LATTICE = [1, 2, 3, 4] as const;

/** Ten ways that it may be, spread evenly over all that is not known; the same ten each time. */
export function membersOf(unsure: Unsure): Member[] {
  const modulus = MEMBERS + 1;
  const share = (k: number, multiplier: number) => (((k * multiplier) % modulus) - 0.5) / MEMBERS;
  const between = ([low, high]: readonly [number, number], at: number) => low + (high - low) * at;
  return Array.from({ length: MEMBERS }, (_, index) => {
    const [n, q, level, cell] = LATTICE.map((multiplier) => share(index + 1, multiplier)) as [
      number,
      number,
      number,
      number,
    ];
    return {
      roughness: between([1 - unsure.roughness, 1 + unsure.roughness], n),
      discharge: between(unsure.discharge, q),
      level: between([-unsure.level, unsure.level], level),
      cell: between(unsure.cell, cell),
    };
  });
}

/** A bed with its roughness by a factor. */
export const rougher = (grid: Grid, factor: number): Grid => ({
  ...grid,
  roughness: grid.roughness.map((n) => n * factor),
});
