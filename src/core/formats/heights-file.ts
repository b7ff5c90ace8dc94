import { tiffHeights } from "./geotiff";
import type { HeightTile } from "./heights";
import { looksLikeAscii, readAsciiGrid } from "./heights-ascii";

/** A file of heights, GeoTIFF or ESRI ASCII; what it holds tells which. */
export async function readHeights(file: Blob, name?: string): Promise<HeightTile> {
  const head = await file.slice(0, 200).text();
  return looksLikeAscii(head) ? readAsciiGrid(await file.text(), name) : tiffHeights(file, name);
}
