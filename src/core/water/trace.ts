import type { Field } from "../flow/grid";

type Grid = Pick<Field, "nx" | "ny" | "cell">;

/**
 * A surface whose crests are to be traced, by cell: how high it stands, the way its crest runs (a unit vector), and a
 * sign that does not change along one crest.
 */
export interface Crest {
  height: ArrayLike<number>;
  tx: ArrayLike<number>;
  ty: ArrayLike<number>;
  side?: ArrayLike<number>;
}

export interface TraceOptions {
  /** Height under which nothing is a crest, and that one cell of a line must reach. */
  weak: number;
  strong: number;
  /** No second line is traced nearer than this to one, m. */
  apart: number;
}

/** Lines of cells along the crests of a surface, the highest first, each running the way of its tangents. */
export function traceCrests(crest: Crest, grid: Grid, { weak, strong, apart }: TraceOptions): number[][] {
  const { nx, ny } = grid;
  const ridge = ridges(crest, grid, weak);
  const used = new Uint8Array(nx * ny);
  const starts: number[] = [];
  for (let k = 0; k < ridge.length; k++) if (ridge[k] && crest.height[k]! >= strong) starts.push(k);
  starts.sort((a, b) => crest.height[b]! - crest.height[a]!);
  const lines: number[][] = [];
  for (const start of starts) {
    if (used[start]) continue;
    const line = [start];
    used[start] = 1;
    for (const sign of [1, -1]) {
      let k = start;
      while ((k = nextAlong(k, sign, grid, ridge, used, crest)) >= 0) {
        used[k] = 1;
        if (sign > 0) line.push(k);
        else line.unshift(k);
      }
    }
    lines.push(line);
    claimAround(line, used, grid, apart);
  }
  return lines;
}

/** Cells higher than their neighbours across the crest. */
function ridges({ height, tx, ty }: Crest, { nx, ny }: Grid, weak: number): Uint8Array {
  const ridge = new Uint8Array(nx * ny);
  const at = (x: number, y: number) => height[Math.round(y) * nx + Math.round(x)] ?? 0;
  for (let j = 2; j < ny - 2; j++) {
    for (let i = 2; i < nx - 2; i++) {
      const k = j * nx + i;
      if (!(height[k]! >= weak)) continue;
      const [px, py] = [-ty[k]!, tx[k]!];
      if (height[k]! >= at(i + px, j + py) && height[k]! > at(i - px, j - py)) ridge[k] = 1;
    }
  }
  return ridge;
}

/** The next unused crest cell from k with or against the tangent, within two cells and 60 degrees, or -1. */
function nextAlong(
  k: number,
  sign: number,
  { nx, ny }: Grid,
  ridge: Uint8Array,
  used: Uint8Array,
  { tx, ty, side }: Crest,
): number {
  const [i, j] = [k % nx, Math.floor(k / nx)];
  let best = -1;
  let bestScore = 0;
  for (let b = Math.max(0, j - 2); b <= Math.min(ny - 1, j + 2); b++) {
    for (let a = Math.max(0, i - 2); a <= Math.min(nx - 1, i + 2); a++) {
      const other = b * nx + a;
      if (other === k || !ridge[other] || used[other] || (side && Math.sign(side[other]!) !== Math.sign(side[k]!)))
        continue;
      const distance = Math.hypot(a - i, b - j);
      const forward = (sign * ((a - i) * tx[k]! + (b - j) * ty[k]!)) / distance;
      const score = forward > 0.5 ? forward / distance : 0;
      if (score > bestScore) {
        bestScore = score;
        best = other;
      }
    }
  }
  return best;
}

/** Marks the cells beside a traced line so that no twin is traced next to it. */
function claimAround(line: readonly number[], used: Uint8Array, { nx, ny, cell }: Grid, apart: number): void {
  const reach = Math.max(1, Math.round(apart / cell));
  for (const k of line) {
    const [i, j] = [k % nx, Math.floor(k / nx)];
    for (let b = Math.max(0, j - reach); b <= Math.min(ny - 1, j + reach); b++)
      for (let a = Math.max(0, i - reach); a <= Math.min(nx - 1, i + reach); a++) used[b * nx + a] = 1;
  }
}

/** Cells as points, m, by three passes of a three-point mean; then about a point a metre, ends kept. */
export function smoothed(cells: readonly number[], { nx, cell }: Grid): [number, number][] {
  let line = cells.map((k): [number, number] => [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell]);
  for (let pass = 0; pass < 3; pass++) {
    line = line.map((point, k) =>
      k === 0 || k === line.length - 1
        ? point
        : ([0, 1].map((c) => (line[k - 1]![c]! + 2 * point[c]! + line[k + 1]![c]!) / 4) as [number, number]),
    );
  }
  const kept: [number, number][] = [];
  for (const [k, point] of line.entries()) {
    const last = kept.at(-1);
    if (!last || k === line.length - 1 || Math.hypot(point[0] - last[0], point[1] - last[1]) >= 0.9) kept.push(point);
  }
  return kept;
}
