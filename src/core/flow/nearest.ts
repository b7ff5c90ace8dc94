/**
 * For every cell of a grid the index of the nearest cell that is marked, and how many cells away it lies: vectors
 * handed on in two sweeps
 * (Danielsson 1980, Comput. Graph. Image Process. 14), exact but for a fraction of a cell.
 */
export function nearestIn(marked: Uint8Array, nx: number, ny: number): [Int32Array, Float64Array] {
  const nearest = Int32Array.from(marked, (mark, k) => (mark ? k : -1));
  const apart = Float64Array.from(marked, (mark) => (mark ? 0 : Infinity));
  const take = (k: number, i: number, j: number, di: number, dj: number) => {
    if (i + di < 0 || i + di >= nx || j + dj < 0 || j + dj >= ny) return;
    const from = nearest[k + dj * nx + di]!;
    if (from < 0) return;
    const far = Math.hypot(i - (from % nx), j - Math.floor(from / nx));
    if (far >= apart[k]!) return;
    nearest[k] = from;
    apart[k] = far;
  };
  const sweep = (rows: readonly number[], dj: number) => {
    for (const j of rows) {
      for (let i = 0; i < nx; i++) for (const di of [-1, 0, 1]) take(j * nx + i, i, j, di, dj);
      for (let i = 0; i < nx; i++) take(j * nx + i, i, j, -1, 0);
      for (let i = nx - 1; i >= 0; i--) take(j * nx + i, i, j, 1, 0);
    }
  };
  const rows = Array.from({ length: ny }, (_, j) => j);
  sweep(rows, -1);
  sweep([...rows].reverse(), 1);
  return [nearest, apart];
}
