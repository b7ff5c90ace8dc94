import type { Sections } from "./reach-schema";
import { InputError } from "../quantity/fault";
import { demandCells, type Grid } from "./grid";

type Section = Sections["sections"][number];

/**
 * A bed from levelled cross-sections: between two of them each point lies on the straight line between points at the
 * same share of
 * their widths. The reach is laid straight, x along its centreline, so that a bend keeps its depths but not its curve.
 */
export function rasteriseSections(bed: Sections, roughness: number, cell = bed.cell): Grid {
  const ordered = bed.sections
    .map((section, index) => ({ ...ascending(section, index), index }))
    .sort((a, b) => a.x - b.x);
  ordered.forEach((section, k) => {
    if (k > 0 && section.x === ordered[k - 1]!.x)
      throw new InputError(
        "same-section",
        { x: section.x },
        {
          path: `bed.sections[${section.index}].x`,
        },
      );
  });
  const x0 = ordered[0]!.x;
  const length = ordered.at(-1)!.x - x0;
  const [left, right] = [
    Math.min(...ordered.map((one) => one.points[0]!.y)),
    Math.max(...ordered.map((one) => one.points.at(-1)!.y)),
  ];
  const nx = Math.max(4, Math.round(length / cell));
  const ny = Math.max(3, Math.round((right - left) / cell));
  demandCells(nx, ny);
  const z = new Float64Array(nx * ny);
  let k = 0;
  for (let i = 0; i < nx; i++) {
    const x = x0 + (i + 0.5) * (length / nx);
    while (k < ordered.length - 2 && ordered[k + 1]!.x < x) k++;
    const [a, b] = [ordered[k]!, ordered[k + 1]!];
    const t = (x - a.x) / (b.x - a.x);
    const edge = (of: (section: Section) => number) => of(a) + t * (of(b) - of(a));
    const [from, to] = [edge((one) => one.points[0]!.y), edge((one) => one.points.at(-1)!.y)];
    for (let j = 0; j < ny; j++) {
      const share = (left + (j + 0.5) * cell - from) / (to - from);
      z[j * nx + i] = heightAt(a, share) * (1 - t) + heightAt(b, share) * t;
    }
  }
  return { nx, ny, cell, z, roughness: new Float64Array(nx * ny).fill(roughness) };
}

/** A section's points must go from the left bank to the right: banks that cross are refused where they do. */
function ascending(section: Section, index: number): Section {
  section.points.forEach((point, n) => {
    if (n > 0 && point.y <= section.points[n - 1]!.y)
      throw new InputError(
        "section-folds",
        { section: index + 1, point: n + 1, y: point.y },
        { path: `bed.sections[${index}].points[${n}].y` },
      );
  });
  return section;
}

/** Height at a share of the section's width; beyond it the bank goes on at half a metre a metre. */
function heightAt({ points }: Section, share: number): number {
  const [first, last] = [points[0]!, points.at(-1)!];
  const y = first.y + share * (last.y - first.y);
  if (y <= first.y) return first.z + 0.5 * (first.y - y);
  if (y >= last.y) return last.z + 0.5 * (y - last.y);
  const k = points.findIndex((point) => point.y >= y);
  const [a, b] = [points[k - 1]!, points[k]!];
  return a.z + ((y - a.y) / (b.y - a.y)) * (b.z - a.z);
}
