import { InputError } from "../errors";
import type { Grid } from "./grid";
import type { Feature } from "./reach";

/** Manning's n of wood in water: piled branches let little through (Chow 1959, table 5-6, "dense brush and debris", 0.1-0.2). */
const WOOD_ROUGHNESS = 0.15;

/** Distance from a feature's middle in units of its half-size: inside where < 1. */
export function within(feature: Feature, x: number, y: number): number {
  if (feature.kind === "boulder") return Math.hypot(x - feature.x, y - feature.y) / (feature.diameter / 2);
  if (feature.kind === "wall") {
    const middle = (feature.from + feature.to) / 2;
    const half = Math.abs(feature.to - feature.from) / 2;
    return Math.max(Math.abs(x - feature.x) / (feature.thickness / 2), Math.abs(y - middle) / Math.max(half, 1e-6));
  }
  const a = (feature.angle * Math.PI) / 180;
  const dx = x - feature.x;
  const dy = y - feature.y;
  return Math.max(Math.abs(dx * Math.cos(a) + dy * Math.sin(a)) / (feature.length / 2), Math.abs(-dx * Math.sin(a) + dy * Math.cos(a)) / (feature.width / 2));
}

/** Rise of the bed, m, at normalised distance r from the middle: stones are domes, wood and walls flat-topped. */
function rise(feature: Feature, r: number): number {
  return feature.kind === "boulder" ? feature.height * Math.sqrt(1 - r * r) : feature.height;
}

/** Puts the features on a bed. A feature that lies wholly off the grid is refused by its path. */
export function placeFeatures(grid: Grid, features: readonly Feature[]): Grid {
  const z = Float64Array.from(grid.z);
  const roughness = Float64Array.from(grid.roughness);
  features.forEach((feature, index) => {
    let touched = 0;
    for (let k = 0; k < z.length; k++) {
      const x = ((k % grid.nx) + 0.5) * grid.cell;
      const y = (Math.floor(k / grid.nx) + 0.5) * grid.cell;
      const r = within(feature, x, y);
      if (r >= 1) continue;
      touched++;
      z[k] = grid.z[k]! + rise(feature, r);
      if (feature.kind === "log-jam") roughness[k] = Math.max(roughness[k]!, WOOD_ROUGHNESS);
    }
    const length = grid.nx * grid.cell;
    const breadth = grid.ny * grid.cell;
    if (touched === 0) {
      const y = feature.kind === "wall" ? feature.from : feature.y;
      const off = feature.x < 0 || feature.x > length || y < 0 || y > breadth;
      throw new InputError(off ? "feature-off-reach" : "feature-too-small", off
        ? `The ${feature.kind} at ${feature.x}, ${y} lies off the reach, which is ${length} x ${breadth} m.`
        : `The ${feature.kind} at ${feature.x}, ${y} is smaller than a cell of ${grid.cell} m. Make it larger, or the cell smaller.`, { path: `features[${index}]` });
    }
  });
  return { ...grid, z, roughness };
}
