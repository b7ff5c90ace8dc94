import { OUNCE } from "../core/quantity/units";
import { figureText, type UnitSystem } from "./quantity";

/** Jig heads are sold by shares of an ounce everywhere; the grams stand beside. */
const OUNCES: readonly (readonly [number, string])[] = [
  [1 / 32, "1/32 oz"],
  [1 / 16, "1/16 oz"],
  [1 / 10, "1/10 oz"],
  [1 / 8, "1/8 oz"],
  [1 / 6, "1/6 oz"],
  [3 / 16, "3/16 oz"],
  [1 / 5, "1/5 oz"],
  [1 / 4, "1/4 oz"],
  [3 / 8, "3/8 oz"],
  [1 / 2, "1/2 oz"],
  [1, "1 oz"],
  [7 / 4, "1 3/4 oz"],
];

/** A weight as it is sold, g in: grams decide; its share of an ounce stands beside where it is one. */
export function weightText(grams: number, system: UnitSystem): string {
  const sold = OUNCES.find(([share]) => Math.abs(grams / 1000 / OUNCE / share - 1) < 0.01)?.[1];
  const plain = `${figureText(grams, grams < 3 ? 2 : grams < 20 ? 1 : 0)} g`;
  if (!sold) return plain;
  return system === "us" ? `${sold} (${plain})` : `${plain} (${sold})`;
}

/** Hooks: larger numbers are smaller, then 1/0, 2/0 …. */
export const hookText = (hook: number): string => (hook <= 0 ? `${1 - hook}/0` : String(hook));
