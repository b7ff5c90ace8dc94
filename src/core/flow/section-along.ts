import { type Field, sample } from "./grid";

/** A section of the water along a straight line from `from` to `to`, m. */
export interface SectionAlong {
  points: SectionPoint[];
  length: number;
  /** Length of line under water, m, and the cross-section under it, m2. */
  wetted: number;
  area: number;
  /** Discharge through the line, m3/s, by the speeds square to it: down the reach above zero. */
  discharge: number;
}

interface SectionPoint {
  /** Distance along the line, m. */
  s: number;
  x: number;
  y: number;
  bed: number;
  /** 0 where dry. */
  depth: number;
  /** Depth-mean speed, m/s. */
  speed: number;
  /** Its part square to the line, m/s: down the reach above zero. */
  through: number;
}

/**
 * Samples a field along a line at every half cell. A line along the reach itself counts what crosses it towards the
 * right bank.
 */
export function sectionAlong(
  field: Field,
  from: readonly [number, number],
  to: readonly [number, number],
): SectionAlong {
  const { nx, ny, cell } = field;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const count = Math.max(2, Math.min(2000, Math.ceil(length / (cell / 2))));
  // Square to the line; of the two ways the one that runs down the reach, or across it to the right.
  let [px, py] = length > 0 ? [(to[1] - from[1]) / length, -(to[0] - from[0]) / length] : [1, 0];
  if (px < -1e-9 || (Math.abs(px) <= 1e-9 && py < 0)) [px, py] = [-px, -py];
  const points = Array.from({ length: count + 1 }, (_, k): SectionPoint => {
    const t = k / count;
    const [x, y] = [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
    const here =
      Math.min(ny - 1, Math.max(0, Math.floor(y / cell))) * nx + Math.min(nx - 1, Math.max(0, Math.floor(x / cell)));
    const at = (values: Float32Array) => sample(values, nx, ny, cell, x, y);
    const wet = field.depth[here]! > 0;
    const [u, v] = wet ? [at(field.u), at(field.v)] : [0, 0];
    // The surface of the cell itself: beside a stone, depths of both sides would not mix.
    const bed = at(field.bed);
    const depth = wet ? Math.max(0, field.bed[here]! + field.depth[here]! - bed) : 0;
    return { s: t * length, x, y, bed, depth, speed: Math.hypot(u, v), through: u * px + v * py };
  });
  const step = length / count;
  let [wetted, area, discharge] = [0, 0, 0];
  for (let k = 0; k < count; k++) {
    const [a, b] = [points[k]!, points[k + 1]!];
    wetted += (step * ((a.depth > 0 ? 1 : 0) + (b.depth > 0 ? 1 : 0))) / 2;
    area += (step * (a.depth + b.depth)) / 2;
    discharge += (step * (a.depth * a.through + b.depth * b.through)) / 2;
  }
  return { points, length, wetted, area, discharge };
}
