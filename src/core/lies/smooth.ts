/** Gaussian blur of `values` over the cells where `mask` is set, weights renormalised at the water's edge; sigma in cells. */
export function maskedBlur(values: ArrayLike<number>, mask: Uint8Array, nx: number, ny: number, sigma: number): Float64Array {
  const radius = Math.max(1, Math.ceil(2.5 * sigma));
  const kernel = Float64Array.from({ length: radius + 1 }, (_, d) => Math.exp(-0.5 * (d / sigma) ** 2));
  let value = Float64Array.from(mask, (wet, k) => (wet ? values[k]! : 0));
  let weight = Float64Array.from(mask);
  for (const [stepI, stepJ] of [[1, 0], [0, 1]] as const) {
    const nextValue = new Float64Array(value.length);
    const nextWeight = new Float64Array(value.length);
    for (let j = 0; j < ny; j++) {
      for (let i = 0; i < nx; i++) {
        let v = 0;
        let w = 0;
        for (let d = -radius; d <= radius; d++) {
          const [a, b] = [i + d * stepI, j + d * stepJ];
          if (a < 0 || b < 0 || a >= nx || b >= ny) continue;
          const share = kernel[Math.abs(d)]!;
          v += share * value[b * nx + a]!;
          w += share * weight[b * nx + a]!;
        }
        nextValue[j * nx + i] = v;
        nextWeight[j * nx + i] = w;
      }
    }
    value = nextValue;
    weight = nextWeight;
  }
  return value.map((sum, k) => (mask[k] ? sum / weight[k]! : 0));
}

/** 0 below `from`, 1 above `to`, smooth between. */
export function smoothstep(from: number, to: number, x: number): number {
  const t = Math.min(1, Math.max(0, (x - from) / (to - from)));
  return t * t * (3 - 2 * t);
}

/** Groups of set cells that touch (8 neighbours), each a list of indices. */
export function components(set: Uint8Array, nx: number, ny: number): number[][] {
  const seen = new Uint8Array(set.length);
  const groups: number[][] = [];
  for (let start = 0; start < set.length; start++) {
    if (!set[start] || seen[start]) continue;
    const group = [start];
    seen[start] = 1;
    for (let at = 0; at < group.length; at++) {
      const [i, j] = [group[at]! % nx, Math.floor(group[at]! / nx)];
      for (let b = Math.max(0, j - 1); b <= Math.min(ny - 1, j + 1); b++) {
        for (let a = Math.max(0, i - 1); a <= Math.min(nx - 1, i + 1); a++) {
          const k = b * nx + a;
          if (set[k] && !seen[k]) {
            seen[k] = 1;
            group.push(k);
          }
        }
      }
    }
    groups.push(group);
  }
  return groups;
}

/** Greatest value in a square window about each cell, `radius` cells to each side. */
export const slidingMax = (values: Float32Array, nx: number, ny: number, radius: number): Float32Array => sliding(values, nx, ny, radius, Math.max, -Infinity);
/** Least value in such a window. */
export const slidingMin = (values: Float32Array, nx: number, ny: number, radius: number): Float32Array => sliding(values, nx, ny, radius, Math.min, Infinity);

/** Rows, then columns. */
function sliding(values: Float32Array, nx: number, ny: number, radius: number, of: (a: number, b: number) => number, start: number): Float32Array {
  const pass = (from: Float32Array, size: number, step: number, at: (k: number) => number): Float32Array => Float32Array.from(from, (_, k) => {
    let best = start;
    const here = at(k);
    for (let d = -Math.min(radius, here); d <= Math.min(radius, size - 1 - here); d++) best = of(best, from[k + d * step]!);
    return best;
  });
  return pass(pass(values, nx, 1, (k) => k % nx), ny, nx, (k) => Math.floor(k / nx));
}
