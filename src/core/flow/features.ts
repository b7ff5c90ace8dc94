import type { Feature } from "./reach-schema";
import { InputError } from "../quantity/fault";
import type { Grid } from "./grid";
import { ROUGHNESS } from "./substrate";

/** Distance from a feature's middle in units of its half-size: inside where < 1. */
export function within(feature: Feature, x: number, y: number): number {
  if (feature.kind === "boulder" || feature.kind === "pier")
    return Math.hypot(x - feature.x, y - feature.y) / (feature.diameter / 2);
  if (feature.kind === "wall") {
    const middle = (feature.from + feature.to) / 2;
    const half = Math.abs(feature.to - feature.from) / 2;
    return Math.max(Math.abs(x - feature.x) / (feature.thickness / 2), Math.abs(y - middle) / Math.max(half, 1e-6));
  }
  const a = (feature.angle * Math.PI) / 180;
  const dx = x - feature.x;
  const dy = y - feature.y;
  return Math.max(
    Math.abs(dx * Math.cos(a) + dy * Math.sin(a)) / (feature.length / 2),
    Math.abs(-dx * Math.sin(a) + dy * Math.cos(a)) / (feature.width / 2),
  );
}

/** Wood: what takes a line, and what a hooked fish runs for. */
export const isWood = ({ kind }: Feature): boolean => kind === "log" || kind === "log-jam";

/** Distance of a place from a feature's outline, m; 0 within it. */
export function distanceTo(feature: Feature, x: number, y: number): number {
  const [mx, my] = placeOf(feature);
  if (feature.kind === "boulder" || feature.kind === "pier")
    return Math.max(0, Math.hypot(x - mx, y - my) - feature.diameter / 2);
  const [length, width, angle] =
    feature.kind === "wall"
      ? [feature.thickness, Math.abs(feature.to - feature.from), 0]
      : [feature.length, feature.width, (feature.angle * Math.PI) / 180];
  const [dx, dy] = [x - mx, y - my];
  return Math.hypot(
    Math.max(0, Math.abs(dx * Math.cos(angle) + dy * Math.sin(angle)) - length / 2),
    Math.max(0, Math.abs(-dx * Math.sin(angle) + dy * Math.cos(angle)) - width / 2),
  );
}

/** Middle of a feature, m. */
export const placeOf = (feature: Feature): [number, number] =>
  feature.kind === "wall" ? [feature.x, (feature.from + feature.to) / 2] : [feature.x, feature.y];

/** A feature moved by dx, dy, its middle held within a reach of that length and breadth, m. */
export function moved(feature: Feature, dx: number, dy: number, [length, breadth]: readonly [number, number]): Feature {
  const held = (value: number, most: number) => Number(Math.min(most, Math.max(0, value)).toFixed(2));
  if (feature.kind === "wall") {
    const span = feature.to - feature.from;
    const from = Math.min(breadth - Math.max(0, span), Math.max(-Math.min(0, span), feature.from + dy));
    return {
      ...feature,
      x: held(feature.x + dx, length),
      from: Number(from.toFixed(2)),
      to: Number((from + span).toFixed(2)),
    };
  }
  return { ...feature, x: held(feature.x + dx, length), y: held(feature.y + dy, breadth) };
}

/**
 * Rise of the bed, m, at normalised distance r from the middle: stones are domes, wood, piers and walls flat-topped;
 * patches and cover raise nothing.
 */
function rise(feature: Feature, r: number): number {
  if (feature.kind === "patch" || feature.kind === "undercut" || feature.kind === "overhang") return 0;
  return feature.kind === "boulder" ? feature.height * Math.sqrt(1 - r * r) : feature.height;
}

/** Manning's n that a feature brings; wood only adds to the roughness under it. */
function roughnessUnder(feature: Feature, own: number): number {
  if (feature.kind === "patch") return ROUGHNESS.value[feature.substrate];
  return feature.kind === "log-jam" || feature.kind === "log" ? Math.max(own, ROUGHNESS.value.wood) : own;
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
      roughness[k] = roughnessUnder(feature, roughness[k]!);
    }
    const length = grid.nx * grid.cell;
    const breadth = grid.ny * grid.cell;
    if (touched === 0) {
      const y = feature.kind === "wall" ? feature.from : feature.y;
      const off = feature.x < 0 || feature.x > length || y < 0 || y > breadth;
      throw new InputError(
        off ? "feature-off-reach" : "feature-too-small",
        { kind: feature.kind, x: feature.x, y, length, breadth, cell: grid.cell },
        { path: `features[${index}]` },
      );
    }
  });
  return { ...grid, z, roughness };
}
