/**
 * Gaussian blur of `values` over the cells where `mask` is set, weights renormalised at the water's edge; sigma in
 * cells.
 */
export const maskedBlur = (
  values: ArrayLike<number>,
  mask: Uint8Array,
  nx: number,
  ny: number,
  sigma: number,
): Float64Array => maskedBlurs([values], mask, nx, ny, sigma)[0]!;

/** The same of several surfaces over one mask. */
export function maskedBlurs(
  surfaces: readonly ArrayLike<number>[],
  mask: Uint8Array,
  nx: number,
  ny: number,
  sigma: number,
): Float64Array[] {
  const radius = Math.max(1, Math.ceil(2.5 * sigma));
  const kernel = Float64Array.from({ length: radius + 1 }, (_, d) => Math.exp(-0.5 * (d / sigma) ** 2));
  const weight = blurred(Float64Array.from(mask), mask, nx, ny, kernel);
  return surfaces.map((values) => {
    const own = new Float64Array(mask.length);
    for (let k = 0; k < own.length; k++) if (mask[k]) own[k] = values[k]!;
    const sum = blurred(own, mask, nx, ny, kernel);
    for (let k = 0; k < sum.length; k++) sum[k] = mask[k] ? sum[k]! / weight[k]! : 0;
    return sum;
  });
}

/** Sums by the kernel along rows, then along columns where the mask is set. */
function blurred(values: Float64Array, mask: Uint8Array, nx: number, ny: number, kernel: Float64Array): Float64Array {
  const radius = kernel.length - 1;
  const rows = new Float64Array(values.length);
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i;
      let sum = kernel[0]! * values[k]!;
      for (let d = 1; d <= radius; d++)
        sum += kernel[d]! * ((i >= d ? values[k - d]! : 0) + (i + d < nx ? values[k + d]! : 0));
      rows[k] = sum;
    }
  }
  const out = new Float64Array(values.length);
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i;
      if (!mask[k]) continue;
      let sum = kernel[0]! * rows[k]!;
      for (let d = 1; d <= radius; d++)
        sum += kernel[d]! * ((j >= d ? rows[k - d * nx]! : 0) + (j + d < ny ? rows[k + d * nx]! : 0));
      out[k] = sum;
    }
  }
  return out;
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
export function slidingMax(values: Float32Array, nx: number, ny: number, radius: number): Float32Array {
  const rows = new Float32Array(nx * ny);
  for (let j = 0; j < ny; j++) maxAlong(values, rows, j * nx, 1, nx, radius);
  const out = new Float32Array(nx * ny);
  for (let i = 0; i < nx; i++) maxAlong(rows, out, i, nx, ny, radius);
  return out;
}

/** Least value in such a window. */
export const slidingMin = (values: Float32Array, nx: number, ny: number, radius: number): Float32Array =>
  slidingMax(
    values.map((value) => -value),
    nx,
    ny,
    radius,
  ).map((value) => -value);

/** Sliding maximum along one row or column: `count` values from `start`, `step` apart. */
function maxAlong(
  from: Float32Array,
  to: Float32Array,
  start: number,
  step: number,
  count: number,
  radius: number,
): void {
  for (let n = 0; n < count; n++) {
    let best = -Infinity;
    const end = Math.min(count - 1, n + radius);
    for (let at = Math.max(0, n - radius); at <= end; at++) {
      const value = from[start + at * step]!;
      if (value > best) best = value;
    }
    to[start + n * step] = best;
  }
}
