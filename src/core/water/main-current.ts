import { cellsOf, type Field } from "../flow/grid";
import { maskedBlurs } from "./smooth";

/** Smoothing at least, m, and as a share of the water's width: wider than the lee of a stone. Common practice. */
const LEAST = 3;
const SHARE = 0.25;

/** The way the reach runs about each cell: unit discharge, m2/s, smoothed over more than any one break. */
export type MainCurrent = Pick<Field, "nx" | "ny" | "cell" | "u" | "v" | "depth">;

/**
 * The main current: water that turns back in a lee is slow and thin beside what passes it, so that the discharge of its
 * surroundings says which way is up. What lies above and below a break, a fish or a cast goes by this.
 */
export function mainCurrent(field: Field): MainCurrent {
  const { nx, ny, cell, depth } = field;
  const wet = cellsOf(new Uint8Array(nx * ny), (k) => (depth[k]! > 0.03 ? 1 : 0));
  const sigma = Math.max(LEAST, SHARE * medianWidth(wet, nx, ny) * cell) / cell;
  const unit = (speed: Float32Array) => speed.map((one, k) => one * depth[k]!);
  const [u, v] = maskedBlurs([unit(field.u), unit(field.v)], wet, nx, ny, sigma).map((one) => Float32Array.from(one));
  return { nx, ny, cell, depth, u: u!, v: v! };
}

/** Wet cells across, in the middle of all columns. */
function medianWidth(wet: Uint8Array, nx: number, ny: number): number {
  const widths = new Float64Array(nx);
  for (let k = 0; k < nx * ny; k++) widths[k % nx]! += wet[k]!;
  return widths.sort()[Math.floor(nx / 2)]!;
}

/** Unit vector of the main current at a place, m; along the reach where none is known, as on a wide stone. */
export function mainHeading({ nx, ny, cell, u, v }: MainCurrent, x: number, y: number): [number, number] {
  // The nearest cells that have one: on a stone there is no water.
  const reach = Math.ceil(4 / cell);
  const [i, j] = [Math.floor(x / cell), Math.floor(y / cell)];
  let [a, b] = [0, 0];
  for (let ring = 0; ring <= reach && a === 0 && b === 0; ring++)
    for (let row = Math.max(0, j - ring); row <= Math.min(ny - 1, j + ring); row++)
      for (let at = Math.max(0, i - ring); at <= Math.min(nx - 1, i + ring); at++) {
        a += u[row * nx + at]!;
        b += v[row * nx + at]!;
      }
  const size = Math.hypot(a, b);
  return size > 1e-9 ? [a / size, b / size] : [1, 0];
}
