import { contours } from "d3-contour";
import { cellsOf, type Field } from "../flow/grid";
import { ROUGHNESS, SUBSTRATES, type Substrate } from "../flow/substrate";
import { lengthOf } from "./polyline";

/** The bottom whose Manning n is nearest (substrate.ts). */
export const bottomOf = (n: number): Substrate =>
  SUBSTRATES.reduce((best, one) =>
    Math.abs(Math.log(ROUGHNESS.value[one] / n)) < Math.abs(Math.log(ROUGHNESS.value[best] / n)) ? one : best,
  );

/** Manning's n must differ by this share over the reach before its bottoms are told apart. */
const SAME_BOTTOM = 0.1;

/** Are there different bottoms under the water? */
export function mixedBottom({ roughness, depth }: Field): boolean {
  let [low, high] = [Infinity, 0];
  for (let k = 0; k < roughness.length; k++)
    if (depth[k]! > 0) [low, high] = [Math.min(low, roughness[k]!), Math.max(high, roughness[k]!)];
  return low > 0 && high / low > 1 + SAME_BOTTOM;
}

const HARD: readonly Substrate[] = ["gravel", "cobble", "boulders"];
const SOFT: readonly Substrate[] = ["silt", "sand", "weed"];

/** A line where hard bottom meets soft. */
export interface BottomEdge {
  points: [number, number][];
  hard: Substrate;
  soft: Substrate;
}

/** Shorter edges are not told, m. Common practice, no source. */
const LEAST_LENGTH = 3;

/** 1 on hard bottom, 0 on soft, NaN on land and under wood; undefined where the reach has one bottom only. */
export function hardness(field: Field): Float64Array | undefined {
  if (!mixedBottom(field)) return undefined;
  const kinds = new Map<number, number>();
  return cellsOf(new Float64Array(field.nx * field.ny), (k) => {
    const n = field.roughness[k]!;
    if (!(field.depth[k]! > 0)) return NaN;
    let hard = kinds.get(n);
    if (hard === undefined) {
      const bottom = bottomOf(n);
      kinds.set(n, (hard = HARD.includes(bottom) ? 1 : SOFT.includes(bottom) ? 0 : NaN));
    }
    return hard;
  });
}

/** Edges between hard and soft bottom under water, longest first. */
export function findBottomEdges(field: Field): BottomEdge[] {
  const hard = hardness(field);
  if (!hard) return [];
  const { nx, ny, cell } = field;
  // Land is neither: where a contour runs beside it, it is cut.
  const rings = contours()
    .size([nx, ny])
    .smooth(false)
    .thresholds([0.5])(Array.from(hard, (one) => (one === 1 ? 1 : 0)))[0]!
    .coordinates.flatMap((polygon) => polygon as [number, number][][]);
  const edges: BottomEdge[] = [];
  for (const ring of rings) {
    let run: { point: [number, number]; hard: number; soft: number }[] = [];
    const close = () => {
      const points = run.map(({ point }) => point);
      if (run.length > 1 && lengthOf({ points }) >= LEAST_LENGTH)
        edges.push({
          points,
          hard: bottomOf(field.roughness[run[0]!.hard]!),
          soft: bottomOf(field.roughness[run[0]!.soft]!),
        });
      run = [];
    };
    for (const [x, y] of ring) {
      const sides = sidesOf(x, y, hard, nx, ny);
      if (!sides) close();
      else run.push({ point: [x * cell, y * cell], ...sides });
    }
    close();
  }
  return edges.sort((a, b) => lengthOf(b) - lengthOf(a));
}

/** The hard and the soft cell that meet at a point of the grid; undefined where land comes between. */
function sidesOf(
  x: number,
  y: number,
  hard: Float64Array,
  nx: number,
  ny: number,
): { hard: number; soft: number } | undefined {
  const around = [
    [-0.5, -0.5],
    [0.5, -0.5],
    [-0.5, 0.5],
    [0.5, 0.5],
    [-1, 0],
    [1, 0],
    [0, -1],
    [0, 1],
  ].flatMap(([dx, dy]) => {
    const [i, j] = [Math.floor(x + dx!), Math.floor(y + dy!)];
    return i >= 0 && j >= 0 && i < nx && j < ny ? [j * nx + i] : [];
  });
  const [h, s] = [around.find((k) => hard[k] === 1), around.find((k) => hard[k] === 0)];
  return h !== undefined && s !== undefined ? { hard: h, soft: s } : undefined;
}
