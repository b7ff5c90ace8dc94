import type { Species } from "./species-schema";
import { cellsOf, type Field, speedAt } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { type Columns, energyIntake, type Forager, swimmingCost } from "./foraging";

/** Spacing of the columns looked at across the current, m. */
const SPACING = 0.12;

export interface EnergyField {
  /** Net energy intake of each cell, W; NaN where the fish cannot hold. */
  net: Float64Array;
  /** Speed at the fish's own height, m/s. */
  focalSpeed: Float64Array;
}

/** Height of the fish above the bed, m: its own, or less in thin water. */
export const focalHeightIn = (species: Species, depth: number): number => Math.min(species.focalHeight, 0.3 * depth);

/**
 * Net energy intake over the field: food from the neighbouring columns across the current, less the cost of holding.
 */
export function netEnergy(field: Field, drift: Float64Array, fish: Forager, species: Species): EnergyField {
  const { nx, ny, cell } = field;
  const net = new Float64Array(nx * ny).fill(NaN);
  const focalSpeed = new Float64Array(nx * ny);
  const speeds = cellsOf(new Float64Array(nx * ny), (k) => speedAt(field, k));
  const depths = Float64Array.from(field.depth);
  const each = Math.max(1, Math.ceil(fish.reaction / SPACING));
  const make = () => new Float64Array(2 * each + 1);
  const columns: Columns = {
    count: 0,
    width: SPACING,
    offset: make(),
    depth: make(),
    mean: make(),
    lnDepth: make(),
    drift: make(),
  };
  for (let k = 0; k < nx * ny; k++) {
    const depth = field.depth[k]!;
    if (depth < species.leastDepth) continue;
    const ks = roughnessHeight(field.roughness[k]!, depth);
    // Uncapped: each column caps it by its own depth.
    const roughness = roughnessHeight(field.roughness[k]!, Infinity);
    const height = focalHeightIn(species, depth);
    const focal = speedAtHeight(speeds[k]!, depth, ks, height);
    focalSpeed[k] = focal;
    if (focal >= fish.fastest) continue;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const size = Math.max(speeds[k]!, 1e-6);
    const [px, py] = [-field.v[k]! / size, field.u[k]! / size];
    columns.count = 0;
    for (let step = -each; step <= each; step++) {
      const offset = step * SPACING;
      const cx = x + offset * px;
      const cy = y + offset * py;
      if (cx < 0 || cy < 0 || cx > nx * cell || cy > ny * cell) continue;
      // One place on the grid for the three surfaces (grid.ts, sample).
      const fx = Math.min(nx - 1, Math.max(0, cx / cell - 0.5));
      const fy = Math.min(ny - 1, Math.max(0, cy / cell - 0.5));
      const i = Math.min(nx - 2, Math.floor(fx));
      const j = Math.min(ny - 2, Math.floor(fy));
      const q = j * nx + i;
      const there = mixed(depths, q, nx, fx - i, fy - j);
      if (there < 0.05) continue;
      const n = columns.count++;
      columns.offset[n] = offset;
      columns.depth[n] = there;
      columns.mean[n] = mixed(speeds, q, nx, fx - i, fy - j);
      columns.lnDepth[n] = Math.log((30 * there) / Math.min(roughness, 0.5 * there));
      columns.drift[n] = mixed(drift, q, nx, fx - i, fy - j);
    }
    net[k] = energyIntake(fish, height, columns) - swimmingCost(fish.weight, fish.temperature, focal);
  }
  return { net, focalSpeed };
}

/** Bilinear value in the square of cells whose first is q. */
function mixed(values: Float64Array, q: number, nx: number, a: number, b: number): number {
  return (
    (1 - b) * ((1 - a) * values[q]! + a * values[q + 1]!) + b * ((1 - a) * values[q + nx]! + a * values[q + nx + 1]!)
  );
}
