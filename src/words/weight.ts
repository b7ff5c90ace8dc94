import { OUNCE } from "../core/quantity/units";
import { figureText, type UnitSystem } from "./quantity";

/** Jig heads are sold by shares of an ounce everywhere; the grams stand beside. */
const OUNCES: readonly (readonly [number, string])[] = [
  [1 / 100, "1/100"],
  [1 / 80, "1/80"],
  [1 / 64, "1/64"],
  [1 / 32, "1/32"],
  [1 / 16, "1/16"],
  [1 / 10, "1/10"],
  [1 / 8, "1/8"],
  [1 / 6, "1/6"],
  [3 / 16, "3/16"],
  [1 / 5, "1/5"],
  [1 / 4, "1/4"],
  [3 / 8, "3/8"],
  [1 / 2, "1/2"],
  [3 / 4, "3/4"],
  [1, "1"],
  [3 / 2, "1 1/2"],
  [7 / 4, "1 3/4"],
  [2, "2"],
  [5 / 2, "2 1/2"],
  [3, "3"],
  [4, "4"],
  [6, "6"],
];
/** Under this nobody weighs in ounces, g. */
const SMALL = 3;

const gramsText = (grams: number): string => figureText(grams, grams < SMALL ? 2 : grams < 20 ? 1 : 0);
const soldAs = (grams: number): string | undefined =>
  OUNCES.find(([share]) => Math.abs(grams / 1000 / OUNCE / share - 1) < 0.01)?.[1];

/** A weight as a large figure and what stands beside it: by its share of an ounce where it is sold so, with grams. */
export function weightParts(grams: number, system: UnitSystem): { figure: string; unit: string } {
  const sold = soldAs(grams);
  if (system === "metric") return { figure: gramsText(grams), unit: sold ? `g (${sold} oz)` : "g" };
  if (sold) return { figure: sold, unit: `oz (${gramsText(grams)} g)` };
  return grams < SMALL
    ? { figure: gramsText(grams), unit: "g" }
    : { figure: figureText(grams / 1000 / OUNCE, 2), unit: `oz (${gramsText(grams)} g)` };
}

/** A weight as it is sold, g in: grams decide; its name on the box, or its share of an ounce, stands beside. */
export function weightText(grams: number, system: UnitSystem, size?: string | null): string {
  if (size) return `${size} (${gramsText(grams)} g)`;
  const { figure, unit } = weightParts(grams, system);
  return `${figure} ${unit}`;
}

/** Pieces of one weight: "2 × BB (0.4 g)"; a single one by itself. */
export const piecesText = (
  { pieces, piece, size }: { pieces: number; piece: number; size?: string | null },
  system: UnitSystem,
): string => (pieces > 1 ? `${pieces} × ${weightText(piece, system, size)}` : weightText(piece, system, size));

/** Hooks: larger numbers are smaller, then 1/0, 2/0 …. */
export const hookText = (hook: number): string => (hook <= 0 ? `${1 - hook}/0` : String(hook));
