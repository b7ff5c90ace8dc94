import { cellsOf, type Field, speedAt } from "../flow/grid";
import { lengthOf } from "./polyline";
import { maskedBlur } from "./smooth";
import { follow } from "./streamline";
import { smoothed, traceCrests } from "./trace";

/** A line along which what floats gathers: the thread of the current that carries food. */
export interface FoamLine {
  /** Down-current, m. */
  points: [number, number][];
  /** How many times more floats by on it than would if it were spread evenly across the water. */
  gathers: number;
}

/** Particles let go across the inlet, evenly by discharge: foam is made in fast water and comes with it. */
const PARTICLES = 160;
/**
 * A line is traced where so many times the even share passes, and must reach the second somewhere. Common practice, no
 * source.
 */
const GATHERS = { weak: 1.35, strong: 1.7 };
/**
 * Shortest line, m; spread of the foam by the wind and small eddies, m; how close two lines may run, m. Common
 * practice, no source.
 */
const LEAST_LENGTH = 8;
const SPREAD = 0.8;
const APART = 2;

/**
 * Foam lines of a field, longest first. The way of the surface is taken as that of the mean current (its secondary
 * currents are not solved), so where
 * streamlines crowd, floating things crowd.
 */
export function findFoamLines(field: Field): FoamLine[] {
  const { nx, ny, cell } = field;
  const passing = passagesOf(field);
  const wet = cellsOf(new Uint8Array(nx * ny), (k) => (field.depth[k]! > 0.05 ? 1 : 0));
  const blurred = maskedBlur(passing, wet, nx, ny, SPREAD / cell);
  const [tx, ty] = [new Float64Array(nx * ny).fill(1), new Float64Array(nx * ny)];
  const gathers = new Float64Array(nx * ny);
  for (let i = 0; i < nx; i++) {
    let breadth = 0;
    for (let j = 0; j < ny; j++) breadth += wet[j * nx + i]! * cell;
    for (let j = 0; j < ny; j++) {
      const k = j * nx + i;
      // Share of the particles by metre of breadth, times the breadth that they could have spread over.
      gathers[k] = (blurred[k]! / PARTICLES) * breadth;
      const speed = speedAt(field, k);
      if (speed > 1e-3) [tx[k], ty[k]] = [field.u[k]! / speed, field.v[k]! / speed];
    }
  }
  return traceCrests({ height: gathers, tx, ty }, field, { weak: GATHERS.weak, strong: GATHERS.strong, apart: APART })
    .map((line): FoamLine => ({
      points: smoothed(line, field),
      gathers: line.reduce((sum, k) => sum + gathers[k]!, 0) / line.length,
    }))
    .filter((line) => lengthOf(line) >= LEAST_LENGTH)
    .sort((a, b) => lengthOf(b) - lengthOf(a));
}

/** Particles that pass each cell, by metre across their way: their length within it over its area. */
function passagesOf(field: Field): Float64Array {
  const { nx, ny, cell, depth, u } = field;
  const passing = new Float64Array(nx * ny);
  const inflow = Float64Array.from({ length: ny }, (_, j) => Math.max(0, depth[j * nx]! * u[j * nx]!));
  const total = inflow.reduce((sum, q) => sum + q, 0);
  if (total === 0) return passing;
  let [j, before] = [0, 0];
  for (let n = 0; n < PARTICLES; n++) {
    const share = ((n + 0.5) / PARTICLES) * total;
    while (before + inflow[j]! < share) before += inflow[j++]!;
    const y = (j + (share - before) / inflow[j]!) * cell;
    follow(field, 0.5 * cell, y, 2 * nx * cell, 1, (px, py) => {
      passing[Math.min(ny - 1, Math.floor(py / cell)) * nx + Math.min(nx - 1, Math.floor(px / cell))]! += 0.5 / cell;
      return false;
    });
  }
  return passing;
}
