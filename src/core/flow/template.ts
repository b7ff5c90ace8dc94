import type { Grid } from "./grid";
import type { Template } from "./reach";

/**
 * A riffle, the run below it, a pool and its tail, on a swinging channel. Proportions are common practice, no source:
 * riffle-pool spacing is five to seven channel widths (Leopold, Wolman & Miller 1964), so one unit fills the reach.
 */

/** Fraction of pool depth by fraction of the reach: riffle crest 0, pool 1, tail shallowing again. */
const PROFILE: readonly (readonly [number, number])[] = [
  [0, 0.16], [0.1, 0.02], [0.24, 0.05], [0.34, 0.4], [0.48, 0.68], [0.6, 1], [0.74, 0.86], [0.88, 0.42], [1, 0.2],
];

/** Smooth interpolation through a table (cosine between points). */
function along(table: readonly (readonly [number, number])[], t: number): number {
  const k = Math.max(1, table.findIndex(([at]) => at >= t));
  const [t0, a] = table[k - 1]!;
  const [t1, b] = table[k]!;
  const s = (1 - Math.cos(Math.PI * Math.min(1, Math.max(0, (t - t0) / (t1 - t0))))) / 2;
  return a + (b - a) * s;
}

/** Height of the banks above the riffle's crest, as a share of channel width with a floor. */
const bankHeight = (width: number): number => Math.max(1.6, 0.07 * width);
/** Width of land kept on each side, m. */
const bankWidth = (width: number): number => Math.max(3, 0.15 * width);

/** Middle of the channel at x, m from the left edge of the grid. One full swing in the reach. */
export function centreline(template: Template, x: number): number {
  const middle = template.width / 2 + template.wiggle + bankWidth(template.width);
  return middle - template.wiggle * Math.sin((2 * Math.PI * x) / template.length);
}

export function templateSize(template: Template): { length: number; breadth: number } {
  return { length: template.length, breadth: template.width + 2 * template.wiggle + 2 * bankWidth(template.width) };
}

/** The bed of a template on its grid. The deepest line leans to the outside of each bend. */
export function layTemplate(template: Template, roughness: number): Grid {
  const { length, breadth } = templateSize(template);
  const { cell, width, poolDepth, slope } = template;
  const nx = Math.max(4, Math.round(length / cell));
  const ny = Math.max(3, Math.round(breadth / cell));
  const z = new Float64Array(nx * ny);
  const top = bankHeight(width);
  for (let i = 0; i < nx; i++) {
    const x = (i + 0.5) * cell;
    const t = x / length;
    const crest = slope * (length - x);
    const pool = poolDepth * along(PROFILE, t);
    const middle = centreline(template, x);
    // Outer bank: where the centreline's curvature points away. -1..1 across the swing.
    const lean = template.wiggle > 0 ? -0.35 * Math.sin(2 * Math.PI * t) * Math.min(1, template.wiggle / (0.1 * width)) : 0;
    for (let j = 0; j < ny; j++) {
      const s = ((j + 0.5) * cell - middle) / (width / 2); // -1 left edge, 1 right edge
      z[j * nx + i] = crest + acrossProfile(s, lean, pool, top, width);
    }
  }
  return { nx, ny, cell, z, roughness: new Float64Array(nx * ny).fill(roughness) };
}

/** Height over the crest plane at s across the channel (-1..1 between the bank toes' tops). */
function acrossProfile(s: number, lean: number, pool: number, top: number, width: number): number {
  const edge = Math.abs(s);
  if (edge >= 1) return top + Math.min(0.6, (edge - 1) * width * 0.05);
  // Distance from the deepest line, scaled so that both banks are at 1.
  const r = s > lean ? (s - lean) / (1 - lean) : (lean - s) / (1 + lean);
  const bowl = 1 - r * r;
  const bank = r > 0.86 ? ((r - 0.86) / 0.14) ** 2 : 0;
  return -pool * bowl ** 0.8 - 0.12 * bowl + 0.1 * (1 - bowl) + (top - 0.1) * bank;
}
