import { cellsOf, type Field, speedAt } from "../flow/grid";
import { roughnessHeight, shearVelocity } from "../flow/profile";
import { FROM_MEMORY, sourced } from "../quantity/provenance";

/**
 * Settling speed of drifting invertebrates, m/s: drift returns to the bed within tens of metres (Elliott 1971, J. Anim.
 * Ecol. 40; from memory).
 */
export const SETTLING = sourced(0.012, "m/s", FROM_MEMORY);
/**
 * Transverse mixing D = a u* h; a about 0.6 in natural channels (Fischer et al. 1979, Mixing in Inland and Coastal
 * Waters).
 */
const MIXING = sourced(0.6, "1", "Fischer et al. 1979");
/** Entrainment over fast, rough bed is held to this many times the reach's mean. */
const MOST_ENTRAINED = 3;
const MOST_SWEEPS = 400;
/** Nothing moves by more than this in the last sweep; a change smaller than the other does not move the neighbours. */
const SETTLED = 3e-4;
const STIRS = 6e-5;

/**
 * Concentration of drifting food, 1 at the inlet: steady advection with turbulent mixing, entrainment in proportion to
 * the
 * bed's shear, settling everywhere:  q . grad C = div(D h grad C) + w (f - C),  f = u*^2 / mean(u*^2).
 * Upwind differences, Gauss-Seidel sweeps in four directions: every cell is a weighted mean of its neighbours, so C
 * stays
 * between 0 and MOST_ENTRAINED.
 */
export function driftConcentration(field: Field): Float64Array {
  const { nx, ny, cell } = field;
  const cells = nx * ny;
  const wet = cellsOf(new Uint8Array(cells), (k) => (field.depth[k]! > 0.03 ? 1 : 0));
  const star = cellsOf(new Float64Array(cells), (k) =>
    wet[k]
      ? Math.max(
          0,
          shearVelocity(speedAt(field, k), field.depth[k]!, roughnessHeight(field.roughness[k]!, field.depth[k]!)),
        )
      : 0,
  );
  let shear2 = 0;
  let count = 0;
  for (let k = 0; k < cells; k++)
    if (wet[k]) {
      shear2 += star[k]! ** 2;
      count++;
    }
  shear2 /= Math.max(1, count);
  // Weights of the west, east, north and south neighbours, m2/s per metre of face.
  const weight = [
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
  ] as const;
  const gain = new Float64Array(cells);
  const total = new Float64Array(cells);
  const c = new Float64Array(cells);
  const face = (k: number, other: number, q: number, otherQ: number) => {
    const mixing =
      (MIXING.value *
        0.25 *
        (star[k]! + star[other]!) *
        (field.depth[k]! + field.depth[other]!) *
        0.5 *
        (field.depth[k]! + field.depth[other]!)) /
      cell;
    return Math.max(0, 0.5 * (q + otherQ)) + mixing;
  };
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i;
      if (!wet[k]) continue;
      const [qx, qy] = [field.depth[k]! * field.u[k]!, field.depth[k]! * field.v[k]!];
      const of = (other: number, component: Float32Array) => field.depth[other]! * component[other]!;
      if (i > 0 && wet[k - 1]) weight[0][k] = face(k, k - 1, qx, of(k - 1, field.u));
      if (i < nx - 1 && wet[k + 1]) weight[1][k] = face(k, k + 1, -qx, -of(k + 1, field.u));
      if (j > 0 && wet[k - nx]) weight[2][k] = face(k, k - nx, qy, of(k - nx, field.v));
      if (j < ny - 1 && wet[k + nx]) weight[3][k] = face(k, k + nx, -qy, -of(k + nx, field.v));
      const source = SETTLING.value * cell;
      const inlet = i === 0 ? Math.max(0, qx) : 0;
      gain[k] = source * Math.min(MOST_ENTRAINED, shear2 > 0 ? star[k]! ** 2 / shear2 : 0) + inlet;
      total[k] = weight[0][k]! + weight[1][k]! + weight[2][k]! + weight[3][k]! + source + inlet;
      c[k] = 1;
    }
  }
  relax(c, gain, total, weight, nx, ny);
  return c;
}

/** Gauss-Seidel sweeps in four directions, until nothing moves by more than SETTLED. */
function relax(
  c: Float64Array,
  gain: Float64Array,
  total: Float64Array,
  [west, east, north, south]: readonly [Float64Array, Float64Array, Float64Array, Float64Array],
  nx: number,
  ny: number,
): void {
  const cells = nx * ny;
  // Only cells whose neighbours have moved are worked out again: most of the river settles at once, its eddies late.
  const stirred = cellsOf(new Uint8Array(cells), (k) => (total[k]! > 0 ? 1 : 0));
  // A row of nothing before and behind, so that no neighbour is off the grid: it has no weight.
  const value = new Float64Array(cells + 2 * nx);
  value.set(c, nx);
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    let change = 0;
    const [right, down] = [sweep % 2 === 0, sweep % 4 < 2];
    for (let b = 0; b < ny; b++) {
      const j = down ? b : ny - 1 - b;
      const step = right ? 1 : -1;
      for (let a = 0, k = right ? j * nx : j * nx + nx - 1; a < nx; a++, k += step) {
        if (stirred[k] === 0) continue;
        stirred[k] = 0;
        const p = k + nx;
        const next =
          (gain[k]! +
            west[k]! * value[p - 1]! +
            east[k]! * value[p + 1]! +
            north[k]! * value[p - nx]! +
            south[k]! * value[p + nx]!) /
          total[k]!;
        const moved = Math.abs(next - value[p]!);
        value[p] = next;
        if (moved > change) change = moved;
        if (moved <= STIRS) continue;
        // A neighbour that has no weight from here, or is dry, is not moved by it.
        if (k > 0 && east[k - 1]! > 0) stirred[k - 1] = 1;
        if (k + 1 < cells && west[k + 1]! > 0) stirred[k + 1] = 1;
        if (k >= nx && south[k - nx]! > 0) stirred[k - nx] = 1;
        if (k + nx < cells && north[k + nx]! > 0) stirred[k + nx] = 1;
      }
    }
    if (change < SETTLED) break;
  }
  c.set(value.subarray(nx, nx + cells));
}
