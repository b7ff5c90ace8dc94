import type { Template } from "./reach-schema";
import { demandCells, type Grid } from "./grid";
import { along, heldUp, RIFFLE_RUN_POOL, WATERS } from "./template-waters";

/**
 * Beds from a few measures, on a swinging channel. Proportions are common practice, no source; riffle-pool spacing is
 * five to
 * seven channel widths (Leopold, Wolman & Miller 1964), so one unit fills the reach. The waters themselves:
 * template-waters.ts.
 */

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

/** Cells of a template's grid, down and across. */
export function templateCells(template: Template): { nx: number; ny: number } {
  const { length, breadth } = templateSize(template);
  return { nx: Math.max(4, Math.round(length / template.cell)), ny: Math.max(3, Math.round(breadth / template.cell)) };
}

/** The bed of a template on its grid. */
export function rasteriseTemplate(template: Template, roughness: number): Grid {
  const { length } = templateSize(template);
  const { cell, width, poolDepth, slope } = template;
  const { nx, ny } = templateCells(template);
  demandCells(nx, ny);
  const z = new Float64Array(nx * ny);
  const n = new Float64Array(nx * ny).fill(roughness);
  const top = bankHeight(width);
  const water = template.template === "riffle-run-pool" ? undefined : WATERS[template.template];
  for (let i = 0; i < nx; i++) {
    const x = (i + 0.5) * cell;
    const t = x / length;
    const crest = slope * (length - x);
    const middle = centreline(template, x);
    for (let j = 0; j < ny; j++) {
      const k = j * nx + i;
      const s = ((j + 0.5) * cell - middle) / (width / 2); // -1 left edge, 1 right edge
      if (!water)
        z[k] = crest + acrossProfile(s, leanOf(template, t), poolDepth * along(RIFFLE_RUN_POOL, t), top, width);
      else {
        z[k] = crest + banked(s, water.depth(t, s, length / width), poolDepth * heldUp(t), top, width);
        n[k] = water.roughness?.(t, s, length / width) ?? roughness;
      }
    }
  }
  return { nx, ny, cell, z, roughness: n };
}

/** Where the deepest line lies, -1..1: towards the outer bank, where the centreline's curvature points away. */
const leanOf = ({ wiggle, width }: Template, t: number): number =>
  wiggle > 0 ? -0.35 * Math.sin(2 * Math.PI * t) * Math.min(1, wiggle / (0.1 * width)) : 0;

/**
 * Height over the crest plane where the bed lies `share` of the pool's depth under it (below 0: land, -1 as high as the
 * banks), rising to the banks at the edges.
 */
function banked(s: number, share: number, pool: number, top: number, width: number): number {
  const edge = Math.abs(s);
  if (edge >= 1) return top + Math.min(0.6, (edge - 1) * width * 0.05);
  const floor = share >= 0 ? -pool * share : -share * top;
  const bank = edge > 0.86 ? ((edge - 0.86) / 0.14) ** 2 : 0;
  return floor * (1 - bank) + top * bank;
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
