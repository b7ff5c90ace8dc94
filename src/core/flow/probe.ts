import { GRAVITY } from "../quantity/provenance";
import { type Field, sample } from "./grid";
import { roughnessHeight, speedAtHeight, surfaceSpeed } from "./profile";

/** The water at one place of a solved field. */
export interface Probe {
  x: number;
  y: number;
  /** m; 0 on dry ground, where the rest is 0 too. */
  depth: number;
  /** Depth-mean speed, and by the log profile at the surface and 0.1 m over the bed, m/s. */
  mean: number;
  surface: number;
  nearBed: number;
  /** Where it runs to, degrees: 0 down the reach, 90 to the right bank. */
  heading: number;
  froude: number;
  /** Manning's n of the bed under it. */
  roughness: number;
  /** Standard deviation of the speed as the water pulses, m/s. */
  pulse: number;
}

/** Height over the bed that counts as near it, m; less in thin water. */
const NEAR_BED = 0.1;

/** Reads a field at (x, y), m, between its cells; places off the reach are taken to its edge. */
export function probeAt(field: Field, x: number, y: number): Probe {
  const { nx, ny, cell } = field;
  const [px, py] = [Math.min(nx * cell, Math.max(0, x)), Math.min(ny * cell, Math.max(0, y))];
  const at = (values: ArrayLike<number>) => sample(values, nx, ny, cell, px, py);
  const here = Math.min(ny - 1, Math.floor(py / cell)) * nx + Math.min(nx - 1, Math.floor(px / cell));
  const wet = field.depth[here]! > 0;
  const depth = wet ? at(field.depth) : 0;
  const [u, v] = wet ? [at(field.u), at(field.v)] : [0, 0];
  const mean = Math.hypot(u, v);
  const roughness = field.roughness[here]!;
  const ks = roughnessHeight(roughness, depth);
  return {
    x: px,
    y: py,
    depth,
    mean,
    roughness,
    surface: wet ? surfaceSpeed(mean, depth, ks) : 0,
    nearBed: wet ? speedAtHeight(mean, depth, ks, Math.min(NEAR_BED, depth / 2)) : 0,
    heading: mean > 0 ? (Math.atan2(v, u) * 180) / Math.PI : 0,
    froude: wet ? mean / Math.sqrt(GRAVITY * depth) : 0,
    pulse: wet ? at(field.speedDeviation) : 0,
  };
}
