/** Cheapest ways over a grid of cells (Dijkstra 1959): eight neighbours, each step at the mean cost of its two cells, a binary heap. */
export interface Ways {
  /** Cost from every cell to the nearest of the ends; Infinity where there is no way. */
  cost: Float64Array;
  /** The next cell on the way there; -1 at its end. */
  next: Int32Array;
}

/** `dear` is the cost of a metre in each cell, Infinity where none may go; `ends` are cells that cost nothing to reach. */
export function cheapestWays(dear: Float64Array, nx: number, ny: number, cell: number, ends: Iterable<number>): Ways {
  const cost = new Float64Array(nx * ny).fill(Infinity);
  const next = new Int32Array(nx * ny).fill(-1);
  const heap: [number, number][] = [];
  for (const k of ends) {
    if (!Number.isFinite(dear[k]!)) continue;
    cost[k] = 0;
    push(heap, 0, k);
  }
  while (heap.length > 0) {
    const [spent, k] = pop(heap);
    if (spent > cost[k]!) continue;
    const [i, j] = [k % nx, Math.floor(k / nx)];
    for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
      for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
        const other = b * nx + a;
        const far = a !== i && b !== j ? Math.SQRT2 : 1;
        const total = spent + 0.5 * (dear[k]! + dear[other]!) * far * cell;
        if (total < cost[other]!) {
          cost[other] = total;
          next[other] = k;
          push(heap, total, other);
        }
      }
    }
  }
  return { cost, next };
}

function push(heap: [number, number][], key: number, k: number): void {
  heap.push([key, k]);
  for (let i = heap.length - 1; i > 0;) {
    const parent = (i - 1) >> 1;
    if (heap[parent]![0] <= heap[i]![0]) break;
    [heap[parent], heap[i]] = [heap[i]!, heap[parent]!];
    i = parent;
  }
}

function pop(heap: [number, number][]): [number, number] {
  const top = heap[0]!;
  const last = heap.pop()!;
  if (heap.length === 0) return top;
  heap[0] = last;
  for (let i = 0; ;) {
    const [l, r] = [2 * i + 1, 2 * i + 2];
    let least = i;
    if (l < heap.length && heap[l]![0] < heap[least]![0]) least = l;
    if (r < heap.length && heap[r]![0] < heap[least]![0]) least = r;
    if (least === i) return top;
    [heap[least], heap[i]] = [heap[i]!, heap[least]!];
    i = least;
  }
}
