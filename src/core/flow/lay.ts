import { placeFeatures } from "./features";
import { checkGrid, type Grid, resample } from "./grid";
import type { Reach } from "./reach";
import { laySections } from "./sections";
import { laySoundings } from "./soundings";
import { layTemplate } from "./template";

/** The grid of a reach: its bed with its features on it, on cells of `cell` m where given. Throws a located fault. */
export function layReach(reach: Reach, cell?: number): Grid {
  const grid = layBed(reach, cell);
  checkGrid(grid);
  return reach.features?.length ? placeFeatures(grid, reach.features) : grid;
}

function layBed(reach: Reach, cell: number | undefined): Grid {
  const { bed } = reach;
  if (bed.kind === "template") return layTemplate(cell ? { ...bed, cell } : bed, reach.roughness as number);
  if (bed.kind === "soundings") return laySoundings(bed, reach.roughness as number, cell);
  if (bed.kind === "sections") return laySections(bed, reach.roughness as number, cell);
  const cells = bed.nx * bed.ny;
  const roughness =
    typeof reach.roughness === "number"
      ? new Float64Array(cells).fill(reach.roughness)
      : Float64Array.from(reach.roughness);
  const grid = { nx: bed.nx, ny: bed.ny, cell: bed.cell, z: Float64Array.from(bed.z), roughness };
  return cell ? resample(grid, cell) : grid;
}
