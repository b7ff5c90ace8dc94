import { type Field, speedAt } from "../flow/grid";
import { maskedBlur } from "./smooth";

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
/** Least speed difference, m/s, length, m, and depth on the slow side, m: less is not worth a cast. Common practice, no source. */
const LEAST_DIFFERENCE = 0.12;
const LEAST_LENGTH = 4;
const LEAST_DEPTH = 0.2;
/** Smoothing of the speed before its slope is taken, m. */
const SMOOTHING = 0.6;
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
  const wet = Uint8Array.from(field.depth, (h) => (h > 0.05 ? 1 : 0));
  const sigma = SMOOTHING / cell;
  const speed = maskedBlur(Float64Array.from(field.u, (_, k) => speedAt(field, k)), wet, nx, ny, sigma);
  const u = maskedBlur(field.u, wet, nx, ny, sigma);
  const v = maskedBlur(field.v, wet, nx, ny, sigma);
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

/** Cells whose |shear| is the highest along the line across the current. */
function ridges(field: Field, shear: Shear): Uint8Array {
  const { nx, ny } = field;
  const ridge = new Uint8Array(nx * ny);
  const at = (x: number, y: number) => Math.abs(shear.across[Math.round(y) * nx + Math.round(x)] ?? 0);
  for (let j = 2; j < ny - 2; j++) {
    for (let i = 2; i < nx - 2; i++) {
      const k = j * nx + i;
      const strength = Math.abs(shear.across[k]!);
      if (strength < WEAK) continue;
      const [px, py] = [-shear.ty[k]!, shear.tx[k]!];
      if (strength >= at(i + px, j + py) && strength > at(i - px, j - py)) ridge[k] = 1;
    }
  }
  return ridge;
}

/** The next unused ridge cell from (i, j) with or against the current, within two cells and 60 degrees, or -1. */
function nextAlong(k: number, sign: number, nx: number, ny: number, ridge: Uint8Array, used: Uint8Array, shear: Shear): number {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  const side = Math.sign(shear.across[k]!);
  let best = -1;
  let bestScore = 0;
  for (let b = Math.max(0, j - 2); b <= Math.min(ny - 1, j + 2); b++) {
    for (let a = Math.max(0, i - 2); a <= Math.min(nx - 1, i + 2); a++) {
      const other = b * nx + a;
      if (other === k || !ridge[other] || used[other] || Math.sign(shear.across[other]!) !== side) continue;
      const distance = Math.hypot(a - i, b - j);
      const forward = (sign * ((a - i) * shear.tx[k]! + (b - j) * shear.ty[k]!)) / distance;
      const score = forward > 0.5 ? forward / distance : 0;
      if (score > bestScore) {
        bestScore = score;
        best = other;
      }
    }
  }
  return best;
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
  const { nx, ny, cell } = field;
  const shear = shearOf(field);
  const ridge = ridges(field, shear);
  const used = new Uint8Array(nx * ny);
  const starts = Array.from(ridge.keys()).filter((k) => ridge[k] && Math.abs(shear.across[k]!) >= STRONG)
    .sort((a, b) => Math.abs(shear.across[b]!) - Math.abs(shear.across[a]!));
  const seams: Seam[] = [];
  for (const start of starts) {
    if (used[start]) continue;
    const line = [start];
    used[start] = 1;
    for (const sign of [1, -1]) {
      let k = start;
      while ((k = nextAlong(k, sign, nx, ny, ridge, used, shear)) >= 0) {
        used[k] = 1;
        if (sign > 0) line.push(k);
        else line.unshift(k);
      }
    }
    const seam = seamOf(line, field, shear);
    if (seam) seams.push(seam);
    claimAround(line, used, nx, ny, cell);
  }
  return seams.sort((a, b) => b.speedDifference * lengthOf(b) - a.speedDifference * lengthOf(a));
}

/** Marks the cells beside a traced line so that no twin is traced next to it. */
function claimAround(line: readonly number[], used: Uint8Array, nx: number, ny: number, cell: number): void {
  const reach = Math.max(1, Math.round(0.6 / cell));
  for (const k of line) {
    const [i, j] = [k % nx, Math.floor(k / nx)];
    for (let b = Math.max(0, j - reach); b <= Math.min(ny - 1, j + reach); b++) for (let a = Math.max(0, i - reach); a <= Math.min(nx - 1, i + reach); a++) used[b * nx + a] = 1;
  }
}

function seamOf(line: readonly number[], field: Field, shear: Shear): Seam | undefined {
  const tested = line.map((k) => ({ k, ...sides(k, field, shear) })).filter((point) => point.slowDepth >= LEAST_DEPTH);
  if (tested.length < line.length * 0.6) return undefined;
  const speedDifference = mean(tested.map((point) => point.difference));
  const points = smoothed(tested.map(({ k }): [number, number] => [((k % field.nx) + 0.5) * field.cell, (Math.floor(k / field.nx) + 0.5) * field.cell]));
  if (speedDifference < LEAST_DIFFERENCE || lengthOf({ points }) < LEAST_LENGTH) return undefined;
  const lean = tested.reduce((sum, { k }) => sum + shear.across[k]!, 0);
  return { points, speedDifference, sharpness: Math.max(...tested.map(({ k }) => Math.abs(shear.across[k]!))), slowSide: lean > 0 ? "left" : "right" };
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Two passes of a three-point mean, then about a point a metre, ends kept. */
function smoothed(points: [number, number][]): [number, number][] {
  let line = points;
  for (let pass = 0; pass < 3; pass++) {
    line = line.map((point, k) => (k === 0 || k === line.length - 1 ? point : [0, 1].map((c) => (line[k - 1]![c]! + 2 * point[c]! + line[k + 1]![c]!) / 4) as [number, number]));
  }
  const kept: [number, number][] = [];
  for (const [k, point] of line.entries()) {
    const last = kept.at(-1);
    if (!last || k === line.length - 1 || Math.hypot(point[0] - last[0], point[1] - last[1]) >= 0.9) kept.push(point);
  }
  return kept;
}

export function lengthOf(line: { points: readonly (readonly [number, number])[] }): number {
  let sum = 0;
  for (let k = 1; k < line.points.length; k++) sum += Math.hypot(line.points[k]![0] - line.points[k - 1]![0], line.points[k]![1] - line.points[k - 1]![1]);
  return sum;
}

/** Distance from (x, y) to the nearest seam, m, and which; Infinity without seams. */
export function nearestSeam(seams: readonly Seam[], x: number, y: number): { distance: number; seam: Seam | undefined } {
  let distance = Infinity;
  let seam: Seam | undefined;
  for (const candidate of seams) {
    for (let k = 1; k < candidate.points.length; k++) {
      const [[ax, ay], [bx, by]] = [candidate.points[k - 1]!, candidate.points[k]!];
      const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
      const t = length2 > 0 ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length2)) : 0;
      const d = Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay));
      if (d < distance) {
        distance = d;
        seam = candidate;
      }
    }
  }
  return { distance, seam };
}
