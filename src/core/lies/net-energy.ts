import { type Field, sample, speedAt } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { type Column, energyIntake, type Forager, swimmingCost } from "./foraging";
import type { Species } from "./species";

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

/** Net energy intake over the field: food from the neighbouring columns across the current, less the cost of holding. */
export function netEnergy(field: Field, drift: Float64Array, fish: Forager, species: Species): EnergyField {
  const { nx, ny, cell } = field;
  const net = new Float64Array(nx * ny).fill(NaN);
  const focalSpeed = new Float64Array(nx * ny);
  const speeds = Float64Array.from(field.u, (_, k) => speedAt(field, k));
  const each = Math.max(1, Math.ceil(fish.reaction / SPACING));
  for (let k = 0; k < nx * ny; k++) {
    const depth = field.depth[k]!;
    if (depth < species.leastDepth) continue;
    const ks = roughnessHeight(field.roughness[k]!, depth);
    const height = focalHeightIn(species, depth);
    const focal = speedAtHeight(speeds[k]!, depth, ks, height);
    focalSpeed[k] = focal;
    if (focal >= fish.fastest) continue;
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const size = Math.max(speeds[k]!, 1e-6);
    const [px, py] = [-field.v[k]! / size, field.u[k]! / size];
    const columns: Column[] = [];
    for (let step = -each; step <= each; step++) {
      const offset = step * SPACING;
      const [cx, cy] = [x + offset * px, y + offset * py];
      if (cx < 0 || cy < 0 || cx > nx * cell || cy > ny * cell) continue;
      const there = sample(field.depth, nx, ny, cell, cx, cy);
      if (there < 0.05) continue;
      const speed = sample(speeds, nx, ny, cell, cx, cy);
      const roughness = roughnessHeight(field.roughness[k]!, there);
      columns.push({ offset, width: SPACING, depth: there, drift: sample(drift, nx, ny, cell, cx, cy), speed: (at) => speedAtHeight(speed, there, roughness, at) });
    }
    net[k] = energyIntake(fish, height, columns) - swimmingCost(fish.weight, fish.temperature, focal);
  }
  return { net, focalSpeed };
}
