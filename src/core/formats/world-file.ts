import { InputError } from "../quantity/fault";
import type { FileAffine } from "./file-place";

/**
 * A world file: six numbers, a line each (A, D, B, E, C, F), that place the middle of the upper left pixel. Common
 * practice, no published standard.
 * @throws InputError "not-world-file"
 */
export function readWorldFile(text: string, file?: string): FileAffine {
  const numbers = text
    .trim()
    .split(/\s+/)
    .map((one) => Number(one.replace(",", ".")));
  const [a, d, b, e, c, f] = numbers as [number, number, number, number, number, number];
  if (numbers.length !== 6 || !numbers.every(Number.isFinite) || Math.abs(a * e - b * d) < 1e-18)
    throw new InputError("not-world-file", {}, { file });
  // From the middle of the first pixel to its corner.
  return { x: [c - (a + b) / 2, a, b], y: [f - (d + e) / 2, d, e] };
}
