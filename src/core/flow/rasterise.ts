import type { Reach } from "./reach-schema";
import { placeFeatures } from "./features";
import { checkGrid, type Grid, resample } from "./grid";
import { rasteriseSections } from "./sections";
import { rasteriseSoundings } from "./soundings";
import { rasteriseTemplate, templateCells } from "./template";

/** The grid of a reach: its bed with its features on it, on cells of `cell` m where given. Throws a located fault. */
export function rasteriseReach(reach: Reach, cell?: number): Grid {
  const grid = layBed(reach, cell);
  checkGrid(grid);
  return reach.features?.length ? placeFeatures(grid, reach.features) : grid;
}

function layBed(reach: Reach, cell: number | undefined): Grid {
  const { bed } = reach;
  if (bed.kind === "template") return rasteriseTemplate(cell ? { ...bed, cell } : bed, reach.roughness as number);
  if (bed.kind === "soundings") return rasteriseSoundings(bed, reach.roughness as number, cell);
  if (bed.kind === "sections") return rasteriseSections(bed, reach.roughness as number, cell);
  const cells = bed.nx * bed.ny;
  const roughness =
    typeof reach.roughness === "number"
      ? new Float64Array(cells).fill(reach.roughness)
      : Float64Array.from(reach.roughness);
  const grid = { nx: bed.nx, ny: bed.ny, cell: bed.cell, z: Float64Array.from(bed.z), roughness };
  return cell ? resample(grid, cell) : grid;
}

/** Length and breadth of a reach, m. Asked often while a hand moves: only soundings and sections are laid for it. */
export function reachSize(reach: Reach): [number, number] {
  const { bed } = reach;
  const { nx, ny } =
    bed.kind === "template"
      ? templateCells(bed)
      : bed.kind === "grid"
        ? bed
        : rasteriseReach({ ...reach, features: [] });
  return [nx * bed.cell, ny * bed.cell];
}
