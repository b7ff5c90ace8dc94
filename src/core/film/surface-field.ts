import type { Field } from "../flow/grid";
import { findSeams, type Seam } from "../water/seams";
import type { FilmSpeeds } from "./film-speeds";

/** A gap is filled from so many of the eight places around it. Own choice. */
const LEAST_AROUND = 4;

/**
 * The filmed surface as a field, on the places that were looked at, so that it is read for seams as a solved one is.
 * Its speeds are those of the surface; its depth says only where there is water. And the corner of its first cell.
 */
function surfaceField({ arrows, spacing }: FilmSpeeds): { field: Field; corner: readonly [number, number] } {
  const [left, top] = [Math.min(...arrows.map(({ x }) => x)), Math.min(...arrows.map(({ y }) => y))];
  const cellOf = (x: number, y: number) => [Math.round((x - left) / spacing) + 1, Math.round((y - top) / spacing) + 1];
  const places = arrows.map(({ x, y }) => cellOf(x, y) as [number, number]);
  const [nx, ny] = [0, 1].map((axis) => Math.max(3, 2 + Math.max(0, ...places.map((one) => one[axis]!)))) as [
    number,
    number,
  ];
  const values = () => new Float32Array(nx * ny);
  const [u, v, depth] = [values(), values(), values()];
  arrows.forEach((arrow, n) => {
    const k = places[n]![1] * nx + places[n]![0];
    [u[k], v[k], depth[k]] = [arrow.u, arrow.v, 1];
  });
  const gaps: [number, number, number][] = [];
  for (let j = 1; j < ny - 1; j++)
    for (let i = 1; i < nx - 1; i++) {
      const k = j * nx + i;
      if (depth[k]) continue;
      const around = [-nx - 1, -nx, -nx + 1, -1, 1, nx - 1, nx, nx + 1].map((step) => k + step).filter((n) => depth[n]);
      if (around.length < LEAST_AROUND) continue;
      const mean = (of: Float32Array) => around.reduce((sum, n) => sum + of[n]!, 0) / around.length;
      gaps.push([k, mean(u), mean(v)]);
    }
  for (const [k, a, b] of gaps) [u[k], v[k], depth[k]] = [a, b, 1];
  return {
    field: {
      nx,
      ny,
      cell: spacing,
      discharge: 0,
      bed: values(),
      roughness: values().fill(0.035),
      depth,
      u,
      v,
      speedDeviation: values(),
      verdict: "converged",
      massError: 0,
      steps: 0,
    },
    corner: [left - 1.5 * spacing, top - 1.5 * spacing],
  };
}

/** Where the filmed fast water meets slow water; on the film's own plane, m. */
export function filmSeams(speeds: FilmSpeeds): Seam[] {
  if (speeds.arrows.length === 0) return [];
  const { field, corner } = surfaceField(speeds);
  return findSeams(field).map((seam) => ({
    ...seam,
    points: seam.points.map(([x, y]): [number, number] => [x + corner[0], y + corner[1]]),
  }));
}
