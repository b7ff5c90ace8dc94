import { type Field, speedAt } from "../flow/grid";
import type { Break } from "./cover";
import { bedSlope } from "./ledges";
import { slidingMin } from "./smooth";

/** Where an underwater bar or the edge of a channel ends and meets the flow. */
export interface Corner {
  x: number;
  y: number;
  /** Rise of the bed into the current, m per m. */
  rise: number;
  /** Radius of its nose, m. */
  radius: number;
  depth: number;
  speed: number;
}

/**
 * Least rise; how squarely it must face the current (cosine); widest and narrowest nose, m: six feet wide, or the size
 * of a car. Common practice, no source.
 */
const LEAST_RISE = 0.08;
const FACING = 0.5;
const NOSE = { widest: 8, narrowest: 0.7 };
/** Water over it: least depth, m, and speed, m/s. Common practice, no source. */
const LEAST_DEPTH = 0.3;
const LEAST_SPEED = 0.12;
/** Smoothing of the bed, m: a single stone is a break, no corner. */
const SMOOTHING = 1.2;
const APART = 6;
/** Clear of dry land by so much, m: the foot of a bank is no corner. */
const CLEAR = 2.5;

/**
 * Corners that face the current, best first: where the bed rises down-current and its contours bow against the flow.
 */
export function findCorners(field: Field, breaks: readonly Break[]): Corner[] {
  const { nx, ny, cell, depth, u, v } = field;
  const { gx, gy, size } = bedSlope(field, SMOOTHING);
  const shallowest = slidingMin(depth, nx, ny, Math.max(1, Math.round(CLEAR / cell)));
  const worth = new Float64Array(nx * ny);
  const bow = new Float64Array(nx * ny);
  for (let j = 2; j < ny - 2; j++) {
    for (let i = 2; i < nx - 2; i++) {
      const k = j * nx + i;
      const [s, speed] = [size[k]!, speedAt(field, k)];
      if (s < LEAST_RISE || speed < LEAST_SPEED || depth[k]! < LEAST_DEPTH || shallowest[k]! <= 0) continue;
      const facing = (gx[k]! * u[k]! + gy[k]! * v[k]!) / (s * speed);
      if (facing < FACING) continue;
      // Curvature of the contour: minus the divergence of the unit slope; a nose against the flow bows positively.
      const unit = (at: number, g: Float64Array) => (size[at]! > 1e-9 ? g[at]! / size[at]! : 0);
      const curvature = -(unit(k + 1, gx) - unit(k - 1, gx) + unit(k + nx, gy) - unit(k - nx, gy)) / (2 * cell);
      if (curvature < 1 / NOSE.widest || curvature > 1 / NOSE.narrowest) continue;
      bow[k] = curvature;
      worth[k] = s * facing * facing * Math.min(1, curvature * 3);
    }
  }
  const chosen: Corner[] = [];
  const rising: number[] = [];
  for (let k = 0; k < worth.length; k++) if (worth[k]! > 0) rising.push(k);
  for (const k of rising.sort((a, b) => worth[b]! - worth[a]!)) {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    if (
      chosen.some((one) => Math.hypot(one.x - x, one.y - y) < APART) ||
      breaks.some((one) => Math.hypot(one.x - x, one.y - y) < one.radius + 2)
    )
      continue;
    chosen.push({ x, y, rise: size[k]!, radius: 1 / bow[k]!, depth: depth[k]!, speed: speedAt(field, k) });
  }
  return chosen;
}
