import FlatQueue from "flatqueue";

/**
 * Least-cost paths over a grid of cells (Dijkstra 1959): eight neighbours, each step at the mean cost of its two cells;
 * the queue is a binary heap (flatqueue).
 */
export interface LeastCostPaths {
  /** Cost from every cell to the nearest of the ends; Infinity where there is no way. */
  cost: Float64Array;
  /** The next cell on the way there; -1 at its end. */
  next: Int32Array;
}

/**
 * `unitCost` is the cost of a metre in each cell, Infinity where none may go; `ends` are cells that are free.
 */
export function leastCostPaths(
  unitCost: Float64Array,
  nx: number,
  ny: number,
  cell: number,
  ends: Iterable<number>,
): LeastCostPaths {
  const cost = new Float64Array(nx * ny).fill(Infinity);
  const next = new Int32Array(nx * ny).fill(-1);
  const queue = new FlatQueue<number>();
  for (const k of ends) {
    if (!Number.isFinite(unitCost[k]!)) continue;
    cost[k] = 0;
    queue.push(k, 0);
  }
  while (queue.length > 0) {
    const spent = queue.peekValue()!;
    const k = queue.pop()!;
    if (spent > cost[k]!) continue;
    const i = k % nx;
    const j = Math.floor(k / nx);
    for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
      for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
        const other = b * nx + a;
        const far = a !== i && b !== j ? Math.SQRT2 : 1;
        const total = spent + 0.5 * (unitCost[k]! + unitCost[other]!) * far * cell;
        if (total < cost[other]!) {
          cost[other] = total;
          next[other] = k;
          queue.push(other, total);
        }
      }
    }
  }
  return { cost, next };
}
