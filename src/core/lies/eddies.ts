import type { Field } from "../flow/grid";
import { components } from "./smooth";

/** Water that runs back upstream behind a break. */
export interface Eddy {
  x: number;
  y: number;
  /** m2 */
  area: number;
  /** Fastest return current, m/s. */
  returnSpeed: number;
  cells: number[];
}

/** Slower return water than this is slack, not an eddy, m/s; smaller patches are swirls, m2. Common practice, no source. */
const LEAST_RETURN = 0.03;
const LEAST_AREA = 2;

/** Patches where the mean current runs against the reach's own direction (x), largest first. */
export function findEddies(field: Field): Eddy[] {
  const { nx, ny, cell } = field;
  const back = Uint8Array.from(field.u, (u, k) => (field.depth[k]! > 0.1 && u < -LEAST_RETURN ? 1 : 0));
  return components(back, nx, ny)
    .map((cells): Eddy => ({
      x: (cells.reduce((sum, k) => sum + (k % nx), 0) / cells.length + 0.5) * cell,
      y: (cells.reduce((sum, k) => sum + Math.floor(k / nx), 0) / cells.length + 0.5) * cell,
      area: cells.length * cell * cell,
      returnSpeed: Math.max(...cells.map((k) => -field.u[k]!)),
      cells,
    }))
    .filter((eddy) => eddy.area >= LEAST_AREA)
    .sort((a, b) => b.area - a.area);
}
