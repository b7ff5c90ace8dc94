import { type Box, layHeights } from "../src/core/formats/heights";
import { readHeights } from "../src/core/formats/heights-file";
import { finish } from "../src/core/flow/steps";
import { InputError } from "../src/core/quantity/fault";
import { drawnOf } from "../src/core/trace/drawing";
import { flatWater } from "../src/core/trace/flat-water";
import type { Place } from "../src/core/trace/channel";
import { georeferenceOf } from "../src/core/trace/georeference";
import { traceReachSolved } from "../src/core/trace/traced-reach";
import { drawingOfWater } from "../src/core/trace/water-drawing";
import { readBytes } from "./arguments";
import type { Command } from "./command";
import { depthsAsked, reachWithTrace, waterAsked } from "./trace";

/** A national tile of a metre is about 100 MB, bytes. */
const LARGEST_GRID = 512 * 1024 * 1024;

export const dem: Command = {
  usage: "FILE… --discharge Q [--box W,S,E,N] [--depths CSV] [--slope M_PER_M] [--roughness N] [--cell M]",
  about: `Cuts a reach out of ground heights (GeoTIFF or ESRI ASCII, several tiles). Such heights mostly show the water’s surface: it is found, and a bed is laid under it. Q is the flow in m3/s on the day of the survey.
Output: a reach (low-heron/reach@1) with traced and heights.
heights: tiles, cell, share (of water), slope (null where the surface was laid level), level (at the upstream end, m), islands.
--box cuts the grid first, in degrees: west, south, east, north. --slope is needed where the surface was laid level. Projected coordinates go by their EPSG code; without one they are metres.`,
  options: { discharge: true, box: true, depths: true, slope: true, roughness: true, cell: true },
  run: async (args) => {
    const [first] = args.positional;
    if (first === undefined) throw new InputError("missing-argument", { what: "a grid of heights" });
    const tiles = [];
    for (const path of args.positional)
      tiles.push(await readHeights(new Blob([new Uint8Array(readBytes(path, LARGEST_GRID))]), path));
    const { grid, scale } = layHeights(tiles, args.values.box === undefined ? undefined : boxOf(args.values.box));
    const water = flatWater(grid);
    const drawing = drawingOfWater(water, grid, scale);
    const drawn = drawnOf(drawing);
    const { depths, rejected } = depthsAsked(args, drawn.origin);
    const { toSheet } = georeferenceOf(scale)!;
    const land = (at: Place) => {
      const [i, j] = toSheet(at).map(Math.floor) as [number, number];
      const height = i < 0 || j < 0 || i >= grid.nx || j >= grid.ny ? NaN : grid.z[j * grid.nx + i]!;
      return Number.isNaN(height) ? undefined : height - water.level;
    };
    const options = { id: "dem", name: first, ...waterAsked(args, drawing.slope) };
    const traced = finish(traceReachSolved({ ...drawn, depths, land }, options));
    const { slope, level, share, islands } = water;
    return {
      ...reachWithTrace(traced, rejected),
      heights: { tiles: tiles.length, cell: grid.cell, share, slope, level, islands: islands.length },
    };
  },
};

/** @throws InputError "not-a-box" */
function boxOf(text: string): Box {
  const [west, south, east, north] = text.split(",").map(Number);
  const all = [west, south, east, north];
  if (all.some((one) => one === undefined || !Number.isFinite(one)) || !(west! < east! && south! < north!))
    throw new InputError("not-a-box");
  return [west!, south!, east!, north!];
}
