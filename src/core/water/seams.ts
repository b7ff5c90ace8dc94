import { cellsOf, type Field, speedAt } from "../flow/grid";
import { lengthOf } from "./polyline";
import { maskedBlurs } from "./smooth";
import { smoothed, traceCrests } from "./trace";

/** A line where fast water meets slow. Points run downstream, m; sides are as seen looking down-current. */
export interface Seam {
  points: [number, number][];
  /** Mean speed across less mean speed beside, m/s. */
  speedDifference: number;
  /** Steepest mean shear along it, 1/s. */
  sharpness: number;
  slowSide: "left" | "right";
}

/** Shear below which nothing is a seam, and that one point of a seam must reach, 1/s. Common practice, no source. */
const WEAK = 0.1;
const STRONG = 0.2;
/**
 * Least speed difference, m/s, length, m, and depth on the slow side, m: less is not worth a cast. Common practice, no
 * source.
 */
const LEAST_DIFFERENCE = 0.12;
const LEAST_LENGTH = 4;
const LEAST_DEPTH = 0.2;
/** Smoothing of the speed before its slope is taken, m. */
const SMOOTHING = 0.6;
/** No second seam is traced nearer than this, m. */
const APART = 0.6;
/** How far to each side the fast and slow water are looked for, m. */
const REACH = 3;

interface Shear {
  speed: Float64Array;
  wet: Uint8Array;
  /** d(speed)/dn, n pointing to the right looking down-current, 1/s. */
  across: Float64Array;
  /** Unit vector down-current. */
  tx: Float64Array;
  ty: Float64Array;
}

function shearOf(field: Field): Shear {
  const { nx, ny, cell } = field;
  const wet = cellsOf(new Uint8Array(nx * ny), (k) => (field.depth[k]! > 0.05 ? 1 : 0));
  const sigma = SMOOTHING / cell;
  const [speed, u, v] = maskedBlurs(
    [cellsOf(new Float64Array(nx * ny), (k) => speedAt(field, k)), field.u, field.v],
    wet,
    nx,
    ny,
    sigma,
  ) as [Float64Array, Float64Array, Float64Array];
  const cells = nx * ny;
  const [across, tx, ty] = [new Float64Array(cells), new Float64Array(cells), new Float64Array(cells)];
  for (let j = 1; j < ny - 1; j++) {
    for (let i = 1; i < nx - 1; i++) {
      const k = j * nx + i;
      if (!wet[k]) continue;
      const size = Math.hypot(u[k]!, v[k]!);
      tx[k] = size > 1e-6 ? u[k]! / size : 1;
      ty[k] = size > 1e-6 ? v[k]! / size : 0;
      across[k] = -ty[k]! * slope(speed, wet, k, 1, cell) + tx[k]! * slope(speed, wet, k, nx, cell);
    }
  }
  return { speed, wet, across, tx, ty };
}

/** Central difference over wet cells; zero where both neighbours are not wet (a bank is no seam). */
function slope(values: Float64Array, wet: Uint8Array, k: number, step: number, cell: number): number {
  return wet[k - step] && wet[k + step] ? (values[k + step]! - values[k - step]!) / (2 * cell) : 0;
}

/** Fast and slow speed to the two sides of cell k: followed outward until the shear has died or the water ends. */
function sides(k: number, field: Field, shear: Shear): { difference: number; slowDepth: number } {
  const { nx, ny, cell } = field;
  const peak = Math.abs(shear.across[k]!);
  const [i, j] = [k % nx, Math.floor(k / nx)];
  const end = [1, -1].map((sign) => {
    let last = k;
    for (let d = 1; d * cell <= REACH; d++) {
      const a = Math.round(i - sign * d * shear.ty[k]!);
      const b = Math.round(j + sign * d * shear.tx[k]!);
      if (a < 0 || b < 0 || a >= nx || b >= ny || !shear.wet[b * nx + a]) break;
      last = b * nx + a;
      if (Math.abs(shear.across[last]!) < 0.25 * peak) break;
    }
    return last;
  }) as [number, number];
  const [right, left] = end;
  const slow = shear.speed[right]! < shear.speed[left]! ? right : left;
  return { difference: Math.abs(shear.speed[right]! - shear.speed[left]!), slowDepth: field.depth[slow]! };
}

/** The seams of a field, strongest first: ridges of shear across the current, traced and tested. */
export function findSeams(field: Field): Seam[] {
  const shear = shearOf(field);
  const crest = { height: shear.across.map(Math.abs), tx: shear.tx, ty: shear.ty, side: shear.across };
  return traceCrests(crest, field, { weak: WEAK, strong: STRONG, apart: APART })
    .flatMap((line) => seamOf(line, field, shear) ?? [])
    .sort((a, b) => b.speedDifference * lengthOf(b) - a.speedDifference * lengthOf(a));
}

function seamOf(line: readonly number[], field: Field, shear: Shear): Seam | undefined {
  const tested = line.map((k) => ({ k, ...sides(k, field, shear) })).filter((point) => point.slowDepth >= LEAST_DEPTH);
  if (tested.length < line.length * 0.6) return undefined;
  const speedDifference = mean(tested.map((point) => point.difference));
  const points = smoothed(
    tested.map(({ k }) => k),
    field,
  );
  if (speedDifference < LEAST_DIFFERENCE || lengthOf({ points }) < LEAST_LENGTH) return undefined;
  const lean = tested.reduce((sum, { k }) => sum + shear.across[k]!, 0);
  return {
    points,
    speedDifference,
    sharpness: Math.max(...tested.map(({ k }) => Math.abs(shear.across[k]!))),
    slowSide: lean > 0 ? "left" : "right",
  };
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
