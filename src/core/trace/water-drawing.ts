import { type Drawing, SLOPES } from "./drawing-schema";
import type { FlatWater, HeightGrid } from "./flat-water";
import type { Scale } from "./georeference";
import { type Mark, type MarkName, MOST_PLACES } from "./marks";

/** The water in a grid of heights as a drawing on that grid: its middle, lines across it, its islands, its fall. */
export function drawingOfWater(water: FlatWater, { nx, ny }: HeightGrid, scale: Scale): Drawing {
  const mark = (kind: MarkName, id: string, places: readonly (readonly [number, number])[]): Mark => ({
    id,
    kind,
    places: places
      .slice(0, MOST_PLACES)
      .map(([x, y]) => [Math.min(nx, Math.max(0, x)), Math.min(ny, Math.max(0, y))] as [number, number]),
  });
  const { slope } = water;
  return {
    sheet: { width: nx, height: ny },
    scale,
    marks: [
      mark("middle", "middle", water.middle),
      ...water.widths.map((line, k) => mark("width", `width-${k + 1}`, line)),
      ...water.islands.map((ring, k) => mark("island", `island-${k + 1}`, ring)),
    ],
    discharge: null,
    slope: slope === null ? null : Math.min(SLOPES[1], Math.max(SLOPES[0], slope)),
  };
}
