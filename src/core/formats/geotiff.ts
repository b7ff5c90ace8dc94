import { GeoTIFF, type GeoTIFFImage } from "geotiff";
import { InputError } from "../quantity/fault";
import type { FileAffine } from "./file-place";
import type { HeightTile } from "./heights";
import { MOST_CELLS } from "./heights-ascii";

/** One block of the file is decoded at a time; a larger one is refused, bytes. */
const LARGEST_BLOCK = 256 * 1024 * 1024;
/** Rows that are read at once, at least. */
const BAND = 64;

interface TiffPlace {
  /** Of the picture that was read, in its own pixels; null where the file says none. */
  affine: FileAffine | null;
  epsg: number | null;
}

interface Opened {
  tiff: GeoTIFF;
  first: GeoTIFFImage;
}

/** Parts of a file as they are asked for, in a browser, a worker and Node alike. */
function sourceOf(file: Blob): Parameters<typeof GeoTIFF.fromSource>[0] {
  const part = async ({ offset, length }: { offset: number; length: number }) => ({
    offset,
    length,
    data: await file.slice(offset, offset + length).arrayBuffer(),
  });
  return {
    fetchSlice: part,
    fetch: (parts) => Promise.all(parts.map(async (one) => (await part(one)).data)),
    fileSize: file.size,
    close: () => Promise.resolve(),
  };
}

/** @throws InputError "not-tiff" */
async function openTiff(file: Blob, name?: string): Promise<Opened> {
  try {
    const tiff = await GeoTIFF.fromSource(sourceOf(file));
    return { tiff, first: await tiff.getImage(0) };
  } catch {
    throw new InputError("not-tiff", {}, { file: name });
  }
}

/** Coordinates of a projected or a geographic file, by its GeoKeys (OGC 19-008r4, GeoTIFF 1.1). */
function epsgOf(image: GeoTIFFImage): number | null {
  const keys = image.getGeoKeys() as Record<string, unknown> | null;
  const code = keys?.ProjectedCSTypeGeoKey ?? keys?.GeographicTypeGeoKey;
  // 32767: defined by the user, not by a code.
  return typeof code === "number" && code !== 32767 ? code : null;
}

/** How the full image's pixels lie in its coordinates, by its tie point and scale or its matrix. */
function affineOf(image: GeoTIFFImage): FileAffine | null {
  const directory = image.fileDirectory;
  const matrix = directory.getValue("ModelTransformation") as number[] | undefined;
  if (matrix && matrix.length >= 8)
    return { x: [matrix[3]!, matrix[0]!, matrix[1]!], y: [matrix[7]!, matrix[4]!, matrix[5]!] };
  const tie = directory.getValue("ModelTiepoint") as number[] | undefined;
  const scale = directory.getValue("ModelPixelScale") as number[] | undefined;
  if (!tie || !scale || tie.length < 6 || !(scale[0]! > 0 && scale[1]! > 0)) return null;
  return {
    x: [tie[3]! - tie[0]! * scale[0]!, scale[0]!, 0],
    y: [tie[4]! + tie[1]! * scale[1]!, 0, -scale[1]!],
  };
}

function demandBlocks(image: GeoTIFFImage, name?: string): void {
  const block = image.getTileWidth() * image.getTileHeight() * image.getBytesPerPixel();
  if (block > LARGEST_BLOCK) throw new InputError("picture-beyond", {}, { file: name });
}

export interface TiffPicture extends TiffPlace {
  width: number;
  height: number;
  /** Red, green, blue and opacity by pixel. */
  rgba: Uint8ClampedArray<ArrayBuffer>;
}

/** Heights are numbers of one sample a pixel that are no bytes. */
const isHeights = (image: GeoTIFFImage) => image.getSamplesPerPixel() === 1 && image.getBitsPerSample() > 8;

/** The smallest image of the file that is still as long as wanted: it may hold its own reductions. */
async function imageFor({ tiff, first }: Opened, longest: number): Promise<GeoTIFFImage> {
  let best = first;
  const ratio = first.getWidth() / first.getHeight();
  for (let k = 1; k < (await tiff.getImageCount()); k++) {
    const image = await tiff.getImage(k);
    const long = Math.max(image.getWidth(), image.getHeight());
    const alike = Math.abs(image.getWidth() / image.getHeight() / ratio - 1) < 0.05;
    const mask = Number(image.fileDirectory.getValue("NewSubfileType") ?? 0) & 4;
    if (alike && !mask && long >= longest && long < Math.max(best.getWidth(), best.getHeight())) best = image;
  }
  return best;
}

/**
 * A TIFF as a picture whose longest side is at most `longest`, read a band at a time, so that a large file needs little
 * memory.
 * @throws InputError "not-tiff", "picture-of-heights", "picture-beyond", "picture-broken"
 */
export async function tiffPicture(file: Blob, longest: number, name?: string): Promise<TiffPicture> {
  const opened = await openTiff(file, name);
  const { first } = opened;
  if (isHeights(first)) throw new InputError("picture-of-heights", {}, { file: name });
  const image = await imageFor(opened, longest);
  demandBlocks(image, name);
  const [fullWidth, fullHeight] = [image.getWidth(), image.getHeight()];
  const every = Math.max(1, Math.max(fullWidth, fullHeight) / longest);
  const [width, height] = [Math.max(1, Math.floor(fullWidth / every)), Math.max(1, Math.floor(fullHeight / every))];
  const rgba = new Uint8ClampedArray(width * height * 4);
  const depth = image.getBitsPerSample() > 8 ? 2 ** (image.getBitsPerSample() - 8) : 1;
  const rows = Math.max(BAND, image.getTileHeight());
  try {
    for (let top = 0; top < fullHeight; top += rows) {
      const bottom = Math.min(fullHeight, top + rows);
      const band = (await image.readRGB({
        window: [0, top, fullWidth, bottom],
        interleave: true,
      })) as unknown as ArrayLike<number>;
      for (let j = Math.ceil(top / every - 0.5); j < height; j++) {
        const row = Math.floor((j + 0.5) * every);
        if (row < top) continue;
        if (row >= bottom) break;
        for (let i = 0; i < width; i++) {
          const from = ((row - top) * fullWidth + Math.floor((i + 0.5) * every)) * 3;
          const to = (j * width + i) * 4;
          for (let c = 0; c < 3; c++) rgba[to + c] = band[from + c]! / depth;
          rgba[to + 3] = 255;
        }
      }
    }
  } catch {
    throw new InputError("picture-broken", {}, { file: name });
  }
  const full = affineOf(first);
  // Pixels of what was read, in those of the whole.
  const [stepX, stepY] = [first.getWidth() / width, first.getHeight() / height];
  const by = ([a, b, c]: readonly [number, number, number]) => [a, b * stepX, c * stepY] as const;
  return { width, height, rgba, affine: full && { x: by(full.x), y: by(full.y) }, epsg: epsgOf(first) };
}

/**
 * Heights of a TIFF: its first band.
 * @throws InputError "not-tiff", "not-heights", "no-place-in-file", "grid-too-large", "picture-broken"
 */
export async function tiffHeights(file: Blob, name?: string): Promise<HeightTile> {
  const { first } = await openTiff(file, name);
  const where = { file: name };
  if (first.getSamplesPerPixel() > 2) throw new InputError("not-heights", {}, where);
  const affine = affineOf(first);
  if (!affine) throw new InputError("no-place-in-file", {}, where);
  const [width, height] = [first.getWidth(), first.getHeight()];
  if (width * height > MOST_CELLS) throw new InputError("grid-too-large", { most: MOST_CELLS }, where);
  demandBlocks(first, name);
  const none = first.getGDALNoData();
  const z = new Float32Array(width * height);
  const rows = Math.max(BAND, first.getTileHeight());
  try {
    for (let top = 0; top < height; top += rows) {
      const window = [0, top, width, Math.min(height, top + rows)];
      const band = (await first.readRasters({
        window,
        samples: [0],
        interleave: true,
      })) as unknown as ArrayLike<number>;
      for (let k = 0; k < band.length; k++) z[top * width + k] = band[k] === none ? NaN : band[k]!;
    }
  } catch {
    throw new InputError("picture-broken", {}, where);
  }
  return { width, height, z, affine, epsg: epsgOf(first) };
}
